package mildtilt.scan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.scan.ScanPatch.Sample;

/**
 * The box that a place of a scan lies on a side of: its pressed side is a flat, its edges are where that flat ends, and
 * the sides that stand on those edges tell how deep it is. A side that was not scanned is where the others end.
 */
final class BoxFit {

    /** Corners so near to a side are its own, mm. */
    private static final double ON_SIDE = 4;
    /** Corners farther apart than this do not hang together, mm. */
    private static final double BREAK = 9;

    /** How well a side is known that is only where the others end, ± mm: about as far as corners are apart. */
    private static final double NOT_SCANNED = 2;

    private static final double SQUARE = Math.sin(Math.toRadians(12));
    private static final double ALIKE = Math.cos(Math.toRadians(15));
    private static final int LEAST_CORNERS = 20;
    private static final int LEAST_SPEAKING = 12;
    private static final double LEAST_SIDE = 5;
    /** Of what is sorted, so much at each end may be strays. */
    private static final double STRAYS = 0.01;

    private BoxFit() {}

    static Optional<ScanShape.Box> of(ScanPatch patch, Point pressed, double reach) {
        Optional<ScanShape.Flat> pressedSide = FlatFit.of(patch, pressed, Math.min(reach, 40));
        if (pressedSide.isEmpty()) {
            return Optional.empty();
        }
        ScanShape.Flat flat = pressedSide.get();
        List<Point> near = patch.near(pressed, reach);
        List<Sample> jury = ScanPatch.jury(near, new Random(1));
        Optional<Direction> second = second(jury, flat.out());
        if (second.isEmpty()) {
            return Optional.empty();
        }
        Vector n = flat.out().vector();
        Vector v = second.get().vector();
        Vector w = n.cross(v);
        List<Point> face = together(
                near.stream()
                        .filter(p -> Math.abs(n.dot(p.minus(flat.middle()))) < ON_SIDE)
                        .toList(),
                pressed);
        if (face.size() < LEAST_CORNERS) {
            return Optional.empty();
        }
        Frame box = new Frame(flat.middle(), n, v, w);
        Side across = new Side(box, face, v);
        Side up = new Side(box, face, w);
        // The sides that stand on the four edges, and how far they go from the pressed one.
        List<Point> standing = new ArrayList<>();
        int sides = 1;
        for (Side s : List.of(across, up)) {
            for (boolean low : new boolean[] {true, false}) {
                List<Point> on = s.standing(near, jury, low, across, up);
                if (!on.isEmpty()) {
                    sides++;
                    standing.addAll(on);
                }
            }
        }
        if (standing.isEmpty()) {
            return Optional.empty();
        }
        double[] depths = standing.stream()
                .mapToDouble(p -> n.dot(p.minus(flat.middle())))
                .sorted()
                .toArray();
        double low = depths[(int) (STRAYS * depths.length)];
        double high = depths[(int) ((1 - STRAYS) * (depths.length - 1))];
        // It lies to the side of the pressed flat on which the others stand.
        boolean behind = -low > high;
        double deep = behind ? -low : high;
        if (deep < LEAST_SIDE || across.length() < LEAST_SIDE || up.length() < LEAST_SIDE) {
            return Optional.empty();
        }
        Point centre = flat.middle()
                .plus(n.times(behind ? -deep / 2 : deep / 2))
                .plus(v.times(across.middle()))
                .plus(w.times(up.middle()));
        return Optional.of(new ScanShape.Box(
                centre,
                flat.out(),
                second.get(),
                w.direction(),
                deep,
                across.length(),
                up.length(),
                sides,
                Math.hypot(Math.hypot(flat.spread(), NOT_SCANNED) / 2, Math.hypot(across.spread(), up.spread())),
                flat.spreadDeg(),
                flat.scatter(),
                face.size() + standing.size()));
    }

    /** From one edge of the pressed side to the other. */
    private static final class Side {
        private final Frame box;
        private final Vector along;
        private double low;
        private double high;
        private double lowSpread = NOT_SCANNED;
        private double highSpread = NOT_SCANNED;

        Side(Frame box, List<Point> face, Vector along) {
            this.box = box;
            this.along = along;
            double[] at = face.stream()
                    .mapToDouble(p -> along.dot(p.minus(box.origin())))
                    .sorted()
                    .toArray();
            low = at[(int) (STRAYS * at.length)];
            high = at[(int) ((1 - STRAYS) * (at.length - 1))];
        }

        double length() {
            return high - low;
        }

        double middle() {
            return (high + low) / 2;
        }

        /** ± of the middle, mm. */
        double spread() {
            return Math.hypot(lowSpread, highSpread) / 2;
        }

        private double at(Point p) {
            return along.dot(p.minus(box.origin()));
        }

        /** Corners of the side that stands on an edge, which is then where that side is; none if none was scanned. */
        List<Point> standing(List<Point> near, List<Sample> jury, boolean atLow, Side across, Side up) {
            double edge = atLow ? low : high;
            long speaking = jury.stream()
                    .filter(s -> Math.abs(at(s.at()) - edge) < 2 * ON_SIDE
                            && Math.abs(along.dot(s.out())) > ALIKE
                            && within(s.at(), across, up))
                    .count();
            if (speaking < LEAST_SPEAKING) {
                return List.of();
            }
            List<Point> on = near.stream()
                    .filter(p -> Math.abs(at(p) - edge) < ON_SIDE
                            && Math.abs(box.e().dot(p.minus(box.origin()))) > ON_SIDE
                            && within(p, across, up))
                    .toList();
            if (on.size() < LEAST_CORNERS) {
                return List.of();
            }
            List<Point> hangs = together(on, nearest(on, box.origin().plus(along.times(edge))));
            if (hangs.size() < LEAST_CORNERS) {
                return List.of();
            }
            double[] sorted = hangs.stream().mapToDouble(this::at).sorted().toArray();
            double middle = sorted[sorted.length / 2];
            double off = Arrays.stream(sorted)
                    .map(x -> Math.abs(x - middle))
                    .average()
                    .orElse(ON_SIDE);
            double spread = off / Math.sqrt(sorted.length);
            if (atLow) {
                low = middle;
                lowSpread = spread;
            } else {
                high = middle;
                highSpread = spread;
            }
            return hangs;
        }

        private static boolean within(Point p, Side across, Side up) {
            return across.at(p) > across.low - ON_SIDE
                    && across.at(p) < across.high + ON_SIDE
                    && up.at(p) > up.low - ON_SIDE
                    && up.at(p) < up.high + ON_SIDE;
        }
    }

    private static Point nearest(List<Point> of, Point to) {
        Point best = of.getFirst();
        for (Point p : of) {
            if (p.distanceTo(to) < best.distanceTo(to)) {
                best = p;
            }
        }
        return best;
    }

    /** The direction, square to the first, that most of what is square to it faces. */
    private static Optional<Direction> second(List<Sample> jury, Direction first) {
        List<Vector> square = jury.stream()
                .map(Sample::out)
                .filter(o -> Math.abs(first.dot(o)) < SQUARE)
                .map(o -> o.minus(first.times(first.dot(o))))
                .map(o -> o.times(1 / o.norm()))
                .toList();
        double most = 0;
        Vector best = Vector.X;
        for (Vector c : square) {
            Vector other = first.cross(c);
            double speaks = square.stream()
                    .filter(q -> Math.abs(q.dot(c)) > ALIKE || Math.abs(q.dot(other)) > ALIKE)
                    .count();
            if (speaks > most) {
                most = speaks;
                best = c;
            }
        }
        if (most < LEAST_SPEAKING) {
            return Optional.empty();
        }
        // The middle of all that agree, those of the third direction turned onto the second.
        Vector c = best;
        Vector other = first.cross(c);
        Vector sum = c;
        for (Vector q : square) {
            if (Math.abs(q.dot(c)) > ALIKE) {
                sum = sum.plus(q.times(Math.signum(q.dot(c))));
            } else if (Math.abs(q.dot(other)) > ALIKE) {
                Vector turned = q.cross(first.vector());
                sum = sum.plus(turned.times(Math.signum(turned.dot(c))));
            }
        }
        return Optional.of(sum.direction());
    }

    private record Cell(int x, int y, int z) {}

    /** Those that hang together with the one nearest to a place. */
    private static List<Point> together(List<Point> of, Point from) {
        Map<Cell, List<Point>> cells = new HashMap<>();
        for (Point p : of) {
            cells.computeIfAbsent(cell(p), _ -> new ArrayList<>()).add(p);
        }
        List<Point> all = new ArrayList<>();
        if (of.isEmpty()) {
            return all;
        }
        Deque<Cell> left = new ArrayDeque<>(List.of(cell(nearest(of, from))));
        while (!left.isEmpty()) {
            Cell c = left.pop();
            List<Point> here = cells.remove(c);
            if (here != null) {
                all.addAll(here);
                for (int i = -1; i <= 1; i++) {
                    for (int j = -1; j <= 1; j++) {
                        for (int k = -1; k <= 1; k++) {
                            left.add(new Cell(c.x + i, c.y + j, c.z + k));
                        }
                    }
                }
            }
        }
        return all;
    }

    private static Cell cell(Point p) {
        return new Cell(
                (int) Math.floor(p.x() / BREAK), (int) Math.floor(p.y() / BREAK), (int) Math.floor(p.z() / BREAK));
    }
}
