package mildtilt.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import mildtilt.MixedVehicles;
import mildtilt.geometry.Side;
import mildtilt.io.AllThatIsSaid;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.job.Vehicle;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Kinds that no demo has together: they go to file and back, through lock and travel, and everything is said of them.
 */
class MixedVehiclesTest {

    @ParameterizedTest
    @EnumSource(MixedVehicles.class)
    void goesToFileAndBack(MixedVehicles vehicle) throws Exception {
        Job job = vehicle.job();
        assertThat(JobReader.read(JobWriter.write(job))).isEqualTo(job);
    }

    /** All its sentences and figures, and none of them says that the program has a fault. */
    @ParameterizedTest
    @EnumSource(MixedVehicles.class)
    void everythingIsSaidOfIt(MixedVehicles vehicle) {
        assertThat(AllThatIsSaid.of(vehicle.job(), Double.MAX_VALUE).cannot()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(MixedVehicles.class)
    void goesThroughLockAndTravelWithItsRodsAsLongAsTheyAre(MixedVehicles vehicle) {
        Job job = vehicle.job();
        SteeredAxle axle = job.axle().orElseThrow();
        SteeringTrain train = new SteeringTrain(job);
        Map<Rod, Double> lengths = train.axle().orElseThrow().lengths();
        Vehicle v = job.vehicle();
        WheelTravel travel = axle.wheelTravel();
        int stood = 0;
        int asked = 0;
        for (int i = -6; i <= 6; i++) {
            double sw =
                    0.5 * i / 6 * train.stopDeg(i < 0 ? Side.RIGHT : Side.LEFT).orElseThrow();
            for (int k = -3; k <= 3; k++) {
                double z = travel == WheelTravel.NONE ? 0 : k < 0 ? k * v.normalDroop() / 3 : k * v.normalBump() / 3;
                AxlePose pose = train.pose(sw, z, travel.rightWith(z));
                asked++;
                if (pose.assembled().isEmpty()) {
                    continue;
                }
                stood++;
                AxlePose.Assembled a = pose.assembled().get();
                Mechanism m = pose.stance().mechanism().orElseThrow();
                m.links().forEach(l -> holds(l.from().distanceTo(l.to()), lengths.get(l.rod())));
                for (Side side : axle.oneTieRod() ? new Side[] {Side.LEFT} : Side.values()) {
                    KnucklePose n = a.knuckle(side);
                    holds(
                            n.tieRodPoint().distanceTo(n.tieRodInner()),
                            train.axle().orElseThrow().tieRodLength(side));
                }
            }
        }
        assertThat(stood).as("half of the gear's turn, over the usual travel").isGreaterThan(asked * 9 / 10);
    }

    private static void holds(double now, double length) {
        assertThat(now).isCloseTo(length, within(1e-7));
    }
}
