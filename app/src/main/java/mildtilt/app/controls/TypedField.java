package mildtilt.app.controls;

import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.jspecify.annotations.Nullable;

/** A field whose text is taken by Enter or by leaving it; Escape puts back what was there. */
abstract class TypedField extends TextField {

    private String shown;
    private @Nullable String taken;

    TypedField(String shown) {
        super(shown);
        this.shown = shown;
        setOnAction(_ -> commit());
        focusedProperty().addListener((_, _, focused) -> {
            if (!focused) {
                commit();
            }
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                setText(this.shown);
                unchanged();
                e.consume();
            }
        });
    }

    /** Shows what is so now, unless somebody is typing. */
    public final void show(String now) {
        if (getText().equals(shown)) {
            shown = now;
            setText(now);
        }
    }

    private void commit() {
        // Taking it may build this field anew, which takes the focus from this one: it is taken once.
        if (getText().equals(shown) || getText().equals(taken)) {
            unchanged();
        } else if (readable()) {
            taken = getText();
            take();
        }
    }

    /** What stands in the field is what stood there. */
    void unchanged() {}

    /** Whether what was typed can be taken; if not, the field says so. */
    boolean readable() {
        return true;
    }

    abstract void take();
}
