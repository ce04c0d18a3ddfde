package mildtilt.app.notes;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TitledPane;
import javafx.scene.layout.VBox;
import mildtilt.app.look.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.app.workbench.Worked;
import mildtilt.check.Finding;
import mildtilt.check.NotJudged;
import mildtilt.check.Severity;

/** All findings, gravest first. */
public final class NotesPane extends VBox {

    private final Workbench bench;
    private final Label head = new Label("Notes");
    private final VBox cards = new VBox();
    private final TitledPane notJudged = new TitledPane();
    private VBox openLines = new VBox();

    public NotesPane(Workbench bench) {
        this.bench = bench;
        getStyleClass().add("notes-pane");
        setId("notes");
        head.getStyleClass().add("pane-head");
        head.setId("notes-head");
        cards.getStyleClass().add("notes-cards");
        notJudged.setId("not-judged");
        notJudged.setExpanded(false);
        notJudged.setAnimated(false);
        // What is folded away is not laid out.
        notJudged.expandedProperty().addListener((_, _, open) -> notJudged.setContent(open ? openLines : null));
        ScrollPane scroll = Wrap.tall(cards);
        scroll.getStyleClass().add("notes-scroll");
        getChildren().addAll(head, scroll);
        bench.workedProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        String focused = getScene() != null && getScene().getFocusOwner() instanceof Button b && cards.lookup("#" + b.getId()) == b ? b.getId() : null;
        bench.workedProperty().get().ifPresentOrElse(this::show, this::showNothing);
        if (focused != null && cards.lookup("#" + focused) instanceof Node again) {
            again.requestFocus();
        }
    }

    /** Until the first figures come, or where none can: what was there before must not stand for another job. */
    private void showNothing() {
        head.setText("Notes");
        cards.getChildren().clear();
    }

    private void show(Worked worked) {
        List<Finding> findings = worked.now().findings();
        long stops = findings.stream().filter(f -> f.severity() == Severity.STOP).count();
        head.setText("Notes: " + stops + " stop, " + (findings.size() - stops) + " look");
        List<Node> now = new ArrayList<>();
        for (int i = 0; i < findings.size(); i++) {
            now.add(card(worked, findings.get(i), i));
        }
        if (findings.isEmpty()) {
            boolean nothing = worked.now().job().column().isEmpty() && worked.now().job().axle().isEmpty();
            Label none = new Label(nothing ? "There is no column and no axle in this job yet, so there is nothing to check. "
                    + "Open a job (Ctrl+O), or write one: docs/job-format.md says how." : "Nothing found by the checks this program makes. That is not an approval: tack, turn "
                    + "through the whole range, and have it looked at.");
            none.setWrapText(true);
            none.getStyleClass().add("finding-why");
            now.add(none);
        }
        if (!worked.now().notJudged().isEmpty() && !(worked.now().job().column().isEmpty() && worked.now().job().axle().isEmpty())) {
            now.add(notJudged(worked.now().notJudged()));
        }
        if (!now.equals(cards.getChildren())) {
            cards.getChildren().setAll(now);
        }
    }

    /** What no note above speaks of though nothing says that it is fine; folded away until asked for. */
    private TitledPane notJudged(List<NotJudged> all) {
        VBox lines = new VBox(6);
        for (NotJudged n : all) {
            Label matter = new Label(n.matter());
            matter.getStyleClass().add("finding-what");
            Label missing = new Label(n.missing().text(bench.lengthUnitProperty().get()));
            missing.getStyleClass().add("finding-why");
            matter.setWrapText(true);
            missing.setWrapText(true);
            lines.getChildren().addAll(matter, missing);
        }
        notJudged.setText("Not judged: " + all.size() + ", and what is missing");
        openLines = lines;
        notJudged.setContent(notJudged.isExpanded() ? lines : null);
        return notJudged;
    }

    /** While something is dragged a card that still fits only changes its words: new ones at every step would make the drag stutter. */
    private FindingCard card(Worked worked, Finding finding, int place) {
        boolean brief = bench.dragging();
        if (brief && place < cards.getChildren().size() && cards.getChildren().get(place) instanceof FindingCard c && c.follows(finding)) {
            c.tell(finding);
            return c;
        }
        return new FindingCard(bench, worked, finding, "finding-" + place, brief);
    }
}
