package mildtilt.start;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.clocking.BestClocking;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.job.VehicleScale;
import mildtilt.suspension.CornerPoint;

/**
 * A vehicle to begin one's own from: like another, at other sizes, in whole millimetres, and with what its new sizes
 * would make wrong
 * put right by the remedies the program itself offers. What is found in it later is then the user's, not the start's.
 */
public final class FreshStart {

    private static final int MOST_CURES = 10;
    /** As far as the last joint is moved to even the column, and by what steps, mm. */
    private static final double REACH = 120;

    private static final double STEP = 10;
    private static final double FROM_LIMIT_DEG = 5;
    /** Of the ripple that is wanted at most. */
    private static final double PART = 0.8;

    private FreshStart() {}

    /** @throws ImpossibleGeometryException if such a vehicle can't have these sizes */
    public static Job of(Job like, VehicleScale sizes) {
        return cured(sizes.apply(like));
    }

    /** A vehicle that has its sizes, rounded and put right. */
    static Job cured(Job sized) {
        Job job = evened(rounded(sized));
        for (int i = 0; i < MOST_CURES; i++) {
            Optional<Job> better = better(job);
            if (better.isEmpty()) {
                break;
            }
            job = better.get();
        }
        return job;
    }

    /** Each point that can be moved by itself to whole millimetres; one that can't stand there stays. */
    private static Job rounded(Job job) {
        Job now = job;
        for (PointId id : JobPoints.of(job)) {
            if (id instanceof PointId.OnCorner c && c.which() == CornerPoint.WHEEL_CENTRE) {
                // Track and tyre stay as requested.
                continue;
            }
            Point p = JobPoints.position(now, id);
            try {
                now = JobPoints.moved(now, id, new Point(Math.rint(p.x()), Math.rint(p.y()), Math.rint(p.z())));
            } catch (ImpossibleGeometryException e) {
                // It stays as exact as it was scaled.
                continue;
            }
        }
        return now;
    }

    /**
     * With the last joint moved the least way to where the forks can be clocked to an even column and no joint is near
     * its limit.
     */
    private static Job evened(Job job) {
        Optional<Column> column = job.column().filter(c -> c.joints().size() > 1);
        if (column.isEmpty() || even(column.get(), job)) {
            return job;
        }
        int last = column.get().joints().size() - 1;
        Point from = column.get().joints().get(last).centre();
        Job best = job;
        double nearest = Double.POSITIVE_INFINITY;
        for (double x = -REACH; x <= REACH; x += STEP) {
            for (double z = -REACH; z <= REACH; z += STEP) {
                double way = Math.hypot(x, z);
                Point to = from.plus(new Vector(x, 0, z));
                if (way < nearest) {
                    try {
                        Job moved = JobPoints.moved(job, new PointId.JointCentre(last), to);
                        if (even(moved.column().orElseThrow(), moved)) {
                            nearest = way;
                            best = moved;
                        }
                    } catch (ImpossibleGeometryException e) {
                        // No column goes through there.
                        continue;
                    }
                }
            }
        }
        return best;
    }

    private static boolean even(Column c, Job job) {
        for (int i = 0; i < c.joints().size(); i++) {
            if (Math.toDegrees(c.axis(i).angleTo(c.axis(i + 1)))
                    > c.joints().get(i).maxAngleDeg() - FROM_LIMIT_DEG) {
                return false;
            }
        }
        return BestClocking.asMade(new ColumnTrain(c)).ripplePct()
                < PART * job.targets().ripplePct();
    }

    /** With the gravest cured that can be without making anything worse. */
    private static Optional<Job> better(Job job) {
        Analysis now = Analysis.of(job);
        for (Finding f : now.findings()) {
            if (f.fault() == Fault.SIZES_GUESSED) {
                continue;
            }
            for (Remedy r : f.remedies()) {
                try {
                    Job cured = r.edit().apply(job);
                    if (lighter(Analysis.of(cured).findings(), now.findings())) {
                        return Optional.of(cured);
                    }
                } catch (ImpossibleGeometryException e) {
                    // Not a way for this vehicle: the next one may be.
                    continue;
                }
            }
        }
        return Optional.empty();
    }

    private static boolean lighter(List<Finding> after, List<Finding> before) {
        return weight(after) < weight(before);
    }

    /** Stops before all else, then their number. */
    private static int weight(List<Finding> findings) {
        return findings.stream()
                .filter(f -> f.fault() != Fault.SIZES_GUESSED)
                .mapToInt(f -> f.severity() == Severity.STOP ? 100 : 1)
                .sum();
    }
}
