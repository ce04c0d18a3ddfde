package mildtilt.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.scan.RobustFit.Fitted;
import mildtilt.scan.ScanPatch.Meeting;
import mildtilt.scan.ScanPatch.Sample;

/**
 * The tube or round bar that a place of a scan lies on. Two corners with their directions out settle an axis, which is
 * square to both; the pair most others agree with is the guess (M. A. Fischler and R. C. Bolles, Random sample
 * consensus, 1981). It is then fitted, followed along its axis as far as the scan goes on, and fitted again.
 */
final class TubeFit {

    /** How far from a guess a corner may lie and still speak for it, mm, and how far its direction may be off. */
    private static final double AGREES = 1.8;

    /** So far apart, mm, two corners may have their radii. */
    private static final double MEETS = 6;

    /** So near, mm, the pressed place lies to it. */
    private static final double PRESSED = 3;

    private static final double AGREES_COS = Math.cos(Math.toRadians(35));
    private static final int DRAWS = 600;
    private static final int CLOSE = 40;
    /** A guess that so much of the best speaks for is bettered before it is compared; so many of them at most. */
    private static final double PROMISING = 0.6;

    private static final int MOST_BETTERED = 25;
    /** So far round it must have been scanned, degrees. */
    private static final double LEAST_ROUND_DEG = 60;
    /** In diameters: a shorter piece tells no axis, and a longer one is no band of a ball. */
    private static final double LEAST_LENGTH = 0.75;

    private static final double LONG = 1.5;

    private static final int LEAST_CORNERS = 20;
    /** Where no corner lies for so long, mm, it ends. */
    private static final double BREAK = 20;

    private static final double LEAST_RADIUS = 2;
    private static final double MOST_RADIUS = 400;
    /** Turns are fitted as shifts at this distance, so that all unknowns are mm. */
    private static final double ARM = 100;

    private static final double LEAST_SCATTER = 0.01;

    private TubeFit() {}

    /** @param radius mm */
    private record Guess(Point middle, Direction along, double radius) {

        Vector out(Point p) {
            Vector v = p.minus(middle);
            return v.minus(along.times(along.dot(v)));
        }

        double off(Point p) {
            return out(p).norm() - radius;
        }

        /** Moved across by two shifts and turned by two more at an arm; the radius grown. */
        Guess with(double[] by, Vector u, Vector v) {
            Vector a = along.vector().plus(u.times(by[2] / ARM)).plus(v.times(by[3] / ARM));
            return new Guess(middle.plus(u.times(by[0])).plus(v.times(by[1])), a.direction(), radius + by[4]);
        }
    }

    /** @param reach how far round the place it is looked for first, mm */
    static Optional<ScanShape.Tube> of(ScanPatch patch, Point pressed, double reach) {
        List<Point> near = patch.near(pressed, reach);
        Optional<Guess> found = guess(near, pressed);
        if (found.isEmpty()) {
            return Optional.empty();
        }
        Guess now = found.get();
        List<Point> on = near;
        Fitted fit = null;
        for (int turn = 0; turn < 3; turn++) {
            double width = fit == null ? MEETS / 2 : Math.max(0.3, RobustFit.CUT * fit.sigma());
            Guess g = now;
            List<Point> mine =
                    on.stream().filter(p -> Math.abs(g.off(p)) < width).toList();
            if (mine.size() < LEAST_CORNERS) {
                return Optional.empty();
            }
            Optional<Settled> settled = fitted(now, mine);
            if (settled.isEmpty()) {
                return Optional.empty();
            }
            fit = settled.get().fit;
            now = settled.get().guess;
            on = along(patch.all(), now, pressed, Math.max(0.3, RobustFit.CUT * fit.sigma()));
        }
        if (fit == null || roundDeg(now, on) < LEAST_ROUND_DEG) {
            return Optional.empty();
        }
        ScanShape.Tube tube = tube(now, fit, on);
        double length = tube.from().distanceTo(tube.to());
        if (length < LEAST_LENGTH * tube.diameter()) {
            return Optional.empty();
        }
        // A band of a ball is no tube.
        if (length < LONG * tube.diameter()) {
            Guess mine = now;
            Point middle = tube.from().midwayTo(tube.to());
            List<Sample> about = ScanPatch.jury(near, new Random(2)).stream()
                    .filter(s -> s.at().distanceTo(middle) < 1.5 * mine.radius)
                    .toList();
            long agree = about.stream().filter(s -> agrees(mine, s)).count();
            if (BallFit.agreeing(near, pressed, about) > agree) {
                return Optional.empty();
            }
        }
        return Optional.of(tube);
    }

    /** How many of some corners lie on the tube that is found about a place, if one is. */
    static long agreeing(List<Point> near, Point pressed, List<Sample> of) {
        return guess(near, pressed)
                .map(g -> of.stream().filter(s -> agrees(g, s)).count())
                .orElse(0L);
    }

    private static Optional<Guess> guess(List<Point> near, Point pressed) {
        Random random = new Random(1);
        List<Sample> jury = ScanPatch.jury(near, random);
        if (jury.size() < LEAST_CORNERS) {
            return Optional.empty();
        }
        // The pressed place lies on it: one of the pair is taken from close by, the other not far away.
        List<Sample> close = jury.stream()
                .sorted((a, b) -> Double.compare(a.at().distanceTo(pressed), b.at().distanceTo(pressed)))
                .limit(CLOSE)
                .toList();
        List<Sample> about = jury.stream()
                .sorted((a, b) -> Double.compare(a.at().distanceTo(pressed), b.at().distanceTo(pressed)))
                .limit(jury.size() / 2)
                .toList();
        double most = 0;
        int bettered = 0;
        Optional<Guess> best = Optional.empty();
        for (int d = 0; d < DRAWS; d++) {
            Optional<Guess> g = guess(close.get(random.nextInt(close.size())), about.get(random.nextInt(about.size())));
            if (g.isEmpty() || Math.abs(g.get().off(pressed)) > PRESSED) {
                continue;
            }
            double speaks = speaks(g.get(), jury);
            if (speaks > PROMISING * most && bettered++ < MOST_BETTERED) {
                // A pair's axis is rough: what agrees with it betters it before it is compared.
                Optional<Guess> better = bettered(g.get(), jury);
                if (better.isPresent() && Math.abs(better.get().off(pressed)) < PRESSED) {
                    g = better;
                    speaks = speaks(better.get(), jury);
                }
            }
            if (speaks > most) {
                most = speaks;
                best = g;
            }
        }
        return most < LEAST_CORNERS / 2.0 ? Optional.empty() : best;
    }

    private static double speaks(Guess g, List<Sample> jury) {
        double all = 0;
        for (Sample s : jury) {
            if (agrees(g, s)) {
                double off = g.off(s.at()) / AGREES;
                all += 1 - off * off;
            }
        }
        return all;
    }

    private static boolean agrees(Guess g, Sample s) {
        Vector out = g.out(s.at());
        double n = out.norm();
        return Math.abs(n - g.radius) < AGREES && Math.abs(out.dot(s.out())) > AGREES_COS * n;
    }

    private static Optional<Guess> bettered(Guess g, List<Sample> jury) {
        List<Point> mine =
                jury.stream().filter(s -> agrees(g, s)).map(Sample::at).toList();
        return mine.size() < LEAST_CORNERS ? Optional.empty() : fitted(g, mine).map(Settled::guess);
    }

    private record Settled(Guess guess, Fitted fit) {}

    /** The guess that fits these corners best. */
    private static Optional<Settled> fitted(Guess g, List<Point> mine) {
        // About the middle of what is fitted the shifts and turns hang together least.
        Guess about = new Guess(onAxis(g, ScanPatch.middle(mine)), g.along, g.radius);
        Vector u = about.along.anySquare().vector();
        Vector v = about.along.cross(u);
        Fitted fit = RobustFit.fit(
                new double[5],
                x -> {
                    Guess to = about.with(x, u, v);
                    return mine.stream().mapToDouble(to::off).toArray();
                },
                LEAST_SCATTER);
        if (fit == null) {
            return Optional.empty();
        }
        Guess to = about.with(fit.parameters(), u, v);
        return to.radius > LEAST_RADIUS / 2 && to.radius < MOST_RADIUS
                ? Optional.of(new Settled(to, fit))
                : Optional.empty();
    }

    /** How far round, degrees, the corners go: a flat is a part of any tube that is large enough. */
    private static double roundDeg(Guess g, List<Point> on) {
        Vector u = g.along.anySquare().vector();
        Vector v = g.along.cross(u);
        boolean[] there = new boolean[36];
        for (Point p : on) {
            Vector out = g.out(p);
            there[Math.floorMod((int) Math.floor(Math.toDegrees(Math.atan2(out.dot(v), out.dot(u))) / 10), 36)] = true;
        }
        int count = 0;
        for (boolean b : there) {
            count += b ? 10 : 0;
        }
        return count;
    }

    /** The axis square to both directions, where the lines along them come nearest to each other. */
    private static Optional<Guess> guess(Sample a, Sample b) {
        Optional<Meeting> meets = Meeting.of(a, b);
        if (meets.isEmpty()) {
            return Optional.empty();
        }
        Meeting m = meets.get();
        double radius = m.radius();
        if (radius < LEAST_RADIUS
                || radius > MOST_RADIUS
                || Math.abs(Math.abs(m.one()) - Math.abs(m.other())) > MEETS) {
            return Optional.empty();
        }
        return Optional.of(
                new Guess(a.at().plus(a.out().times(m.one())), m.square().direction(), radius));
    }

    private static Point onAxis(Guess g, Point p) {
        return g.middle.plus(g.along.times(g.along.dot(p.minus(g.middle))));
    }

    /** All corners on the tube that follow each other along it from the pressed place on. */
    private static List<Point> along(List<Point> all, Guess g, Point pressed, double width) {
        List<Point> on = new ArrayList<>();
        for (Point p : all) {
            if (Math.abs(g.off(p)) < width) {
                on.add(p);
            }
        }
        on.sort((a, b) -> Double.compare(at(g, a), at(g, b)));
        double here = at(g, pressed);
        int from = 0;
        int nearest = 0;
        for (int i = 0; i < on.size(); i++) {
            if (Math.abs(at(g, on.get(i)) - here) < Math.abs(at(g, on.get(nearest)) - here)) {
                nearest = i;
            }
        }
        for (int i = nearest; i > 0; i--) {
            if (at(g, on.get(i)) - at(g, on.get(i - 1)) > BREAK) {
                from = i;
                break;
            }
        }
        int to = on.size();
        for (int i = nearest; i + 1 < on.size(); i++) {
            if (at(g, on.get(i + 1)) - at(g, on.get(i)) > BREAK) {
                to = i + 1;
                break;
            }
        }
        return on.subList(from, to);
    }

    private static double at(Guess g, Point p) {
        return g.along.dot(p.minus(g.middle));
    }

    /** @param on in their order along it */
    private static ScanShape.Tube tube(Guess g, Fitted fit, List<Point> on) {
        // The very last corners may be strays that happen to lie in line.
        int strays = on.size() / 200;
        return new ScanShape.Tube(
                onAxis(g, on.get(strays)),
                onAxis(g, on.get(on.size() - 1 - strays)),
                2 * g.radius,
                Math.hypot(fit.spread(0), fit.spread(1)),
                Math.toDegrees(Math.hypot(fit.spread(2), fit.spread(3)) / ARM),
                2 * fit.spread(4),
                fit.sigma(),
                fit.used());
    }
}
