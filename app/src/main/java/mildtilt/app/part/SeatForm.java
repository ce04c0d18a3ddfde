package mildtilt.app.part;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import mildtilt.column.Seat;
import mildtilt.job.Job;

/** The forms an end or a bore can have, as a choice. */
enum SeatForm {
    ROUND("round"),
    SPLINE("spline"),
    DOUBLE_D("double-D"),
    KEYED("keyed");

    private static final int USUAL_TEETH = 36;
    private static final double USUAL_FLATS = 0.8;
    private static final double USUAL_KEY = 0.3;

    private final String label;

    SeatForm(String label) {
        this.label = label;
    }

    static SeatForm of(Seat seat) {
        return switch (seat) {
            case Seat.Round _ -> ROUND;
            case Seat.Splined _ -> SPLINE;
            case Seat.DoubleD _ -> DOUBLE_D;
            case Seat.Keyed _ -> KEYED;
        };
    }

    /** In its usual sizes for a diameter. */
    Seat usual(double diameter) {
        return switch (this) {
            case ROUND -> new Seat.Round(diameter);
            case SPLINE -> new Seat.Splined(diameter, USUAL_TEETH);
            case DOUBLE_D -> new Seat.DoubleD(diameter, Math.rint(10 * USUAL_FLATS * diameter) / 10);
            case KEYED -> new Seat.Keyed(diameter, Math.rint(USUAL_KEY * diameter));
        };
    }

    /** A form chosen; where nothing need be known, that too, first. */
    static PieceChoice choice(String label, Optional<Seat> seat, String none, double diameter,
            BiFunction<Job, Optional<Seat>, Job> set) {
        List<String> options = Stream.concat(Stream.of(none).filter(n -> !n.isEmpty()), Stream.of(values()).map(f -> f.label)).toList();
        int first = none.isEmpty() ? 0 : 1;
        return new PieceChoice(label, "", options, seat.map(s -> of(s).ordinal() + first).orElse(0),
                (j, i) -> set.apply(j, i < first ? Optional.empty() : Optional.of(values()[i - first].usual(diameter))));
    }
}
