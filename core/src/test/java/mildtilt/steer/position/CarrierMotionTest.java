package mildtilt.steer.position;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import mildtilt.MixedVehicles;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.rods.Rod;
import mildtilt.obstacle.Carrier;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is fixed to a rod, an arm or a rack is carried to where that part stands, whatever the mechanism. */
class CarrierMotionTest {

    static List<Job> vehicles() {
        List<Job> all = new ArrayList<>();
        for (DemoJob d : DemoJob.values()) {
            all.add(d.job());
        }
        for (MixedVehicles v : MixedVehicles.values()) {
            all.add(v.job());
        }
        return all;
    }

    private record Ends(Point from, Point to) {}

    private static Ends ends(AxlePose pose, Carrier c) {
        KnucklePose l = pose.assembled().orElseThrow().left();
        KnucklePose r = pose.assembled().orElseThrow().right();
        return switch (c) {
            case LEFT_TIE_ROD, TIE_ROD -> new Ends(l.tieRodInner(), l.tieRodPoint());
            case RIGHT_TIE_ROD -> new Ends(r.tieRodInner(), r.tieRodPoint());
            case CENTRE_LINK -> link(pose, Rod.CENTRE_LINK);
            case DRAG_LINK -> link(pose, Rod.DRAG_LINK);
            case GEAR_ARM -> {
                Mechanism.ByArm arm =
                        (Mechanism.ByArm) pose.stance().mechanism().orElseThrow();
                yield new Ends(arm.gear().axis().footOf(arm.armEnd()), arm.armEnd());
            }
            case RACK_BAR -> {
                Mechanism m = pose.stance().mechanism().orElseThrow();
                yield new Ends(m.inner(Side.LEFT), m.inner(Side.RIGHT));
            }
            case LEFT_KNUCKLE -> new Ends(l.wheelCentre(), l.tieRodPoint());
            case RIGHT_KNUCKLE -> new Ends(r.wheelCentre(), r.tieRodPoint());
            default -> throw new IllegalArgumentException(c.toString());
        };
    }

    private static Ends link(AxlePose pose, Rod rod) {
        return pose.stance().mechanism().orElseThrow().links().stream()
                .filter(x -> x.rod() == rod)
                .map(x -> new Ends(x.from(), x.to()))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("vehicles")
    void bothEndsOfEveryPartAreCarriedToWhereTheyStand(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        CarrierMotion motion = train.carriers().orElseThrow();
        AxlePose rest = train.pose(0, 0, 0);
        List<Carrier> parts = List.of(
                Carrier.LEFT_TIE_ROD,
                Carrier.RIGHT_TIE_ROD,
                Carrier.TIE_ROD,
                Carrier.CENTRE_LINK,
                Carrier.DRAG_LINK,
                Carrier.GEAR_ARM,
                Carrier.RACK_BAR,
                Carrier.LEFT_KNUCKLE,
                Carrier.RIGHT_KNUCKLE);
        int looked = 0;
        for (double part : new double[] {-0.7, 0, 0.8}) {
            for (double z : new double[] {-0.6, 0, 0.7}) {
                double mm = z * job.vehicle().bump();
                AxlePose pose = train.pose(
                        part * train.stopDeg(Side.LEFT).orElseThrow(),
                        mm,
                        train.requireAxle().wheelTravel().rightWith(mm));
                if (pose.assembled().isEmpty()) {
                    continue;
                }
                for (Carrier c : parts) {
                    if (CarrierMotion.exists(train.requireAxle(), c)) {
                        Ends was = ends(rest, c);
                        Ends now = ends(pose, c);
                        RigidMove m = motion.move(pose, c);
                        assertThat(m.moved(was.from()).distanceTo(now.from()))
                                .as("%s %s", job.title(), c)
                                .isLessThan(1e-6);
                        assertThat(m.moved(was.to()).distanceTo(now.to()))
                                .as("%s %s", job.title(), c)
                                .isLessThan(1e-6);
                        looked++;
                    }
                }
            }
        }
        assertThat(looked).isGreaterThan(12);
    }
}
