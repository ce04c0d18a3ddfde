package mildtilt.app.part;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import mildtilt.app.forms.ChoiceField;
import mildtilt.column.ShaftProfile;
import mildtilt.job.Job;

/** The forms an end or a bore can have, as a choice. */
enum ProfileForm {
    ROUND("round"),
    SPLINE("spline"),
    DOUBLE_D("double-D"),
    KEYED("keyed");

    private static final int USUAL_TEETH = 36;
    private static final double USUAL_FLATS = 0.8;
    private static final double USUAL_KEY = 0.3;

    private final String label;

    ProfileForm(String label) {
        this.label = label;
    }

    static ProfileForm of(ShaftProfile seat) {
        return switch (seat) {
            case ShaftProfile.Round _ -> ROUND;
            case ShaftProfile.Splined _ -> SPLINE;
            case ShaftProfile.DoubleD _ -> DOUBLE_D;
            case ShaftProfile.Keyed _ -> KEYED;
        };
    }

    /** In its usual sizes for a diameter. */
    ShaftProfile usual(double diameter) {
        return switch (this) {
            case ROUND -> new ShaftProfile.Round(diameter);
            case SPLINE -> new ShaftProfile.Splined(diameter, USUAL_TEETH);
            case DOUBLE_D -> new ShaftProfile.DoubleD(diameter, Math.rint(10 * USUAL_FLATS * diameter) / 10);
            case KEYED -> new ShaftProfile.Keyed(diameter, Math.rint(USUAL_KEY * diameter));
        };
    }

    /** A form chosen; where nothing need be known, that too, first. */
    static ChoiceField choice(
            String id,
            String label,
            Optional<ShaftProfile> seat,
            String none,
            double diameter,
            BiFunction<Job, Optional<ShaftProfile>, Job> set) {
        List<String> options = Stream.concat(
                        Stream.of(none).filter(n -> !n.isEmpty()),
                        Stream.of(values()).map(f -> f.label))
                .toList();
        int first = none.isEmpty() ? 0 : 1;
        return new ChoiceField(
                id,
                label,
                "",
                options,
                seat.map(s -> of(s).ordinal() + first).orElse(0),
                (j, i) ->
                        set.apply(j, i < first ? Optional.empty() : Optional.of(values()[i - first].usual(diameter))));
    }
}
