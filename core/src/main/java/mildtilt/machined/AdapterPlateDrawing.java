package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import mildtilt.build.Piece;
import mildtilt.build.Piece.PlateHole;
import mildtilt.job.Job;
import mildtilt.machined.MachinedParts.Outcome;
import mildtilt.machined.PartDrawing.Blank;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Layer;
import mildtilt.template.PatternPoint;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A plate with its holes, each by a letter and its place from the plate's lower left corner; its edge and holes are on
 * the layer that a cutting table follows.
 */
final class AdapterPlateDrawing {

    private AdapterPlateDrawing() {}

    static Outcome of(Job job, Piece.AdapterPlate p) {
        List<Phrase> cautions = new ArrayList<>();
        for (int i = 0; i < p.holes().size(); i++) {
            PlateHole h = p.holes().get(i);
            double edge = edge(p, h);
            if (edge <= 0) {
                return new Outcome.Open(Phrase.of(
                        "hole " + letter(i) + " at {0}, {1} runs off the plate. Move it in.",
                        Quantity.length(h.x()),
                        Quantity.length(h.y())));
            }
            for (int k = 0; k < i; k++) {
                PlateHole o = p.holes().get(k);
                double between = Math.hypot(h.x() - o.x(), h.y() - o.y()) - (h.diameter() + o.diameter()) / 2;
                if (between <= 0) {
                    return new Outcome.Open(
                            Phrase.of("holes " + letter(k) + " and " + letter(i) + " run into each other."));
                }
                if (between < Math.min(Math.min(h.diameter(), o.diameter()), p.thickness())) {
                    cautions.add(Phrase.of(
                            "only {0} of metal between holes " + letter(k) + " and " + letter(i) + ".",
                            Quantity.length(between)));
                }
            }
            // As much metal as half the hole: its middle one diameter from the edge.
            if (edge < h.diameter() / 2 - 1e-6) {
                cautions.add(Phrase.of(
                        "only {0} of metal from hole " + letter(i)
                                + " to the edge; a bolt that pulls sideways wants its middle a diameter from it, "
                                + "better one and a half.",
                        Quantity.length(edge)));
            }
        }
        List<PatternMark> shape = new ArrayList<>();
        shape.add(Outlines.roundedBox(Layer.CUT, p.width(), p.height(), p.corner()));
        List<SizeLine> sizes = new ArrayList<>(List.of(
                new SizeLine.Along(PartSize.length("width", p.width()), 0, p.width(), 0, -1),
                new SizeLine.Upright(PartSize.length("height", p.height()), 0, p.height(), 0, -1)));
        if (p.corner() > 0) {
            double in = p.corner() * (1 - Math.sqrt(0.5));
            sizes.add(new SizeLine.Pointer(
                    new PartSize(
                            "corners' radius",
                            "R ",
                            p.corner(),
                            Tolerances.general(p.corner()),
                            Tolerances.general(p.corner()),
                            ""),
                    new PatternPoint(p.width() - in, p.height() - in),
                    8,
                    8));
        }
        List<PartDrawing.DrawnHole> holes = new ArrayList<>();
        for (int i = 0; i < p.holes().size(); i++) {
            PlateHole h = p.holes().get(i);
            shape.add(Outlines.circle(Layer.CUT, h.x(), h.y(), h.diameter() / 2));
            shape.addAll(Outlines.cross(h.x(), h.y(), h.diameter() / 2 + 2));
            shape.add(new PatternMark.Words(
                    new PatternPoint(h.x() + h.diameter() / 2 + 1, h.y() + h.diameter() / 2 + 1),
                    Math.clamp(p.height() / 15, 4, 10),
                    false,
                    Phrase.of(letter(i))));
            holes.add(new PartDrawing.DrawnHole(
                    letter(i),
                    PartSize.within("hole " + letter(i) + " from the left edge", h.x(), 0.2, 0.2),
                    PartSize.within("hole " + letter(i) + " from the lower edge", h.y(), 0.2, 0.2),
                    new PartSize("hole " + letter(i), "Ø ", h.diameter(), 0.2, 0, "")));
        }
        return new Outcome.Drawn(new PartDrawing(
                p.id(),
                p.name(),
                Phrase.of("steel plate {0}", Quantity.fine(p.thickness())),
                Phrase.of("Left and right are the same plate turned over."),
                p.left(),
                p.right(),
                job.making().workshop().sets(),
                List.of(List.of(new DrawnView("Flat", shape, sizes))),
                holes,
                List.of(PartSize.length("plate\'s thickness", p.thickness())),
                List.of(new Blank.Flat(p.name(), p.thickness(), area(p), 1)),
                List.of(
                        Phrase.of("Holes are measured from the lower left corner. Spot both patterns through from "
                                + "the parts themselves before drilling to size, where they are there."),
                        Phrase.of("Flat to 0.2 over its width; break all edges.")),
                cautions));
    }

    /** Less its corners and holes, mm². */
    private static double area(Piece.AdapterPlate p) {
        double corners = (4 - Math.PI) * p.corner() * p.corner();
        return p.width() * p.height()
                - corners
                - p.holes().stream()
                        .mapToDouble(h -> Math.PI * h.diameter() * h.diameter() / 4)
                        .sum();
    }

    /** Least metal from a hole's edge to the plate's, mm; below 0 where it runs off. */
    private static double edge(Piece.AdapterPlate p, PlateHole h) {
        double sides = Math.min(Math.min(h.x(), p.width() - h.x()), Math.min(h.y(), p.height() - h.y()));
        double cx = Math.clamp(h.x(), p.corner(), p.width() - p.corner());
        double cy = Math.clamp(h.y(), p.corner(), p.height() - p.corner());
        boolean inCorner = p.corner() > 0 && cx != h.x() && cy != h.y();
        double round = inCorner ? p.corner() - Math.hypot(h.x() - cx, h.y() - cy) : Double.POSITIVE_INFINITY;
        return Math.min(sides, round) - h.diameter() / 2;
    }

    /** A to Z, then A2 and on. */
    static String letter(int index) {
        String c = Character.toString('A' + index % 26);
        return index < 26 ? c : c + (index / 26 + 1);
    }
}
