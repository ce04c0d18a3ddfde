package mildtilt.scan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.scan.RobustFit.Fitted;
import mildtilt.scan.ScanPatch.Sample;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The axis that a turned thing spins about, such as a rim or a hub, and the circle round it through the pressed place.
 * Lines square to the skin of whatever was turned meet its axis (H. Pottmann and T. Randrup, Rotational and helical
 * surface approximation for reverse engineering, 1998): the axis that most of six drawn at random agree with is fitted
 * to all that do. Which way the skin faces is known badly, and where it is well; so the axis is then settled by the
 * corners themselves: those at one radius and one place along it lie on one short line of the profile, all round.
 */
final class RimFit {

    private static final int DRAWN = 6;
    private static final int DRAWS = 800;
    /** By how much a line square to the skin may miss the axis, as the sine of the angle it is off by. */
    private static final double AGREES = Math.sin(Math.toRadians(15));

    /** What the samples that tell something of the axis must come to, in full ones, and as a part of all. */
    private static final double LEAST_SPEAKING = 25;

    private static final double LEAST_SHARE = 0.15;
    private static final double LEAST_RADIUS = 15;
    private static final double MOST_RADIUS = 800;
    /** Corners so near to the pressed place's circle are its own, mm. */
    private static final double BAND = 6;

    private static final int LEAST_CORNERS = 20;
    /** So far round it must have been scanned, degrees. */
    private static final double LEAST_ROUND_DEG = 75;

    /** Of the profile's pieces, mm along it and out. */
    private static final double CELL = 14;

    private static final int TURNS = 4;
    private static final double ARM = 100;
    private static final double LEAST_SCATTER = 0.01;

    private RimFit() {}

    private record Guess(Point on, Direction along) {

        Vector out(Point p) {
            Vector v = p.minus(on);
            return v.minus(along.times(along.dot(v)));
        }

        double station(Point p) {
            return along.dot(p.minus(on));
        }

        /** How near the line square to the skin comes to the axis, mm, less where it runs nearly along it. */
        double off(Sample s) {
            return s.at().minus(on).dot(s.out().cross(along.vector()));
        }
    }

    static Optional<ScanShape.Rim> of(ScanPatch patch, Point pressed, double reach) {
        List<Point> near = patch.near(pressed, reach);
        List<Sample> jury = ScanPatch.jury(near, new Random(1));
        Optional<Guess> guess = guess(jury, pressed);
        if (guess.isEmpty()) {
            return Optional.empty();
        }
        Guess by = guess.get();
        List<Sample> with = jury.stream().filter(s -> speaks(by, s) > 0).toList();
        Optional<Settled> settled =
                settled(by, to -> with.stream().mapToDouble(to::off).toArray());
        for (int turn = 0; turn < TURNS && settled.isPresent(); turn++) {
            Guess g = settled.get().axis;
            List<Piece> profile = profile(near, g);
            settled = settled(g, to -> off(profile, to));
        }
        return settled.flatMap(s -> circle(near, pressed, s.axis, s.fit));
    }

    private record Settled(Guess axis, Fitted fit) {}

    private static Optional<Settled> settled(Guess g, Function<Guess, double[]> residuals) {
        Vector u = g.along.anySquare().vector();
        Vector v = g.along.cross(u);
        Fitted fit = RobustFit.fit(new double[4], x -> residuals.apply(moved(g, u, v, x)), LEAST_SCATTER);
        return fit == null ? Optional.empty() : Optional.of(new Settled(moved(g, u, v, fit.parameters()), fit));
    }

    /** Corners on one short line of the profile. @param out and along: square to that line */
    private record Piece(List<Point> corners, double out, double along) {

        double at(Guess g, Point p) {
            return out * g.out(p).norm() + along * g.station(p);
        }
    }

    private record Cell(long radius, long station) {}

    private static List<Piece> profile(List<Point> near, Guess g) {
        Map<Cell, List<Point>> cells = new LinkedHashMap<>();
        for (Point p : near) {
            double radius = g.out(p).norm();
            if (radius > LEAST_RADIUS) {
                cells.computeIfAbsent(
                                new Cell((long) Math.floor(radius / CELL), (long) Math.floor(g.station(p) / CELL)),
                                _ -> new ArrayList<>())
                        .add(p);
            }
        }
        return cells.values().stream()
                .filter(c -> c.size() >= LEAST_CORNERS)
                .map(c -> piece(c, g))
                .toList();
    }

    private static Piece piece(List<Point> corners, Guess g) {
        double n = corners.size();
        double radius = corners.stream().mapToDouble(p -> g.out(p).norm()).sum() / n;
        double station = corners.stream().mapToDouble(g::station).sum() / n;
        double rr = 0;
        double rs = 0;
        double ss = 0;
        for (Point p : corners) {
            double r = g.out(p).norm() - radius;
            double s = g.station(p) - station;
            rr += r * r;
            rs += r * s;
            ss += s * s;
        }
        // Along the line the corners spread most; square to it is a quarter turn on.
        double line = Math.atan2(2 * rs, rr - ss) / 2;
        return new Piece(corners, -Math.sin(line), Math.cos(line));
    }

    /** How far each corner is from the middle of its piece, square to the profile, mm. */
    private static double[] off(List<Piece> profile, Guess g) {
        return profile.stream()
                .flatMapToDouble(piece -> {
                    double[] at = piece.corners.stream()
                            .mapToDouble(p -> piece.at(g, p))
                            .toArray();
                    double middle = Arrays.stream(at).average().orElse(0);
                    return Arrays.stream(at).map(x -> x - middle);
                })
                .toArray();
    }

    /** @param x how far its place is moved along u and v, mm, and its direction at {@link #ARM} */
    private static Guess moved(Guess g, Vector u, Vector v, double[] x) {
        return new Guess(
                g.on.plus(u.times(x[0])).plus(v.times(x[1])),
                g.along
                        .vector()
                        .plus(u.times(x[2] / ARM))
                        .plus(v.times(x[3] / ARM))
                        .direction());
    }

    /** The circle round the axis through the pressed place. */
    private static Optional<ScanShape.Rim> circle(List<Point> near, Point pressed, Guess g, Fitted axis) {
        double station = g.station(pressed);
        double radius = g.out(pressed).norm();
        if (!(radius > LEAST_RADIUS && radius < MOST_RADIUS)) {
            return Optional.empty();
        }
        List<Point> band = near.stream()
                .filter(p -> Math.abs(g.station(p) - station) < BAND
                        && Math.abs(g.out(p).norm() - radius) < BAND)
                .toList();
        Vector u = g.along.anySquare().vector();
        Vector v = g.along.cross(u);
        if (band.size() < LEAST_CORNERS || roundDeg(band, g, u, v) < LEAST_ROUND_DEG) {
            return Optional.empty();
        }
        Fitted fit = RobustFit.fit(
                new double[] {0, 0, radius},
                x -> band.stream()
                        .mapToDouble(p -> {
                            Vector out = g.out(p);
                            return Math.hypot(out.dot(u) - x[0], out.dot(v) - x[1]) - x[2];
                        })
                        .toArray(),
                LEAST_SCATTER);
        if (fit == null) {
            return Optional.empty();
        }
        double[] x = fit.parameters();
        Point centre = g.on.plus(g.along.times(station)).plus(u.times(x[0])).plus(v.times(x[1]));
        // Along the axis it is where the pressed corner is, which scatters as all do.
        double spread = Math.hypot(Math.hypot(fit.spread(0), fit.spread(1)), axis.sigma());
        return Optional.of(new ScanShape.Rim(
                centre,
                g.along,
                2 * x[2],
                spread,
                Math.toDegrees(Math.hypot(axis.spread(2), axis.spread(3)) / ARM),
                2 * fit.spread(2),
                fit.sigma(),
                fit.used()));
    }

    /** All round less the widest gap. */
    private static double roundDeg(List<Point> band, Guess g, Vector u, Vector v) {
        double[] at = band.stream()
                .mapToDouble(
                        p -> Math.toDegrees(Math.atan2(g.out(p).dot(v), g.out(p).dot(u))))
                .sorted()
                .toArray();
        double gap = 360 - (at[at.length - 1] - at[0]);
        for (int i = 1; i < at.length; i++) {
            gap = Math.max(gap, at[i] - at[i - 1]);
        }
        return 360 - gap;
    }

    private static Optional<Guess> guess(List<Sample> jury, Point pressed) {
        Random random = new Random(1);
        if (jury.size() < LEAST_CORNERS) {
            return Optional.empty();
        }
        double most = 0;
        Optional<Guess> best = Optional.empty();
        for (int d = 0; d < DRAWS; d++) {
            List<Sample> six = new ArrayList<>();
            for (int i = 0; i < DRAWN; i++) {
                six.add(jury.get(random.nextInt(jury.size())));
            }
            Optional<Guess> g = axis(six, pressed).filter(x -> {
                double r = x.out(pressed).norm();
                return r > LEAST_RADIUS && r < MOST_RADIUS;
            });
            if (g.isPresent()) {
                double all = 0;
                for (Sample s : jury) {
                    all += speaks(g.get(), s);
                }
                if (all > most) {
                    most = all;
                    best = g;
                }
            }
        }
        double needed = Math.max(LEAST_SPEAKING, LEAST_SHARE * jury.size());
        return most < needed ? Optional.empty() : best;
    }

    /** What runs along the axis, as all of a flat does, says nothing of where it is. */
    private static double speaks(Guess g, Sample s) {
        double radius = g.out(s.at()).norm();
        if (radius < LEAST_RADIUS) {
            return 0;
        }
        double sine = Math.abs(g.off(s)) / radius;
        return sine < AGREES
                ? (1 - sine / AGREES) * s.out().cross(g.along.vector()).norm()
                : 0;
    }

    /**
     * The line that lines square to the skin meet best: with n along one and m its moment, and a along the axis and b
     * its moment, the least Σ (m · a + n · b)² with a of length 1.
     */
    private static Optional<Guess> axis(List<Sample> of, Point about) {
        double[][] nn = new double[3][3];
        double[][] nm = new double[3][3];
        double[][] mm = new double[3][3];
        for (Sample s : of) {
            Vector p = s.at().minus(about).times(1 / ARM);
            double[] n = {s.out().x(), s.out().y(), s.out().z()};
            Vector moment = p.cross(s.out());
            double[] m = {moment.x(), moment.y(), moment.z()};
            for (int i = 0; i < 3; i++) {
                for (int j = 0; j < 3; j++) {
                    nn[i][j] += n[i] * n[j];
                    nm[i][j] += n[i] * m[j];
                    mm[i][j] += m[i] * m[j];
                }
            }
        }
        for (int i = 0; i < 3; i++) {
            // Lines that are all square to one direction, as those of a tube, leave the moment along it open.
            nn[i][i] += 1e-6;
        }
        try {
            RealMatrix k = new Array2DRowRealMatrix(nm);
            RealMatrix toMoment = new LUDecomposition(new Array2DRowRealMatrix(nn))
                    .getSolver()
                    .solve(k)
                    .scalarMultiply(-1);
            RealMatrix q = new Array2DRowRealMatrix(mm).add(k.transpose().multiply(toMoment));
            RealVector a = new EigenDecompositionSymmetric(q.add(q.transpose()).scalarMultiply(0.5)).getEigenvector(2);
            RealVector b = toMoment.operate(a);
            Vector along = new Vector(a.getEntry(0), a.getEntry(1), a.getEntry(2));
            Vector moment = new Vector(b.getEntry(0), b.getEntry(1), b.getEntry(2));
            Vector at = along.cross(moment).times(ARM);
            return Double.isFinite(at.norm()) && along.norm() > 0.5
                    ? Optional.of(new Guess(about.plus(at), along.direction()))
                    : Optional.empty();
        } catch (MathRuntimeException e) {
            return Optional.empty();
        }
    }
}
