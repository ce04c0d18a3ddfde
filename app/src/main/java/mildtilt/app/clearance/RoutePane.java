package mildtilt.app.clearance;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.SearchRow;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.app.workbench.Workbench.Ghost;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.routes.Route;
import mildtilt.routes.RouteAnswer;
import mildtilt.routes.RouteFinder;
import mildtilt.routes.RouteHole;
import mildtilt.routes.RouteQuestion;
import mildtilt.routes.RouteQuestion.Hole;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import mildtilt.units.UnreadableMeasureException;

/**
 * Takes the limits of a route, looks for routes in the background, and previews each in the drawings. Nothing changes
 * until one is applied.
 */
public final class RoutePane extends VBox {

    private final Workbench bench;
    private final GridPane asked = new GridPane();
    private final SearchRow controls =
            new SearchRow("Look for routes", "run-route", "give-up-route", this::search, this::stop);
    private final VBox answers = new VBox();
    private final ScrollPane scroll;
    private RouteQuestion question = RouteQuestion.USUAL;
    private AtomicBoolean going = new AtomicBoolean();
    private Optional<Job> askedAbout = Optional.empty();

    public RoutePane(Workbench bench) {
        this.bench = bench;
        setId("routes-pane");
        getStyleClass().add("tab-pane-body");
        asked.getStyleClass().add("piece-grid");
        answers.getStyleClass().add("notes-cards");
        answers.setId("routes");
        Label meaning = Wrap.text(
                "From the column's end to the gear's input, past all that is in the way. Joints and shafts are the job's own. "
                        + "Bearings go where a surface is marked to take them.",
                "hint");
        VBox body = new VBox(meaning, asked, controls, answers);
        body.getStyleClass().add("tab-body");
        scroll = Wrap.tall(body);
        getChildren().add(scroll);
        bench.lengthUnitProperty().addListener((_, _, _) -> ask());
        bench.jobProperty().addListener((_, _, _) -> jobChanged());
        visibleProperty().addListener((_, _, shown) -> {
            if (shown) {
                jobChanged();
            } else {
                bench.ghostProperty().set(Optional.empty());
            }
        });
        controls.searching(false);
        ask();
    }

    /** Routes belong to the job they were found for. */
    private void jobChanged() {
        if (isVisible() && !bench.dragging() && !askedAbout.equals(Optional.of(bench.job()))) {
            stop();
            answers.getChildren().clear();
            bench.ghostProperty().set(Optional.empty());
            askedAbout = Optional.of(bench.job());
            ask();
        }
    }

    private boolean rack() {
        return bench.job().axle().map(a -> a.gear() instanceof RackAndPinion).orElse(false);
    }

    private void named(int row, String name, Node control) {
        Label label = Wrap.text(name, "field-name");
        label.setLabelFor(control);
        asked.addRow(row, label, control);
    }

    private void ask() {
        asked.getChildren().clear();
        named(
                0,
                "Joints, from",
                count("route-fewest", question.fewest(), n -> question.withJoints(n, Math.max(n, question.most()))));
        named(
                1,
                "Joints, to",
                count("route-most", question.most(), n -> question.withJoints(Math.min(n, question.fewest()), n)));
        named(2, "Gap wanted, at least", length("route-gap", question.gap(), v -> question = question.withGap(v)));
        named(
                3,
                "Bracket of a bearing reaches",
                length("route-bracket", question.bracketReach(), v -> question = question.withBracketReach(v)));
        CheckBox tilt = new CheckBox("The rack may be turned in its clamps");
        tilt.setId("route-tilt");
        tilt.setSelected(question.tiltFree());
        tilt.setDisable(!rack());
        tilt.setOnAction(_ -> {
            question = tilt.isSelected()
                    ? question.withTilt(-RouteQuestion.USUAL_TILT, RouteQuestion.USUAL_TILT)
                    : question.withTilt(0, 0);
            ask();
        });
        asked.add(tilt, 0, 4, 2, 1);
        int row = 5;
        if (question.tiltFree()) {
            asked.addRow(
                    row++,
                    Wrap.text("Top of its input back, up to", "field-name"),
                    degrees(
                            "route-tilt-back",
                            -question.tiltFromDeg(),
                            v -> question = question.withTilt(-v, question.tiltToDeg())));
            asked.addRow(
                    row++,
                    Wrap.text("Forward, up to", "field-name"),
                    degrees(
                            "route-tilt-forward",
                            question.tiltToDeg(),
                            v -> question = question.withTilt(question.tiltFromDeg(), v)));
        }
        CheckBox wheel = new CheckBox("The wheel may be planned anywhere in its adjustment");
        wheel.setId("route-wheel");
        wheel.setWrapText(true);
        wheel.setMinHeight(USE_PREF_SIZE);
        wheel.setSelected(question.wheelFree());
        wheel.setOnAction(_ -> question = question.withWheelFree(wheel.isSelected()));
        asked.add(wheel, 0, row++, 2, 1);
        named(
                row++,
                "Wheel higher or lower by, up to",
                length("route-wheel-height", question.wheelHeight(), v -> question = question.withWheelHeight(v)));
        named(
                row++,
                "Wheel nearer or farther by, up to",
                length("route-wheel-reach", question.wheelReach(), v -> question = question.withWheelReach(v)));
        CheckBox front = new CheckBox("It must keep the rule for a blow from the front");
        front.setId("route-front");
        front.setWrapText(true);
        front.setMinHeight(USE_PREF_SIZE);
        front.setSelected(question.frontRule());
        front.setOnAction(_ -> question = question.withFrontRule(front.isSelected()));
        asked.add(front, 0, row++, 2, 1);
        CheckBox through = new CheckBox("It must go through a hole in the bulkhead");
        through.setId("route-hole");
        through.setWrapText(true);
        through.setMinHeight(USE_PREF_SIZE);
        through.setSelected(question.hole().isPresent());
        through.setOnAction(_ -> {
            question = question.withHole(
                    through.isSelected() ? Optional.of(RouteHole.first(bench.job())) : Optional.empty());
            ask();
        });
        asked.add(through, 0, row++, 2, 1);
        if (question.hole().isPresent()) {
            Hole h = question.hole().get();
            Point at = h.centre();
            named(
                    row++,
                    "Its middle, forward (x)",
                    length(
                            "route-hole-x",
                            at.x(),
                            v -> hole(o -> new Hole(
                                    new Point(v, o.centre().y(), o.centre().z()), o.diameter()))));
            named(
                    row++,
                    "to the left (y)",
                    length(
                            "route-hole-y",
                            at.y(),
                            v -> hole(o -> new Hole(
                                    new Point(o.centre().x(), v, o.centre().z()), o.diameter()))));
            named(
                    row++,
                    "up (z)",
                    length(
                            "route-hole-z",
                            at.z(),
                            v -> hole(o -> new Hole(
                                    new Point(o.centre().x(), o.centre().y(), v), o.diameter()))));
            named(
                    row,
                    "Its diameter",
                    length("route-hole-size", h.diameter(), v -> hole(o -> new Hole(o.centre(), v))));
        }
        controls.setStartable(!bench.job().column().isEmpty());
    }

    private void hole(UnaryOperator<Hole> edit) {
        question = question.withHole(question.hole().map(edit));
    }

    private interface Asked {
        RouteQuestion with(int joints);
    }

    private ChoiceBox<Integer> count(String id, int value, Asked set) {
        ChoiceBox<Integer> box = new ChoiceBox<>();
        for (int i = 1; i <= RouteQuestion.MOST_JOINTS; i++) {
            box.getItems().add(i);
        }
        box.setId(id);
        box.setValue(value);
        box.valueProperty().addListener((_, _, n) -> {
            question = set.with(n);
            Platform.runLater(this::ask);
        });
        return box;
    }

    private MeasureField length(String id, double value, DoubleConsumer take) {
        return field(
                id, LengthText.editable(value, bench.lengthUnit()), t -> LengthText.parse(t, bench.lengthUnit()), take);
    }

    private MeasureField degrees(String id, double value, DoubleConsumer take) {
        return field(id, LengthText.trimmed(value, 1) + "°", LengthText::parseDegrees, take);
    }

    private MeasureField field(String id, String shown, ToDoubleFunction<String> read, DoubleConsumer take) {
        MeasureField f = new MeasureField(
                shown,
                read::applyAsDouble,
                v -> {
                    try {
                        take.accept(v);
                    } catch (ImpossibleGeometryException | UnreadableMeasureException e) {
                        bench.refuse(Objects.requireNonNull(e.getMessage()));
                        Platform.runLater(this::ask);
                    }
                },
                bench::refuse);
        f.setId(id);
        return f;
    }

    private void stop() {
        going.set(false);
        controls.searching(false);
    }

    private void search() {
        stop();
        controls.takeFocus();
        Job job = bench.job();
        askedAbout = Optional.of(job);
        AtomicBoolean mine = new AtomicBoolean(true);
        going = mine;
        RouteQuestion q = rack() ? question : question.withTilt(0, 0);
        controls.searching(true);
        answers.getChildren().clear();
        bench.ghostProperty().set(Optional.empty());
        CompletableFuture.supplyAsync(() -> RouteFinder.search(job, q, (done, found) -> {
                    Platform.runLater(() -> {
                        if (mine.get()) {
                            controls.progress(done);
                            if (answers.getChildren().size() != found.size()) {
                                cards(job, found);
                                if (bench.ghost().isEmpty() && !found.isEmpty()) {
                                    look(job, found.getFirst());
                                }
                            }
                        }
                    });
                    return mine.get();
                }))
                .whenComplete((answer, problem) -> Platform.runLater(() -> {
                    if (mine.getAndSet(false)) {
                        controls.searching(false);
                        if (problem != null) {
                            bench.refuse("The search for routes failed: " + problem.getMessage());
                        } else {
                            show(job, answer);
                        }
                    }
                }));
    }

    /** The answers below the button in sight. */
    private void toAnswers() {
        layout();
        double over = scroll.getContent().getLayoutBounds().getHeight()
                - scroll.getViewportBounds().getHeight();
        if (over > 0) {
            scroll.setVvalue(Math.clamp(controls.getBoundsInParent().getMinY() / over, 0, 1));
        }
    }

    private void show(Job job, RouteAnswer answer) {
        Platform.runLater(this::toAnswers);
        cards(job, answer.routes());
        if (answer.routes().isEmpty()) {
            answers.getChildren().add(Wrap.text("No route fits these limits. Closest:", "finding-what"));
            List<Phrase> why = answer.blocked();
            for (int i = 0; i < Math.min(4, why.size()); i++) {
                answers.getChildren().add(Wrap.text(why.get(i).text(bench.lengthUnit()) + ".", "step"));
            }
            answer.nearest().ifPresent(p -> bench.ghostProperty().set(Optional.of(new Ghost(job, p))));
            answers.getChildren()
                    .add(Wrap.text(
                            "More joints, a tilted rack, a smaller gap, or moving what blocks it would help.", "hint"));
        } else {
            answers.getChildren()
                    .add(Wrap.text(
                            String.format("%,d", answer.considered()) + " routes compared. None is applied yet.",
                            "hint"));
            look(job, answer.routes().getFirst());
        }
    }

    private void cards(Job job, List<Route> routes) {
        answers.getChildren().clear();
        for (int i = 0; i < routes.size(); i++) {
            answers.getChildren().add(card(job, routes.get(i), i));
        }
    }

    private void look(Job job, Route r) {
        bench.ghostProperty().set(Optional.of(new Ghost(job, r.points())));
    }

    private VBox card(Job job, Route r, int index) {
        Label head = Wrap.text(
                r.joints()
                        + (r.joints() == 1 ? " joint: " : " joints: ")
                        + r.why().stream().collect(Collectors.joining(", ")),
                "finding-what");
        List<String> lines = new ArrayList<>();
        lines.add("Widest joint " + text(Quantity.angle(r.widestDeg())) + ", " + text(Quantity.angle(r.spareDeg()))
                + " to spare over the range");
        lines.add("Ripple " + text(Quantity.percent(r.ripplePct())) + " with the clocking that can be marked");
        lines.add(r.spareGap()
                .map(g -> text(Quantity.length(g)) + " to spare over the gaps: " + r.tightest())
                .orElse("Plenty of room everywhere"));
        lines.add("Free stroke " + text(Quantity.length(r.stroke())) + "; shafts " + text(Quantity.length(r.length()))
                + " in all");
        if (r.tiltDeg() != 0) {
            lines.add("Rack turned " + text(Quantity.angle(Math.abs(r.tiltDeg()))) + ", top of its input "
                    + (r.tiltDeg() > 0 ? "forward" : "back"));
        }
        String wheel = r.wheel().text(bench.lengthUnit());
        if (!wheel.isEmpty()) {
            lines.add(Character.toUpperCase(wheel.charAt(0)) + wheel.substring(1));
        }
        r.bearings().forEach(b -> lines.add(b.text(bench.lengthUnit())));
        lines.add(
                r.toGet().isEmpty()
                        ? "Nothing to get besides: its parts are there"
                        : "To get: "
                                + r.toGet().stream()
                                        .map(g -> g.text(bench.lengthUnit()))
                                        .collect(Collectors.joining("; ")));
        Button look = new Button("Show");
        look.setId("show-route-" + index);
        look.setOnAction(_ -> look(job, r));
        Button take = new Button("Apply this route");
        take.setId("take-route-" + index);
        take.getStyleClass().add("take-remedy");
        take.setOnAction(_ -> {
            bench.ghostProperty().set(Optional.empty());
            bench.edit("Lead the column through " + r.joints() + (r.joints() == 1 ? " joint" : " joints"), j -> r.job()
                    .withTitle(j.title()));
        });
        VBox card = new VBox(4, head);
        lines.forEach(l -> card.getChildren().add(Wrap.text(l, "step")));
        card.getChildren().add(new HBox(8, look, take));
        card.getStyleClass().addAll("finding-card", "meets");
        return card;
    }

    private String text(Quantity q) {
        return q.text(bench.lengthUnit());
    }
}
