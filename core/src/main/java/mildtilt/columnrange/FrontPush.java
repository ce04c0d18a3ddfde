package mildtilt.columnrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mildtilt.column.Column;
import mildtilt.column.Slide;
import mildtilt.geometry.Axis;

/**
 * What meets a blow from the front that drives the gear back toward the driver. Geometry only: no claim on how any part
 * behaves in a crash.
 *
 * @param stroke that sliding shafts and the column can be pushed together by before the wheel is reached, mm. Tube and
 * shaft
 *     of a column give together, so what they share counts once, and a solid shaft in a tube that collapses gives
 * nothing
 * @param kinkDeg sum of the joints' operating angles: how far the train is from a straight push rod
 * @param standsOff the most any joint stands off the straight line from gear to hub, mm
 * @param inCabin joints on the driver's side of the bulkhead
 */
public record FrontPush(double stroke, double kinkDeg, double standsOff, List<Integer> inCabin) {

    public static FrontPush of(Column c) {
        double stroke = first(c);
        for (int i = 1; i < c.shafts().size(); i++) {
            stroke += c.freeToClose(i);
        }
        double kink = 0;
        for (int i = 0; i < c.joints().size(); i++) {
            kink += Math.toDegrees(c.axis(i).angleTo(c.axis(i + 1)));
        }
        double off = 0;
        if (c.hub().distanceTo(c.gearInput()) > Column.SHORTEST_SHAFT) {
            Axis line = Axis.through(c.hub(), c.gearInput());
            off = c.joints().stream()
                    .mapToDouble(j -> line.distanceTo(j.centre()))
                    .max()
                    .orElse(0);
        }
        List<Integer> inside = new ArrayList<>();
        c.installation().bulkhead().ifPresent(x -> {
            for (int i = 0; i < c.joints().size(); i++) {
                if (c.joints().get(i).centre().x() < x) {
                    inside.add(i);
                }
            }
        });
        return new FrontPush(stroke, kink, off, List.copyOf(inside));
    }

    /**
     * What the first shaft gives: as it slides, and no farther than its fork can go before it meets a tube that does
     * not collapse.
     */
    private static double first(Column c) {
        double slides = c.freeToClose(0);
        return c.tube()
                .map(t -> Math.min(
                        slides,
                        Math.max(0, c.length(0) - c.gearEndFit(0).takeOff() - t.to() - t.beyond()) + t.collapse()))
                .orElse(slides);
    }

    /** A column of which one shaft slides together farther. @param shaft which */
    public record Shortened(int shaft, Column column) {}

    /** A shaft that is cut, the longest first, made to slide together until a stroke is there; empty where none can. */
    public static Optional<Shortened> shortened(Column c, double wanted, double leastOverlap) {
        double missing = wanted - of(c).stroke();
        return IntStream.range(0, c.shafts().size())
                .filter(i -> c.shafts().get(i).toCut())
                .boxed()
                .sorted(Comparator.comparingDouble(c::length).reversed())
                .map(i -> {
                    Slide was =
                            c.shafts().get(i).slide().orElse(new Slide(Math.ceil(leastOverlap + 10), leastOverlap, 0));
                    Slide more = was.withCloses(Math.ceil(was.closes() + missing));
                    return new Shortened(i, c.editShaft(i, s -> s.withSlide(Optional.of(more))));
                })
                .filter(x -> of(x.column).stroke() >= wanted - 1e-6)
                .findFirst();
    }
}
