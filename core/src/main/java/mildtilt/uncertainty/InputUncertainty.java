package mildtilt.uncertainty;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.AsBuiltJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.survey.StatedUncertainty;
import mildtilt.survey.Surveyed;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * What of a job is not known exactly: three figures of each point, and how each shaft's forks are clocked. Surveyed
 * points are in doubt as
 * the survey found, together; all others by what is stated, each by itself.
 */
final class InputUncertainty {

    /** One thing that could be measured once more. @param first of its figures; @param count of them */
    record Part(String what, int first, int count, boolean surveyed, boolean angle, boolean inTheWay) {}

    private final Job job;
    private final List<PointId> points;
    private final List<Integer> clocked;
    private final List<Part> parts = new ArrayList<>();
    private final RealMatrix covariance;
    private final RealMatrix root;
    private final StatedUncertainty stated;

    InputUncertainty(Job job, Surveyed surveyed) {
        this.job = AsBuiltJob.sidesApart(job);
        stated = job.survey().stated();
        points = AsBuiltJob.points(job);
        clocked = job.column()
                .map(c -> {
                    List<Integer> all = new ArrayList<>();
                    for (int i = 1; i < c.shafts().size() - 1; i++) {
                        all.add(i);
                    }
                    return all;
                })
                .orElse(List.of());
        List<Id> ids = points.stream().map(id -> JobPoints.id(job, id)).toList();
        int n = 3 * points.size() + clocked.size();
        covariance = new Array2DRowRealMatrix(n, n);
        for (int p = 0; p < points.size(); p++) {
            boolean known = surveyed.places().containsKey(ids.get(p));
            parts.add(new Part(
                    JobPoints.label(job, points.get(p)),
                    3 * p,
                    3,
                    known,
                    false,
                    points.get(p) instanceof PointId.ObstaclePoint));
            for (int axis = 0; axis < 3; axis++) {
                if (!known) {
                    covariance.setEntry(3 * p + axis, 3 * p + axis, stated.point() * stated.point());
                    continue;
                }
                for (int q = 0; q <= p; q++) {
                    if (!parts.get(q).surveyed) {
                        continue;
                    }
                    for (int other = 0; other < 3; other++) {
                        double c = surveyed.together().of(ids.get(p), axis, ids.get(q), other);
                        covariance.setEntry(3 * p + axis, 3 * q + other, c);
                        covariance.setEntry(3 * q + other, 3 * p + axis, c);
                    }
                }
            }
        }
        for (int c = 0; c < clocked.size(); c++) {
            int at = 3 * points.size() + c;
            parts.add(new Part(
                    "clocking of "
                            + job.column()
                                    .orElseThrow()
                                    .shafts()
                                    .get(clocked.get(c))
                                    .name(),
                    at,
                    1,
                    false,
                    true,
                    false));
            covariance.setEntry(at, at, stated.clockingDeg() * stated.clockingDeg());
        }
        root = root(covariance);
    }

    /** The symmetric root: it exists for a covariance that is only just not negative, too. */
    private static RealMatrix root(RealMatrix c) {
        EigenDecompositionSymmetric e = new EigenDecompositionSymmetric(c);
        double[] roots = new double[c.getRowDimension()];
        for (int i = 0; i < roots.length; i++) {
            roots[i] = Math.sqrt(Math.max(0, e.getEigenvalue(i)));
        }
        return e.getV().multiply(MatrixUtils.createRealDiagonalMatrix(roots)).multiply(e.getVT());
    }

    int size() {
        return covariance.getRowDimension();
    }

    List<Part> parts() {
        return parts;
    }

    /** How far everything is off, once. */
    double[] draw(RandomGenerator random) {
        double[] unit = new double[size()];
        for (int i = 0; i < unit.length; i++) {
            unit[i] = random.nextGaussian();
        }
        return root.operate(unit);
    }

    /** @throws mildtilt.geometry.ImpossibleGeometryException if the parts can't be so */
    Job with(double[] off) {
        Map<PointId, Vector> by = new HashMap<>();
        for (int p = 0; p < points.size(); p++) {
            by.put(points.get(p), new Vector(off[3 * p], off[3 * p + 1], off[3 * p + 2]));
        }
        Job placed = AsBuiltJob.placed(job, by);
        for (int c = 0; c < clocked.size(); c++) {
            int shaft = clocked.get(c);
            double deg = off[3 * points.size() + c];
            placed = placed.editColumn(x -> x.withShaft(
                    shaft,
                    x.shafts().get(shaft).withClockingDeg(x.shafts().get(shaft).clockingDeg() + deg)));
        }
        return placed;
    }

    /**
     * The same draw, had one part been measured once more: x − K (H x + r v), where H picks that part's figures, r is
     * what it would be measured to, v a
     * standard draw and K = C Hᵀ (H C Hᵀ + r²)⁻¹. Over all draws that has the covariance C − K H C: what hangs together
     * with that part is surer, too, and
     * what does not is as it was to the last bit.
     */
    double[] measuredAgain(double[] off, Part part, double[] v) {
        double r = part.angle ? 0.3 * stated.clockingDeg() : stated.again();
        int last = part.first + part.count - 1;
        RealMatrix s = covariance
                .getSubMatrix(part.first, last, part.first, last)
                .add(MatrixUtils.createRealIdentityMatrix(part.count).scalarMultiply(r * r));
        double[] read = new double[part.count];
        for (int i = 0; i < part.count; i++) {
            read[i] = off[part.first + i] + r * v[i];
        }
        double[] k = MatrixUtils.inverse(s).operate(read);
        double[] x = off.clone();
        for (int row = 0; row < x.length; row++) {
            for (int i = 0; i < part.count; i++) {
                x[row] -= covariance.getEntry(row, part.first + i) * k[i];
            }
        }
        return x;
    }
}
