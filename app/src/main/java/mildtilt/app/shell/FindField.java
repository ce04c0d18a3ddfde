package mildtilt.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.stage.Popup;
import mildtilt.app.controls.Wrap;
import org.jspecify.annotations.Nullable;

/**
 * The one search field: finds a command, a part, a point, a finding, a figure or a word of the glossary, and goes
 * there.
 */
final class FindField extends TextField {

    /**
     * Something that can be found.
     *
     * @param kind of thing, as the user reads it
     * @param run goes there, or does it
     */
    record Found(String kind, String text, Runnable run) {

        private boolean holds(List<String> words) {
            String all = (text + " " + kind).toLowerCase(Locale.ROOT);
            return words.stream().allMatch(all::contains);
        }

        /** Beginnings of words before middles of words. */
        private int rank(List<String> words) {
            String t = text.toLowerCase(Locale.ROOT);
            String first = words.getFirst();
            return t.startsWith(first) ? 0 : t.contains(" " + first) ? 1 : 2;
        }
    }

    private static final int MOST = 40;
    private static final double ROW = 28;
    private static final int ROWS = 9;

    private final Supplier<List<Found>> all;
    private final ListView<Found> list = new ListView<>();
    private final Popup popup = new Popup();

    /** @param all what can be found, read when a search begins */
    FindField(Supplier<List<Found>> all) {
        this.all = all;
        setId("find");
        getStyleClass().add("find-field");
        setPromptText("Find anything   Ctrl+K");
        setAccessibleText("Find a command, part, point, finding, figure or word");
        setTooltip(new Tooltip("Find a command, part, point, finding, figure or word (Ctrl+K)"));
        setMinWidth(120);
        setPrefWidth(210);
        setMaxWidth(260);
        list.setId("found");
        list.getStyleClass().add("found-list");
        list.setFixedCellSize(ROW);
        list.setPrefWidth(430);
        list.setFocusTraversable(false);
        list.setCellFactory(_ -> new Cell());
        list.setOnMouseClicked(_ -> take());
        popup.getContent().add(list);
        popup.setAutoHide(true);
        textProperty().addListener((_, _, text) -> search(text));
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        focusedProperty().addListener((_, _, focused) -> {
            if (!focused) {
                popup.hide();
            }
        });
    }

    private static final class Cell extends ListCell<Found> {
        @Override
        protected void updateItem(@Nullable Found item, boolean empty) {
            super.updateItem(item, empty);
            if (empty || item == null) {
                setGraphic(null);
                return;
            }
            Label text = new Label(item.text);
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            Label kind = Wrap.whole(item.kind);
            kind.getStyleClass().add("hint");
            HBox row = new HBox(8, text, gap, kind);
            row.setAlignment(Pos.CENTER_LEFT);
            row.setMaxWidth(400);
            setGraphic(row);
        }
    }

    private void search(String text) {
        List<String> words = List.of(text.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        if (text.isBlank() || getScene() == null) {
            popup.hide();
            return;
        }
        List<Found> found =
                new ArrayList<>(all.get().stream().filter(f -> f.holds(words)).toList());
        found.sort((a, b) -> Integer.compare(a.rank(words), b.rank(words)));
        list.getItems().setAll(found.stream().limit(MOST).toList());
        if (found.isEmpty()) {
            list.getItems().setAll(new Found("", "Nothing is called \"" + text.strip() + "\"", () -> {}));
        }
        list.getSelectionModel().selectFirst();
        list.scrollTo(0);
        list.setPrefHeight(Math.min(ROWS, list.getItems().size()) * ROW + 4);
        Bounds at = localToScreen(getBoundsInLocal());
        if (at != null && !popup.isShowing()) {
            list.getStylesheets().setAll(getScene().getStylesheets());
            popup.show(this, at.getMaxX() - list.getPrefWidth(), at.getMaxY() + 2);
        }
    }

    private void key(KeyEvent e) {
        int at = list.getSelectionModel().getSelectedIndex();
        switch (e.getCode()) {
            case DOWN -> choose(at + 1);
            case UP -> choose(at - 1);
            case ENTER -> take();
            case ESCAPE -> leave();
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void choose(int at) {
        if (popup.isShowing() && at >= 0 && at < list.getItems().size()) {
            list.getSelectionModel().select(at);
            list.scrollTo(Math.max(0, at - ROWS + 1));
        }
    }

    private void take() {
        Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                .filter(_ -> popup.isShowing())
                .ifPresent(f -> {
                    leave();
                    f.run.run();
                });
    }

    private void leave() {
        popup.hide();
        clear();
        if (getParent() != null) {
            getParent().requestFocus();
        }
    }
}
