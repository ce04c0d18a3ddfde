package mildtilt.app.linkage;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.arms.CutAndMove;
import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleChange.Part;
import mildtilt.arms.KnuckleEdits;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;

/**
 * Changes to the steering arms as a fabricator makes them, measured from the arm at the saved mark, else as opened.
 * What is typed is the whole change, so that a point dragged in the drawing shows here too.
 */
public final class ArmsPane extends VBox {

    private static final double TYPED_AS_SHOWN = 1e-6;

    private enum Arms {
        BOTH("both arms"),
        LEFT("left arm"),
        RIGHT("right arm"),
        DRAG_LINK("drag-link arm");

        private final String label;

        Arms(String label) {
            this.label = label;
        }
    }

    private final Workbench bench;
    private final ChoiceBox<Arms> which =
            Choices.of(Arms.class, a -> a.label, "knuckle-which", "Which arms are changed");
    private final GridPane fields = new GridPane();
    private final VBox steps = new VBox();
    private final VBox body = new VBox();

    public ArmsPane(Workbench bench) {
        this.bench = bench;
        setId("arms-pane");
        getStyleClass().add("tab-pane-body");
        which.setValue(Arms.BOTH);
        which.valueProperty().addListener((_, _, _) -> refresh());
        fields.getStyleClass().add("piece-grid");
        steps.getStyleClass().add("steps");
        Label from = Wrap.text(
                "Compared with the arm as opened, or at the saved mark (Ctrl+B). Along, across and up are the arm's own directions.",
                "hint");
        Button swap = button(
                "Swap left and right knuckles",
                "swap-knuckles",
                () -> edit("Swap the left and right knuckles", KnuckleEdits::swapSides));
        Button flip = button(
                "Put the gear on the other side of the axle",
                "flip-gear",
                () -> edit("Put the gear on the other side of the axle", j -> KnuckleEdits.flipGear(j, false)));
        Button right = button(
                "Use a gear that drives the other way",
                "reverse-gear",
                () -> edit("Use a gear that drives the other way", j -> j.editAxle(SteeredAxle::withGearReversed)));
        Button own = button("", "own-right", this::ownRight);
        bench.jobProperty().addListener((_, _, _) -> own.setText(ownRightText()));
        own.setText(ownRightText());
        Label head = new Label("Cut and move");
        head.getStyleClass().add("sub-head");
        body.getChildren().addAll(which, from, fields, swap, flip, right, own, head, steps);
        body.getStyleClass().add("tab-body");
        ScrollPane scroll = Wrap.tall(body);
        getChildren().add(scroll);
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.comparedProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private static Button button(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(_ -> run.run());
        return b;
    }

    private void edit(String change, UnaryOperator<Job> edit) {
        bench.edit(change, edit);
    }

    private String ownRightText() {
        boolean differ = bench.job().axle().map(a -> a.ownRight().isPresent()).orElse(false);
        return differ ? "Make the right the mirror of the left" : "Let left and right differ";
    }

    private void ownRight() {
        boolean differ = bench.job().axle().map(a -> a.ownRight().isPresent()).orElse(false);
        edit(
                ownRightText(),
                j -> j.editAxle(a -> a.withOwnRight(differ ? Optional.empty() : Optional.of(a.corner(Side.RIGHT)))));
    }

    private void refresh() {
        if (!isVisible()) {
            return;
        }
        offerDragLinkArm(hasDragLinkArm(bench.job()));
        fields.getChildren().clear();
        steps.getChildren().clear();
        Job hand = bench.editedPart();
        if (bench.job().axle().isEmpty() || hand.axle().isEmpty()) {
            steps.getChildren().add(Wrap.text("This job has no axle yet.", "hint"));
            return;
        }
        if (which.getValue() == Arms.DRAG_LINK && !hasDragLinkArm(hand)) {
            steps.getChildren().add(Wrap.text("It was not there yet in what this is compared with.", "hint"));
            return;
        }
        KnuckleArm shown = arms().getFirst();
        KnuckleChange now = KnuckleEdits.between(hand, bench.job(), shown);
        boolean stud = shown.stud(bench.job().axle().get()).isPresent();
        int row = 0;
        for (Part part : Part.values()) {
            if (part.inDegrees() && !stud) {
                continue;
            }
            double value = Math.abs(now.get(part)) < TYPED_AS_SHOWN ? 0 : now.get(part);
            Label name = new Label(part.label());
            MeasureField field = new MeasureField(
                    part.inDegrees() ? degrees(value) : LengthText.editable(value, bench.lengthUnit()),
                    t -> part.inDegrees() ? LengthText.parseDegrees(t) : LengthText.parse(t, bench.lengthUnit()),
                    v -> change(part, v),
                    bench::refuse);
            field.setId("knuckle-" + part.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            field.setAccessibleText(part.label());
            name.setLabelFor(field);
            GridPane.setHgrow(name, Priority.ALWAYS);
            fields.addRow(row++, name, field);
        }
        for (KnuckleArm arm : arms()) {
            for (Phrase p : CutAndMove.steps(arm, hand, bench.job())) {
                steps.getChildren().add(Wrap.text(p.text(bench.lengthUnit()), "step"));
            }
        }
    }

    private static boolean hasDragLinkArm(Job job) {
        return job.axle().flatMap(SteeredAxle::dragLinkSide).isPresent();
    }

    private void offerDragLinkArm(boolean there) {
        if (there == which.getItems().contains(Arms.DRAG_LINK)) {
            return;
        }
        if (there) {
            which.getItems().add(Arms.DRAG_LINK);
        } else {
            which.setValue(Arms.BOTH);
            which.getItems().remove(Arms.DRAG_LINK);
        }
    }

    private static String degrees(double v) {
        return LengthText.trimmed(v, 2) + "°";
    }

    private List<KnuckleArm> arms() {
        return switch (which.getValue()) {
            case BOTH -> KnuckleEdits.steeringArms(bench.job());
            case LEFT -> List.of(KnuckleArm.LEFT_STEERING);
            case RIGHT -> List.of(KnuckleArm.RIGHT_STEERING);
            case DRAG_LINK -> List.of(KnuckleArm.DRAG_LINK);
        };
    }

    private void change(Part part, double value) {
        Job hand = bench.editedPart();
        List<KnuckleArm> arms = arms();
        String unit = part.inDegrees() ? degrees(value) : LengthText.format(value, bench.lengthUnit());
        bench.edit("Steering arm: " + part.label() + " " + unit, j -> {
            Job changed = j;
            for (KnuckleArm arm : arms) {
                KnuckleChange c = KnuckleEdits.between(hand, j, arm).with(part, value);
                changed = KnuckleEdits.changedFrom(hand, changed, arm, c);
            }
            return changed;
        });
    }
}
