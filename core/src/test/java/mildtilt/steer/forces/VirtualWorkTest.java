package mildtilt.steer.forces;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import mildtilt.MixedVehicles;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Torques at steering wheel and gear against finite differences of energy, against levers, and limiting cases. */
class VirtualWorkTest {

    private static final double[] PLACES = {-0.8, -0.35, 0, 0.2, 0.6};

    static Stream<Job> vehicles() {
        return Stream.concat(
                Stream.of(DemoJob.values()).map(DemoJob::job),
                Stream.of(MixedVehicles.values()).map(MixedVehicles::job));
    }

    /** Those whose wheels turn about an axis that stays where it is. */
    static Stream<Job> onKingpins() {
        return vehicles().filter(j -> j.axle().orElseThrow().left().suspension() instanceof Kingpin);
    }

    /**
     * What the load does: a rim that carries it rises and sinks by as much as its lowest point does. What a side force,
     * a blow and a brake do: each moves with the point of the knuckle that it acts at.
     */
    @ParameterizedTest
    @MethodSource("onKingpins")
    void torqueAtTheSteeringWheelIsTheRateOfWork(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        Loads loads = Loads.of(800);
        double stop = train.stopDeg(Side.LEFT).orElseThrow();
        double h = 1e-4 * stop;
        for (double part : PLACES) {
            SmallTurn t = SmallTurn.at(train, part * stop).orElseThrow();
            AxlePose.Assembled up = stands(train, part * stop + h);
            AxlePose.Assembled down = stands(train, part * stop - h);
            double perRad = 2 * Math.toRadians(h);
            for (Side side : Side.values()) {
                KnucklePose k = t.here().knuckle(side);
                double radius = k.contactPoint().distanceTo(k.wheelCentre());
                double lifted = (lowest(up.knuckle(side), radius) - lowest(down.knuckle(side), radius)) / perRad;
                same(in(t, side, Effort.weightTorque(loads, k)), lifted * loads.wheelLoad(), 1e4);

                Vector slid = moved(k, k.contactPoint(), down.knuckle(side), up.knuckle(side), perRad);
                Vector toLeft =
                        new Vector(k.spin().x(), k.spin().y(), 0).direction().times(side.sign() * 1500);
                same(in(t, side, Effort.sideTorque(k, 1500)), toLeft.dot(slid), 1e4);

                Vector went = moved(k, k.wheelCentre(), down.knuckle(side), up.knuckle(side), perRad);
                same(
                        in(t, side, KerbLoad.torque(k, 2000, 0)),
                        k.ahead().times(-2000).dot(went),
                        1e4);
            }
        }
    }

    private static AxlePose.Assembled stands(SteeringTrain train, double steeringWheelDeg) {
        return train.pose(steeringWheelDeg, 0, 0).assembled().orElseThrow();
    }

    private static double in(SmallTurn t, Side side, double torque) {
        return side == Side.LEFT ? t.torqueIn(torque, 0) : t.torqueIn(0, torque);
    }

    private static double lowest(KnucklePose k, double radius) {
        return k.wheelCentre().z()
                - radius * Math.sqrt(1 - k.spin().z() * k.spin().z());
    }

    /** A point of the knuckle, per rad of steering wheel. */
    private static Vector moved(KnucklePose at, Point p, KnucklePose from, KnucklePose to, double turned) {
        return to.now()
                .carried(p, at.now())
                .minus(from.now().carried(p, at.now()))
                .times(1 / turned);
    }

    /** To 1e-6 of the torque at the steering wheel, which is some 10 N·m. */
    private static void same(double a, double b, double usual) {
        assertThat(a).isCloseTo(b, within(1e-6 * Math.max(usual, Math.abs(b))));
    }

    /** With arms and springs, by rods: an inner end that moves takes the knuckle round by its lever. */
    @ParameterizedTest
    @MethodSource("onTheirOwnRods")
    void knuckleTurnsAsItsRodTakesIt(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        double stop = train.stopDeg(Side.LEFT).orElseThrow();
        double h = 1e-4 * stop;
        for (double part : PLACES) {
            SmallTurn t = SmallTurn.at(train, part * stop).orElseThrow();
            AxlePose.Assembled up = stands(train, part * stop + h);
            AxlePose.Assembled down = stands(train, part * stop - h);
            for (Side side : Side.values()) {
                KnucklePose k = t.here().knuckle(side);
                Vector moved = up.knuckle(side)
                        .tieRodInner()
                        .minus(down.knuckle(side).tieRodInner())
                        .times(1 / (2 * Math.toRadians(h)));
                Vector rod = k.tieRodInner().minus(k.tieRodPoint()).direction().vector();
                double lever = RodForces.lever(k, k.tieRodPoint(), k.tieRodInner());
                assertThat(t.wheel(side).aboutAxis())
                        .as(job.title() + " at " + part)
                        .isCloseTo(moved.dot(rod) / lever, within(2e-6));
            }
        }
    }

    static Stream<Job> onTheirOwnRods() {
        return vehicles().filter(j -> !j.axle().orElseThrow().oneTieRod());
    }
}
