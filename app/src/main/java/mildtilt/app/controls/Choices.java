package mildtilt.app.controls;

import java.util.List;
import java.util.function.Function;
import javafx.scene.control.ChoiceBox;
import javafx.util.StringConverter;

/** Choice boxes over the values of an enum, or over a list. */
public final class Choices {

    private Choices() {}

    /**
     * @param id for the style sheet and the tests
     * @param meaning what is chosen, as read out
     */
    public static <T extends Enum<T>> ChoiceBox<T> of(
            Class<T> kind, Function<T, String> label, String id, String meaning) {
        return of(List.of(kind.getEnumConstants()), label, id, meaning);
    }

    /** The same over any things. */
    public static <T> ChoiceBox<T> of(List<T> from, Function<T, String> label, String id, String meaning) {
        ChoiceBox<T> box = new ChoiceBox<>();
        box.setId(id);
        box.setAccessibleText(meaning);
        box.getItems().setAll(from);
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : label.apply(value);
            }

            @Override
            public T fromString(String text) {
                throw new UnsupportedOperationException("a choice is never typed");
            }
        });
        return box;
    }
}
