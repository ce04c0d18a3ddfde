package mildtilt.trials.compare;

import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * A laser fixed to a hub at the wheel centre, level and along the wheel at ride height, drawing on an upright wall
 * square ahead. It turns with the
 * knuckle in all three ways: its dot goes up and down with caster change as well as with the wheel, and its heading is
 * not quite the wheel's steer angle once
 * the camber and the caster have changed both.
 */
public final class Laser {

    /**
     * A dot, from the place of that hub's dot at ride height with the rod on.
     *
     * @param left mm
     * @param up mm
     * @param headingDeg of the beam seen from above, + left, from that at ride height
     * @param steerDeg of the wheel, + left, from that at ride height
     */
    public record Dot(double left, double up, double headingDeg, double steerDeg) {}

    private record Beam(Point from, Vector along) {

        double heading() {
            return Math.atan2(along.y(), along.x());
        }

        Point on(double wallX) {
            return from.plus(along.times((wallX - from.x()) / along.x()));
        }
    }

    private Laser() {}

    /**
     * @param rodOn false with the tie rod off and the hub held, about its steer axis, to the heading it has at ride
     * height
     * @param travel of that wheel, mm; the other stays, or moves with a beam
     * @param wall from the wheel centre forward, mm
     * @return empty where the wheels can't be so, or the beam does not reach the wall
     */
    public static Optional<Dot> dot(SteeringTrain train, Side wheel, double travel, boolean rodOn, double wall) {
        Optional<KnucklePose> rest = knuckle(train, wheel, 0);
        Optional<KnucklePose> there = knuckle(train, wheel, travel);
        if (rest.isEmpty() || there.isEmpty()) {
            return Optional.empty();
        }
        KnucklePose k = there.get();
        Vector spin = rest.get().spin();
        Vector ahead = new Vector(spin.y(), -spin.x(), 0).direction().times(wheel.sign());
        Beam still = new Beam(rest.get().wheelCentre(), ahead);
        Vector local = rest.get().now().local(ahead);
        Beam beam = new Beam(k.wheelCentre(), k.now().world(local));
        double steer = k.steerDeg();
        if (!rodOn) {
            beam = held(beam, k.steerAxis(), still.heading());
            steer = rest.get().steerDeg();
        }
        if (!(beam.along.x() > 0.2)) {
            return Optional.empty();
        }
        double wallX = rest.get().wheelCentre().x() + wall;
        Vector off = beam.on(wallX).minus(still.on(wallX));
        return Optional.of(new Dot(
                off.y(),
                off.z(),
                Math.toDegrees(beam.heading() - still.heading()),
                steer - rest.get().steerDeg()));
    }

    /** Turned about the steer axis to a heading; a few secant steps, since the heading goes nearly as the turn. */
    private static Beam held(Beam beam, Axis axis, double heading) {
        double turn = heading - beam.heading();
        Beam held = beam;
        for (int i = 0; i < 8; i++) {
            held = new Beam(axis.turned(beam.from, turn), axis.direction().turn(beam.along, turn));
            turn += heading - held.heading();
        }
        return held;
    }

    static Optional<KnucklePose> knuckle(SteeringTrain train, Side wheel, double travel) {
        WheelTravel how = train.requireAxle().wheelTravel();
        double other =
                switch (how) {
                    case FREE -> train.requireAxle().beam().isPresent() ? travel : 0;
                    case ROLL_ONLY -> -travel;
                    case NONE -> 0;
                };
        double own = how == WheelTravel.NONE ? 0 : travel;
        return (wheel == Side.LEFT ? train.pose(0, own, other) : train.pose(0, other, own))
                .assembled()
                .map(a -> a.knuckle(wheel));
    }
}
