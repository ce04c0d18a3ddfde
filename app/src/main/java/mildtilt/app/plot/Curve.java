package mildtilt.app.plot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.HandsPosition;
import mildtilt.column.Transfer;
import mildtilt.measure.LengthUnit;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.Turn;

/** The curves that can be shown, each from an analysis alone. */
enum Curve {
    COLUMN_TURN("Column speed over a turn", "steering wheel, °", "%", Curve::columnTurn),
    RATIO("Steering ratio", "steering wheel, °", ": 1", a -> steer(a, r -> r.ratio())),
    ACKERMANN("Ackermann", "steering wheel, °", "%", a -> steer(a, r -> r.turn().flatMap(Turn::ackermannPct))),
    BUMP_STEER("Bump steer, left toe-in", "travel", "°", Curve::bump);

    /** A stretch of curve without gaps. */
    record Run(List<double[]> points) {}

    private final String title;
    private final String across;
    private final String unit;
    private final Function<Analysis, List<Run>> runs;

    Curve(String title, String across, String unit, Function<Analysis, List<Run>> runs) {
        this.title = title;
        this.across = across;
        this.unit = unit;
        this.runs = runs;
    }

    String title() {
        return title;
    }

    /** What runs along the bottom, with its unit. */
    String across(LengthUnit lengths) {
        return this == BUMP_STEER ? across + ", " + (lengths == LengthUnit.MM ? "mm" : "in") : across;
    }

    String unit() {
        return unit;
    }

    /** How many of the shown unit are in one of the curve's own, along the bottom. */
    double shown(LengthUnit lengths) {
        return this == BUMP_STEER ? 1 / lengths.mm() : 1;
    }

    List<Run> runs(Analysis analysis) {
        return runs.apply(analysis);
    }

    /** Where the hands stand on this curve. */
    double at(HandsPosition hands) {
        return switch (this) {
            case BUMP_STEER -> hands.travelLeft();
            case RATIO, ACKERMANN -> hands.steeringWheelDeg();
            case COLUMN_TURN -> hands.steeringWheelDeg() - 360 * Math.rint(hands.steeringWheelDeg() / 360);
        };
    }

    private static List<Run> columnTurn(Analysis a) {
        Transfer t = a.train().column().flatMap(c -> c.transfer()).orElse(null);
        if (t == null) {
            return List.of();
        }
        List<double[]> points = new ArrayList<>();
        for (int deg = -180; deg <= 180; deg += 3) {
            points.add(new double[] {deg, 100 * (t.ratioAt(-Math.toRadians(deg)) - 1)});
        }
        return List.of(new Run(points));
    }

    private static List<Run> steer(
            Analysis a, Function<SteerRow, Optional<Double>> value) {
        List<Run> runs = new ArrayList<>();
        List<double[]> points = new ArrayList<>();
        a.steer().ifPresent(s -> s.rows().forEach(r -> value.apply(r).ifPresentOrElse(
                v -> points.add(new double[] {r.steeringWheelDeg(), v}),
                () -> cut(runs, points))));
        cut(runs, points);
        return runs;
    }

    private static List<Run> bump(Analysis a) {
        List<Run> runs = new ArrayList<>();
        List<double[]> points = new ArrayList<>();
        a.steer().ifPresent(s -> s.bump().forEach(b -> b.knuckles().ifPresentOrElse(
                k -> points.add(new double[] {b.travel(), k.left().toeInDeg()}),
                () -> cut(runs, points))));
        cut(runs, points);
        return runs;
    }

    private static void cut(List<Run> runs, List<double[]> points) {
        if (points.size() > 1) {
            runs.add(new Run(List.copyOf(points)));
        }
        points.clear();
    }
}
