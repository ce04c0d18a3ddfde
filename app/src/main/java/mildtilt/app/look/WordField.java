package mildtilt.app.look;

import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

/** A field for words. Enter or leaving it takes what was typed; Escape puts back what was there. */
public final class WordField extends TextField {

    private final String shown;
    private final Consumer<String> take;
    private String taken;

    public WordField(String shown, Consumer<String> take) {
        super(shown);
        this.shown = shown;
        this.taken = shown;
        this.take = take;
        getStyleClass().add("word-field");
        setOnAction(_ -> commit());
        focusedProperty().addListener((_, _, focused) -> {
            if (!focused) {
                commit();
            }
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                setText(shown);
                e.consume();
            }
        });
    }

    private void commit() {
        // Taking it may build this field anew, which takes the focus from this one: it is taken once.
        if (!getText().equals(shown) && !getText().equals(taken)) {
            taken = getText();
            take.accept(getText());
        }
    }
}
