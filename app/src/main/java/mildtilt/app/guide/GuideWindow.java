package mildtilt.app.guide;

import java.util.List;
import javafx.application.Platform;
import javafx.collections.ObservableList;
import javafx.geometry.Insets;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import javafx.stage.Window;

/**
 * The guide in a window of its own, which may stay open during the work: the questions on the left, the page
 * beside them.
 */
public final class GuideWindow {

    private static final double WIDTH = 980;
    private static final double HEIGHT = 720;
    private static final double QUESTION_WIDTH = 230;

    private final Stage stage = new Stage();
    private final ListView<GuidePage> questions = new ListView<>();
    private final ScrollPane page = new ScrollPane();

    /** @param sheets the style sheets of the window it belongs to */
    public GuideWindow(Window owner, ObservableList<String> sheets) {
        stage.initOwner(owner);
        stage.setTitle("Mild Tilt: guide");
        questions.setId("guide-questions");
        questions.setAccessibleText("Questions of the guide");
        questions.getItems().setAll(List.of(GuidePage.values()));
        questions.setCellFactory(_ -> new QuestionCell());
        questions.setPrefWidth(270);
        questions.getSelectionModel().selectedItemProperty().addListener((_, _, p) -> show(p));
        page.setId("guide-page");
        page.setFitToWidth(true);
        BorderPane all = new BorderPane(page);
        all.setLeft(questions);
        Scene scene = new Scene(all, WIDTH, HEIGHT);
        scene.getStylesheets().setAll(sheets);
        scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                stage.close();
            }
        });
        stage.setScene(scene);
    }

    /** Opens it, or brings it to the front, at a page. */
    public void open(GuidePage at) {
        questions.getSelectionModel().select(at);
        stage.show();
        stage.toFront();
    }

    public void close() {
        stage.close();
    }

    private void show(GuidePage p) {
        page.setContent(MarkdownNodes.of(
                p.text(), to -> GuidePage.linked(to).ifPresent(questions.getSelectionModel()::select)));
        // Once it has been laid out: a page of another length would keep its share of the way down.
        Platform.runLater(() -> page.setVvalue(0));
    }

    private static final class QuestionCell extends ListCell<GuidePage> {
        @Override
        protected void updateItem(GuidePage p, boolean empty) {
            super.updateItem(p, empty);
            if (empty || p == null) {
                setGraphic(null);
                return;
            }
            Label question = new Label(p.ordinal() + 1 + ".  " + p.question());
            question.setWrapText(true);
            question.setPadding(new Insets(5, 0, 5, 0));
            question.setPrefWidth(QUESTION_WIDTH);
            question.setMinHeight(Region.USE_PREF_SIZE);
            setPrefWidth(QUESTION_WIDTH);
            setGraphic(question);
        }
    }
}
