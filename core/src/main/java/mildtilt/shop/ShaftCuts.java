package mildtilt.shop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Metal;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.build.Workshop;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Slide;
import mildtilt.column.Socket.Retention;
import mildtilt.column.YokeDimensions;
import mildtilt.job.Job;
import mildtilt.shop.CutList.CutLine;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What is sawn for the shafts of a column: from bar, off a bought sliding pair, or off the part as it was found. */
final class ShaftCuts {

    private final Column column;
    private final BenchSheet bench;
    private final List<JoinFigures> joins;
    private final List<FoundFigures> found;
    private final Workshop shop;
    private final List<CutLine> lines = new ArrayList<>();
    private final List<String> asTheyCome = new ArrayList<>();
    private final List<Phrase> open = new ArrayList<>();

    ShaftCuts(Job job, Column column, BenchSheet bench, List<JoinFigures> joins, List<FoundFigures> found) {
        this.column = column;
        this.bench = bench;
        this.joins = joins;
        this.found = found;
        shop = job.making().workshop();
        for (int i = 0; i < column.shafts().size(); i++) {
            cut(i);
        }
    }

    List<CutLine> lines() {
        return lines;
    }

    List<String> asTheyCome() {
        return asTheyCome;
    }

    List<Phrase> open() {
        return open;
    }

    /** A shaft, or a half of a sliding one, along the whole shaft as it is cut, mm. */
    private record Run(String name, double from, double to, String wheelEnd, String gearEnd) {}

    private void cut(int i) {
        Shaft s = column.shafts().get(i);
        Optional<FoundFigures> there = found.stream()
                .filter(f -> f.which() == FoundFigures.Which.SHAFT && f.shaft() == i)
                .findFirst();
        String gearEnd = end(s.gearEndSeat().label(), column.gearEndFit(i));
        if (there.filter(f -> f.verdict() != FoundFigures.Verdict.LENGTHENED).isPresent()) {
            CutList.asFound(shop, there.get(), "wheel end as found; gear end " + gearEnd, lines, asTheyCome, open);
            return;
        }
        if (there.isEmpty() && !s.toCut()) {
            asTheyCome.add(s.name());
            return;
        }
        double length = column.cutLength(i);
        if (!(length > 0)) {
            open.add(Phrase.of(Phrase.name(s.name()) + ": there is no room for a shaft between its ends."));
            return;
        }
        String wheelEnd = end(s.wheelEndSeat().label(), column.wheelEndFit(i));
        Optional<Phrase> note = there.map(FoundFigures::order).or(() -> steps(i));
        if (s.slide().isEmpty()) {
            pieces(i, new Run(s.name(), 0, length, "wheel end " + wheelEnd, "gear end " + gearEnd), there, note);
        } else {
            sliding(i, s.slide().get(), "wheel end " + wheelEnd, "gear end " + gearEnd, there, note);
        }
        for (JoinFigures f : joins(i, 0, length)) {
            f.parts()
                    .forEach(p -> lines.add(CutLine.sawn(
                            shop,
                            p.name(),
                            p.section(),
                            Metal.STEEL,
                            p.material(),
                            p.length(),
                            p.ends(),
                            0,
                            p.count(),
                            0,
                            Optional.of(p.note()))));
        }
    }

    private List<JoinFigures> joins(int shaft, double from, double to) {
        return joins.stream()
                .filter(f -> f.shaft() == shaft && f.join().school() != ShaftJoin.School.ONE_PIECE)
                .filter(f -> f.along() > from && f.along() < to)
                .filter(f -> column.slidesOver(shaft)
                        .filter(x -> x.distance(f.join().along()) == 0)
                        .isEmpty())
                .sorted(Comparator.comparingDouble(JoinFigures::along))
                .toList();
    }

    /** Two halves; alike, unless the shaft says where they overlap. */
    private void sliding(
            int i, Slide slide, String wheelEnd, String gearEnd, Optional<FoundFigures> there, Optional<Phrase> note) {
        Shaft s = column.shafts().get(i);
        double length = column.cutLength(i);
        Column.Stretch slides = column.slidesOver(i).orElseThrow();
        joins.stream()
                .filter(f -> f.shaft() == i && slides.distance(f.join().along()) == 0)
                .forEach(f -> open.add(Phrase.of(
                        Phrase.name(s.name()) + " slides where it is to be joined, {0} along: it is not cut for that.",
                        Quantity.length(f.join().along()))));
        double middle =
                (slides.from() + slides.to()) / 2 - column.wheelEndFit(i).shortening();
        Run outer =
                new Run(s.name() + ", outer half", 0, middle + slide.overlap() / 2, wheelEnd, "open end faced square");
        Run inner =
                new Run(s.name() + ", inner half", middle - slide.overlap() / 2, length, "chamfered to enter", gearEnd);
        double shorter = Math.min(outer.to, length - inner.from);
        if (slide.overlap() + slide.closes() > shorter) {
            open.add(Phrase.of(
                    Phrase.name(s.name())
                            + ": halves of {0} are too short to close by {1} with {2} of overlap; a sliding pair "
                            + "made for it is needed.",
                    Quantity.length(shorter),
                    Quantity.length(slide.closes()),
                    Quantity.length(slide.overlap())));
            return;
        }
        Phrase bored = Phrase.of(
                "Bored {0} deep at least, so that it can close by {1}.",
                Quantity.length(slide.overlap() + slide.closes()), Quantity.length(slide.closes()));
        pieces(
                i,
                outer,
                there,
                Optional.of(note.map(t -> bored.then(" ").then(t)).orElse(bored)));
        pieces(i, inner, there, note);
    }

    /** A run, parted at its joins: from bar, but for what is bought as a sliding pair or was found. */
    private void pieces(int i, Run run, Optional<FoundFigures> there, Optional<Phrase> note) {
        Shaft s = column.shafts().get(i);
        Optional<Column.Stretch> slides = column.slidesOver(i);
        List<JoinFigures> here = joins(i, run.from, run.to);
        double before = column.wheelEndFit(i).shortening();
        double from = run.from;
        for (int k = 0; k <= here.size(); k++) {
            double start = from;
            double to = k < here.size() ? here.get(k).along() : run.to;
            double own = to - from;
            String ends = (k == 0 ? run.wheelEnd : here.get(k - 1).gearSideEnd()) + "; "
                    + (k == here.size() ? run.gearEnd : here.get(k).wheelSideEnd());
            double gap = 0;
            if (k > 0) {
                own += here.get(k - 1).gearSideExtra();
                gap = Math.max(gap, here.get(k - 1).rootGap());
            }
            if (k < here.size()) {
                own += here.get(k).wheelSideExtra();
                gap = Math.max(gap, here.get(k).rootGap());
            }
            if (!(own > 0)) {
                open.add(Phrase.of(Phrase.name(s.name())
                        + ": two joins, or a join and an end, are nearer together than their gaps."));
                return;
            }
            String name = here.isEmpty() ? run.name : run.name + ", piece " + (k + 1) + " of " + (here.size() + 1);
            boolean slidesHere = slides.filter(x -> x.from() - before < to && x.to() - before > start)
                    .isPresent();
            boolean made = there.flatMap(FoundFigures::made)
                    .filter(m -> m.from() < to && m.to() > start)
                    .isPresent();
            if (there.isPresent() && !made) {
                lines.add(CutLine.ofPart(shop, name, Phrase.of("as found"), "the part as found", own, 0, ends, note));
            } else if (slidesHere) {
                // A sliding pair is bought and shortened at its fork's end.
                String which = run.from > 0 ? "inner half of a pair, Ø {0}" : "outer half of a pair on Ø {0}";
                lines.add(CutLine.ofPart(
                        shop,
                        name,
                        Phrase.of(which, Quantity.fine(s.diameter())),
                        "the bought pair",
                        own,
                        shop.facing(),
                        ends,
                        note));
            } else {
                lines.add(CutLine.sawn(
                        shop,
                        name,
                        Section.round(s.diameter(), s.bore()),
                        Metal.ofYield(s.yieldMpa()),
                        "steel, yield " + Math.round(s.yieldMpa()) + " MPa",
                        own,
                        ends,
                        gap,
                        1,
                        0,
                        note));
            }
            from = to;
        }
    }

    /** Ends that are turned down from the shaft, before all else that is to be said. */
    private Optional<Phrase> steps(int i) {
        Shaft s = column.shafts().get(i);
        Phrase said = bench.shafts().get(i).typical()
                ? Phrase.of("From typical sizes of a catalogue: measure the parts in hand before you cut.")
                : Phrase.of("");
        for (boolean gearEnd : new boolean[] {true, false}) {
            ShaftProfile seat = gearEnd ? s.gearEndSeat() : s.wheelEndSeat();
            double into = gearEnd
                    ? column.gearEndFit(i).engagement()
                    : column.wheelEndFit(i).engagement();
            if (seat.diameter() < s.diameter() - 1e-6) {
                Phrase step = Phrase.of(
                        "Turn the " + (gearEnd ? "gear" : "wheel")
                                + " end down from {0} to {1} for {2}, with a radius at the step.",
                        Quantity.fine(s.diameter()),
                        Quantity.fine(seat.diameter()),
                        Quantity.length(into));
                said = said.pattern().isEmpty() ? step : step.then(" ").then(said);
            } else if (seat.diameter() > s.diameter() + 1e-6) {
                Phrase step = Phrase.of(
                        "The " + (gearEnd ? "gear" : "wheel")
                                + " end is {0}, thicker than the shaft's {1}: cut from bar of that size, or "
                                + "sleeve it for {2}.",
                        Quantity.fine(seat.diameter()),
                        Quantity.fine(s.diameter()),
                        Quantity.length(into));
                said = said.pattern().isEmpty() ? step : step.then(" ").then(said);
            }
        }
        return said.pattern().isEmpty() ? Optional.empty() : Optional.of(said);
    }

    private static String end(String seat, YokeDimensions fit) {
        return seat
                + fit.socket()
                        .map(s -> s.hold() == Retention.WELD
                                ? ", chamfered for the weld"
                                : s.hold().threaded() ? ", " + s.hold().label() : "")
                        .orElse("");
    }
}
