package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.WeldRecord;
import mildtilt.build.WeldRecord.Moment;
import mildtilt.build.WeldRecord.Reading;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A weld's heat, wanted against read.
 *
 * @param hottestBefore the highest reading of the heating, °C
 * @param hottestBetween the highest reading between runs, °C
 * @param lowestBetween the lowest reading between runs, °C
 * @param fastestCooling over any two neighbouring readings from the last run on, °C an hour
 * @param wrong what is not as wanted, or not read
 */
public record HeatVerdict(
        Optional<Double> hottestBefore,
        Optional<Double> hottestBetween,
        Optional<Double> lowestBetween,
        Optional<Double> fastestCooling,
        List<Phrase> wrong) {

    /** Cooling is watched down to this, °C: below it nothing in the steel changes any more. */
    private static final double COLD = 100;

    public static HeatVerdict of(WeldRecord w) {
        Optional<Double> before = hottest(w, Moment.PREHEAT);
        Optional<Double> between = hottest(w, Moment.WELDING);
        Optional<Double> lowest = w.readings().stream()
                .filter(r -> r.moment() == Moment.WELDING)
                .map(Reading::celsius)
                .min(Double::compare);
        Optional<Double> cooling = cooling(w);
        List<Phrase> wrong = new ArrayList<>();
        if (!w.metal().weldable()) {
            wrong.add(Phrase.of("A steering part of this metal (" + w.metal().label()
                    + ") is not welded: find out what it is, or make or buy another part."));
        }
        boolean heated = w.preheat() > 50;
        if (heated && before.isEmpty()) {
            wrong.add(Phrase.of(
                    "No reading of the heating: the preheat of {0} is not shown to have been reached.",
                    Quantity.temperature(w.preheat())));
        } else if (heated && before.get() < w.preheat()) {
            wrong.add(Phrase.of(
                    "Heated to {0}; {1} was wanted before the arc.",
                    Quantity.temperature(before.get()), Quantity.temperature(w.preheat())));
        }
        if (heated && lowest.filter(c -> c < w.preheat()).isPresent()) {
            wrong.add(Phrase.of(
                    "Down to {0} between runs; it should stay at {1} or above.",
                    Quantity.temperature(lowest.get()), Quantity.temperature(w.preheat())));
        }
        if (between.filter(c -> c > w.mostBetween()).isPresent()) {
            wrong.add(Phrase.of(
                    "Up to {0} between runs; {1} was the most wanted.",
                    Quantity.temperature(between.get()), Quantity.temperature(w.mostBetween())));
        }
        if (cooling.filter(c -> c > w.coolPerHour()).isPresent()) {
            wrong.add(Phrase.of("Cooled by as much as " + Math.round(cooling.get()) + " °C an hour; no more than "
                    + Math.round(w.coolPerHour()) + " was wanted. It may be hard and cracked: have it tested."));
        } else if (heated && cooling.isEmpty()) {
            wrong.add(Phrase.of(
                    "The cooling was not read: two readings at least, the last below {0}.",
                    Quantity.temperature(COLD)));
        }
        if (w.weldedBy().isBlank() || w.inspectedBy().isBlank() || w.day().isEmpty()) {
            wrong.add(Phrase.of("Not signed yet: who welded, who inspected, and the day."));
        }
        return new HeatVerdict(before, between, lowest, cooling, List.copyOf(wrong));
    }

    private static Optional<Double> hottest(WeldRecord w, Moment m) {
        return w.readings().stream()
                .filter(r -> r.moment() == m)
                .map(Reading::celsius)
                .max(Double::compare);
    }

    private static Optional<Double> cooling(WeldRecord w) {
        Optional<Double> fastest = Optional.empty();
        Reading last = null;
        for (Reading r : w.readings()) {
            if (r.moment() == Moment.COOLING && last != null && r.minutes() > last.minutes() && last.celsius() > COLD) {
                double rate = (last.celsius() - r.celsius()) / (r.minutes() - last.minutes()) * 60;
                fastest = Optional.of(Math.max(rate, fastest.orElse(rate)));
            }
            last = r.moment() == Moment.PREHEAT ? null : r;
        }
        return fastest;
    }
}
