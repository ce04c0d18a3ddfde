package mildtilt.job;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * What presses the steered tyres on the ground.
 *
 * @param frontAxleKg mass carried by both steered wheels together, kg
 * @param friction of tyre on ground, sliding; about 0.8 on dry concrete
 * @param rollingResistance of the tyre, as a part of the load on it; about 0.02 on a hard floor
 * @param efficiency part of the driver's work that reaches the knuckles; about 0.85
 */
public record Loads(double frontAxleKg, double friction, double rollingResistance, double efficiency) {

    /** Standard acceleration of gravity, m/s². */
    private static final double GRAVITY = 9.80665;

    /** @throws ImpossibleGeometryException naming what can't be */
    public Loads {
        if (!(frontAxleKg > 0)) {
            throw new ImpossibleGeometryException("The load on the front axle must be above 0.");
        }
        if (!(friction > 0 && friction <= 3)) {
            throw new ImpossibleGeometryException("The tyre's friction must be above 0 and no more than 3.");
        }
        if (!(rollingResistance >= 0 && rollingResistance <= 1)) {
            throw new ImpossibleGeometryException("The rolling resistance must be between 0 and 1.");
        }
        if (!(efficiency > 0 && efficiency <= 1)) {
            throw new ImpossibleGeometryException("The efficiency must be above 0 and no more than 1.");
        }
    }

    public static Loads of(double frontAxleKg) {
        return new Loads(frontAxleKg, 0.8, 0.02, 0.85);
    }

    /** On one wheel, N. */
    public double wheelLoad() {
        return frontAxleKg * GRAVITY / 2;
    }
}
