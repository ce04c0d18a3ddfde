package mildtilt.id;

import java.util.Collection;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * The id of one thing of a job. Three forms:
 *
 * <ul>
 *   <li>numbered, what a job can have many of: {@code shaft-2}, {@code obstacle-11};
 *   <li>fixed, what a vehicle has one of: {@code hub}, {@code left_tyre}, {@code rack_housing};
 *   <li>a part of either, after a dot: {@code joint-1.centre}, {@code left.lower_ball_joint}, {@code shaft-2.pair}.
 * </ul>
 *
 * @param text lower-case letters, digits, and {@code _ - .}; at most 80 characters
 */
public record Id(String text) implements Comparable<Id> {

    /** So many characters at most. */
    public static final int LONGEST = 80;

    /** How one is written, as a regular expression. */
    public static final String PATTERN = "[a-z][a-z0-9_]*(-[1-9][0-9]{0,8})?(\\.[a-z0-9_]+)*";

    private static final Pattern FORM = Pattern.compile(PATTERN);

    private static final Pattern NUMBERED = Pattern.compile("([a-z]+)-([1-9][0-9]{0,8})");

    /**
     * What a job can have many of. A number is given once: a new one is above every number that is still referred to.
     */
    public enum Kind {
        SHAFT,
        JOINT,
        BEARING,
        OBSTACLE,
        /** A surveyed point that is no point of the job. */
        MARK,
        /** A printed mark that is stuck on the vehicle; its number is the one that is printed on it. */
        TARGET,
        /** A photograph that is measured from. */
        PHOTO,
        /** A join in a shaft. */
        JOIN,
        PIECE,
        /** A heat record. */
        WELD,
        /** Something to buy added by hand. */
        PURCHASE,
        /** Something to inspect added by hand. */
        CHECK,
        /** A vehicle built to the plan. */
        VEHICLE,
        TRIAL,
        VARIANT;

        private String prefix() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** @param number from 1 to 999 999 999 */
        public Id number(int number) {
            return new Id(prefix() + "-" + number);
        }

        /**
         * The id after the highest of its kind among those taken, parts of one counted as it; other kinds don't matter.
         */
        public Id next(Collection<Id> taken) {
            return number(
                    1 + taken.stream().mapToInt(id -> id.numberAs(this)).max().orElse(0));
        }

        /** As {@link #next(Collection)}. */
        public Id next(Stream<Id> taken) {
            return next(taken.toList());
        }

        /** The first id of this kind. */
        public Id first() {
            return number(1);
        }
    }

    /** @throws ImpossibleGeometryException if the text has another form */
    public Id {
        if (text.length() > LONGEST || !FORM.matcher(text).matches()) {
            throw new ImpossibleGeometryException("\"" + text.substring(0, Math.min(text.length(), LONGEST))
                    + "\" is no id: an id is written like shaft-2, left_tyre or joint-1.centre.");
        }
    }

    /** A fixed id after an enum's constant: {@code LEFT_TIE_ROD} is {@code left_tie_rod}. */
    public static Id of(Enum<?> constant) {
        return new Id(constant.name().toLowerCase(Locale.ROOT));
    }

    /** @return 0 if it is not of the kind */
    private int numberAs(Kind kind) {
        Matcher m = NUMBERED.matcher(whole().text);
        return m.matches() && m.group(1).equals(kind.prefix()) ? Integer.parseInt(m.group(2)) : 0;
    }

    public boolean is(Kind kind) {
        return numberAs(kind) > 0 && !text.contains(".");
    }

    /** A part of this thing. */
    public Id part(String name) {
        return new Id(text + "." + name);
    }

    /** The thing that this is a part of, or itself. */
    public Id whole() {
        int dot = text.indexOf('.');
        return dot < 0 ? this : new Id(text.substring(0, dot));
    }

    @Override
    public int compareTo(Id other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
