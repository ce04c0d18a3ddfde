package mildtilt.app.controls;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.css.PseudoClass;
import javafx.scene.control.Tooltip;
import mildtilt.units.UnreadableMeasureException;
import org.jspecify.annotations.Nullable;

/**
 * A field for one measure. Enter or leaving it takes what was typed; Escape puts back what was there. Text that can't
 * be read stays, marked, with the reason; the value does not change.
 */
public final class MeasureField extends TypedField {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    /** What is shown for a measure that is not known, and typed to take one away. */
    public static final String NONE = "none";

    private final Function<String, Optional<Double>> read;
    private final Consumer<Optional<Double>> take;
    private final Consumer<String> refuse;
    private Optional<Double> value = Optional.empty();
    private @Nullable String exact;

    public MeasureField(String shown, ToDoubleFunction<String> read, DoubleConsumer take, Consumer<String> refuse) {
        this(refuse, shown, t -> Optional.of(read.applyAsDouble(t)), v -> v.ifPresent(take::accept));
    }

    /** One that need not be known: nothing, or "none", takes it away. */
    public static MeasureField optional(
            String shown, ToDoubleFunction<String> read, Consumer<Optional<Double>> take, Consumer<String> refuse) {
        return new MeasureField(
                refuse,
                shown,
                t -> t.isBlank() || t.strip().equalsIgnoreCase(NONE)
                        ? Optional.empty()
                        : Optional.of(read.applyAsDouble(t)),
                take);
    }

    private MeasureField(
            Consumer<String> refuse,
            String shown,
            Function<String, Optional<Double>> read,
            Consumer<Optional<Double>> take) {
        super(shown);
        this.read = read;
        this.take = take;
        this.refuse = refuse;
        getStyleClass().add("measure-field");
    }

    /** The exact value where the text shows it rounded; shown on hover. */
    public void exact(String text) {
        exact = text.equals(getText()) ? null : "Exactly " + text;
        mark(null);
    }

    @Override
    void unchanged() {
        mark(null);
    }

    @Override
    boolean readable() {
        try {
            value = read.apply(getText());
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
        String description = why == null ? exact : why;
        setTooltip(description == null ? null : new Tooltip(description));
    }
}
