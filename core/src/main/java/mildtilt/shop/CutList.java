package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.AsFound;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.build.Workshop;
import mildtilt.column.Column;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodTube;
import mildtilt.machined.MachinedParts;
import mildtilt.machined.PartDrawing;
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

        /** Sawn from bar or tube, with what is left on both ends for facing. */
        static CutLine sawn(
                Workshop shop,
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
            return new CutLine(
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
                    Optional.of(CutList.mass(section, metal, finished)),
                    note);
        }

        /** Sawn off a part that is there or is bought. @param facing left on its sawn end, mm */
        static CutLine ofPart(
                Workshop shop,
                String name,
                Phrase section,
                String what,
                double finished,
                double facing,
                String ends,
                Optional<Phrase> note) {
            return new CutLine(
                    name,
                    Optional.empty(),
                    section,
                    Metal.STEEL,
                    what,
                    finished,
                    finished + facing,
                    ends,
                    0,
                    1,
                    0,
                    shop.sets(),
                    Optional.empty(),
                    note);
        }
    }

    /** A part that is there: shortened where that is wanted and can be. */
    static void asFound(
            Workshop shop,
            FoundFigures f,
            String ends,
            List<CutLine> lines,
            List<String> asTheyCome,
            List<Phrase> open) {
        switch (f.verdict()) {
            case AS_IT_IS -> asTheyCome.add(f.name() + ", as found");
            case TOO_LONG, TOO_SHORT, LENGTHENED ->
                open.add(Phrase.of(Phrase.name(f.name()) + " " + f.verdict().label() + ". ")
                        .then(f.order())
                        .then(f.cure().map(x -> Phrase.of(" ").then(x)).orElse(Phrase.of(""))));
            case CUT ->
                lines.add(CutLine.ofPart(
                        shop,
                        f.name(),
                        Phrase.of("as found"),
                        "the part as found",
                        f.left(),
                        0,
                        ends,
                        Optional.of(f.order())));
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
            List<FoundFigures> found,
            MachinedParts machined,
            List<PlateLine> plates) {
        return new Builder(job, bench, rods, rackRods, joins, found).list(machined, plates);
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
        private final List<FoundFigures> found;
        private final Workshop shop;
        private final List<CutLine> lines = new ArrayList<>();
        private final List<String> asTheyCome = new ArrayList<>();
        private final List<Phrase> open = new ArrayList<>();

        Builder(
                Job job,
                BenchSheet bench,
                List<RodFigures> rods,
                List<RackRodFigures> rackRods,
                List<JoinFigures> joins,
                List<FoundFigures> found) {
            this.job = job;
            this.bench = bench;
            this.rods = rods;
            this.rackRods = rackRods;
            this.joins = joins;
            this.found = found;
            shop = job.making().workshop();
        }

        CutList list(MachinedParts machined, List<PlateLine> templates) {
            job.column().ifPresent(this::column);
            job.axle().ifPresent(this::rods);
            job.making().pieces().forEach(this::piece);
            List<PlateLine> plates = new ArrayList<>(templates);
            machined.drawings().forEach(d -> d.blanks().forEach(b -> drawn(d, b, plates)));
            open.addAll(machined.open());
            return new CutList(List.copyOf(lines), List.copyOf(plates), List.copyOf(asTheyCome), List.copyOf(open));
        }

        private void column(Column c) {
            ShaftCuts shafts = new ShaftCuts(job, c, bench, joins, found);
            lines.addAll(shafts.lines());
            asTheyCome.addAll(shafts.asTheyCome());
            open.addAll(shafts.open());
            AsFound asFound = job.making().asFound();
            asFound.shafts().keySet().stream()
                    .filter(id -> c.shaft(id).isEmpty())
                    .forEach(id ->
                            open.add(Phrase.of("\"" + Phrase.name(Names.of(job).apply(id))
                                    + "\" as found is no shaft of the column any more: nothing is cut off it.")));
            if (asFound.tube().isPresent() && c.tube().isEmpty()) {
                open.add(Phrase.of("A column tube as found, but the column has none: nothing is cut off it."));
            }
            found.stream()
                    .filter(f -> f.which() != FoundFigures.Which.SHAFT)
                    .forEach(f -> asFound(shop, f, "lower end faced square", lines, asTheyCome, open));
            c.tube().filter(_ -> job.making().asFound().tube().isEmpty()).ifPresent(t -> {
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

        /** By its drawing. */
        private void drawn(PartDrawing d, PartDrawing.Blank blank, List<PlateLine> plates) {
            switch (blank) {
                case PartDrawing.Blank.Sawn b ->
                    add(
                            b.name(),
                            b.section(),
                            Metal.STEEL,
                            Metal.STEEL.label(),
                            b.length(),
                            b.ends(),
                            0,
                            d.left(),
                            d.right(),
                            Optional.empty());
                case PartDrawing.Blank.Flat b ->
                    plates.add(new PlateLine(
                            b.name(),
                            b.thickness(),
                            "by its drawing",
                            b.each() * d.count(),
                            b.area() * b.thickness() * Metal.STEEL.density() / MM3_PER_M3));
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
                // Cut flat, printed, a shaft that stands on the list already, or cut by its drawing.
                case Piece.ArmPlate _,
                        Piece.BearingBracket _,
                        Piece.CentringJig _,
                        Piece.AdapterPlate _,
                        Piece.BearingHousing _,
                        Piece.TurnedShaft _,
                        Piece.SteadyPost _ -> {}
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
            lines.add(CutLine.sawn(shop, name, section, metal, material, finished, ends, gap, left, right, note));
        }
    }

    public static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
