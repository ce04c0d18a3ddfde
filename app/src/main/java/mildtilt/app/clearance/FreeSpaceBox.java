package mildtilt.app.clearance;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.Workbench;
import mildtilt.clearance.FreeSpace;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/** Where the selected obstacle could be put instead: asked for with a button, since it takes a second or two. */
final class FreeSpaceBox extends VBox {

    /** What was asked, and what came of it. */
    private record Answer(Job of, Obstacle thing, Optional<FreeSpace> space) {}

    private final Workbench bench;
    private final LatestTask<Answer> search;
    private boolean looking;

    FreeSpaceBox(Workbench bench) {
        super(6);
        this.bench = bench;
        setId("free-space");
        search = new LatestTask<>(this::found, this::failed);
        bench.roomProperty().addListener((_, _, _) -> refresh());
    }

    /** Shows what belongs to the obstacle that is selected now. */
    void refresh() {
        getChildren().clear();
        selected().ifPresent(o -> {
            Label head = new Label("Where can " + o.name() + " go?");
            head.getStyleClass().add("sub-head");
            getChildren().add(head);
            if (!FreeSpace.canBeAsked(o)) {
                getChildren()
                        .add(Wrap.text(
                                "Asked of what is fixed to the frame as a whole, and of anti-roll bars. This "
                                        + "moves with what it is fixed to.",
                                "hint"));
                return;
            }
            bench.room().map(Workbench.Room::space).ifPresentOrElse(s -> show(o, s), () -> ask(o));
        });
    }

    private Optional<Obstacle> selected() {
        return bench.selectionProperty()
                .get()
                .filter(Element.InTheWay.class::isInstance)
                .map(e -> ((Element.InTheWay) e).index())
                .filter(i -> i < bench.job().surroundings().obstacles().size())
                .map(i -> bench.job().surroundings().obstacles().get(i));
    }

    private void ask(Obstacle o) {
        Button look = new Button(looking ? "Looking…" : "Look for free space");
        look.setId("look-for-space");
        look.setDisable(looking || analysisOfJob().isEmpty());
        look.setOnAction(_ -> look(o));
        getChildren()
                .addAll(
                        Wrap.text(
                                "How far it may go each way over the whole range of steering and travel, and the "
                                        + "nearest free places if it is too near to something.",
                                "hint"),
                        look);
    }

    /** The analysis, once it is that of the job as it stands. */
    private Optional<AnalysisUpdate> analysisOfJob() {
        return bench.analysisProperty().get().filter(w -> w.now().job() == bench.job());
    }

    private void look(Obstacle o) {
        Job job = bench.job();
        analysisOfJob().ifPresent(w -> {
            looking = true;
            refresh();
            search.ask(() -> new Answer(job, o, w.now().freeSpace(o.id())));
        });
    }

    private void found(Answer a) {
        looking = false;
        if (a.space.isEmpty()) {
            bench.refuse("The wheels can't be assembled, so nothing is known of the space they leave.");
        }
        bench.roomProperty().set(a.space.map(s -> new Workbench.Room(a.of, a.thing, s)));
        refresh();
    }

    private void failed(Throwable problem) {
        looking = false;
        bench.refuse("The free space could not be worked out: " + problem.getMessage());
        refresh();
    }

    private void show(Obstacle o, FreeSpace s) {
        if (!s.isFree()) {
            String near = "Over the whole range it comes too near to "
                    + s.way(FreeSpace.Way.UP).endsAt().orElse("something");
            getChildren()
                    .add(Wrap.text(
                            s.places().isEmpty()
                                    ? near + ", and no free place is within half a metre."
                                    : near + ". The nearest free places:",
                            "step"));
        }
        for (int i = 0; i < s.places().size(); i++) {
            FreeSpace.Place place = s.places().get(i);
            Button move = new Button("Move it " + place.words().text(bench.lengthUnit()));
            move.setWrapText(true);
            move.setMinHeight(USE_PREF_SIZE);
            move.setId("move-to-place-" + i);
            move.setOnAction(_ -> bench.edit("Move " + o.name(), j -> place.take(j, o.id())));
            getChildren().add(move);
        }
        if (s.isFree()) {
            getChildren().add(ways(s));
        }
    }

    private Node ways(FreeSpace s) {
        GridPane grid = new GridPane(12, 3);
        grid.setId("free-ways");
        int row = 0;
        for (FreeSpace.Way w : FreeSpace.Way.values()) {
            FreeSpace.Reach reach = s.way(w);
            Label mm = new Label(reach.endsAt().isPresent() ? text(reach.mm()) : "over " + text(FreeSpace.FARTHEST));
            mm.getStyleClass().add("figure-now");
            mm.setMinWidth(USE_PREF_SIZE);
            Label way = new Label(w.label());
            way.setMinWidth(USE_PREF_SIZE);
            grid.addRow(row++, way, mm, new Label(reach.endsAt().orElse("")));
        }
        return grid;
    }

    private String text(double mm) {
        LengthUnit unit = bench.lengthUnit();
        return Quantity.length(mm).text(unit);
    }
}
