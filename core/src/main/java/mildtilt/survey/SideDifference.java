package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.survey.Surveyed.Place;

/**
 * How far a vehicle's two sides differ, as measured.
 *
 * @param pairs each left point against the mirror image of its right one
 * @param axleDeg how far the line between both wheel centres is from square to the frame, degrees; + with the left
 * wheel ahead; empty if they
 *     are not both measured
 * @param axleSd its ±, degrees
 */
public record SideDifference(List<Pair> pairs, Optional<Double> axleDeg, double axleSd) {

    private static final String LEFT = "left";
    private static final String RIGHT = "right";
    private static final Id LEFT_WHEEL = new Id("left.wheel_centre");
    private static final Id RIGHT_WHEEL = new Id("right.wheel_centre");

    /** @param off left less mirrored right, mm; @param sd ± of its length, mm */
    public record Pair(String what, Vector off, double sd) {

        /** Whether it is more than the measuring itself. */
        public boolean real() {
            return off.norm() > 2 * sd;
        }
    }

    /**
     * @param names what points are called; two marks are a pair if one is called left and the other right, and else
     * alike
     */
    public static SideDifference of(Surveyed s, Function<Id, String> names) {
        List<Pair> all = new ArrayList<>();
        s.places().forEach((id, left) -> onRight(s, id, names)
                .ifPresent(right -> all.add(new Pair(
                        without(names.apply(id), LEFT),
                        left.at().minus(right.at().mirrored()),
                        Math.hypot(left.sd(), right.sd())))));
        Place l = s.places().get(LEFT_WHEEL);
        Place r = s.places().get(RIGHT_WHEEL);
        if (l == null || r == null) {
            return new SideDifference(List.copyOf(all), Optional.empty(), 0);
        }
        Point a = l.at();
        Point b = r.at();
        double apart = Math.hypot(a.x() - b.x(), a.y() - b.y());
        return new SideDifference(
                List.copyOf(all),
                Optional.of(Math.toDegrees(Math.atan2(a.x() - b.x(), a.y() - b.y()))),
                Math.toDegrees(Math.hypot(l.sdX(), r.sdX()) / apart));
    }

    /** The place of a left point's image on the other side, if both are settled. */
    private static Optional<Place> onRight(Surveyed s, Id id, Function<Id, String> names) {
        if (!id.is(Id.Kind.MARK)) {
            return id.text().startsWith(LEFT + ".")
                    ? Optional.ofNullable(
                            s.places().get(new Id(RIGHT + id.text().substring(LEFT.length()))))
                    : Optional.empty();
        }
        String name = names.apply(id);
        return !name.startsWith(LEFT + " ")
                ? Optional.empty()
                : s.places().entrySet().stream()
                        .filter(e -> e.getKey().is(Id.Kind.MARK)
                                && names.apply(e.getKey()).equals(RIGHT + name.substring(LEFT.length())))
                        .map(Map.Entry::getValue)
                        .findFirst();
    }

    private static String without(String name, String side) {
        return name.startsWith(side + " ") ? name.substring(side.length() + 1) : name;
    }
}
