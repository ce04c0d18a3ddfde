package mildtilt.app.controls;

import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.jspecify.annotations.Nullable;

/** A field that commits its text on Enter or when it loses the focus; Escape restores the old text. */
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

    /** Shows the present value, unless the user is typing. */
    public final void show(String now) {
        if (getText().equals(shown)) {
            shown = now;
            setText(now);
        }
    }

    private void commit() {
        // Committing may rebuild this field, which takes its focus: commit once only.
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
