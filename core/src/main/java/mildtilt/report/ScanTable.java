package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.scan.ScanShape;
import mildtilt.units.Quantity;

/** What was measured on a scan. */
public final class ScanTable {

    private ScanTable() {}

    /** @param names of the shapes, in their order */
    public static Table of(List<String> names, List<ScanShape> shapes) {
        List<List<Cell>> rows = new ArrayList<>();
        for (int i = 0; i < shapes.size(); i++) {
            String name = names.get(i);
            switch (shapes.get(i)) {
                case ScanShape.Tube t -> {
                    Optional<Direction> along =
                            Optional.of(t.to().minus(t.from()).direction());
                    row(rows, name + ", one end", "tube", t.from(), along, t, t.spread(), Optional.of(t.spreadDeg()));
                    row(rows, name + ", other end", "tube", t.to(), along, t, t.spread(), Optional.of(t.spreadDeg()));
                }
                case ScanShape.Ball b ->
                    row(rows, name, "ball", b.centre(), Optional.empty(), b, b.spread(), Optional.empty());
                case ScanShape.Flat f ->
                    row(
                            rows,
                            name,
                            "flat",
                            f.middle(),
                            Optional.of(f.out()),
                            f,
                            f.spread(),
                            Optional.of(f.spreadDeg()));
                case ScanShape.Rim r ->
                    row(
                            rows,
                            name,
                            "rim",
                            r.centre(),
                            Optional.of(r.axis()),
                            r,
                            r.spread(),
                            Optional.of(r.spreadDeg()));
                case ScanShape.Box b -> {
                    // A row a side: its middle, and square to it.
                    side(rows, name + ", near side", b, b.first(), b.deep() / 2);
                    side(rows, name + ", far side", b, b.first().reversed(), b.deep() / 2);
                    side(rows, name + ", left side", b, b.second(), b.wide() / 2);
                    side(rows, name + ", right side", b, b.second().reversed(), b.wide() / 2);
                    side(rows, name + ", upper side", b, b.third(), b.high() / 2);
                    side(rows, name + ", lower side", b, b.third().reversed(), b.high() / 2);
                }
                case ScanShape.Hole h ->
                    row(rows, name, "hole", h.centre(), Optional.of(h.axis()), h, h.spread(), Optional.empty());
            }
        }
        return new Table(
                "scan-measures",
                "Measured on the scan",
                List.of(
                        "name",
                        "kind",
                        "x_mm",
                        "y_mm",
                        "z_mm",
                        "spread_mm",
                        "diameter_mm",
                        "spread_diameter_mm",
                        "down_deg",
                        "left_deg",
                        "spread_deg",
                        "scatter_mm",
                        "corners"),
                List.of(
                        "Name",
                        "Kind",
                        "x",
                        "y",
                        "z",
                        "±",
                        "Diameter",
                        "± of it",
                        "Below level",
                        "To the left",
                        "± of its lie",
                        "Scatter",
                        "Corners"),
                rows);
    }

    private static void side(List<List<Cell>> rows, String name, ScanShape.Box b, Direction out, double far) {
        row(
                rows,
                name,
                "box",
                b.centre().plus(out.times(far)),
                Optional.of(out),
                b,
                b.spread(),
                Optional.of(b.spreadDeg()));
    }

    private static void row(
            List<List<Cell>> rows,
            String name,
            String kind,
            Point at,
            Optional<Direction> lies,
            ScanShape shape,
            double spread,
            Optional<Double> spreadDeg) {
        Optional<Double> diameter =
                switch (shape) {
                    case ScanShape.Tube t -> Optional.of(t.diameter());
                    case ScanShape.Ball b -> Optional.of(b.diameter());
                    case ScanShape.Hole h -> Optional.of(h.diameter());
                    case ScanShape.Rim r -> Optional.of(r.diameter());
                    case ScanShape.Flat _, ScanShape.Box _ -> Optional.empty();
                };
        Optional<Double> diameterSpread =
                switch (shape) {
                    case ScanShape.Tube t -> Optional.of(t.diameterSpread());
                    case ScanShape.Ball b -> Optional.of(b.diameterSpread());
                    case ScanShape.Hole h -> Optional.of(h.diameterSpread());
                    case ScanShape.Rim r -> Optional.of(r.diameterSpread());
                    case ScanShape.Flat _, ScanShape.Box _ -> Optional.empty();
                };
        rows.add(List.of(
                Cell.of(name),
                Cell.of(kind),
                Cell.of(Quantity.length(at.x())),
                Cell.of(Quantity.length(at.y())),
                Cell.of(Quantity.length(at.z())),
                Cell.of(Quantity.length(spread)),
                Cell.of(diameter.map(Quantity::length)),
                Cell.of(diameterSpread.map(Quantity::length)),
                Cell.of(lies.map(d -> Quantity.angle(d.downDeg()))),
                Cell.of(lies.map(d -> Quantity.angle(d.leftDeg()))),
                Cell.of(spreadDeg.map(Quantity::angle)),
                Cell.of(Quantity.length(shape.scatter())),
                Cell.of(shape.corners())));
    }

    /** How far each pair is apart once the scan is in its place. */
    public static Table pairs(List<String> names, List<Double> apart) {
        List<List<Cell>> rows = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            rows.add(List.of(Cell.of(names.get(i)), Cell.of(Quantity.length(apart.get(i)))));
        }
        return new Table(
                "scan-pairs",
                "Pairs by which the scan was put in the vehicle's axes",
                List.of("name", "apart_mm"),
                List.of("Point", "Apart"),
                rows);
    }
}
