package mildtilt.app.view;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.geometry.Point;

/** What a drawing in the window shows, for tests of how it is laid out. */
public final class SheetProbe {

    private SheetProbe() {}

    /** Each figure on another, or on a bar of the steering train, in words. */
    public static List<String> collisions(Node sheet) {
        ElevationSheet s = (ElevationSheet) sheet;
        List<String> all = new ArrayList<>();
        List<Box> figures = s.figures();
        for (int i = 0; i < figures.size(); i++) {
            Box a = figures.get(i);
            for (Box b : figures.subList(i + 1, figures.size())) {
                if (a.x() < b.x() + b.w() - 0.5
                        && b.x() < a.x() + a.w() - 0.5
                        && a.y() < b.y() + b.h() - 0.5
                        && b.y() < a.y() + a.h() - 0.5) {
                    all.add("figure on figure " + a + " " + b);
                }
            }
            for (double[] bar : s.darkBars()) {
                if (a.crossedBy(bar[0], bar[1], bar[2], bar[3])) {
                    all.add("figure on a bar " + a);
                }
            }
        }
        return all;
    }

    public static int figures(Node sheet) {
        return ((ElevationSheet) sheet).figures().size();
    }

    /** Whether all that matters to the stage lies on the sheet. */
    public static boolean whole(Node sheet, Workbench bench) {
        ElevationSheet s = (ElevationSheet) sheet;
        SheetView v = s.view().orElseThrow();
        return StageParts.inSight(bench.stageProperty().get(), bench.sketch()).strokes().stream()
                .flatMap(x -> x.points().stream())
                .allMatch((Point p) -> v.x(p) >= 0 && v.x(p) <= s.getWidth() && v.y(p) >= 0 && v.y(p) <= s.getHeight());
    }
}
