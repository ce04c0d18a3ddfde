package mildtilt.app.look;

import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleFunction;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import mildtilt.measure.UnreadableMeasureException;
import org.jspecify.annotations.Nullable;

/**
 * A field for one measure. Enter or leaving it takes what was typed; Escape puts back what was there. What
 * can't be read stays to be mended, marked, with the reason; nothing is taken.
 */
public final class MeasureField extends TextField {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final String shown;
    private final ToDoubleFunction<String> read;
    private final DoubleConsumer take;
    private final Consumer<String> refuse;
    private @Nullable String taken;

    public MeasureField(String shown, ToDoubleFunction<String> read, DoubleConsumer take,
            Consumer<String> refuse) {
        super(shown);
        this.shown = shown;
        this.read = read;
        this.take = take;
        this.refuse = refuse;
        getStyleClass().add("measure-field");
        setOnAction(_ -> commit());
        focusedProperty().addListener((_, _, focused) -> {
            if (!focused) {
                commit();
            }
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                setText(shown);
                mark(null);
                e.consume();
            }
        });
    }

    private void commit() {
        // Taking it may build this field anew, which takes the focus from this one: it is taken once.
        if (getText().equals(shown) || getText().equals(taken)) {
            mark(null);
            return;
        }
        try {
            double value = read.applyAsDouble(getText());
            mark(null);
            taken = getText();
            take.accept(value);
        } catch (UnreadableMeasureException e) {
            mark(e.getMessage());
            refuse.accept(e.getMessage());
        }
    }

    private void mark(@Nullable String why) {
        pseudoClassStateChanged(WRONG, why != null);
        setTooltip(why == null ? null : new Tooltip(why));
    }
}
