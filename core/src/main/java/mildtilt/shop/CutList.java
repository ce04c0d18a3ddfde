package mildtilt.shop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
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
import mildtilt.job.Names;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodTube;
import mildtilt.template.Cope;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Everything that is sawn, with the length it is finished to and the length the saw is set to.
 *
 * @param lines in the order of the train, then what is made besides
 * @param plates cut flat from a template, not sawn by length
 * @param asTheyCome parts that are not cut
 * @param open what can't be cut yet, and what is missing
 */
public record CutList(List<CutLine> lines, List<PlateLine> plates, List<String> asTheyCome, List<Phrase> open) {

    /**
     * One piece, and how many of it.
     *
     * @param section empty for a bought sliding half, whose outside is not known
     * @param material of the stock, in words
     * @param finished length, mm
     * @param saw length with what is left on for facing, mm
     * @param ends how they are prepared
     * @param weldGap to the piece it is butted to, mm; 0 for none
     * @param left for the left side, or for the vehicle once
     * @param sets vehicles
     * @param massEach of the finished piece, kg
     * @param note what else to know of it
     */
    public record CutLine(
            String name,
            Optional<Section> section,
            Phrase sectionText,
            Metal metal,
            String material,
            double finished,
            double saw,
            String ends,
            double weldGap,
            int left,
            int right,
            int sets,
            Optional<Double> massEach,
            Optional<Phrase> note) {

        public int count() {
            return (left + right) * sets;
        }

        public Optional<Double> mass() {
            return massEach.map(m -> m * count());
        }
    }

    /** @param massEach kg, of the outline less its holes */
    public record PlateLine(String name, double thickness, String ends, int count, double massEach) {}

    private static final String SQUARE = "faced square both ends";
    private static final double MM3_PER_M3 = 1e9;

    /** @param plates of the job's templates, which tell their areas */
    public static CutList of(
            Job job,
            BenchSheet bench,
            List<RodFigures> rods,
            List<RackRodFigures> rackRods,
            List<JoinFigures> joins,
            List<PlateLine> plates) {
        return new Builder(job, bench, rods, rackRods, joins).list(plates);
    }

    /** kg of all lines whose section is known, and of the plates. */
    public double mass() {
        return lines.stream().mapToDouble(l -> l.mass().orElse(0.0)).sum()
                + plates.stream().mapToDouble(p -> p.massEach * p.count).sum();
    }

    /** What a section is called. */
    public static Phrase text(Section s) {
        return switch (s) {
            case Section.Bar b -> Phrase.of("bar Ø {0}", Quantity.fine(b.diameter()));
            case Section.Tube t -> Phrase.of("tube Ø {0} × {1}", Quantity.fine(t.outside()), Quantity.fine(t.wall()));
        };
    }

    /** kg. */
    static double mass(Section section, Metal metal, double length) {
        return section.area() * length * metal.density() / MM3_PER_M3;
    }

    private static final class Builder {
        private final Job job;
        private final BenchSheet bench;
        private final List<RodFigures> rods;
        private final List<RackRodFigures> rackRods;
        private final List<JoinFigures> joins;
        private final Workshop shop;
        private final List<CutLine> lines = new ArrayList<>();
        private final List<String> asTheyCome = new ArrayList<>();
        private final List<Phrase> open = new ArrayList<>();

        Builder(
                Job job,
                BenchSheet bench,
                List<RodFigures> rods,
                List<RackRodFigures> rackRods,
                List<JoinFigures> joins) {
            this.job = job;
            this.bench = bench;
            this.rods = rods;
            this.rackRods = rackRods;
            this.joins = joins;
            shop = job.making().workshop();
        }

        CutList list(List<PlateLine> plates) {
            job.column().ifPresent(this::column);
            job.axle().ifPresent(this::rods);
            job.making().pieces().forEach(this::piece);
            return new CutList(List.copyOf(lines), plates, List.copyOf(asTheyCome), List.copyOf(open));
        }

        private void column(Column c) {
            for (int i = 0; i < c.shafts().size(); i++) {
                Shaft s = c.shafts().get(i);
                if (s.toCut()) {
                    shaft(c, i);
                } else {
                    asTheyCome.add(s.name());
                }
            }
            c.tube().ifPresent(t -> {
                if (shop.tubeWall().isEmpty()) {
                    asTheyCome.add("Column tube");
                } else if (shop.tubeWall().get() >= t.outside() / 2) {
                    open.add(Phrase.of(
                            "Column tube: its wall of {0} does not go into its diameter of {1}.",
                            Quantity.length(shop.tubeWall().get()), Quantity.length(t.outside())));
                } else {
                    add(
                            "Column tube",
                            new Section.Tube(t.outside(), shop.tubeWall().get()),
                            "steel",
                            t.length(),
                            "faced square, bearing seats bored in line",
                            0,
                            1,
                            0,
                            Phrase.of(
                                    "{0} from the middle of one bearing to the middle of the other, and {1} beyond at either end for its seat.",
                                    Quantity.length(t.to() - t.from()), Quantity.length(t.beyond())));
                }
            });
            for (ShaftJoin j : job.making().joins()) {
                if (joins.stream().noneMatch(f -> f.join().equals(j))) {
                    open.add(Phrase.of(
                            "A join at {0} along \"" + Phrase.name(Names.of(job).apply(j.shaft()))
                                    + "\" is on no shaft that is cut, or past its end: move it, or take it out.",
                            Quantity.length(j.along())));
                }
            }
        }

        private void shaft(Column c, int i) {
            Shaft s = c.shafts().get(i);
            double length = c.cutLength(i);
            if (!(length > 0)) {
                open.add(Phrase.of(Phrase.name(s.name()) + ": there is no room for a shaft between its ends."));
                return;
            }
            Optional<Phrase> typical = steps(
                    c,
                    i,
                    bench.shafts().get(i).typical()
                            ? Optional.of(Phrase.of(
                                    "From typical sizes of a catalogue: measure the parts in hand before you cut."))
                            : Optional.empty());
            String wheelEnd = end(s.wheelEndSeat().label(), c.wheelEndFit(i));
            String gearEnd = end(s.gearEndSeat().label(), c.gearEndFit(i));
            Section section = Section.round(s.diameter(), s.bore());
            List<JoinFigures> here = joins.stream()
                    .filter(f -> f.shaft() == i && f.join().school() != ShaftJoin.School.ONE_PIECE)
                    .sorted(Comparator.comparingDouble(JoinFigures::along))
                    .toList();
            if (s.slide().isPresent()) {
                sliding(s, s.slide().get(), length, wheelEnd, gearEnd, typical);
                if (!here.isEmpty()) {
                    open.add(Phrase.of(Phrase.name(s.name())
                            + " slides, so it is two pieces already: a join in it is not cut for."));
                }
                return;
            }
            double from = 0;
            for (int k = 0; k <= here.size(); k++) {
                double to = k < here.size() ? here.get(k).along() : length;
                double own = to - from;
                String before =
                        k == 0 ? "wheel end " + wheelEnd : here.get(k - 1).gearSideEnd();
                String after =
                        k == here.size() ? "gear end " + gearEnd : here.get(k).wheelSideEnd();
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
                String name = here.isEmpty() ? s.name() : s.name() + ", piece " + (k + 1) + " of " + (here.size() + 1);
                add(
                        name,
                        section,
                        Metal.ofYield(s.yieldMpa()),
                        "steel, yield " + Math.round(s.yieldMpa()) + " MPa",
                        own,
                        before + "; " + after,
                        gap,
                        1,
                        0,
                        typical);
                from = to;
            }
            for (JoinFigures f : here) {
                f.parts()
                        .forEach(p -> add(
                                p.name(),
                                p.section(),
                                p.material(),
                                p.length(),
                                p.ends(),
                                0,
                                p.count(),
                                0,
                                Optional.of(p.note())));
            }
        }

        /** Ends that are turned down from the shaft, before all else that is to be said. */
        private static Optional<Phrase> steps(Column c, int i, Optional<Phrase> rest) {
            Shaft s = c.shafts().get(i);
            Phrase said = rest.orElse(Phrase.of(""));
            for (boolean gearEnd : new boolean[] {true, false}) {
                ShaftProfile seat = gearEnd ? s.gearEndSeat() : s.wheelEndSeat();
                double into = gearEnd
                        ? c.gearEndFit(i).engagement()
                        : c.wheelEndFit(i).engagement();
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
                                    + " end is {0}, thicker than the shaft's {1}: cut from bar of that size, or sleeve it for {2}.",
                            Quantity.fine(seat.diameter()),
                            Quantity.fine(s.diameter()),
                            Quantity.length(into));
                    said = said.pattern().isEmpty() ? step : step.then(" ").then(said);
                }
            }
            return said.pattern().isEmpty() ? Optional.empty() : Optional.of(said);
        }

        /** Two halves, the overlap's middle in the middle of the shaft. */
        private void sliding(
                Shaft s, Slide slide, double length, String wheelEnd, String gearEnd, Optional<Phrase> typical) {
            double half = (length + slide.overlap()) / 2;
            Phrase outer = Phrase.of(
                    "Bored {0} deep at least, so that it can close by {1}.",
                    Quantity.length(slide.overlap() + slide.closes()), Quantity.length(slide.closes()));
            Phrase note = typical.map(t -> outer.then(" ").then(t)).orElse(outer);
            if (slide.overlap() + slide.closes() > half) {
                open.add(Phrase.of(
                        Phrase.name(s.name())
                                + ": halves of {0} are too short to close by {1} with {2} of overlap; a sliding pair made for it is needed.",
                        Quantity.length(half),
                        Quantity.length(slide.closes()),
                        Quantity.length(slide.overlap())));
                return;
            }
            half(
                    s,
                    "outer half",
                    "outer half of a pair on Ø {0}",
                    half,
                    "wheel end " + wheelEnd + "; open end faced square",
                    Optional.of(note));
            half(
                    s,
                    "inner half",
                    "inner half of a pair, Ø {0}",
                    half,
                    "chamfered to enter; gear end " + gearEnd,
                    typical);
        }

        /** Sliding pairs are bought and shortened, not sawn from bar. */
        private void half(Shaft s, String which, String section, double length, String ends, Optional<Phrase> note) {
            lines.add(new CutLine(
                    s.name() + ", " + which,
                    Optional.empty(),
                    Phrase.of(section, Quantity.fine(s.diameter())),
                    Metal.STEEL,
                    "the bought pair",
                    length,
                    length + shop.facing(),
                    ends,
                    0,
                    1,
                    0,
                    shop.sets(),
                    Optional.empty(),
                    note));
        }

        private static String end(String seat, YokeDimensions fit) {
            return seat
                    + fit.socket()
                            .map(s -> s.hold() == Retention.WELD
                                    ? ", chamfered for the weld"
                                    : s.hold().threaded() ? ", " + s.hold().label() : "")
                            .orElse("");
        }

        private void rods(SteeredAxle axle) {
            for (BenchSheet.RodLine line : bench.rods()) {
                Rod rod = line.rod();
                if (axle.rodEnds(rod).isEmpty()) {
                    open.add(Phrase.of(
                            capital(rod.label())
                                    + ", {0} between centres, turns on its arms: if it is made and not bought, put its bar on the list as a length of its own.",
                            Quantity.length(line.length())));
                    continue;
                }
                Optional<RackRodFigures> own =
                        rackRods.stream().filter(r -> r.rod() == rod).findFirst();
                if (own.isPresent()) {
                    rackRod(own.get());
                    continue;
                }
                Optional<RodFigures> f =
                        rods.stream().filter(r -> r.rod() == rod).findFirst();
                if (f.isEmpty()) {
                    Optional<RodTube> tube = axle.rodEnds(rod).flatMap(e -> e.tube());
                    open.add(Phrase.of(
                            capital(rod.label()) + ", {0} between centres: choose "
                                    + (tube.isEmpty() ? "its tube (Linkage stage) and its ends" : "its ends")
                                    + " and its body's length follows.",
                            Quantity.length(line.length())));
                    continue;
                }
                if (rod == Rod.RIGHT_TIE_ROD && bothAlike()) {
                    continue;
                }
                body(f.get(), rod);
            }
        }

        /** It is there, and is shortened where that is wanted. */
        private void rackRod(RackRodFigures f) {
            String name = capital(f.rod().label()) + ", the rack's own";
            switch (f.verdict()) {
                case GOES_ON -> asTheyCome.add(name);
                case SHALLOW, TOO_SHORT, LACKS_THREAD ->
                    open.add(Phrase.of(Phrase.name(name) + " " + f.verdict().label() + ". ")
                            .then(f.cure().orElse(Phrase.of(""))));
                case CUT ->
                    lines.add(new CutLine(
                            name,
                            Optional.empty(),
                            Phrase.of("rod Ø {0}", Quantity.fine(f.it().thread().major())),
                            Metal.STEEL,
                            "as it is there",
                            f.finished(),
                            f.finished(),
                            "tip faced, its thread chamfered; from the inner ball's centre to the tip",
                            0,
                            f.rod() == Rod.LEFT_TIE_ROD ? 1 : 0,
                            f.rod() == Rod.RIGHT_TIE_ROD ? 1 : 0,
                            shop.sets(),
                            Optional.empty(),
                            Optional.of(f.order())));
            }
        }

        private boolean bothAlike() {
            Optional<RodFigures> l =
                    rods.stream().filter(r -> r.rod() == Rod.LEFT_TIE_ROD).findFirst();
            Optional<RodFigures> r =
                    rods.stream().filter(x -> x.rod() == Rod.RIGHT_TIE_ROD).findFirst();
            return l.isPresent()
                    && r.isPresent()
                    && Math.abs(l.get().body() - r.get().body()) < 0.005
                    && l.get().tube().equals(r.get().tube())
                    && l.get().makeUp().body().equals(r.get().makeUp().body())
                    && l.get()
                            .makeUp()
                            .outer()
                            .part()
                            .equals(r.get().makeUp().outer().part())
                    && l.get()
                            .makeUp()
                            .inner()
                            .part()
                            .equals(r.get().makeUp().inner().part());
        }

        private void body(RodFigures f, Rod rod) {
            if (!(f.body() > 0)) {
                open.add(Phrase.of(capital(rod.label())
                        + ": its two ends alone are longer than the rod; shorter ends are needed."));
                return;
            }
            RodMakeUp.Body b = f.makeUp().body();
            boolean both = rod == Rod.LEFT_TIE_ROD && bothAlike();
            int left = rod == Rod.RIGHT_TIE_ROD ? 0 : 1;
            int right = rod == Rod.RIGHT_TIE_ROD || both ? 1 : 0;
            Section section = Section.round(
                    f.tube().outside(), f.tube().inside() > 1e-9 ? f.tube().inside() : 0);
            String name = (both ? "Tie rod" : capital(rod.label())) + " body";
            String ends =
                    switch (b.kind()) {
                        case TAPPED ->
                            "tapped " + f.makeUp().tap(true).label() + " outer, "
                                    + f.makeUp().tap(false).label() + " inner";
                        case BUNGS -> "square, chamfered for the bungs' welds";
                    };
            Optional<Phrase> note = b.length().isPresent()
                    ? Optional.of(Phrase.of("There already: nothing to saw if it is this long."))
                    : Optional.empty();
            add(
                    name,
                    section,
                    Metal.ofYield(f.tube().yield()),
                    "steel, yield " + Math.round(f.tube().yield()) + " MPa",
                    f.body(),
                    ends,
                    0,
                    left,
                    right,
                    note);
            if (b.kind() == RodMakeUp.BodyKind.BUNGS && section instanceof Section.Tube t) {
                for (boolean outer : new boolean[] {true, false}) {
                    add(
                            (both ? "Tie rod" : capital(rod.label())) + " bung, " + (outer ? "outer" : "inner"),
                            new Section.Bar(t.inside()),
                            "steel that welds",
                            b.threaded(),
                            "turned to go in, tapped " + f.makeUp().tap(outer).label(),
                            0,
                            left,
                            right,
                            Optional.empty());
                }
            }
        }

        private void piece(Piece piece) {
            switch (piece) {
                case Piece.Length p ->
                    add(
                            p.name(),
                            p.section(),
                            p.metal(),
                            p.metal().label(),
                            p.length(),
                            SQUARE,
                            0,
                            p.left(),
                            p.right(),
                            Optional.empty());
                case Piece.CopedTube p -> {
                    Cope cope = Cope.of(p);
                    // The saw has to leave the longest point of either cope.
                    double longest = cope.longest();
                    if (!(cope.shortest() > 0)) {
                        open.add(Phrase.of("\"" + Phrase.name(p.name())
                                + "\" has nothing left between its copes: it is shorter than what it meets is thick."));
                        return;
                    }
                    add(
                            p.name(),
                            p.section(),
                            p.metal(),
                            p.metal().label(),
                            longest,
                            meets(p.from()) + "; " + meets(p.to()),
                            0,
                            p.left(),
                            p.right(),
                            Optional.of(Phrase.of(
                                    "To the points of its copes, {0} at its shortest side; {1} between the axes it meets.",
                                    Quantity.length(cope.shortest()), Quantity.length(p.length()))));
                }
                case Piece.ArmPlate _, Piece.BearingBracket _ -> {}
                case Piece.CentringJig _ -> {}
            }
        }

        private static String meets(Piece.Meeting m) {
            return m.square()
                    ? "square"
                    : m.into() == 0 ? "cut at " + LengthText.trimmed(m.angleDeg(), 2) + "°" : "coped by its template";
        }

        private void add(
                String name,
                Section section,
                String material,
                double finished,
                String ends,
                double gap,
                int left,
                int right,
                Phrase note) {
            add(name, section, material, finished, ends, gap, left, right, Optional.of(note));
        }

        private void add(
                String name,
                Section section,
                String material,
                double finished,
                String ends,
                double gap,
                int left,
                int right,
                Optional<Phrase> note) {
            add(name, section, Metal.STEEL, material, finished, ends, gap, left, right, note);
        }

        private void add(
                String name,
                Section section,
                Metal metal,
                String material,
                double finished,
                String ends,
                double gap,
                int left,
                int right,
                Optional<Phrase> note) {
            lines.add(new CutLine(
                    name,
                    Optional.of(section),
                    text(section),
                    metal,
                    material,
                    finished,
                    finished + 2 * shop.facing(),
                    ends,
                    gap,
                    left,
                    right,
                    shop.sets(),
                    Optional.of(mass(section, metal, finished)),
                    note));
        }
    }

    public static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
