package mildtilt.build;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * What was wanted and what was done when a knuckle, an arm or a shaft was welded.
 *
 * @param id a heat record's
 * @param piece what was welded, in words
 * @param preheat wanted before the arc is struck, °C
 * @param mostBetween wanted at most between runs, °C
 * @param coolPerHour how fast it may cool after, °C an hour
 * @param filler wire or rod, as written on it
 * @param readings in order of time
 * @param weldedBy who welded: a role or licence
 * @param inspectedBy who looked at it or tested it after, and how
 */
@Withers
public record WeldRecord(
        Id id,
        String piece,
        WeldedMetal metal,
        double preheat,
        double mostBetween,
        double coolPerHour,
        String filler,
        List<Reading> readings,
        String weldedBy,
        String inspectedBy,
        Optional<LocalDate> day)
        implements WeldRecordBuilder.With {

    /** When a temperature was read. */
    public enum Moment {
        PREHEAT("heating"),
        WELDING("between runs"),
        COOLING("cooling");

        private final String label;

        Moment(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** @param minutes from the beginning; @param celsius at the piece, a hand's breadth from the weld */
    public record Reading(double minutes, double celsius, Moment moment) {
        public Reading {
            if (!(minutes >= 0 && minutes <= 100_000) || !(celsius >= -60 && celsius <= 1500)) {
                throw new ImpossibleGeometryException(
                        "A reading needs a time of 0 minutes or more and a temperature from −60 to 1500 °C.");
            }
        }
    }

    public WeldRecord {
        readings = readings.stream()
                .sorted(Comparator.comparingDouble(Reading::minutes))
                .toList();
        if (!(preheat >= 0 && preheat <= 800)
                || !(mostBetween >= preheat && mostBetween <= 900)
                || !(coolPerHour > 0)) {
            throw new ImpossibleGeometryException(
                    "Preheat must be 0 to 800 °C, the most between runs above it, and the cooling rate above 0.");
        }
    }

    /** With the temperatures that are usual for a metal, to be replaced by those of the welder's own procedure. */
    public static WeldRecord usual(Id id, String piece, WeldedMetal metal) {
        return new WeldRecord(
                id,
                piece,
                metal,
                metal.preheat(),
                metal.mostBetween(),
                metal.coolPerHour(),
                "",
                List.of(),
                "",
                "",
                Optional.empty());
    }

    public WeldRecord withMetal(WeldedMetal m) {
        return new WeldRecord(
                id,
                piece,
                m,
                m.preheat(),
                m.mostBetween(),
                m.coolPerHour(),
                filler,
                readings,
                weldedBy,
                inspectedBy,
                day);
    }

    public WeldRecord withWanted(double pre, double most, double cool) {
        return new WeldRecord(id, piece, metal, pre, most, cool, filler, readings, weldedBy, inspectedBy, day);
    }

    public WeldRecord withWords(String fill, String welder, String inspector) {
        return new WeldRecord(
                id, piece, metal, preheat, mostBetween, coolPerHour, fill, readings, welder, inspector, day);
    }

    public WeldRecord withReading(Reading r) {
        List<Reading> all = new ArrayList<>(readings);
        all.add(r);
        return withReadings(all);
    }
}
