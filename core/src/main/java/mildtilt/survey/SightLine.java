package mildtilt.survey;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.photograph.Lens;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;

/** From a camera through a place in its picture. @param along of length 1 */
public record SightLine(Point from, Vector along) {

    /** Lines that meet at less than this, rad, tell no distance. */
    private static final double LEAST_ANGLE = Math.toRadians(0.5);

    public static SightLine of(Frame camera, Lens lens, Lens.Pixel at) {
        Vector v = camera.world(lens.sight(at));
        return new SightLine(camera.origin(), v.times(1 / v.norm()));
    }

    /** Where it meets a plane so far before the third direction of a frame; empty if it runs along it, or away. */
    Optional<Point> meets(Frame plane, double height) {
        double nearing = -plane.g().dot(along);
        double far = (plane.g().dot(from.minus(plane.origin())) - height) / nearing;
        return nearing > Math.sin(LEAST_ANGLE) && far > 0 ? Optional.of(from.plus(along.times(far))) : Optional.empty();
    }

    /** How far aside in a plane that is thought to lie in it which stands 1 mm before it. */
    public double aside(Frame plane) {
        double through = Math.abs(plane.g().dot(along));
        return Math.sqrt(Math.max(0, 1 - through * through)) / through;
    }

    /** The place that is nearest to all; empty with fewer than two, or if they run the same way. */
    static Optional<Point> crossing(List<SightLine> lines) {
        double widest = 0;
        for (SightLine a : lines) {
            for (SightLine b : lines) {
                widest = Math.max(widest, a.along.cross(b.along).norm());
            }
        }
        if (widest < Math.sin(LEAST_ANGLE)) {
            return Optional.empty();
        }
        double[][] m = new double[3][3];
        double[] rhs = new double[3];
        for (SightLine l : lines) {
            double[] d = {l.along.x(), l.along.y(), l.along.z()};
            double[] o = {l.from.x(), l.from.y(), l.from.z()};
            for (int i = 0; i < 3; i++) {
                for (int j = 0; j < 3; j++) {
                    double a = (i == j ? 1 : 0) - d[i] * d[j];
                    m[i][j] += a;
                    rhs[i] += a * o[j];
                }
            }
        }
        double[] x = new LUDecomposition(new Array2DRowRealMatrix(m))
                .getSolver()
                .solve(new ArrayRealVector(rhs))
                .toArray();
        return Optional.of(new Point(x[0], x[1], x[2]));
    }
}
