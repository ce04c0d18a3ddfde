package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Piece;
import mildtilt.column.Bearing;
import mildtilt.job.Job;
import mildtilt.machined.MachinedParts.Outcome;
import mildtilt.machined.PartDrawing.Blank;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Layer;
import mildtilt.template.PatternPoint;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A bearing housing from tube: bored for the bearing, slit along, and drawn together by bolts through two lugs. Where
 * the
 * tube's inside is wider than the bearing, closing it takes {@code π (inside − bearing)} off the round, which the slit
 * must have.
 */
final class BearingHousingDrawing {

    /**
     * A lug is at least so many bolt holes high, so that a head goes beside the tube and metal stays round the hole.
     */
    private static final double LUG_TIMES = 2.4;

    /** Of a wall that a lug can be welded to without the bore going out of round, mm. */
    private static final double GOOD_WALL = 2.5;

    private BearingHousingDrawing() {}

    static Outcome of(Job job, Piece.BearingHousing p) {
        Optional<Bearing> bearing = job.column().flatMap(c -> c.bearing(p.bearing()));
        if (bearing.isEmpty()) {
            return new Outcome.Open(Phrase.of("the column has no such bearing any more. Choose another."));
        }
        double outside = p.section().outside();
        double inside = p.section().inside();
        double ring = p.bearingOutside();
        if (ring <= bearing.get().bore()) {
            return new Outcome.Open(Phrase.of(
                    "the bearing's outside of {0} is no more than its bore of {1}. Measure the bearing.",
                    Quantity.fine(ring), Quantity.fine(bearing.get().bore())));
        }
        boolean bored = inside < ring;
        double bore = Math.max(inside, ring);
        double wall = (outside - bore) / 2;
        if (wall < 1) {
            return new Outcome.Open(Phrase.of(
                    "bored for Ø {0}, {1} of the tube's wall are left. Take a larger or thicker tube.",
                    Quantity.fine(ring), Quantity.fine(Math.max(0, wall))));
        }
        if (p.length() < p.bearingWidth()) {
            return new Outcome.Open(Phrase.of(
                    "it is {0} long and the bearing {1} wide. Make it longer.",
                    Quantity.length(p.length()), Quantity.length(p.bearingWidth())));
        }
        double closes = Math.PI * (bore - ring);
        if (closes > p.slit() - 0.5) {
            return new Outcome.Open(Phrase.of(
                    "its slit has to close by {0} before it grips, and is {1} wide. Take a tube whose inside is "
                            + "nearer to Ø {2}, or one that is bored.",
                    Quantity.fine(closes), Quantity.fine(p.slit()), Quantity.fine(ring)));
        }
        if (p.slit() / 2 + p.lugThickness() > outside / 2) {
            return new Outcome.Open(Phrase.of("slit and lugs are wider than the tube."));
        }
        if (p.lugHeight() < LUG_TIMES * p.boltHole()) {
            return new Outcome.Open(Phrase.of(
                    "lugs of {0} are too low for bolt holes of {1}: make them {2} or more.",
                    Quantity.length(p.lugHeight()),
                    Quantity.length(p.boltHole()),
                    Quantity.length(LUG_TIMES * p.boltHole())));
        }
        double pitch = p.length() / p.bolts();
        if (pitch < 2 * p.boltHole()) {
            return new Outcome.Open(Phrase.of(
                    p.bolts() + " bolts in {0} leave no metal between them. Take fewer.", Quantity.length(p.length())));
        }
        List<Phrase> cautions = new ArrayList<>();
        if (wall < GOOD_WALL) {
            cautions.add(Phrase.of(
                    "a wall of {0} pulls out of round as the lugs are welded: bore it after welding, and try the "
                            + "bearing cold.",
                    Quantity.fine(wall)));
        }
        List<Phrase> notes = new ArrayList<>(List.of(
                Phrase.of("Order: cut the tube, weld both lugs on as one block, bore, drill, slit last."),
                bored
                        ? Phrase.of("{0} of wall are left round the bearing.", Quantity.fine(wall))
                        : Phrase.of(
                                "The tube is {0} wider than the bearing: the slit closes by {1} until it "
                                        + "grips, and {2} of it are left. Measure your tube first: drawn tube differs by tenths.",
                                Quantity.fine(bore - ring), Quantity.fine(closes), Quantity.fine(p.slit() - closes)),
                Phrase.of("Draw the bolts up evenly, and only until the ring does not turn in it: a crushed "
                        + "ring runs rough. Lock the nuts as the rule set says.")));
        return new Outcome.Drawn(new PartDrawing(
                p.id(),
                p.name(),
                Phrase.of(
                        "steel tube Ø {0} × {1}, lugs of flat {2}",
                        Quantity.fine(outside), Quantity.fine(p.section().wall()), Quantity.fine(p.lugThickness())),
                Phrase.of("Turned end for end, a left one is a right one."),
                p.left(),
                p.right(),
                job.making().workshop().sets(),
                List.of(List.of(end(p, bore, bored), side(p, bore, bored, pitch))),
                List.of(),
                List.of(),
                blanks(p),
                notes,
                cautions));
    }

    private static List<Blank> blanks(Piece.BearingHousing p) {
        double r = p.section().outside() / 2;
        double out = p.slit() / 2 + p.lugThickness();
        // A lug reaches down to where its outside meets the tube.
        double high = p.lugHeight() + r - Math.sqrt(r * r - out * out);
        return List.of(
                new Blank.Sawn(p.name(), p.section(), p.length(), "faced square both ends"),
                new Blank.Flat(p.name() + ", lugs", p.lugThickness(), p.length() * high, 2));
    }

    private static DrawnView end(Piece.BearingHousing p, double bore, boolean bored) {
        double r = p.section().outside() / 2;
        double half = p.slit() / 2;
        double out = half + p.lugThickness();
        double top = r + p.lugHeight();
        List<PatternMark> shape = new ArrayList<>(Outlines.cross(0, 0, r + 4));
        double from = Math.toDegrees(Math.acos(out / r));
        // From the right lug's outside clockwise to the left one's.
        shape.add(new PatternMark.Path(Layer.OUTLINE, Outlines.arc(0, 0, r, from, -180 - from), false));
        double b = bore / 2;
        double slit = Math.toDegrees(Math.acos(half / b));
        shape.add(new PatternMark.Path(Layer.OUTLINE, Outlines.arc(0, 0, b, slit, -180 - slit), false));
        for (int s : new int[] {-1, 1}) {
            shape.add(new PatternMark.Path(
                    Layer.OUTLINE,
                    List.of(
                            new PatternPoint(s * half, b * Math.sin(Math.toRadians(slit))),
                            new PatternPoint(s * half, top),
                            new PatternPoint(s * out, top),
                            new PatternPoint(s * out, r * Math.sin(Math.toRadians(from)))),
                    false));
        }
        double bolt = r + p.lugHeight() / 2;
        shape.add(Outlines.line(Layer.CENTRE, -out - 3, bolt, out + 3, bolt));
        for (int s : new int[] {-1, 1}) {
            double y = bolt + s * p.boltHole() / 2;
            shape.add(Outlines.line(Layer.HIDDEN, -out, y, -half, y));
            shape.add(Outlines.line(Layer.HIDDEN, half, y, out, y));
        }
        return new DrawnView(
                "From the end",
                shape,
                List.of(
                        new SizeLine.Along(PartSize.within("slit", p.slit(), 0.5, 0), -half, half, top, 1),
                        new SizeLine.Along(PartSize.length("over both lugs", 2 * out), -out, out, top, 2),
                        new SizeLine.Upright(PartSize.length("middle to the bolts", bolt), 0, bolt, -out, -1),
                        new SizeLine.Upright(PartSize.length("middle to the lugs' top", top), 0, top, -out, -2),
                        new SizeLine.Pointer(
                                bored
                                        ? PartSize.bore("bore for the bearing", bore)
                                        : PartSize.diameter("tube's inside, as it is", bore),
                                new PatternPoint(b * Math.cos(Math.toRadians(-60)), b * Math.sin(Math.toRadians(-60))),
                                -12,
                                -18),
                        new SizeLine.Pointer(
                                PartSize.diameter("tube's outside", 2 * r),
                                new PatternPoint(r * Math.cos(Math.toRadians(-40)), r * Math.sin(Math.toRadians(-40))),
                                10,
                                -10)));
    }

    private static DrawnView side(Piece.BearingHousing p, double bore, boolean bored, double pitch) {
        double r = p.section().outside() / 2;
        double top = r + p.lugHeight();
        double bolt = r + p.lugHeight() / 2;
        List<PatternMark> shape = new ArrayList<>();
        shape.add(Outlines.box(Layer.OUTLINE, 0, -r, p.length(), r));
        shape.add(Outlines.box(Layer.OUTLINE, 0, r, p.length(), top));
        shape.add(Outlines.line(Layer.CENTRE, -4, 0, p.length() + 4, 0));
        double deep = bored ? p.bearingWidth() : p.length();
        double inside = p.section().inside() / 2;
        for (int s : new int[] {-1, 1}) {
            shape.add(Outlines.line(Layer.HIDDEN, 0, s * bore / 2, deep, s * bore / 2));
            if (deep < p.length()) {
                shape.add(Outlines.line(Layer.HIDDEN, deep, s * inside, p.length(), s * inside));
                shape.add(Outlines.line(Layer.HIDDEN, deep, s * inside, deep, s * bore / 2));
            }
        }
        List<SizeLine> sizes = new ArrayList<>();
        for (int i = 0; i < p.bolts(); i++) {
            double x = pitch * (i + 0.5);
            shape.add(Outlines.circle(Layer.OUTLINE, x, bolt, p.boltHole() / 2));
            shape.addAll(Outlines.cross(x, bolt, p.boltHole() / 2 + 2));
            sizes.add(new SizeLine.Along(PartSize.length("end to bolt " + (i + 1), x), 0, x, top, i + 1));
        }
        sizes.add(new SizeLine.Pointer(
                new PartSize("bolt holes", p.bolts() + " × Ø ", p.boltHole(), 0.2, 0, ""),
                new PatternPoint(pitch * (p.bolts() - 0.5) + p.boltHole() / 2, bolt),
                12,
                4));
        sizes.add(new SizeLine.Along(PartSize.length("housing's length", p.length()), 0, p.length(), -r, -2));
        if (deep < p.length()) {
            sizes.add(new SizeLine.Along(
                    PartSize.within("bored deep, to its shoulder", deep, 0.1, 0), 0, deep, -bore / 2, -1));
        }
        return new DrawnView("From the side", shape, sizes);
    }
}
