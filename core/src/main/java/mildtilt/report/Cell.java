package mildtilt.report;

import java.time.LocalDate;
import java.util.Optional;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** One cell of a table: what it holds, apart from how it is shown. */
public sealed interface Cell {

    /** As it is read on screen and on paper. */
    String text(LengthUnit unit);

    /** As it stands in a CSV: a number, or text; lengths in mm, angles in degrees. */
    Object raw();

    /** Whether it stands to the right of its column. */
    default boolean figure() {
        return this instanceof Figure || this instanceof Count || this instanceof Money;
    }

    record Words(String words) implements Cell {
        @Override
        public String text(LengthUnit unit) {
            return words;
        }

        @Override
        public Object raw() {
            return words;
        }
    }

    /** A sentence with measures in it. */
    record Sentence(Phrase phrase) implements Cell {
        @Override
        public String text(LengthUnit unit) {
            return phrase.text(unit);
        }

        @Override
        public Object raw() {
            return phrase.text(LengthUnit.MM);
        }
    }

    record Figure(Quantity quantity) implements Cell {
        @Override
        public String text(LengthUnit unit) {
            return quantity.text(unit);
        }

        @Override
        public Object raw() {
            return quantity.value();
        }
    }

    record Count(long n) implements Cell {
        @Override
        public String text(LengthUnit unit) {
            return Long.toString(n);
        }

        @Override
        public Object raw() {
            return n;
        }
    }

    /** In whatever money the workshop counts in. */
    record Money(double amount) implements Cell {
        @Override
        public String text(LengthUnit unit) {
            return LengthText.decimal(amount, 2);
        }

        @Override
        public Object raw() {
            return amount;
        }
    }

    static Cell of(String words) {
        return new Words(words);
    }

    static Cell of(Phrase phrase) {
        return new Sentence(phrase);
    }

    static Cell of(Quantity q) {
        return new Figure(q);
    }

    static Cell of(Optional<Quantity> q) {
        return q.<Cell>map(Figure::new).orElse(new Words(""));
    }

    static Cell day(Optional<LocalDate> day) {
        return new Words(day.map(LocalDate::toString).orElse(""));
    }

    static Cell of(long n) {
        return new Count(n);
    }
}
