package mildtilt.app.start;

import java.util.Optional;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.stage.Modality;
import javafx.stage.Window;
import mildtilt.app.controls.Wrap;
import mildtilt.glossary.Glossary;
import mildtilt.glossary.Glossary.Term;

/** Every word of the field, to be looked up beside the work. */
public final class GlossarySheet {

    private GlossarySheet() {}

    /** @param about a word or a figure's label to begin at; all of them if nothing is */
    public static void show(Window owner, Optional<String> about) {
        Dialog<ButtonType> sheet = new Dialog<>();
        sheet.initOwner(owner);
        sheet.initModality(Modality.NONE);
        sheet.setTitle("Glossary");
        TextField search = new TextField(
                about.map(a -> Glossary.explaining(a).map(Term::name).orElse(a)).orElse(""));
        search.setId("glossary-search");
        search.setPromptText("a word");
        search.setAccessibleText("Look for");
        VBox terms = new VBox(8);
        terms.setId("glossary-terms");
        ScrollPane scroll = new ScrollPane(terms);
        scroll.setFitToWidth(true);
        scroll.setPrefSize(520, 440);
        search.textProperty().addListener((_, _, t) -> fill(terms, t));
        fill(terms, search.getText());
        sheet.getDialogPane().setContent(new VBox(8, search, scroll));
        sheet.getDialogPane().getStyleClass().add("glossary");
        sheet.getDialogPane().getButtonTypes().add(ButtonType.CLOSE);
        sheet.show();
    }

    private static void fill(VBox terms, String words) {
        terms.getChildren().clear();
        for (Term t : words.isBlank() ? Glossary.terms() : Glossary.find(words)) {
            Label name = new Label(t.name());
            name.getStyleClass().add("sub-head");
            VBox one = new VBox(1, name, Wrap.text(t.meaning(), "step"));
            if (!t.usual().isEmpty()) {
                one.getChildren().add(Wrap.text("Usual: " + t.usual(), "hint"));
            }
            terms.getChildren().add(one);
        }
        if (terms.getChildren().isEmpty()) {
            terms.getChildren().add(Wrap.text("No entry found.", "hint"));
        }
    }
}
