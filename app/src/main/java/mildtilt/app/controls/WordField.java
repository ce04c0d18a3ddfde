package mildtilt.app.controls;

import java.util.function.Consumer;

/** A field for words. Enter or leaving it takes what was typed; Escape puts back what was there. */
public final class WordField extends TypedField {

    private final Consumer<String> take;

    public WordField(String shown, Consumer<String> take) {
        super(shown);
        this.take = take;
        getStyleClass().add("word-field");
    }

    @Override
    void take() {
        take.accept(getText());
    }
}
