package mildtilt.shaftload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;

/**
 * What a shaft carries while the wheel is pulled hard, at the worst place of a turn.
 *
 * <p>Torque: power passes the train, so a shaft's torque is the wheel's over its speed ratio; at worst over the least
 * ratio of the train up to it. Bending: a cross can pass no moment about its own pins, so its moment stands square to
 * both; for a torque T in the driving shaft and an angle b that leaves up to {@code T tan b} to bend the driving shaft
 * and up to {@code T sin b} to bend the driven one. A double joint's yoke halves the angle: each side takes
 * {@code T tan(b/2)}. Both are combined although they occur at different places of the turn, which is on the safe side.
 * Shear and bending go together by von Mises: {@code sqrt(σ² + 3 τ²)} against yield.
 *
 * @param torque N·mm
 * @param bending at the end where it is larger, N·mm
 * @param stressMpa at the weakest section: profile or ends
 * @param margin yield strength over that stress
 * @param twistDeg over the length between its ends
 * @param weakest what is weakest, in words
 */
public record ShaftLoad(
        double torque, double bending, double stressMpa, double margin, double twistDeg, String weakest) {

    /** @param torque N·mm that a joint passes at most; margin its allowed torque over that, where its maker says one */
    public record JointLoad(double torque, Optional<Double> margin) {}

    /**
     * @param shafts from wheel to gear
     * @param joints from wheel to gear
     * @param twistDeg of all shafts together, degrees
     */
    public record All(double wheelTorque, List<ShaftLoad> shafts, List<JointLoad> joints, double twistDeg) {

        public All {
            shafts = List.copyOf(shafts);
            joints = List.copyOf(joints);
        }
    }

    /** @param pull at the rim, N. Empty where a joint is locked */
    public static Optional<All> of(ColumnTrain train, double pull) {
        if (train.lockedJoint().isPresent()) {
            return Optional.empty();
        }
        Column c = train.column();
        double wheel = pull * c.handRadius();
        List<ShaftLoad> shafts = new ArrayList<>();
        double[] torque = new double[c.shafts().size()];
        for (int i = 0; i < torque.length; i++) {
            torque[i] = wheel / train.transferTo(i).ratioMin();
        }
        double twist = 0;
        for (int i = 0; i < torque.length; i++) {
            ShaftLoad load = of(
                    c,
                    i,
                    torque[i],
                    i == 0 ? 0 : driven(train, i - 1, torque),
                    i == c.joints().size() ? 0 : driving(train, i, torque));
            shafts.add(load);
            twist += load.twistDeg;
        }
        List<JointLoad> joints = new ArrayList<>();
        for (int j = 0; j < c.joints().size(); j++) {
            double most = Math.max(torque[j], torque[j + 1]);
            Joint joint = c.joints().get(j);
            joints.add(new JointLoad(most, joint.torqueNm().map(t -> t * 1000 / most)));
        }
        return Optional.of(new All(wheel, shafts, joints, twist));
    }

    private static double driving(ColumnTrain train, int joint, double[] torque) {
        double b = Math.toRadians(train.jointAngleDeg(joint));
        return torque[joint]
                * switch (train.column().joints().get(joint).kind()) {
                    case JointKind.Single _ -> Math.tan(b);
                    case JointKind.Double _ -> Math.tan(b / 2);
                    case JointKind.Coupling _ -> 0;
                };
    }

    private static double driven(ColumnTrain train, int joint, double[] torque) {
        double b = Math.toRadians(train.jointAngleDeg(joint));
        return torque[joint]
                * switch (train.column().joints().get(joint).kind()) {
                    case JointKind.Single _ -> Math.sin(b);
                    case JointKind.Double _ -> Math.tan(b / 2);
                    case JointKind.Coupling _ -> 0;
                };
    }

    /** @param wheelBending at the wheel end. @param gearBending at the gear end */
    private static ShaftLoad of(Column c, int index, double torque, double wheelBending, double gearBending) {
        Shaft s = c.shafts().get(index);
        double bending = Math.max(wheelBending, gearBending);
        double body = stress(s.profile().roundNoStronger(), s.bore(), torque, bending);
        double wheelEnd = stress(s.wheelEndSeat().roundNoStronger(), s.bore(), torque, wheelBending);
        double gearEnd = stress(s.gearEndSeat().roundNoStronger(), s.bore(), torque, gearBending);
        double worst = Math.max(body, Math.max(wheelEnd, gearEnd));
        String weakest =
                worst == body ? "along its length" : worst == wheelEnd ? "at its wheel end" : "at its gear end";
        double polar = Math.PI / 32 * (Math.pow(s.profile().roundNoStronger(), 4) - Math.pow(s.bore(), 4));
        return new ShaftLoad(
                torque,
                bending,
                worst,
                s.yieldMpa() / worst,
                Math.toDegrees(torque * c.length(index) / (Steel.G * polar)),
                weakest);
    }

    /**
     * Twist at which a shaft yields along its length, with nothing else on it: {@code 0.577 σ π (d⁴ − b⁴) / (16 d)},
     * N·mm.
     */
    public static double twistAtYield(Shaft s) {
        double d = s.profile().roundNoStronger();
        return s.yieldMpa() / Math.sqrt(3) * Math.PI * (Math.pow(d, 4) - Math.pow(s.bore(), 4)) / (16 * d);
    }

    /** Yield strength over stress where a shaft under this load is cut down to a diameter, as over a groove. */
    public double marginAt(double outside, Shaft s) {
        return s.yieldMpa() / stress(outside, s.bore(), torque, bending);
    }

    /** Combined stress at the outside of a round section, MPa. */
    static double stress(double outside, double inside, double torque, double bending) {
        double hollow = 1 - Math.pow(Math.min(inside / outside, 1), 4);
        double modulus = Math.PI * Math.pow(outside, 3) * hollow / 16;
        if (!(modulus > 0)) {
            return Double.MAX_VALUE;
        }
        double tau = torque / modulus;
        double sigma = 2 * bending / modulus;
        return Math.sqrt(sigma * sigma + 3 * tau * tau);
    }
}
