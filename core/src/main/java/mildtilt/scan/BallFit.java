package mildtilt.scan;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.scan.RobustFit.Fitted;
import mildtilt.scan.ScanPatch.Meeting;
import mildtilt.scan.ScanPatch.Sample;

/** The ball that a place of a scan lies on: guessed where two directions out meet, fitted to all that agree. */
final class BallFit {

    private static final double AGREES = 3;
    private static final double AGREES_COS = Math.cos(Math.toRadians(25));
    /** In radii: what is about a ball. */
    private static final double ABOUT = 1.5;

    private static final double LEAST_SHARE = 0.3;
    private static final int DRAWS = 400;
    private static final int LEAST_CORNERS = 20;
    private static final double LEAST_RADIUS = 3;
    private static final double MOST_RADIUS = 200;
    private static final double LEAST_SCATTER = 0.01;

    private BallFit() {}

    private record Guess(Point centre, double radius) {
        double off(Point p) {
            return p.distanceTo(centre) - radius;
        }
    }

    private static double speaks(Guess g, List<Sample> jury) {
        double all = 0;
        for (Sample q : jury) {
            if (agrees(g, q)) {
                all += 1 - Math.abs(g.off(q.at())) / AGREES;
            }
        }
        return all;
    }

    private static boolean agrees(Guess g, Sample q) {
        Vector out = q.at().minus(g.centre);
        double n = out.norm();
        return Math.abs(n - g.radius) < AGREES && Math.abs(out.dot(q.out())) > AGREES_COS * n;
    }

    /** How many of some corners lie on the ball that is found about a place, if one is. */
    static long agreeing(List<Point> near, Point pressed, List<Sample> of) {
        return guess(ScanPatch.jury(near, new Random(1)), pressed)
                .map(g -> of.stream().filter(s -> agrees(g, s)).count())
                .orElse(0L);
    }

    private static Optional<Guess> guess(List<Sample> jury, Point pressed) {
        Random random = new Random(1);
        if (jury.size() < LEAST_CORNERS) {
            return Optional.empty();
        }
        double most = 0;
        Guess best = new Guess(pressed, 1);
        for (int d = 0; d < DRAWS; d++) {
            Sample a = jury.get(random.nextInt(jury.size()));
            Sample b = jury.get(random.nextInt(jury.size()));
            Optional<Meeting> meets = Meeting.of(a, b);
            if (meets.isEmpty()) {
                continue;
            }
            Point one = a.at().plus(a.out().times(meets.get().one()));
            Point other = b.at().plus(b.out().times(meets.get().other()));
            double radius = meets.get().radius();
            Guess g = new Guess(one.midwayTo(other), radius);
            if (radius < LEAST_RADIUS
                    || radius > MOST_RADIUS
                    || one.distanceTo(other) > 2 * AGREES
                    || Math.abs(g.off(pressed)) > 2 * AGREES) {
                continue;
            }
            double speaks = speaks(g, jury);
            if (speaks > most) {
                most = speaks;
                best = g;
            }
        }
        return most < LEAST_CORNERS / 2.0 ? Optional.empty() : Optional.of(best);
    }

    static Optional<ScanShape.Ball> of(ScanPatch patch, Point pressed, double reach) {
        List<Point> near = patch.near(pressed, reach);
        List<Sample> jury = ScanPatch.jury(near, new Random(1));
        Optional<Guess> guess = guess(jury, pressed);
        if (guess.isEmpty()) {
            return Optional.empty();
        }
        Guess start = guess.get();
        // Of a tube or a flat some corners lie on any ball: of a ball most of those about it do, and more than on a
        // tube.
        List<Sample> about = jury.stream()
                .filter(q -> q.at().distanceTo(start.centre) < ABOUT * start.radius)
                .toList();
        long mine = about.stream().filter(q -> agrees(start, q)).count();
        if (mine < LEAST_SHARE * about.size() || mine <= TubeFit.agreeing(near, pressed, about)) {
            return Optional.empty();
        }
        List<Point> on =
                near.stream().filter(p -> Math.abs(start.off(p)) < 2 * AGREES).toList();
        Fitted fit = RobustFit.fit(
                new double[] {start.centre.x(), start.centre.y(), start.centre.z(), start.radius},
                x -> {
                    Guess to = new Guess(new Point(x[0], x[1], x[2]), x[3]);
                    return on.stream().mapToDouble(to::off).toArray();
                },
                LEAST_SCATTER);
        if (fit == null || !(fit.parameters()[3] > LEAST_RADIUS / 2 && fit.parameters()[3] < MOST_RADIUS)) {
            return Optional.empty();
        }
        double[] x = fit.parameters();
        return Optional.of(new ScanShape.Ball(
                new Point(x[0], x[1], x[2]),
                2 * x[3],
                Math.sqrt(Math.pow(fit.spread(0), 2) + Math.pow(fit.spread(1), 2) + Math.pow(fit.spread(2), 2)),
                2 * fit.spread(3),
                fit.sigma(),
                fit.used()));
    }
}
