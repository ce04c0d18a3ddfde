package mildtilt.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Severity;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.job.VehicleScale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A vehicle to begin with has no faults of its own making, whatever its kind and size. */
class FreshStartTest {

    /** What is the vehicle's size itself and no fault of its layout. */
    private static final Set<Fault> BY_SIZE = EnumSet.of(Fault.SIZES_GUESSED, Fault.HEAVY, Fault.WIND_UP);

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void freshVehiclesHaveNoFindings(DemoJob kind) {
        Job like = kind.job();
        VehicleScale own = VehicleScale.of(like).orElseThrow();
        for (double part : new double[] {0.88, 1.2}) {
            VehicleScale sizes = new VehicleScale(
                    Math.rint(own.track() * part), Math.rint(own.wheelbase() * part), Math.rint(own.tyre() * part));
            Job fresh = FreshStart.of(like, sizes);
            Analysis a = Analysis.of(fresh);
            assertThat(a.findings())
                    .as(kind + " " + sizes)
                    .noneMatch(f -> f.severity() == Severity.STOP)
                    .allMatch(f -> BY_SIZE.contains(f.fault()));
            // As large as was asked for, in whole millimetres where a point can be moved by itself.
            assertThat(fresh.axle().orElseThrow().track()).isCloseTo(sizes.track(), within(1e-6));
            assertThat(fresh.vehicle().wheelbase()).isEqualTo(sizes.wheelbase());
            // A column with one joint is shimmed to where its axes meet, which falls between millimetres.
            if (fresh.column().map(c -> c.joints().size() > 1).orElse(false)) {
                Point hub = JobPoints.position(fresh, new PointId.Hub());
                assertThat(hub.x()).isEqualTo(Math.rint(hub.x()));
                assertThat(hub.z()).isEqualTo(Math.rint(hub.z()));
            }
        }
    }
}
