package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Piece;
import mildtilt.build.Piece.Groove;
import mildtilt.build.Piece.TurnedEnd;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.YokeDimensions;
import mildtilt.job.Job;
import mildtilt.machined.MachinedParts.Outcome;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Layer;
import mildtilt.template.PatternPoint;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A shaft of the column for the lathe, the wheel's end at the left: its length between both forks, both ends with their
 * spline, flats, key or seat, grooves for pinch bolts, where bearings sit, and how both ends stand to each other.
 */
final class TurnedShaftDrawing {

    private static final double SMALL = 0.05;

    /** How far above a groove its width stands, mm on paper: clear of the row of sizes. */
    private static final double GROOVE_UP = 22;

    private final Job job;
    private final Piece.TurnedShaft piece;
    private final Column column;
    private final int index;
    private final Shaft shaft;
    private final double length;
    private final List<PatternMark> shape = new ArrayList<>();
    private final List<SizeLine> sizes = new ArrayList<>();

    private TurnedShaftDrawing(Job job, Piece.TurnedShaft piece, Column column, int index) {
        this.job = job;
        this.piece = piece;
        this.column = column;
        this.index = index;
        shaft = column.shafts().get(index);
        length = column.cutLength(index);
    }

    static Outcome of(Job job, Piece.TurnedShaft p) {
        Optional<Column> column = job.column();
        Optional<Integer> index = column.flatMap(c -> {
            int i = c.shafts().stream().map(Shaft::id).toList().indexOf(p.shaft());
            return i < 0 ? Optional.empty() : Optional.of(i);
        });
        if (index.isEmpty()) {
            return new Outcome.Open(Phrase.of("the column has no such shaft any more. Choose another."));
        }
        TurnedShaftDrawing d = new TurnedShaftDrawing(job, p, column.orElseThrow(), index.get());
        return d.fault().<Outcome>map(Outcome.Open::new).orElseGet(() -> new Outcome.Drawn(d.drawing()));
    }

    private YokeDimensions fit(boolean gearEnd) {
        return gearEnd ? column.gearEndFit(index) : column.wheelEndFit(index);
    }

    private TurnedEnd end(boolean gearEnd) {
        return gearEnd ? piece.gearEnd() : piece.wheelEnd();
    }

    private ShaftProfile seat(boolean gearEnd) {
        return gearEnd ? shaft.gearEndSeat() : shaft.wheelEndSeat();
    }

    private static String endName(boolean gearEnd) {
        return gearEnd ? "gear end" : "wheel end";
    }

    /** Why it can't be made in one piece as asked. */
    private Optional<Phrase> fault() {
        if (shaft.slide().isPresent()) {
            return Optional.of(Phrase.of("\"" + Phrase.name(shaft.name())
                    + "\" slides, so that it is of two halves and not of one piece. Take its "
                    + "slide away, or buy its halves."));
        }
        if (job.making().joins().stream().anyMatch(j -> j.shaft().equals(shaft.id()))) {
            return Optional.of(Phrase.of("a join is planned in \"" + Phrase.name(shaft.name())
                    + "\" as well. One piece has none: take the join out, on Shaft joins, or delete this drawing."));
        }
        if (!(length > 0)) {
            return Optional.of(Phrase.of("nothing of it is left between its forks. Move its joints apart first."));
        }
        for (boolean gearEnd : new boolean[] {false, true}) {
            TurnedEnd e = end(gearEnd);
            double in = fit(gearEnd).engagement();
            double d = seat(gearEnd).diameter();
            if (e.length() < in - SMALL) {
                return Optional.of(Phrase.of(
                        "the form of its " + endName(gearEnd)
                                + " is {0} long and goes {1} into its fork. Make it longer.",
                        Quantity.length(e.length()),
                        Quantity.length(in)));
            }
            if (e.groove().isPresent()) {
                Groove g = e.groove().get();
                if (g.fromEnd() + g.width() / 2 > in + SMALL) {
                    return Optional.of(Phrase.of(
                            "the groove at its " + endName(gearEnd)
                                    + " is {0} from the end, and only {1} of the shaft stand in the fork. Bring "
                                    + "it within.",
                            Quantity.length(g.fromEnd()),
                            Quantity.length(in)));
                }
                if (g.fromEnd() - g.width() / 2 <= 0) {
                    return Optional.of(Phrase.of("the groove at its " + endName(gearEnd)
                            + " runs out at the end, and holds nothing. Set it further in."));
                }
                if (2 * g.depth() >= d - shaft.bore()) {
                    return Optional.of(Phrase.of(
                            "the groove at its " + endName(gearEnd) + " is deeper than the wall of Ø {0} there.",
                            Quantity.length(d)));
                }
            }
        }
        if (piece.wheelEnd().length() + piece.gearEnd().length() > length + SMALL) {
            return Optional.of(Phrase.of(
                    "both ends together are {0} long, and the shaft is {1}.",
                    Quantity.length(piece.wheelEnd().length() + piece.gearEnd().length()), Quantity.length(length)));
        }
        return Optional.empty();
    }

    private PartDrawing drawing() {
        List<DrawnView> ends = new ArrayList<>();
        side();
        ends.add(endView(false, 0));
        ends.add(endView(true, between().map(Between::deg).orElse(0.0)));
        List<Phrase> notes = new ArrayList<>();
        between()
                .ifPresentOrElse(
                        b -> notes.add(Phrase.of(
                                "Both ends are made in one setting: the gear end's " + what(true)
                                        + (Math.abs(b.deg) < SMALL
                                                ? " stands in line with the wheel end's " + what(false) + ", ±0.5°. "
                                                : " stands {0} from the wheel end's " + what(false) + ", "
                                                        + (b.deg < 0 ? "against the clock" : "clockwise")
                                                        + " seen from the wheel, ±0.5°. ")
                                        + (b.ways > 1 ? "Every {1} it fits as well." : ""),
                                Quantity.angle(Math.abs(b.deg)),
                                Quantity.angle(360.0 / b.ways))),
                        () -> notes.add(
                                Phrase.of("How one end is turned against the other does not matter to the joints.")));
        notes.add(Phrase.of(
                "Run-out of every seat between centres at most {0}, read on a dial. Break sharp edges 0.3 × 45°; "
                        + "radius 0.5 where a diameter changes: no sharp corner.",
                Quantity.fine(piece.runOut())));
        if (piece.centres()) {
            notes.add(
                    shaft.bore() > 0
                            ? Phrase.of("Plug both ends for centres while it is turned: it is a tube.")
                            : Phrase.of("Centre-drill both ends, 60°, and leave the centres in for the dial."));
        }
        notes.add(Phrase.of("One piece: no weld, no heat. Try both forks on before it leaves the lathe."));
        List<Phrase> cautions = new ArrayList<>();
        for (boolean gearEnd : new boolean[] {false, true}) {
            end(gearEnd).groove().ifPresent(g -> {
                double left = seat(gearEnd).diameter() - 2 * g.depth();
                notes.add(Phrase.of(
                        "Over the groove at its " + endName(gearEnd) + " Ø {0} is left.", Quantity.length(left)));
            });
            if (fit(gearEnd).socket().isEmpty()) {
                cautions.add(Phrase.of("the bore it goes into at its " + endName(gearEnd)
                        + " is not known: measure the fork before turning."));
            }
        }
        if (shaft.typical()) {
            cautions.add(Phrase.of("its sizes are typical ones that nobody measured: measure before turning."));
        }
        double most = Math.max(
                shaft.diameter(), Math.max(seat(false).diameter(), seat(true).diameter()));
        return new PartDrawing(
                piece.id(),
                piece.name(),
                Phrase.of(
                        "steel bar over Ø {0}" + (shaft.bore() > 0 ? ", bored {1}" : "")
                                + ", that yields at {2} or more",
                        Quantity.length(most),
                        Quantity.length(shaft.bore()),
                        Quantity.stress(shaft.yieldMpa())),
                Phrase.of("It has no hand, but two unlike ends: mark the wheel end."),
                1,
                0,
                job.making().workshop().sets(),
                List.of(List.of(new DrawnView("From the side, the wheel's end left", shape, sizes)), ends),
                List.of(),
                List.of(),
                List.of(),
                notes,
                cautions);
    }

    /** How the forms of both ends stand to each other. @param ways in a whole turn that are as good */
    private record Between(double deg, long ways) {}

    /**
     * A fork's pin is its flat and {@code p} more, so that flat to flat is the clocking less the gear fork's {@code p}
     * and the wheel fork's added: at the nearest of the ways that both forms allow.
     */
    private Optional<Between> between() {
        int wheel = seat(false).waysPerTurn();
        int gear = seat(true).waysPerTurn();
        if (wheel == 0 || gear == 0 || !column.liesBetweenJoints(index)) {
            return Optional.empty();
        }
        long ways = (long) wheel * gear / gcd(wheel, gear);
        double one = 360.0 / ways;
        double deg = shaft.clockingDeg()
                - piece.gearEnd().pinFromFlatDeg()
                + piece.wheelEnd().pinFromFlatDeg();
        return Optional.of(new Between(Math.IEEEremainder(deg, one), ways));
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    private String what(boolean gearEnd) {
        return switch (seat(gearEnd)) {
            case ShaftProfile.Round _ -> "seat";
            case ShaftProfile.Splined _ -> "tooth";
            case ShaftProfile.DoubleD _ -> "flat";
            case ShaftProfile.Keyed _ -> "keyway";
        };
    }

    private void side() {
        double a = piece.wheelEnd().length();
        double b = length - piece.gearEnd().length();
        List<PatternPoint> top = new ArrayList<>();
        zone(top, 0, a, seat(false).diameter() / 2, piece.wheelEnd().groove(), false);
        zone(top, a, b, shaft.diameter() / 2, Optional.empty(), false);
        zone(top, b, length, seat(true).diameter() / 2, piece.gearEnd().groove(), true);
        List<PatternPoint> round = new ArrayList<>(top);
        for (int i = top.size() - 1; i >= 0; i--) {
            round.add(new PatternPoint(top.get(i).x(), -top.get(i).y()));
        }
        shape.add(new PatternMark.Path(Layer.OUTLINE, round, true));
        for (PatternPoint p : top) {
            if (p.x() > 0 && p.x() < length) {
                shape.add(Outlines.line(Layer.OUTLINE, p.x(), -p.y(), p.x(), p.y()));
            }
        }
        shape.add(Outlines.line(Layer.CENTRE, -4, 0, length + 4, 0));
        if (shaft.bore() > 0) {
            for (int s : new int[] {-1, 1}) {
                shape.add(Outlines.line(Layer.HIDDEN, 0, s * shaft.bore() / 2, length, s * shaft.bore() / 2));
            }
        }
        inEnd(false, 0, a);
        inEnd(true, b, length);
        sizes.add(new SizeLine.Along(PartSize.length("overall length", length), 0, length, -low(0), lastRow()));
        sizes.add(new SizeLine.Along(
                PartSize.within("wheel end's form", a, 1, 0), 0, a, seat(false).diameter() / 2, 1));
        sizes.add(new SizeLine.Along(
                PartSize.within("gear end's form", length - b, 1, 0),
                b,
                length,
                seat(true).diameter() / 2,
                1));
        int row = -1;
        for (boolean gearEnd : new boolean[] {false, true}) {
            Optional<Groove> groove = end(gearEnd).groove();
            if (groove.isPresent()) {
                Groove g = groove.get();
                double x = gearEnd ? length - g.fromEnd() : g.fromEnd();
                double bottom = -(seat(gearEnd).diameter() / 2 - g.depth());
                sizes.add(new SizeLine.Along(
                        PartSize.within(endName(gearEnd) + "'s groove from the end", g.fromEnd(), 0.1, 0.1),
                        gearEnd ? x : 0,
                        gearEnd ? length : x,
                        bottom,
                        -1));
                sizes.add(new SizeLine.Pointer(
                        PartSize.within(endName(gearEnd) + "'s groove, width", g.width(), 0.2, 0),
                        new PatternPoint(x, seat(gearEnd).diameter() / 2 - g.depth() / 2),
                        gearEnd ? -14 : 14,
                        GROOVE_UP));
                sizes.add(new SizeLine.Pointer(
                        PartSize.diameter(
                                endName(gearEnd) + "'s groove, Ø left",
                                seat(gearEnd).diameter() - 2 * g.depth()),
                        new PatternPoint(x, -bottom),
                        gearEnd ? -14 : 14,
                        GROOVE_UP + SizeLine.STEP));
            }
        }
        for (Bearing r : bearings()) {
            double x = r.along() - fit(false).shortening();
            row--;
            shape.add(Outlines.line(Layer.CENTRE, x, -shaft.diameter() / 2 - 6, x, shaft.diameter() / 2 + 6));
            sizes.add(new SizeLine.Along(
                    PartSize.length("wheel end to the middle of " + r.name(), x), 0, x, -low(x), row));
            if (Math.abs(r.bore() - shaft.diameter()) < SMALL) {
                sizes.add(new SizeLine.Pointer(
                        PartSize.turned("seat of " + r.name(), shaft.diameter(), piece.fit()),
                        new PatternPoint(x + 3, shaft.diameter() / 2),
                        10,
                        // Each clear of the grooves' words and of the bearing's before it.
                        GROOVE_UP + SizeLine.STEP * (-row)));
            }
        }
        if (bearings().stream().noneMatch(r -> Math.abs(r.bore() - shaft.diameter()) < SMALL)) {
            sizes.add(new SizeLine.Pointer(
                    PartSize.diameter("outside between its ends", shaft.diameter()),
                    new PatternPoint((a + b) / 2, shaft.diameter() / 2),
                    10,
                    14));
        }
        if (shaft.bore() > 0) {
            sizes.add(new SizeLine.Pointer(
                    PartSize.diameter("bore", shaft.bore()),
                    new PatternPoint((a + b) / 2, -shaft.bore() / 2),
                    -10,
                    -14));
        }
    }

    /** Bearings on the shaft itself, beyond what stands in its forks. */
    private List<Bearing> bearings() {
        return column.bearings().stream()
                .filter(r -> r.shaft() == index)
                .filter(r -> r.along() > fit(false).shortening()
                        && r.along() < fit(false).shortening() + length)
                .toList();
    }

    private int lastRow() {
        return -2 - bearings().size();
    }

    private double low(double x) {
        boolean wheel = x <= piece.wheelEnd().length();
        return (wheel ? seat(false).diameter() : shaft.diameter()) / 2;
    }

    private static void zone(
            List<PatternPoint> top, double from, double to, double r, Optional<Groove> groove, boolean gearEnd) {
        top.add(new PatternPoint(from, r));
        groove.ifPresent(g -> {
            double middle = gearEnd ? to - g.fromEnd() : from + g.fromEnd();
            for (int[] c : new int[][] {{-1, 0}, {-1, 1}, {1, 1}, {1, 0}}) {
                top.add(new PatternPoint(middle + c[0] * g.width() / 2, r - c[1] * g.depth()));
            }
        });
        top.add(new PatternPoint(to, r));
    }

    /** What is seen of flats, splines and keyways from the side. */
    private void inEnd(boolean gearEnd, double from, double to) {
        double inner =
                switch (seat(gearEnd)) {
                    case ShaftProfile.Round _ -> 0;
                    case ShaftProfile.Splined s -> s.roundNoStronger() / 2;
                    case ShaftProfile.DoubleD d -> d.acrossFlats() / 2;
                    case ShaftProfile.Keyed k -> k.keyWidth() / 2;
                };
        if (inner > 0) {
            for (int s : new int[] {-1, 1}) {
                shape.add(Outlines.line(
                        seat(gearEnd) instanceof ShaftProfile.Splined ? Layer.HIDDEN : Layer.OUTLINE,
                        from,
                        s * inner,
                        to,
                        s * inner));
            }
        }
    }

    /** @param deg how far it is turned, clockwise seen from the wheel */
    private DrawnView endView(boolean gearEnd, double deg) {
        ShaftProfile seat = seat(gearEnd);
        double r = seat.diameter() / 2;
        List<PatternMark> marks = new ArrayList<>(Outlines.cross(0, 0, r + 3));
        List<SizeLine> lines = new ArrayList<>();
        String of = endName(gearEnd);
        double turn = -Math.toRadians(deg);
        switch (seat) {
            case ShaftProfile.Round _ -> {
                marks.add(Outlines.circle(Layer.OUTLINE, 0, 0, r));
                lines.add(points(PartSize.turned(of + "'s seat", seat.diameter(), piece.fit()), r, 14));
            }
            case ShaftProfile.Splined s -> {
                marks.add(Outlines.circle(Layer.OUTLINE, 0, 0, r));
                marks.add(Outlines.circle(Layer.HIDDEN, 0, 0, s.roundNoStronger() / 2));
                lines.add(points(
                        new PartSize(
                                of + ", outside of its " + s.teeth() + " teeth",
                                s.teeth() + " teeth, Ø ",
                                seat.diameter(),
                                0,
                                Tolerances.below(seat.diameter(), piece.fit()),
                                piece.fit().label()),
                        r,
                        14));
            }
            case ShaftProfile.DoubleD d -> {
                double half = d.acrossFlats() / 2;
                double at = Math.toDegrees(Math.asin(half / r));
                for (double side : new double[] {0, 180}) {
                    List<PatternPoint> arc = Outlines.arc(0, 0, r, side - at, side + at);
                    marks.add(new PatternMark.Path(
                            Layer.OUTLINE,
                            arc.stream().map(p -> turned(p, turn)).toList(),
                            false));
                }
                for (int s : new int[] {-1, 1}) {
                    double x = Math.sqrt(r * r - half * half);
                    PatternPoint from = turned(new PatternPoint(-x, s * half), turn);
                    PatternPoint to = turned(new PatternPoint(x, s * half), turn);
                    marks.add(Outlines.line(Layer.OUTLINE, from.x(), from.y(), to.x(), to.y()));
                }
                lines.add(points(PartSize.turned(of + ", outside", seat.diameter(), piece.fit()), r, 14));
                PatternPoint flat = turned(new PatternPoint(0, -half), turn);
                lines.add(new SizeLine.Pointer(
                        new PartSize(
                                of + ", across its flats",
                                "across flats ",
                                d.acrossFlats(),
                                0,
                                Tolerances.below(d.acrossFlats(), Piece.TurnedFit.H9),
                                Piece.TurnedFit.H9.label()),
                        flat,
                        10,
                        -10));
            }
            case ShaftProfile.Keyed k -> {
                double half = k.keyWidth() / 2;
                double floor = r - half;
                double at = Math.toDegrees(Math.asin(half / r));
                List<PatternPoint> round = new ArrayList<>(Outlines.arc(0, 0, r, 90 + at, 450 - at));
                round.add(new PatternPoint(half, floor));
                round.add(new PatternPoint(-half, floor));
                marks.add(new PatternMark.Path(
                        Layer.OUTLINE, round.stream().map(p -> turned(p, turn)).toList(), true));
                lines.add(points(PartSize.turned(of + "'s seat", seat.diameter(), piece.fit()), r, 14));
                lines.add(new SizeLine.Pointer(
                        new PartSize(
                                of + "'s keyway, width and half as deep",
                                "key ",
                                k.keyWidth(),
                                0,
                                Tolerances.below(k.keyWidth(), Piece.TurnedFit.H9),
                                "N9"),
                        turned(new PatternPoint(0, floor), turn),
                        -12,
                        12));
            }
        }
        if (shaft.bore() > 0) {
            marks.add(Outlines.circle(Layer.OUTLINE, 0, 0, shaft.bore() / 2));
        }
        return new DrawnView((gearEnd ? "Gear end" : "Wheel end") + ", seen from the wheel", marks, lines);
    }

    private static SizeLine points(PartSize size, double r, double up) {
        double at = Math.toRadians(45);
        return new SizeLine.Pointer(size, new PatternPoint(r * Math.cos(at), r * Math.sin(at)), 8, up - 8);
    }

    private static PatternPoint turned(PatternPoint p, double rad) {
        return new PatternPoint(
                p.x() * Math.cos(rad) - p.y() * Math.sin(rad), p.x() * Math.sin(rad) + p.y() * Math.cos(rad));
    }
}
