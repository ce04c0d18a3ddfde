package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Piece;
import mildtilt.build.Section;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.job.Job;
import mildtilt.machined.MachinedParts.Outcome;
import mildtilt.machined.PartDrawing.Blank;
import mildtilt.obstacle.Obstacle;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Layer;
import mildtilt.template.PatternPoint;
import mildtilt.template.SurfaceReach;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A steady's post: from the thread in its bearing down through a tab, with a nut on either side of the tab. Its length
 * follows from where the bearing is and what the tab is fixed to:
 *
 * <pre>
 * length = in the bearing + (bearing to surface − bearing to its hole's mouth − tab's upper face above the surface)
 *          + tab + nut + setting + two threads
 * </pre>
 */
final class SteadyPostDrawing {

    /** Threads that stand out of a nut. */
    private static final double PROUD = 2;

    private SteadyPostDrawing() {}

    static Outcome of(Job job, Piece.SteadyPost p) {
        Optional<Column> column = job.column();
        Optional<Bearing> bearing = column.flatMap(c -> c.bearing(p.bearing()));
        Optional<Obstacle> foot = job.surroundings().get(p.foot());
        if (bearing.isEmpty()) {
            return new Outcome.Open(Phrase.of("the column has no such bearing any more. Choose another."));
        }
        if (foot.isEmpty()) {
            return new Outcome.Open(Phrase.of("what its tab is fixed to is not in the way any more. Choose another."));
        }
        String footName = Phrase.name(foot.get().name());
        if (!SurfaceReach.carries(foot.get().shape())) {
            return new Outcome.Open(Phrase.of("a tab is not drawn onto a "
                    + foot.get().shape().label() + "; give \"" + footName + "\" as a box, plate, tube or cylinder."));
        }
        Column c = column.get();
        List<SurfaceReach.Reach> ways = SurfaceReach.square(
                c.place(bearing.get()),
                c.axis(bearing.get().shaft()),
                foot.get().shape());
        if (ways.isEmpty()) {
            return new Outcome.Open(Phrase.of(
                    "square to the shaft at \"" + Phrase.name(bearing.get().name()) + "\" nothing of \"" + footName
                            + "\" is met. Move the bearing along, or fix it to something else."));
        }
        double far = ways.getFirst().hit().far();
        double least = job.making().workshop().engagementTimes() * p.thread().major();
        if (p.engaged() < least - 1e-6) {
            return new Outcome.Open(Phrase.of(
                    "{0} of thread in the bearing are too few for Ø {1}: the workshop wants {2}.",
                    Quantity.length(p.engaged()), Quantity.fine(p.thread().major()), Quantity.length(least)));
        }
        double free = far - p.mouth() - p.standOff();
        double above = p.nut() + p.adjust();
        if (free < above) {
            return new Outcome.Open(Phrase.of(
                    "from the bearing's middle to \"" + footName
                            + "\" are {0}: between its hole's mouth and the tab {1} are left, and its upper nut "
                            + "with its setting wants {2}. Lower the tab by {3}.",
                    Quantity.length(far),
                    Quantity.length(free),
                    Quantity.length(above),
                    Quantity.length(above - free)));
        }
        double proud = PROUD * p.thread().pitch();
        double below = p.tab() + p.nut() + p.adjust() + proud;
        if (p.standOff() < below) {
            return new Outcome.Open(Phrase.of(
                    "the tab's upper face is {0} above \"" + footName
                            + "\", and tab, lower nut and what stands out of it want {1}. Raise the tab by {2}.",
                    Quantity.length(p.standOff()),
                    Quantity.length(below),
                    Quantity.length(below - p.standOff())));
        }
        double length = p.engaged() + free + below;
        double foots = 2 * p.nut() + p.tab() + 2 * p.adjust() + proud;
        return new Outcome.Drawn(new PartDrawing(
                p.id(),
                p.name(),
                Phrase.of(
                        "steel bar Ø {0}, two nuts and washers for it",
                        Quantity.fine(p.thread().major())),
                Phrase.of("It has no hand."),
                1,
                0,
                job.making().workshop().sets(),
                List.of(List.of(post(p, length, foots)), List.of(standing(p, far, free))),
                List.of(),
                List.of(),
                List.of(new Blank.Sawn(
                        p.name(), new Section.Bar(p.thread().major()), length, "threaded by its drawing")),
                List.of(
                        Phrase.of("Thread " + p.thread().label() + ", 6g, at both ends. Chamfer both."),
                        Phrase.of(
                                "Set it by the nuts: the bearing's middle {0} above \"" + footName
                                        + "\", measured square to the shaft; it goes {1} either way. Fit the "
                                        + "shaft, turn it, and lock both nuts where it turns freest.",
                                Quantity.length(far),
                                Quantity.length(p.adjust()))),
                length > 12 * p.thread().major()
                        ? List.of(Phrase.of(
                                "a post {0} long of Ø {1} bends before it holds: brace it, or take a thicker one.",
                                Quantity.length(length),
                                Quantity.fine(p.thread().major())))
                        : List.of()));
    }

    private static DrawnView post(Piece.SteadyPost p, double length, double foots) {
        double r = p.thread().major() / 2;
        double root = r - 0.61 * p.thread().pitch();
        double top = p.engaged() + p.thread().major();
        List<PatternMark> shape = new ArrayList<>();
        shape.add(Outlines.box(Layer.OUTLINE, 0, -r, length, r));
        shape.add(Outlines.line(Layer.CENTRE, -4, 0, length + 4, 0));
        boolean through = top + foots >= length;
        double a = through ? length : top;
        for (int s : new int[] {-1, 1}) {
            shape.add(Outlines.line(Layer.HIDDEN, 0, s * root, a, s * root));
            if (!through) {
                shape.add(Outlines.line(Layer.HIDDEN, length - foots, s * root, length, s * root));
            }
        }
        List<SizeLine> sizes = new ArrayList<>();
        sizes.add(new SizeLine.Along(PartSize.length("overall length", length), 0, length, -r, -1));
        if (!through) {
            shape.add(Outlines.line(Layer.OUTLINE, top, -r, top, r));
            shape.add(Outlines.line(Layer.OUTLINE, length - foots, -r, length - foots, r));
            sizes.add(new SizeLine.Along(PartSize.within("thread at the bearing's end", top, 2, 0), 0, top, r, 1));
            sizes.add(new SizeLine.Along(
                    PartSize.within("thread at the foot's end", foots, 2, 0), length - foots, length, r, 1));
        }
        return new DrawnView(
                "The post, the bearing's end left" + (through ? ", threaded over its whole length" : ""), shape, sizes);
    }

    /** As it stands, the surface left. */
    private static DrawnView standing(Piece.SteadyPost p, double far, double free) {
        double d = p.thread().major();
        double face = p.standOff();
        List<PatternMark> shape = new ArrayList<>();
        shape.add(Outlines.line(Layer.OUTLINE, 0, -2.5 * d, 0, 2.5 * d));
        shape.add(Outlines.box(Layer.OUTLINE, face - p.tab(), -2 * d, face, 2 * d));
        shape.add(Outlines.box(Layer.OUTLINE, face, -0.9 * d, face + p.nut(), 0.9 * d));
        shape.add(Outlines.box(Layer.OUTLINE, face - p.tab() - p.nut(), -0.9 * d, face - p.tab(), 0.9 * d));
        double low = face - p.tab() - p.nut() - p.adjust() - PROUD * p.thread().pitch();
        shape.add(Outlines.box(Layer.OUTLINE, low, -d / 2, face + free, d / 2));
        shape.add(Outlines.circle(Layer.OUTLINE, far, 0, p.mouth()));
        shape.addAll(Outlines.cross(far, 0, p.mouth() + 3));
        return new DrawnView(
                "As it stands: the surface left, the tab between its nuts, the bearing right",
                shape,
                List.of(
                        new SizeLine.Along(
                                PartSize.length("surface to the tab's upper face", face), 0, face, -2.5 * d, -1),
                        new SizeLine.Along(
                                PartSize.within("surface to the bearing's middle", far, p.adjust(), p.adjust()),
                                0,
                                far,
                                -2.5 * d,
                                -2),
                        new SizeLine.Pointer(
                                PartSize.length("tab's thickness", p.tab()),
                                new PatternPoint(face - p.tab() / 2, 2 * d),
                                6,
                                8)));
    }
}
