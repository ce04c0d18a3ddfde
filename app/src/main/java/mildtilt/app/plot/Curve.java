package mildtilt.app.plot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.HandsPosition;
import mildtilt.app.workbench.Workbench;
import mildtilt.column.Transfer;
import mildtilt.geometry.Side;
import mildtilt.job.OuterTable;
import mildtilt.measure.LengthUnit;
import mildtilt.measure.Unit;
import mildtilt.steer.AxlePose;
import mildtilt.steer.Effort;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerFigures.BumpRow;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.Turn;
import mildtilt.suspension.KnucklePose;

/** The curves that can be shown, each from an analysis alone. */
enum Curve {
    COLUMN_TURN("Column speed over a turn", Across.COLUMN_TURN, "%", Unit.PERCENT, Curve::columnTurn),
    COLUMN_LEAD("Gear ahead of the hands", Across.COLUMN_TURN, "°", Unit.ANGLE, Curve::columnLead),
    RATIO("Steering ratio", Across.STEER, ": 1", Unit.RATIO, a -> List.of(series("", steer(a, SteerRow::ratio)))),
    STEER("Road wheels", Across.STEER, "°", Unit.ANGLE, a -> List.of(
            series("left", steer(a, r -> r.turn().map(Turn::leftDeg))), series("right", steer(a, r -> r.turn().map(Turn::rightDeg))))),
    ACKERMANN("Ackermann", Across.STEER, "%", Unit.PERCENT,
            a -> List.of(series("", steer(a, r -> r.turn().flatMap(Turn::ackermannPct))))),
    OUTER_ERROR("Outer wheel off the ideal", Across.STEER, "°", Unit.ANGLE, Curve::outerError),
    OUTER("Outer against inner wheel", Across.INNER, "°", Unit.ANGLE, Curve::schools),
    EFFORT("Force at the rim", Across.STEER, "N", Unit.FORCE, Curve::effort),
    BUMP_STEER("Bump steer, toe-in", Across.TRAVEL, "°", Unit.ANGLE, a -> bothWheels(a, false, KnucklePose::toeInDeg)),
    ROLL_STEER("Roll steer", Across.ROLL, "°", Unit.ANGLE, a -> bothWheels(a, true, KnucklePose::steerDeg)),
    CAMBER("Camber over travel", Across.TRAVEL, "°", Unit.ANGLE, a -> bothWheels(a, false, KnucklePose::camberDeg)),
    CASTER("Caster over travel", Across.TRAVEL, "°", Unit.ANGLE, a -> bothWheels(a, false, KnucklePose::casterDeg)),
    TRACK("Track change", Across.TRAVEL, "mm", Unit.LENGTH, a -> List.of(series("", travel(a, false, p -> SteerFigures.track(p)
            - SteerFigures.track(new AxlePose.Assembled(a.steer().orElseThrow().left(), a.steer().orElseThrow().right())))))),
    WHEELBASE("Wheelbase change", Across.TRAVEL, "mm", Unit.LENGTH, Curve::wheelbase);

    /** What runs along the bottom. */
    enum Across {
        COLUMN_TURN,
        STEER,
        INNER,
        TRAVEL,
        ROLL;

        private static final String BOTH_WAYS = "left wheel up, right wheel down, ";

        boolean isLength() {
            return this == TRAVEL || this == ROLL;
        }
    }

    /** A stretch of curve without gaps. */
    record Run(List<double[]> points) {}

    /** A stretch along the bottom, in the curve's own unit. */
    record Used(double from, double to) {}

    /** One line of a curve. @param name what tells it from the others; empty where there is only one */
    record Series(String name, List<Run> runs) {}

    private final String title;
    private final Across across;
    private final String unit;
    private final Unit measure;
    private final Function<Analysis, List<Series>> all;

    Curve(String title, Across across, String unit, Unit measure, Function<Analysis, List<Series>> all) {
        this.title = title;
        this.across = across;
        this.unit = unit;
        this.measure = measure;
        this.all = all;
    }

    String title() {
        return title;
    }

    Across acrossWhat() {
        return across;
    }

    /** What runs along the bottom, with its unit. @param rollOnly whether the axle can only roll */
    String across(LengthUnit lengths, boolean rollOnly) {
        String length = lengths == LengthUnit.MM ? "mm" : "in";
        return switch (across) {
            case COLUMN_TURN, STEER -> "steering wheel, °";
            case INNER -> "inner wheel, ° (turning left)";
            case TRAVEL -> rollOnly ? Across.BOTH_WAYS + length : "travel, " + length;
            case ROLL -> Across.BOTH_WAYS + length;
        };
    }

    /** The unit marked on the scale. */
    String unit(LengthUnit lengths) {
        boolean inches = lengths != LengthUnit.MM;
        return measure == Unit.LENGTH && inches ? "in" : measure == Unit.FORCE && inches ? "lbf" : unit;
    }

    /** A value of the curve in words. */
    String text(double value, LengthUnit lengths) {
        return measure.format(value, lengths);
    }

    /** How many of the shown unit are in one of the curve's own, along the bottom. */
    double shown(LengthUnit lengths) {
        return across.isLength() ? 1 / lengths.mm() : 1;
    }

    /** The same up the side. */
    double shownUp(LengthUnit lengths) {
        return measure == Unit.LENGTH ? 1 / lengths.mm() : measure == Unit.FORCE && lengths != LengthUnit.MM ? 1 / Unit.NEWTON_PER_POUND : 1;
    }

    List<Series> series(Analysis analysis) {
        return all.apply(analysis).stream().filter(s -> !s.runs.isEmpty()).toList();
    }

    /** What is used of the range: the normal travel, the wheel from lock to lock. Empty where all of it is. */
    Optional<Used> used(Workbench bench) {
        return switch (across) {
            case COLUMN_TURN, INNER -> Optional.empty();
            case STEER -> bench.workedProperty().get().flatMap(w -> w.now().steer()).map(s ->
                    new Used(s.lock(Side.RIGHT).turn().steeringWheelDeg(), s.lock(Side.LEFT).turn().steeringWheelDeg()));
            case TRAVEL -> Optional.of(new Used(-bench.job().vehicle().normalDroop(), bench.job().vehicle().normalBump()));
            case ROLL -> Optional.of(bench.job().vehicle()).map(v -> Math.min(v.normalBump(), v.normalDroop())).map(t -> new Used(-t, t));
        };
    }

    /** Where the hands stand on this curve. */
    double at(Workbench bench) {
        HandsPosition hands = bench.hands();
        return switch (across) {
            case INNER -> bench.pose().flatMap(AxlePose::assembled).map(a -> Math.max(0, Math.max(a.left().steerDeg(), -a.right().steerDeg()))).orElse(0.0);
            case TRAVEL, ROLL -> hands.travelLeft();
            case STEER -> hands.steeringWheelDeg();
            case COLUMN_TURN -> hands.steeringWheelDeg() - 360 * Math.rint(hands.steeringWheelDeg() / 360);
        };
    }

    /** Takes the hands to a place on this curve. */
    void take(Workbench bench, double value) {
        HandsPosition h = bench.hands();
        bench.moveHands(switch (across) {
            case INNER -> bench.workedProperty().get().flatMap(w -> w.now().steer()).flatMap(s -> s.rows().stream()
                    .filter(r -> r.steeringWheelDeg() >= 0 && r.turn().map(x -> x.leftDeg() >= value).orElse(false)).findFirst())
                    .map(r -> new HandsPosition(r.steeringWheelDeg(), h.travelLeft(), h.travelRight())).orElse(h);
            case STEER, COLUMN_TURN -> new HandsPosition(value, h.travelLeft(), h.travelRight());
            case TRAVEL -> new HandsPosition(h.steeringWheelDeg(), value, value);
            case ROLL -> new HandsPosition(h.steeringWheelDeg(), value, -value);
        });
    }

    private static Series series(String name, List<Run> runs) {
        return new Series(name, runs);
    }

    private static List<Series> columnTurn(Analysis a) {
        Transfer t = a.train().column().flatMap(c -> c.transfer()).orElse(null);
        if (t == null) {
            return List.of();
        }
        List<double[]> points = new ArrayList<>();
        for (int deg = -180; deg <= 180; deg += 3) {
            points.add(new double[] {deg, 100 * (t.ratioAt(-Math.toRadians(deg)) - 1)});
        }
        return List.of(series("", List.of(new Run(points))));
    }

    private static List<Series> columnLead(Analysis a) {
        if (a.train().column().flatMap(c -> c.transfer()).isEmpty()) {
            return List.of();
        }
        List<double[]> points = new ArrayList<>();
        for (int deg = -180; deg <= 180; deg += 3) {
            points.add(new double[] {deg, a.train().gearInputDeg(deg) - deg});
        }
        return List.of(series("", List.of(new Run(points))));
    }

    private static List<Series> outerError(Analysis a) {
        List<Series> all = new ArrayList<>(List.of(series("true Ackermann", steer(a, r -> r.turn().flatMap(Turn::outerErrorDeg)))));
        a.job().targets().outerTable().ifPresent(t -> all.add(series("the table", steer(a, r -> r.turn().flatMap(x -> miss(t, x))))));
        return all;
    }

    private static Optional<Double> miss(OuterTable table, Turn turn) {
        return turn.innerDeg() < 0.5 ? Optional.empty() : Optional.of(turn.outerDeg() - table.outerAt(turn.innerDeg()));
    }

    /** This job beside the schools: rolling about one point, both alike, and the job's own table. */
    private static List<Series> schools(Analysis a) {
        List<Turn> turns = a.steer().map(s -> s.rows().stream().filter(r -> r.steeringWheelDeg() > 0).flatMap(r -> r.turn().stream())
                .filter(x -> x.innerDeg() > 0.5).toList()).orElse(List.of());
        if (turns.size() < 2) {
            return List.of();
        }
        List<Series> all = new ArrayList<>(List.of(
                against("this job", turns, Turn::outerDeg), against("full Ackermann", turns, Turn::idealOuterDeg),
                against("parallel", turns, Turn::innerDeg)));
        a.job().targets().outerTable().ifPresent(t -> all.add(against("the table", turns, x -> t.outerAt(x.innerDeg()))));
        return all;
    }

    private static Series against(String name, List<Turn> turns, ToDoubleFunction<Turn> outer) {
        return series(name, List.of(new Run(turns.stream().map(x -> new double[] {x.innerDeg(), outer.applyAsDouble(x)}).toList())));
    }

    private static List<Series> effort(Analysis a) {
        List<Effort.Row> rows = a.steer().flatMap(SteerFigures::effort).map(Effort::rows).orElse(List.of());
        return rows.size() < 2 ? List.of() : List.of(
                series("parked", List.of(new Run(rows.stream().map(r -> new double[] {r.steeringWheelDeg(), r.parked()}).toList()))),
                series("creeping", List.of(new Run(rows.stream().map(r -> new double[] {r.steeringWheelDeg(), r.creeping()}).toList()))),
                series("limit", List.of(new Run(List.of(new double[] {rows.getFirst().steeringWheelDeg(), a.job().targets().rimForce()},
                        new double[] {rows.getLast().steeringWheelDeg(), a.job().targets().rimForce()})))));
    }

    private static List<Series> wheelbase(Analysis a) {
        List<Series> all = new ArrayList<>();
        for (Side side : Side.values()) {
            all.add(series(side.label(), travel(a, false, p -> p.knuckle(side).wheelCentre().x()
                    - a.steer().orElseThrow().knuckle(side).wheelCentre().x())));
        }
        return all;
    }

    private static List<Series> bothWheels(Analysis a, boolean roll, ToDoubleFunction<KnucklePose> value) {
        List<Series> all = new ArrayList<>();
        for (Side side : Side.values()) {
            all.add(series(side.label(), travel(a, roll, p -> value.applyAsDouble(p.knuckle(side)))));
        }
        return all;
    }

    private static List<Run> steer(Analysis a, Function<SteerRow, Optional<Double>> value) {
        List<Run> runs = new ArrayList<>();
        List<double[]> points = new ArrayList<>();
        a.steer().ifPresent(s -> s.rows().forEach(r -> value.apply(r).ifPresentOrElse(
                v -> points.add(new double[] {r.steeringWheelDeg(), v}),
                () -> cut(runs, points))));
        cut(runs, points);
        return runs;
    }

    private static List<Run> travel(Analysis a, boolean roll, ToDoubleFunction<AxlePose.Assembled> value) {
        List<Run> runs = new ArrayList<>();
        List<double[]> points = new ArrayList<>();
        List<BumpRow> rows = a.steer().map(s -> roll ? s.roll() : s.bump()).orElse(List.of());
        rows.forEach(b -> b.knuckles().ifPresentOrElse(
                k -> points.add(new double[] {b.travel(), value.applyAsDouble(k)}),
                () -> cut(runs, points)));
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
