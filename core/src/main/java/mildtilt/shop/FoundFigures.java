package mildtilt.shop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.build.AsFound;
import mildtilt.build.PartAsFound;
import mildtilt.build.ShaftJoin;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A part of the column as it was found, against what the plan makes of it.
 *
 * <p>A shaft has to be as long as the plan cuts it. A tube has to reach from its upper bearing to its lower one and
 * stand out beyond both; where it can't be cut that short, the lower bearing sits where it then ends. A shroud must end
 * where the tube does, or a little before the first fork, which turns.
 *
 * @param at the part on the train
 * @param which of the three kinds
 * @param shaft whose it is, 0 the one at the wheel
 * @param found lengths, mm
 * @param wanted length by the plan, mm; below 0 where there is no room for it
 * @param toJoint of a tube: from its lower bearing to the first joint, or to the gear, once it is cut as far as it
 *     goes, mm; of a shroud: from its lower edge to the fork. Below 0 past it. Empty for a shaft
 * @param next the joint or gear that is meant
 * @param made of a shaft with a join, what is made new where the rest is too short: what lies between two joins, else
 *     its shorter end that is long enough, but never where it slides; empty, too, where a shaft slides and it is not
 *     said where
 */
public record FoundFigures(
        Element at,
        Which which,
        int shaft,
        String name,
        PartAsFound found,
        double wanted,
        Optional<Double> toJoint,
        String next,
        Optional<Piece> made) {

    /** A tape reads no closer, mm: what is off by less goes in as it is. */
    public static final double TAPE = 0.5;

    /** A shroud stays so far away from the fork, mm. */
    private static final double CLEAR = 5;

    /** What can be found. */
    public enum Which {
        SHAFT("gear end"),
        TUBE("lower end"),
        SHROUD("lower edge");

        private final String end;

        Which(String end) {
            this.end = end;
        }

        /** Where the saw takes something off. */
        String end() {
            return end;
        }
    }

    /** Whether it will do. */
    public enum Verdict {
        AS_IT_IS("goes in as it is"),
        CUT("is cut"),
        LENGTHENED("is lengthened"),
        TOO_LONG("can't be cut short enough"),
        TOO_SHORT("is too short");

        private final String label;

        Verdict(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        public boolean bad() {
            return this == TOO_LONG || this == TOO_SHORT;
        }
    }

    /** Of all parts of the column that were found, in the order of the train; none without a column. */
    public static List<FoundFigures> of(Job job) {
        List<FoundFigures> all = new ArrayList<>();
        AsFound found = job.making().asFound();
        job.column().ifPresent(c -> {
            for (int i = 0; i < c.shafts().size(); i++) {
                int at = i;
                found.shaft(c.shafts().get(i).id()).ifPresent(p -> all.add(ofShaft(job, c, at, p)));
            }
            double tubeEnd = c.tube()
                    .map(t -> {
                        Optional<FoundFigures> f = found.tube().map(p -> ofTube(c, p));
                        f.ifPresent(all::add);
                        return t.from() - t.beyond() + f.map(FoundFigures::left).orElse(t.length());
                    })
                    .orElse(fork(c) - CLEAR);
            found.shroud().ifPresent(s -> {
                double end = Math.min(tubeEnd, fork(c) - CLEAR);
                double left =
                        Math.clamp(end - s.from(), s.part().least(), s.part().length());
                all.add(new FoundFigures(
                        c.tube().isPresent() ? new Element.Tube() : new Element.ShaftAt(0),
                        Which.SHROUD,
                        0,
                        "Column shroud",
                        s.part(),
                        end - s.from(),
                        Optional.of(fork(c) - s.from() - left),
                        "the fork",
                        Optional.empty()));
            });
        });
        return List.copyOf(all);
    }

    /** Where the first shaft's gear-end fork begins, from the hub, mm. */
    private static double fork(Column c) {
        return c.length(0) - c.gearEndFit(0).takeOff();
    }

    private static FoundFigures ofShaft(Job job, Column c, int i, PartAsFound found) {
        Shaft s = c.shafts().get(i);
        List<Double> joins = JoinFigures.of(job).stream()
                .filter(j -> j.shaft() == i && j.join().school() != ShaftJoin.School.ONE_PIECE)
                .map(JoinFigures::along)
                .sorted(Comparator.naturalOrder())
                .toList();
        return new FoundFigures(
                new Element.ShaftAt(i),
                Which.SHAFT,
                i,
                s.name(),
                found,
                c.cutLength(i),
                Optional.empty(),
                next(c, i),
                made(joins, c, i, c.cutLength(i) - found.length()));
    }

    /** @param least length of what is made new, mm */
    private static Optional<Piece> made(List<Double> joins, Column c, int shaft, double least) {
        boolean meetUnknown =
                c.shafts().get(shaft).slide().filter(s -> s.middle().isEmpty()).isPresent();
        if (joins.isEmpty() || meetUnknown) {
            return Optional.empty();
        }
        double length = c.cutLength(shaft);
        double before = c.wheelEndFit(shaft).shortening();
        List<Double> cuts = new ArrayList<>(List.of(0.0));
        cuts.addAll(joins);
        cuts.add(length);
        List<Piece> all = new ArrayList<>();
        for (int i = 0; i + 1 < cuts.size(); i++) {
            all.add(new Piece(cuts.get(i), cuts.get(i + 1)));
        }
        return all.stream()
                .filter(p -> c.slidesOver(shaft)
                        .filter(s -> s.from() - before < p.to && s.to() - before > p.from)
                        .isEmpty())
                .filter(p -> p.to - p.from >= least)
                .min(Comparator.<Piece, Boolean>comparing(p -> p.from == 0 || p.to == length)
                        .thenComparing(p -> p.to - p.from));
    }

    private static FoundFigures ofTube(Column c, PartAsFound found) {
        var t = c.tube().orElseThrow();
        double left = left(found, t.length());
        return new FoundFigures(
                new Element.Tube(),
                Which.TUBE,
                0,
                "Column tube",
                found,
                t.length(),
                Optional.of(c.length(0) - (t.from() + left - 2 * t.beyond())),
                next(c, 0),
                Optional.empty());
    }

    private static String next(Column c, int shaft) {
        return shaft < c.joints().size() ? c.joints().get(shaft).name() : "the gear";
    }

    private static double left(PartAsFound found, double wanted) {
        return found.length() - Math.clamp(found.length() - wanted, 0, found.spare());
    }

    /** Its length once as much is taken off as is wanted and can be, mm. */
    public double left() {
        return left(found, wanted);
    }

    /** What is taken off it, mm. */
    public double off() {
        return found.length() - left();
    }

    /** How much too long it still is then, mm; below 0 too short. */
    public double over() {
        return left() - wanted;
    }

    /** What its lower bearing's place along the first shaft is then, from the hub, mm. Of a tube only. */
    public double lowerBearing(Column c) {
        return c.length(0) - toJoint.orElseThrow();
    }

    public Verdict verdict() {
        if (over() > TAPE) {
            return Verdict.TOO_LONG;
        }
        if (over() < -TAPE) {
            return which == Which.SHROUD ? Verdict.AS_IT_IS : made.isEmpty() ? Verdict.TOO_SHORT : Verdict.LENGTHENED;
        }
        return off() > TAPE ? Verdict.CUT : Verdict.AS_IT_IS;
    }

    /** What to do with it at the bench. */
    public Phrase order() {
        return switch (verdict()) {
            case AS_IT_IS ->
                Phrase.of("Leave it as it is, {0} long.", Quantity.length(found.length()))
                        .then(place());
            case CUT ->
                Phrase.of(
                                "Take {0} off its " + which.end() + ": {1} is left; {2} is the least, for "
                                        + found.limit().label() + ".",
                                Quantity.length(off()),
                                Quantity.length(left()),
                                Quantity.length(found.least()))
                        .then(place());
            case TOO_LONG ->
                Phrase.of(
                                "Take {0} off, the most, for " + found.limit().label() + "; {1} is wanted. "
                                        + "It is {2} too long then.",
                                Quantity.length(off()),
                                Quantity.length(found.length() - wanted),
                                Quantity.length(over()))
                        .then(place());
            case TOO_SHORT ->
                Phrase.of(
                        "It is {0} too short: {1} as found, {2} wanted.",
                        Quantity.length(-over()), Quantity.length(found.length()), Quantity.length(wanted));
            case LENGTHENED ->
                Phrase.of(
                        "Lengthen it by {0}: make it new from {1} to {2} of its length, and keep the rest.",
                        Quantity.length(-over()),
                        Quantity.length(made.orElseThrow().from()),
                        Quantity.length(made.orElseThrow().to()));
        };
    }

    /** Along a shaft as it is cut, mm. */
    public record Piece(double from, double to) {}

    private Phrase place() {
        return switch (which) {
            case SHAFT -> Phrase.of("");
            case TUBE ->
                toJoint.orElseThrow() > 0
                        ? Phrase.of(
                                " Its lower bearing then sits {0} from " + Phrase.name(next) + ".",
                                Quantity.length(toJoint.orElseThrow()))
                        : Phrase.of(
                                " Its lower bearing would sit {0} past " + Phrase.name(next) + ".",
                                Quantity.length(-toJoint.orElseThrow()));
            case SHROUD ->
                toJoint.orElseThrow() >= 0
                        ? Phrase.of(
                                " Its edge then stands {0} before the fork.", Quantity.length(toJoint.orElseThrow()))
                        : Phrase.of(
                                " Its edge would stand {0} past the fork's face.",
                                Quantity.length(-toJoint.orElseThrow()));
        };
    }

    /** What would make it do, where it does not. */
    public Optional<Phrase> cure() {
        return switch (verdict()) {
            case AS_IT_IS, CUT, LENGTHENED -> Optional.empty();
            case TOO_LONG ->
                Optional.of(Phrase.of(
                        found.limit().frees() + ". Or set " + Phrase.name(next) + " {0} further along the shaft, or "
                                + "take a shorter part.",
                        Quantity.length(over())));
            case TOO_SHORT ->
                Optional.of(
                        which == Which.SHAFT
                                ? Phrase.of(
                                        "Lengthen it by a join, outside of what slides and away from what heat "
                                                + "spoils; or set " + Phrase.name(next) + " {0} nearer, or take a "
                                                + "longer shaft.",
                                        Quantity.length(-over()))
                                : Phrase.of(
                                        "Set its lower bearing {0} nearer to the hub, or take a longer tube.",
                                        Quantity.length(-over())));
        };
    }
}
