package mildtilt.linkage.rods;

import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * What a rod is made of, between its rod ends. Steel is assumed.
 *
 * @param outside diameter, mm
 * @param wall thickness, mm; half the diameter for a solid bar
 * @param crank how far the rod's middle stands off the straight line between its ends, mm; 0 for a straight rod
 * @param yield of the material, MPa (N/mm²)
 */
public record RodTube(double outside, double wall, double crank, double yield) {

    /** Of plain structural steel tube, MPa. */
    public static final double USUAL_YIELD = 235;

    /** Young's modulus of steel, N/mm². */
    private static final double MODULUS = 205_000;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public RodTube {
        if (!(outside > 0) || !(wall > 0 && wall <= outside / 2)) {
            throw new ImpossibleGeometryException("A rod's wall must be above 0 and no more than half its diameter.");
        }
        if (!(crank >= 0)) {
            throw new ImpossibleGeometryException("A rod's crank can't be negative.");
        }
        if (!(yield > 0)) {
            throw new ImpossibleGeometryException("The rod material's yield must be above 0.");
        }
    }

    /** The line a rod takes between its ends: straight, or with its middle hanging below by the crank. */
    public static List<Point> line(Point from, Point to, double crank) {
        if (crank == 0) {
            return List.of(from, to);
        }
        Vector along = to.minus(from);
        Vector level = Vector.Z.cross(along);
        Vector down =
                level.norm() > 1e-9 ? along.cross(level).negated().direction().times(crank) : Vector.X.times(crank);
        return List.of(
                from,
                from.plus(along.times(0.2)).plus(down),
                from.plus(along.times(0.8)).plus(down),
                to);
    }

    public double inside() {
        return outside - 2 * wall;
    }

    /** Second moment of area, mm⁴: π (D⁴ − d⁴) / 64. */
    public double secondMoment() {
        return Math.PI * (Math.pow(outside, 4) - Math.pow(inside(), 4)) / 64;
    }

    public double area() {
        return Math.PI * (outside * outside - inside() * inside()) / 4;
    }

    /**
     * The force at which a straight rod with hinged ends buckles, N: Euler's π² E I / L² for a slender one,
     * J. B. Johnson's parabola below the slenderness where that would pass half the yield load.
     */
    public double bucklingLoad(double length) {
        double euler = eulerLoad(length);
        double squash = yield * area();
        return euler <= squash / 2 ? euler : squash * (1 - squash / (4 * euler));
    }

    /**
     * Largest stress with a push along the line between the ends, MPa: F / A + M / Z. The crank's bending moment
     * grows as the push bends the rod further, M = F · crank / (1 − F / Euler's load) (Timoshenko and Gere, Theory of
     * elastic stability, initially curved bar); without end where the push reaches that load.
     */
    public double stress(double force, double length) {
        double direct = force / area();
        if (crank == 0) {
            return direct;
        }
        double euler = eulerLoad(length);
        return force >= euler
                ? Double.POSITIVE_INFINITY
                : direct + force * crank / (1 - force / euler) / (secondMoment() / (outside / 2));
    }

    private double eulerLoad(double length) {
        return Math.PI * Math.PI * MODULUS * secondMoment() / (length * length);
    }
}
