package mildtilt.app.look;

import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleFunction;
import javafx.css.PseudoClass;
import javafx.scene.control.Tooltip;
import mildtilt.measure.UnreadableMeasureException;
import org.jspecify.annotations.Nullable;

/**
 * A field for one measure. Enter or leaving it takes what was typed; Escape puts back what was there. What
 * can't be read stays to be mended, marked, with the reason; nothing is taken.
 */
public final class MeasureField extends TypedField {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final ToDoubleFunction<String> read;
    private final DoubleConsumer take;
    private final Consumer<String> refuse;
    private double value;

    public MeasureField(String shown, ToDoubleFunction<String> read, DoubleConsumer take,
            Consumer<String> refuse) {
        super(shown);
        this.read = read;
        this.take = take;
        this.refuse = refuse;
        getStyleClass().add("measure-field");
    }

    @Override
    void unchanged() {
        mark(null);
    }

    @Override
    boolean readable() {
        try {
            value = read.applyAsDouble(getText());
            mark(null);
            return true;
        } catch (UnreadableMeasureException e) {
            mark(e.getMessage());
            refuse.accept(e.getMessage());
            return false;
        }
    }

    @Override
    void take() {
        take.accept(value);
    }

    private void mark(@Nullable String why) {
        pseudoClassStateChanged(WRONG, why != null);
        setTooltip(why == null ? null : new Tooltip(why));
    }
}
