package mildtilt.app.part;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import javafx.beans.value.ObservableBooleanValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.ChoiceField;
import mildtilt.app.forms.SizeField;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.RackPlace;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import org.jspecify.annotations.Nullable;

/** The sizes of the selected element, to be read and typed. Lengths may be typed in any unit. */
public final class PartPane extends VBox {

    /** Sizes shown before the rest is folded. */
    private static final int USUAL = 8;

    private final Workbench bench;
    private final Label head = new Label();
    private final VBox body = new VBox();
    private final VBox facts = new VBox();
    private final ObservableBooleanValue wanted;
    private final boolean own;
    private boolean moreOpen;
    /** The fields shown now, in the order of the sizes they are of. */
    private final List<MeasureField> sizes = new ArrayList<>();

    private final Map<MeasureField, Supplier<String>> coordinates = new LinkedHashMap<>();

    /**
     * @param wanted whether it is visible; a hidden pane is not laid out
     * @param own whether it shows the vehicle's own thicknesses and gaps where nothing is selected, as beside the
     * obstacles
     */
    public PartPane(Workbench bench, ObservableBooleanValue wanted, boolean own) {
        this.bench = bench;
        this.wanted = wanted;
        this.own = own;
        getStyleClass().add("piece-pane");
        head.getStyleClass().add("pane-head");
        body.getStyleClass().add("piece-body");
        getChildren().addAll(head, body);
        wanted.addListener((_, _, _) -> refresh());
        bench.selectionProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        bench.jobProperty().addListener((_, _, _) -> {
            if (bench.dragging()) {
                follow();
            } else {
                refresh();
            }
        });
        bench.stageProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        String focused = focusedFieldId();
        body.getChildren().clear();
        sizes.clear();
        coordinates.clear();
        if (!wanted.get()) {
            return;
        }
        Optional<Element> selected = selected();
        head.setText(selected.map(e -> Element.label(bench.job(), e)).orElse(own ? "Own parts and gaps" : "Vehicle"));
        selected.ifPresentOrElse(this::showElement, this::showVehicle);
        if (focused != null && body.lookup("#" + focused) instanceof Node again) {
            again.requestFocus();
        }
    }

    private Optional<Element> selected() {
        return bench.selectionProperty().get().filter(Element.of(bench.job())::contains);
    }

    /**
     * While something is dragged the figures change and the fields stay: new ones at every step would make the drag
     * stutter.
     */
    private void follow() {
        if (!wanted.get()) {
            return;
        }
        List<SizeField> now = fields(selected());
        if (now.size() != sizes.size()) {
            refresh();
            return;
        }
        for (int i = 0; i < now.size(); i++) {
            sizes.get(i).show(now.get(i).text(bench.lengthUnit()));
        }
        coordinates.forEach((field, text) -> field.show(text.get()));
        if (facts.getParent() != null) {
            showFacts();
        }
    }

    private List<SizeField> fields(Optional<Element> selected) {
        return selected.map(e -> PartFieldGroups.of(bench.job(), e))
                .orElseGet(() -> own ? ObstacleFields.own(bench.job()) : PartFieldGroups.ofVehicle(bench.job()));
    }

    private @Nullable String focusedFieldId() {
        return getScene() != null && getScene().getFocusOwner() instanceof MeasureField f && f.getParent() != null
                ? f.getId()
                : null;
    }

    private void showVehicle() {
        GridPane grid = grid();
        addFields(grid, fields(Optional.empty()));
        Label hint = new Label(
                own
                        ? "Press something in the way, below or in the drawing, to see and type its sizes."
                        : "Press an element in the strip above, or a point in the drawing, to see and type its sizes.");
        hint.setWrapText(true);
        hint.getStyleClass().add("hint");
        body.getChildren().addAll(hint, grid);
    }

    private void showElement(Element element) {
        if (element instanceof Element.SteeringArms) {
            body.getChildren().add(new SchoolFields(bench));
        }
        GridPane grid = grid();
        List<SizeField> fields = fields(Optional.of(element));
        addFields(grid, fields.subList(0, Math.min(USUAL, fields.size())));
        ColumnFields.rename(element).ifPresent(rename -> addName(grid, rename));
        // Choices are wider than sizes: in a grid of their own they leave the names of the sizes their room.
        GridPane chosen = grid();
        bench.job().column().ifPresent(c -> addChoices(chosen, new ColumnFields(c).choices(element)));
        bench.job().axle().ifPresent(a -> addChoices(chosen, AxleFields.choices(a, element)));
        if (element instanceof Element.AtTheWheel) {
            bench.job().surroundings().driver().ifPresent(d -> addChoices(chosen, ObstacleFields.driverChoices(d)));
        }
        if (element instanceof Element.InTheWay i) {
            addChoices(chosen, ObstacleFields.choices(bench.job(), i.index()));
        }
        for (GridPane g : List.of(grid, chosen)) {
            if (!g.getChildren().isEmpty()) {
                body.getChildren().add(g);
            }
        }
        if (element instanceof Element.GearElement) {
            facts.getChildren().clear();
            body.getChildren().add(facts);
            showFacts();
        }
        if (fields.size() > USUAL) {
            GridPane more = grid();
            addFields(more, fields.subList(USUAL, fields.size()));
            Button folded = new Button();
            folded.setId("more-sizes");
            folded.getStyleClass().add("fold-button");
            folded.setMaxWidth(Double.MAX_VALUE);
            int hidden = fields.size() - USUAL;
            Runnable lay = () -> {
                more.setVisible(moreOpen);
                more.setManaged(moreOpen);
                folded.setText(moreOpen ? "▾  Fewer sizes" : "▸  More sizes (" + hidden + ")");
            };
            folded.setOnAction(_ -> {
                moreOpen = !moreOpen;
                lay.run();
            });
            lay.run();
            body.getChildren().addAll(folded, more);
        }
        boolean differ = bench.job().axle().map(a -> a.ownRight().isPresent()).orElse(false);
        for (PointId id : Element.points(bench.job(), element)) {
            body.getChildren().add(point(id));
            if (differ && !id.onRight().equals(id)) {
                body.getChildren().add(point(id.onRight()));
            }
        }
    }

    /** How a rack suits the arms, anew at every step of a drag. */
    private void showFacts() {
        List<String> now = bench.job().axle().flatMap(RackPlace::of).stream()
                .flatMap(p -> p.text().stream())
                .map(p -> p.text(bench.lengthUnit()))
                .toList();
        if (facts.getChildren().size() != now.size()) {
            facts.getChildren()
                    .setAll(now.stream().map(_ -> Wrap.text("", "hint")).toList());
        }
        for (int i = 0; i < now.size(); i++) {
            ((Label) facts.getChildren().get(i)).setText(now.get(i));
        }
    }

    private static GridPane grid() {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("piece-grid");
        return grid;
    }

    private void addFields(GridPane grid, List<SizeField> fields) {
        int row = grid.getRowCount();
        for (SizeField f : fields) {
            Label name = new Label(f.label());
            if (!f.meaning().isEmpty()) {
                name.setTooltip(new Tooltip(f.meaning()));
            }
            MeasureField field = f.control(bench, head.getText());
            field.setId("field-" + f.id());
            name.setLabelFor(field);
            GridPane.setHgrow(name, Priority.ALWAYS);
            grid.addRow(row++, name, field);
            sizes.add(field);
        }
    }

    private void addName(GridPane grid, BiFunction<Job, String, Job> rename) {
        String now = head.getText();
        TextField field = new TextField(now);
        field.setId("field-name");
        field.getStyleClass().add("name-field");
        field.setAccessibleText("Name");
        Runnable take = () -> {
            String typed = field.getText().strip();
            if (typed.isEmpty()) {
                bench.refuse("A part needs a name.");
                field.setText(now);
            } else if (!typed.equals(now)) {
                bench.edit("Rename " + now + " to " + typed, j -> rename.apply(j, typed));
            }
        };
        field.setOnAction(_ -> take.run());
        field.focusedProperty().addListener((_, _, focused) -> {
            if (!focused) {
                take.run();
            }
        });
        Label name = new Label("Name");
        name.setLabelFor(field);
        grid.addRow(grid.getRowCount(), name, field);
    }

    private void addChoices(GridPane grid, List<ChoiceField> choices) {
        int row = grid.getRowCount();
        for (ChoiceField c : choices) {
            Label name = new Label(c.label());
            if (!c.meaning().isEmpty()) {
                name.setTooltip(new Tooltip(c.meaning()));
            }
            ChoiceBox<Integer> box = c.control(bench, head.getText(), this::refresh);
            box.setId("choice-" + c.id());
            box.getStyleClass().add("piece-choice");
            name.setLabelFor(box);
            name.setMinWidth(Region.USE_PREF_SIZE);
            GridPane.setHgrow(name, Priority.ALWAYS);
            grid.addRow(row++, name, box);
        }
    }

    private Node point(PointId id) {
        Job job = bench.job();
        Point p = JobPoints.position(job, id);
        String label = JobPoints.label(job, id);
        Label name = new Label(capital(label));
        name.getStyleClass().add("point-name");
        List<Node> fields = new ArrayList<>();
        fields.add(coordinate(id, "x", Point::x, x -> new Point(x, p.y(), p.z())));
        fields.add(coordinate(id, "y", Point::y, y -> new Point(p.x(), y, p.z())));
        fields.add(coordinate(id, "z", Point::z, z -> new Point(p.x(), p.y(), z)));
        HBox row = new HBox(4);
        row.getStyleClass().add("coordinates");
        row.getChildren().addAll(fields);
        return new VBox(name, row);
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    private Node coordinate(PointId id, String axis, ToDoubleFunction<Point> along, DoubleFunction<Point> to) {
        LengthUnit unit = bench.lengthUnit();
        String label = JobPoints.label(bench.job(), id);
        Supplier<String> text =
                () -> LengthText.inField(along.applyAsDouble(JobPoints.position(bench.job(), id)), unit);
        MeasureField field = new MeasureField(
                text.get(),
                t -> LengthText.parse(t, unit),
                v -> bench.edit("Move " + label + ", " + axis, job -> JobPoints.moved(job, id, to.apply(v))),
                bench::refuse);
        field.setId("field-" + axis + "-" + id.code());
        field.setAccessibleText(label + " " + axis);
        field.exact(LengthText.editable(along.applyAsDouble(JobPoints.position(bench.job(), id)), unit));
        coordinates.put(field, text);
        Label name = new Label(axis);
        name.setLabelFor(field);
        HBox box = new HBox(3, name, field);
        box.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(box, Priority.ALWAYS);
        HBox.setHgrow(field, Priority.ALWAYS);
        return box;
    }
}
