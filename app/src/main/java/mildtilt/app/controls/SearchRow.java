package mildtilt.app.controls;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** The button that starts a search, and while it runs the one that gives it up beside how far it is. */
public final class SearchRow extends HBox {

    private final Button start;
    private final Button giveUp = new Button("Give up");
    private final ProgressBar bar = new ProgressBar(0);

    /**
     * @param text on the button that starts it
     * @param startId of that button
     * @param giveUpId of the other
     */
    public SearchRow(String text, String startId, String giveUpId, Runnable run, Runnable stop) {
        super(8);
        start = new Button(text);
        start.setId(startId);
        start.getStyleClass().add("take-remedy");
        start.setOnAction(_ -> run.run());
        giveUp.setId(giveUpId);
        giveUp.setOnAction(_ -> stop.run());
        bar.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(bar, Priority.ALWAYS);
        getChildren().addAll(start, giveUp, bar);
        setAlignment(Pos.CENTER_LEFT);
        searching(false);
    }

    public void searching(boolean is) {
        start.setVisible(!is);
        start.setManaged(!is);
        giveUp.setVisible(is);
        giveUp.setManaged(is);
        bar.setVisible(is);
        if (is) {
            bar.setProgress(0);
        }
    }

    /** Takes the focus, so that the field that had it commits its text. */
    public void takeFocus() {
        start.requestFocus();
    }

    public void progress(double done) {
        bar.setProgress(done);
    }

    public void setStartable(boolean can) {
        start.setDisable(!can);
    }
}
