package mildtilt.linkage;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;

/**
 * What passes the gear's movement on to the tie rods, where it stands: what is drawn of it and what keeps clear of it
 * follow from that.
 */
public sealed interface Relay {

    RelayPart part();

    /** A line of points along it. */
    List<Point> line();

    /**
     * Arms on one pivot.
     *
     * @param driven where it is pushed
     * @param others where tie rods begin on it, left before right; none where they begin on the rod that pushes it
     */
    record Lever(RelayPart part, Axis pivot, Point driven, List<Point> others) implements Relay {

        /** Where the pivot meets the level of the point it is pushed at. */
        public Point foot() {
            return pivot.footOf(driven);
        }

        @Override
        public List<Point> line() {
            List<Point> all = new ArrayList<>(List.of(foot(), driven));
            if (!others.isEmpty()) {
                all.addFirst(others.getFirst());
                others.stream().skip(1).forEach(p -> all.addAll(List.of(foot(), p)));
            }
            return all;
        }
    }

    /** What slides along a bar. @param driven where it is pushed */
    record Slider(Shuttle shuttle, Point left, Point right, Point driven) implements Relay {

        @Override
        public RelayPart part() {
            return RelayPart.SHUTTLE;
        }

        @Override
        public List<Point> line() {
            return List.of(left, right);
        }
    }
}
