package mildtilt.app.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.findings.Finding;
import mildtilt.job.Job;

/** Findings as rows, gravest first, left and right twins as one; one row is open at a time. */
public final class FindingList extends VBox {

    /** What the open row is of, through all changes of its figures. */
    private record Key(Object fault, String about, Object element) {
        static Key of(Finding f) {
            return new Key(f.fault(), f.about(), f.element());
        }
    }

    private final Workbench bench;
    private final Predicate<Finding> shown;
    private final String prefix;
    private Optional<Key> open = Optional.empty();

    /** @param prefix of the rows' ids */
    public FindingList(Workbench bench, String prefix, Predicate<Finding> shown) {
        this.bench = bench;
        this.prefix = prefix;
        this.shown = shown;
        getStyleClass().add("notes-cards");
    }

    /** Findings by rows: those of both sides that say the same stand in one. */
    public static List<List<Finding>> rows(Job job, List<Finding> findings) {
        List<List<Finding>> rows = new ArrayList<>();
        for (Finding f : findings) {
            Optional<List<Finding>> twin = rows.stream()
                    .filter(r -> r.size() == 1 && twins(job, r.getFirst(), f))
                    .findFirst();
            twin.ifPresentOrElse(r -> r.add(f), () -> rows.add(new ArrayList<>(List.of(f))));
        }
        return rows;
    }

    private static boolean twins(Job job, Finding a, Finding b) {
        String mine = a.headline(job);
        return a.fault() == b.fault()
                && a.severity() == b.severity()
                && !mine.equals(otherSide(mine))
                && otherSide(mine).equals(b.headline(job));
    }

    private static String otherSide(String text) {
        return text.replace("left", "\u0001")
                .replace("right", "left")
                .replace("\u0001", "right")
                .replace("Left", "\u0001")
                .replace("Right", "Left")
                .replace("\u0001", "Right");
    }

    /** @return whether there was any to show */
    public boolean show(AnalysisUpdate worked) {
        List<Finding> all = worked.now().findings().stream().filter(shown).toList();
        List<Node> now = new ArrayList<>();
        List<List<Finding>> rows = rows(worked.now().job(), all);
        for (int i = 0; i < rows.size(); i++) {
            now.add(row(worked, rows.get(i), i));
        }
        if (!now.equals(getChildren())) {
            String focused = getScene() != null
                            && getScene().getFocusOwner() instanceof Node n
                            && n.getId() != null
                            && lookup("#" + n.getId()) == n
                    ? n.getId()
                    : null;
            getChildren().setAll(now);
            if (focused != null && lookup("#" + focused) instanceof Node again) {
                again.requestFocus();
            }
        }
        return !rows.isEmpty();
    }

    /**
     * While something is dragged a row that still fits only changes its words: new ones at every step would make the
     * drag stutter.
     */
    private FindingRow row(AnalysisUpdate worked, List<Finding> row, int place) {
        Finding f = row.getFirst();
        boolean isOpen = open.equals(Optional.of(Key.of(f)));
        if (bench.dragging()
                && place < getChildren().size()
                && getChildren().get(place) instanceof FindingRow r
                && r.follows(f, isOpen)) {
            r.tell(worked, row);
            return r;
        }
        return new FindingRow(bench, worked, row, prefix + place, isOpen, bench.dragging(), () -> press(worked, f));
    }

    private void press(AnalysisUpdate worked, Finding f) {
        boolean opens = !open.equals(Optional.of(Key.of(f)));
        open = opens ? Optional.of(Key.of(f)) : Optional.empty();
        if (opens) {
            FindingPlace.show(bench, worked, f);
        }
        show(bench.analysisProperty().get().orElse(worked));
    }

    /** Opens the row of a finding and goes there. */
    public void open(AnalysisUpdate worked, Finding f) {
        open = Optional.empty();
        press(worked, f);
    }
}
