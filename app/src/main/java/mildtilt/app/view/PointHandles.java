package mildtilt.app.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.layout.Pane;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.LabelPlacer;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.suspension.CornerPoint;
import org.jspecify.annotations.Nullable;

/** The points that can be dragged on one sheet, as nodes that take mouse and keys. */
final class PointHandles extends Pane {

    private final Workbench bench;
    private final ElevationSheet sheet;
    private final Map<PointId, PointHandle> handles = new HashMap<>();
    private @Nullable AngleHandle angle;

    PointHandles(Workbench bench, ElevationSheet sheet) {
        this.bench = bench;
        this.sheet = sheet;
        setPickOnBounds(false);
        getStyleClass().add("point-handles");
    }

    /** Puts a handle on every point shown. With the wheels turned there are none: the points are elsewhere then. */
    void update(SheetView view) {
        List<PointId> wanted = bench.steeringInput().straightAhead() ? shown() : List.of();
        Set<PointId> gone = new HashSet<>(handles.keySet());
        for (PointId id : wanted) {
            gone.remove(id);
            PointHandle handle = handles.computeIfAbsent(id, i -> {
                PointHandle made = new PointHandle(bench, sheet, i);
                getChildren().add(made);
                return made;
            });
            handle.put(view, JobPoints.position(bench.job(), id));
        }
        for (PointId id : gone) {
            getChildren().remove(handles.remove(id));
        }
        Optional<AngleHandle.Seen> bend = angleSeen(view);
        if (bend.isEmpty()) {
            getChildren().remove(angle);
        } else {
            AngleHandle handle = angle == null ? new AngleHandle(bench, sheet) : angle;
            angle = handle;
            if (!getChildren().contains(handle)) {
                getChildren().add(handle);
            }
            handle.put(((Element.JointAt) bench.selectionProperty().get().orElseThrow()).index(), bend.get());
        }
    }

    /** The selected joint's angle, on the large sheet, straight ahead. */
    Optional<AngleHandle.Seen> angleSeen(SheetView view) {
        return bench.selectionProperty()
                .get()
                .filter(e -> sheet.large()
                        && bench.steeringInput().straightAhead()
                        && bench.stageProperty().get() == WorkStage.COLUMN
                        && Element.trainOf(bench.job()).contains(e))
                .flatMap(e -> e instanceof Element.JointAt j
                        ? AngleHandle.Seen.of(bench.job().column().orElseThrow(), j.index(), view)
                        : Optional.empty());
    }

    void keepClear(LabelPlacer placer) {
        handles.values()
                .forEach(h -> placer.keepClear(new LabelPlacer.Box(h.getCenterX() - 6, h.getCenterY() - 6, 12, 12)));
    }

    private List<PointId> shown() {
        Set<PointId> selected = new HashSet<>();
        bench.selectionProperty()
                .get()
                .filter(Element.of(bench.job())::contains)
                .ifPresent(e -> selected.addAll(Element.points(bench.job(), e)));
        List<PointId> all = new ArrayList<>();
        for (PointId id : JobPoints.of(bench.job())) {
            if (selected.contains(id) || sheet.large() && ofStage(id) && distinct(id)) {
                all.add(id);
            }
        }
        return all;
    }

    private boolean ofStage(PointId id) {
        WorkStage stage = bench.stageProperty().get();
        return switch (id) {
            case PointId.Hub _, PointId.JointCentre _, PointId.GearInput _, PointId.BearingMiddle _ ->
                stage != WorkStage.LINKAGE;
            case PointId.GearCentre _, PointId.GearArmEnd _, PointId.OnLinkage _, PointId.OnBeam _ ->
                stage != WorkStage.COLUMN;
            case PointId.ObstaclePoint _, PointId.DriverHip _, PointId.DriverHeel _ -> false;
            case PointId.OnCorner c ->
                stage == WorkStage.LINKAGE || stage == WorkStage.MAKE && c.which() == CornerPoint.TIE_ROD_POINT;
        };
    }

    /** From the side the right of a mirrored axle lies behind the left. */
    private boolean distinct(PointId id) {
        boolean mirrored = bench.job().axle().map(a -> a.ownRight().isEmpty()).orElse(true);
        return !(sheet.elevation() == Elevation.SIDE
                && mirrored
                && switch (id) {
                    case PointId.OnCorner c -> c.side() == Side.RIGHT;
                    case PointId.InnerPivot e -> e.side() == Side.RIGHT;
                    case PointId.OnBeam b -> b.which().side().equals(Optional.of(Side.RIGHT));
                    case PointId.Hub _,
                            PointId.JointCentre _,
                            PointId.GearInput _,
                            PointId.BearingMiddle _,
                            PointId.GearCentre _,
                            PointId.GearArmEnd _,
                            PointId.OnLinkage _,
                            PointId.ObstaclePoint _,
                            PointId.DriverHip _,
                            PointId.DriverHeel _ -> false;
                });
    }
}
