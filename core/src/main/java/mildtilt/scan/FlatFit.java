package mildtilt.scan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.scan.RobustFit.Fitted;
import mildtilt.scan.ScanPatch.Sample;
import mildtilt.solid.TriangleMesh;

/** The flat that a place of a scan lies on, and round holes in it where the scan has none of the metal. */
final class FlatFit {

    private static final double AGREES = 3;
    private static final double AGREES_COS = Math.cos(Math.toRadians(35));
    private static final int LEAST_CORNERS = 20;
    private static final double LEAST_SCATTER = 0.01;
    private static final double ARM = 100;
    /** Of a hole that is looked for: the middle may be so far from the pressed place, mm. */
    private static final double MOST_RADIUS = 150;

    private FlatFit() {}

    /** @param reach what lies within it, mm, is fitted */
    static Optional<ScanShape.Flat> of(ScanPatch patch, Point pressed, double reach) {
        List<Point> near = patch.near(pressed, reach);
        Random random = new Random(1);
        List<Sample> jury = ScanPatch.jury(near, random);
        double most = 0;
        Optional<Sample> best = Optional.empty();
        for (Sample s : jury) {
            if (Math.abs(s.out().dot(pressed.minus(s.at()))) > 2 * AGREES) {
                continue;
            }
            double speaks = 0;
            for (Sample q : jury) {
                double off = Math.abs(s.out().dot(q.at().minus(s.at())));
                if (off < AGREES && Math.abs(s.out().dot(q.out())) > AGREES_COS) {
                    speaks += 1 - off / AGREES;
                }
            }
            if (speaks > most) {
                most = speaks;
                best = Optional.of(s);
            }
        }
        if (best.isEmpty() || most < LEAST_CORNERS / 2.0) {
            return Optional.empty();
        }
        Sample start = best.get();
        List<Point> on = near.stream()
                .filter(p -> Math.abs(start.out().dot(p.minus(start.at()))) < 2 * AGREES)
                .toList();
        Point middle = ScanPatch.middle(on);
        Direction n = start.out().direction();
        Vector u = n.anySquare().vector();
        Vector v = n.cross(u);
        Fitted fit = RobustFit.fit(
                new double[3],
                x -> {
                    Direction to = n.vector()
                            .plus(u.times(x[1] / ARM))
                            .plus(v.times(x[2] / ARM))
                            .direction();
                    return on.stream()
                            .mapToDouble(p -> to.dot(p.minus(middle)) - x[0])
                            .toArray();
                },
                LEAST_SCATTER);
        if (fit == null) {
            return Optional.empty();
        }
        double[] x = fit.parameters();
        Direction out =
                n.vector().plus(u.times(x[1] / ARM)).plus(v.times(x[2] / ARM)).direction();
        return Optional.of(new ScanShape.Flat(
                middle.plus(out.times(x[0])),
                out,
                fit.spread(0),
                Math.toDegrees(Math.hypot(fit.spread(1), fit.spread(2)) / ARM),
                fit.sigma(),
                fit.used()));
    }

    /** The hole about a place, in the flat round it: by the edges that belong to one triangle alone. */
    static Optional<ScanShape.Hole> hole(TriangleMesh mesh, ScanPatch patch, Point pressed, double reach) {
        Optional<ScanShape.Flat> flat = ring(patch, pressed, reach);
        if (flat.isEmpty()) {
            return Optional.empty();
        }
        ScanShape.Flat f = flat.get();
        Vector u = f.out().anySquare().vector();
        Vector v = f.out().cross(u);
        // The edge that comes nearest to the pressed place, all round.
        List<Point> first = openEdges(mesh).stream()
                .filter(e -> e.stream().anyMatch(p -> p.distanceTo(pressed) < reach))
                .min((x, y) -> Double.compare(nearest(x, pressed), nearest(y, pressed)))
                .orElse(List.of());
        if (first.size() < 8) {
            return Optional.empty();
        }
        Point middle = ScanPatch.middle(first);
        double radius =
                first.stream().mapToDouble(p -> p.distanceTo(middle)).average().orElse(0);
        if (!(radius > 1 && radius < MOST_RADIUS)) {
            return Optional.empty();
        }
        Fitted fit = RobustFit.fit(
                new double[] {0, 0, radius},
                x -> first.stream()
                        .mapToDouble(p -> {
                            Vector d = p.minus(middle);
                            return Math.hypot(d.dot(u) - x[0], d.dot(v) - x[1]) - x[2];
                        })
                        .toArray(),
                LEAST_SCATTER);
        if (fit == null) {
            return Optional.empty();
        }
        double[] x = fit.parameters();
        Point at = middle.plus(u.times(x[0])).plus(v.times(x[1]));
        Point centre = at.plus(f.out().times(f.out().dot(f.middle().minus(at))));
        return Optional.of(new ScanShape.Hole(
                centre,
                f.out(),
                2 * x[2],
                Math.hypot(Math.hypot(fit.spread(0), fit.spread(1)), f.spread()),
                2 * fit.spread(2),
                fit.sigma(),
                fit.used()));
    }

    /** The flat round a hole: the nearest corner to the pressed place lies on it. */
    private static Optional<ScanShape.Flat> ring(ScanPatch patch, Point pressed, double reach) {
        return patch.near(pressed, reach).stream()
                .min((a, b) -> Double.compare(a.distanceTo(pressed), b.distanceTo(pressed)))
                .flatMap(p -> of(patch, p, reach));
    }

    private record Edge(int a, int b) {}

    private static double nearest(List<Point> of, Point to) {
        return of.stream().mapToDouble(p -> p.distanceTo(to)).min().orElse(Double.POSITIVE_INFINITY);
    }

    /** Edges that belong to one triangle alone, those that hang together as one. */
    private static List<List<Point>> openEdges(TriangleMesh mesh) {
        Map<Edge, Integer> times = new HashMap<>();
        for (int t = 0; t < mesh.count(); t++) {
            for (int k = 0; k < 3; k++) {
                int a = mesh.cornerOf(t, k);
                int b = mesh.cornerOf(t, (k + 1) % 3);
                times.merge(new Edge(Math.min(a, b), Math.max(a, b)), 1, Integer::sum);
            }
        }
        Map<Integer, List<Integer>> beside = new LinkedHashMap<>();
        times.forEach((e, n) -> {
            if (n == 1) {
                beside.computeIfAbsent(e.a, _ -> new ArrayList<>()).add(e.b);
                beside.computeIfAbsent(e.b, _ -> new ArrayList<>()).add(e.a);
            }
        });
        List<List<Point>> all = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        for (Integer start : beside.keySet()) {
            List<Point> together = new ArrayList<>();
            Deque<Integer> left = new ArrayDeque<>(List.of(start));
            while (!left.isEmpty()) {
                Integer c = left.pop();
                if (seen.add(c)) {
                    together.add(mesh.corner(c));
                    left.addAll(beside.getOrDefault(c, List.of()));
                }
            }
            if (!together.isEmpty()) {
                all.add(together);
            }
        }
        return all;
    }
}
