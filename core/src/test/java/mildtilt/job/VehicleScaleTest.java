package mildtilt.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A vehicle of one's own begun from few numbers steers like the one it was begun from. */
class VehicleScaleTest {

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void scaledVehicleSteersAlike(DemoJob demo) throws Exception {
        Job job = demo.job();
        VehicleScale own = VehicleScale.of(job).orElseThrow();
        Headlines was = Headlines.quick(job, false).orElseThrow();
        for (double across : new double[] {0.7, 1, 1.35}) {
            for (double along : new double[] {0.75, 1, 1.3}) {
                VehicleScale want = new VehicleScale(own.track() * across, own.wheelbase() * 1.1, own.tyre() * along);
                Job sized = want.apply(job);
                VehicleScale is = VehicleScale.of(sized).orElseThrow();
                assertThat(is.track()).isCloseTo(want.track(), within(1e-6));
                assertThat(is.tyre()).isCloseTo(want.tyre(), within(1e-6));
                assertThat(sized.axle().orElseThrow().ownRight().isPresent())
                        .isEqualTo(job.axle().orElseThrow().ownRight().isPresent());
                assertThat(new SteeringTrain(sized).pose(0, 0, 0).assembled()).isPresent();
                assertThat(JobReader.read(JobWriter.write(sized))).isEqualTo(sized);
                Headlines now = Headlines.quick(sized, false).orElseThrow();
                assertThat(now.get(Headline.INNER_LOCK).orElseThrow())
                        .as("%s %s × %s", demo, across, along)
                        .isGreaterThan(18);
                assertThat(now.get(Headline.CASTER).orElseThrow())
                        .isCloseTo(was.get(Headline.CASTER).orElseThrow(), within(0.05));
                assertThat(now.get(Headline.ACKERMANN)).isPresent();
            }
        }
        // At its own sizes it is itself, but for what is in the way.
        Job same = own.apply(job);
        assertThat(same.axle().orElseThrow().track())
                .isEqualTo(job.axle().orElseThrow().track());
        assertThat(Headlines.quick(same, false)
                        .orElseThrow()
                        .get(Headline.BUMP_STEER)
                        .orElseThrow())
                .isCloseTo(was.get(Headline.BUMP_STEER).orElseThrow(), within(1e-9));
        assertThat(same.surroundings().obstacles()).isEmpty();
        assertThat(same.axle()
                        .orElseThrow()
                        .corner(Side.RIGHT)
                        .knuckle()
                        .wheelCentre()
                        .y())
                .isNegative();
    }

    @ParameterizedTest
    @EnumSource(value = DemoJob.class, names = "BOG_TENDER")
    void impossibleVehicleSizesAreRefused(DemoJob demo) {
        assertThatThrownBy(() -> new VehicleScale(0, 2000, 600))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("The track");
        assertThatThrownBy(() -> new VehicleScale(1200, Double.NaN, 600))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("wheelbase");
        assertThatThrownBy(() -> new VehicleScale(1200, 2000, 1e9))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("tyre");
        Job none = Job.of(
                "t",
                new Plan(
                        demo.job().vehicle(),
                        Optional.empty(),
                        Optional.empty(),
                        demo.job().targets()));
        assertThat(VehicleScale.of(none)).isEmpty();
        assertThatThrownBy(() -> new VehicleScale(1200, 2000, 600).apply(none))
                .isInstanceOf(ImpossibleGeometryException.class);
    }
}
