package mildtilt.column;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Vector;

/**
 * The kinematics of a column, made ready once and then asked often: shaft axes, operating angles, and how
 * the forks of one joint stand to the plane of the next.
 *
 * <p>Each joint's angles are measured about its shafts from its normal, axis(i) × axis(i+1). Below
 * {@link #STRAIGHT} that normal is not defined; the joint then passes rotation unchanged and any
 * direction square to the shaft serves.
 */
public final class ColumnTrain {

    /** Operating angles below this are straight, rad. */
    static final double STRAIGHT = 1e-9;

    private final Column column;
    private final Vector[] axes;
    private final Vector[] normals;
    private final double[] angles;
    private final double[] unevenness;
    /** From joint i's normal to joint i+1's input reference, without the clocking of the shaft between, rad. */
    private final double[] phases;

    public ColumnTrain(Column column) {
        this.column = column;
        int n = column.joints().size();
        axes = new Vector[n + 1];
        for (int i = 0; i <= n; i++) {
            axes[i] = column.axis(i).vector();
        }
        normals = new Vector[n];
        angles = new double[n];
        unevenness = new double[n];
        for (int i = 0; i < n; i++) {
            angles[i] = axes[i].angleTo(axes[i + 1]);
            unevenness[i] = column.joints().get(i).kind().unevenness(angles[i]);
            boolean straight = angles[i] < STRAIGHT || Math.PI - angles[i] < STRAIGHT;
            normals[i] = straight
                    ? axes[i].direction().anySquare().vector()
                    : axes[i].cross(axes[i + 1]).direction().vector();
        }
        phases = new double[Math.max(0, n - 1)];
        for (int i = 0; i + 1 < n; i++) {
            phases[i] = column.joints().get(i).kind().pinAdvance() + turnAbout(axes[i + 1], normals[i + 1], normals[i]);
        }
    }

    /** Angle from one vector to another about an axis square to both, rad. */
    static double turnAbout(Vector axis, Vector from, Vector to) {
        return Math.atan2(axis.dot(from.cross(to)), from.dot(to));
    }

    public Column column() {
        return column;
    }

    public double jointAngleDeg(int joint) {
        return Math.toDegrees(angles[joint]);
    }

    /** Where a joint's angles are measured from: square to both its shafts. */
    Vector normal(int joint) {
        return normals[joint];
    }

    /** The first joint that can't turn at all at its operating angle, if there is one. */
    public OptionalInt lockedJoint() {
        for (int i = 0; i < angles.length; i++) {
            if (angles[i] > column.joints().get(i).kind().lockUpAngle() - 1e-6) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }

    /** The transfer with the forks as clocked now; empty if a joint is locked up. */
    public Optional<Transfer> transfer() {
        return lockedJoint().isPresent() ? Optional.empty() : Optional.of(transfer(clockings()));
    }

    /** Of the shafts between joints as they are set now, rad. */
    public double[] clockings() {
        double[] c = new double[phases.length];
        for (int i = 0; i < c.length; i++) {
            c[i] = Math.toRadians(column.shafts().get(i + 1).clockingDeg());
        }
        return c;
    }

    /** The transfer with other clockings, rad, of the shafts between joints. */
    public Transfer transfer(double[] clockings) {
        return transfer(unevenness, clockings, angles.length);
    }

    private Transfer transfer(double[] uneven, double[] clockings, int joints) {
        Transfer train = Transfer.EVEN.thenTurn(Math.toRadians(column.firstForkDeg()));
        for (int i = 0; i < joints; i++) {
            train = train.then(Transfer.ofUnevenness(uneven[i]));
            if (i < phases.length) {
                train = train.thenTurn(phases[i] + clockings[i]);
            }
        }
        return train;
    }

    /** The transfer from the wheel to a shaft: 0 the first, which turns as the wheel does. */
    public Transfer transferTo(int shaft) {
        return transfer(unevenness, clockings(), shaft);
    }

    /** Ripple, percent, that would be left if one joint passed rotation evenly and all else stayed. */
    public double rippleWithoutPct(int joint) {
        double[] others = unevenness.clone();
        others[joint] = 0;
        return transfer(others, clockings(), angles.length).ripplePct();
    }

    public double unevenness(int joint) {
        return unevenness[joint];
    }

    /**
     * From joint {@code gap}'s normal to the next joint's input reference, without the clocking of the shaft between,
     * rad.
     */
    public double phase(int gap) {
        return phases[gap];
    }

    /** How many shafts lie between two joints. */
    public int gaps() {
        return phases.length;
    }

    /** Ripple a joint would give by itself at its operating angle, percent. */
    public double ownRipplePct(int joint) {
        return Transfer.rippleOf(unevenness[joint]);
    }

    /** Where the pins of a joint's two forks point. */
    public record Pins(Direction wheelSide, Direction gearSide) {}

    /**
     * Pins of every joint with the input turned, found step by step from the cross itself: each pin is
     * square to its own shaft, and the two pins of a cross to each other. Independent of {@link Transfer}.
     *
     * @param input rotation of the first shaft about its axis, rad; 0 straight ahead
     */
    public List<Pins> pinsAt(double input) {
        Pins[] all = new Pins[angles.length];
        if (all.length == 0) {
            return List.of();
        }
        double start = input + Math.toRadians(column.firstForkDeg());
        Vector pin = axes[0].direction().turn(normals[0], start);
        double[] clockings = clockings();
        for (int i = 0; i < all.length; i++) {
            Vector out =
                    switch (column.joints().get(i).kind()) {
                        case JointKind.Single _ ->
                            axes[i + 1].cross(pin).direction().vector();
                        case JointKind.Double _, JointKind.Coupling _ -> {
                            double fromNormal = turnAbout(axes[i], normals[i], pin);
                            yield axes[i + 1].direction().turn(normals[i], fromNormal);
                        }
                    };
            all[i] = new Pins(pin.direction(), out.direction());
            if (i < clockings.length) {
                pin = axes[i + 1].direction().turn(out, clockings[i]);
            }
        }
        return List.of(all);
    }
}
