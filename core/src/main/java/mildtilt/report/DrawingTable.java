package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import mildtilt.machined.MachinedParts;
import mildtilt.machined.PartDrawing;
import mildtilt.machined.PartSize;
import mildtilt.units.Quantity;

/** Sizes of the parts that are drawn for the machinist. */
public final class DrawingTable {

    private DrawingTable() {}

    public static Table of(MachinedParts parts) {
        List<List<Cell>> rows = new ArrayList<>();
        for (PartDrawing d : parts.drawings()) {
            for (PartSize s : d.sizes()) {
                rows.add(List.of(
                        Cell.of(d.name()),
                        Cell.of(d.count()),
                        Cell.of(s.name()),
                        Cell.of(s.text()),
                        Cell.of(Quantity.limit(s.nominal())),
                        Cell.of(Quantity.limit(s.most())),
                        Cell.of(Quantity.limit(s.least()))));
            }
        }
        return new Table(
                "drawing-sizes",
                "Sizes on the drawings",
                List.of("part", "count", "size", "drawn", "nominal_mm", "most_mm", "least_mm"),
                List.of("Part", "Make", "Size", "As drawn", "Nominal", "Most", "Least"),
                rows);
    }

    /** Those of one part. */
    public static Table of(PartDrawing drawing) {
        return new Table(
                "drawing-sizes",
                "Sizes",
                List.of("size", "drawn", "most_mm", "least_mm"),
                List.of("Size", "As drawn", "Most", "Least"),
                drawing.sizes().stream()
                        .map(s -> List.of(
                                Cell.of(s.name()),
                                Cell.of(s.text()),
                                Cell.of(Quantity.limit(s.most())),
                                Cell.of(Quantity.limit(s.least()))))
                        .toList());
    }

    /** Holes that are found by their letters. */
    public static Table holes(PartDrawing drawing) {
        return new Table(
                "holes",
                "Holes, from the lower left corner",
                List.of("hole", "left", "lower", "diameter"),
                List.of("Hole", "From the left edge", "From the lower edge", "Diameter"),
                drawing.holes().stream()
                        .map(h -> List.of(
                                Cell.of(h.letter()),
                                Cell.of(h.x().text()),
                                Cell.of(h.y().text()),
                                Cell.of(h.diameter().text())))
                        .toList());
    }
}
