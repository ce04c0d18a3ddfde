package mildtilt.app.view;

import java.util.Optional;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.units.LengthText;

/** What goes with moving a point, in whatever view it is moved. */
final class PointMoves {

    private PointMoves() {}

    /** Selects what the point belongs to, unless the present selection owns it too. */
    static void selectOwner(Workbench bench, PointId id) {
        boolean owned = bench.selectionProperty()
                .get()
                .map(s -> Element.points(bench.job(), s).contains(id.onLeft()))
                .orElse(false);
        if (!owned) {
            Element.trainOf(bench.job()).stream()
                    .filter(e -> !(e instanceof Element.ShaftAt || e instanceof Element.TieRods))
                    .filter(e -> Element.points(bench.job(), e).contains(id.onLeft()))
                    .findFirst()
                    .ifPresent(e -> bench.selectionProperty().set(Optional.of(e)));
        }
    }

    /** The change, as the list of changes and Undo name it. */
    static String describe(Workbench bench, PointId id, Point from, Point to) {
        Vector by = to.minus(from);
        StringBuilder describe = new StringBuilder("Move " + JobPoints.label(bench.job(), id));
        say(bench, describe, by.x(), "forward", "back");
        say(bench, describe, by.y(), "to the left", "to the right");
        say(bench, describe, by.z(), "up", "down");
        return describe.toString();
    }

    private static void say(Workbench bench, StringBuilder describe, double mm, String plus, String minus) {
        if (Math.abs(mm) > 1e-9) {
            describe.append(describe.indexOf(":") < 0 ? ": " : ", ")
                    .append(LengthText.format(Math.abs(mm), bench.lengthUnit()))
                    .append(' ')
                    .append(mm > 0 ? plus : minus);
        }
    }
}
