package mildtilt.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import mildtilt.analysis.Analysis;
import mildtilt.column.Transfer;
import mildtilt.geometry.Side;
import mildtilt.job.OuterWheelTable;
import mildtilt.job.Vehicle;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerFigures.BumpRow;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.position.AxlePose;
import mildtilt.suspension.KnucklePose;
import mildtilt.travel.TravelFigures;
import mildtilt.units.LengthUnit;
import mildtilt.units.Unit;

/** The curves that can be shown, each from an analysis alone. */
public enum Curve {
    COLUMN_TURN("Column speed over a turn", Across.COLUMN_TURN, "%", Unit.PERCENT, Curve::columnTurn),
    COLUMN_LEAD("Gear ahead of the wheel", Across.COLUMN_TURN, "°", Unit.ANGLE, Curve::columnLead),
    RATIO("Steering ratio", Across.STEER, ": 1", Unit.RATIO, a -> List.of(series("", steer(a, SteerRow::ratio)))),
    STEER(
            "Road wheels",
            Across.STEER,
            "°",
            Unit.ANGLE,
            a -> List.of(
                    series("left", steer(a, r -> r.turn().map(TurnGeometry::leftDeg))),
                    series("right", steer(a, r -> r.turn().map(TurnGeometry::rightDeg))))),
    ACKERMANN(
            "Ackermann",
            Across.STEER,
            "%",
            Unit.PERCENT,
            a -> List.of(series("", steer(a, r -> r.turn()
                    .filter(t -> t.innerDeg() >= Curve.LEAST_FOR_ACKERMANN)
                    .flatMap(TurnGeometry::ackermannPct))))),
    OUTER_ERROR("Outer wheel off the ideal", Across.STEER, "°", Unit.ANGLE, Curve::outerError),
    OUTER("Outer against inner wheel", Across.INNER, "°", Unit.ANGLE, Curve::schools),
    EFFORT("Force at the rim", Across.STEER, "N", Unit.FORCE, Curve::effort),
    BUMP_STEER("Bump steer, toe-in", Across.TRAVEL, "°", Unit.ANGLE, a -> bothWheels(a, false, KnucklePose::toeInDeg)),
    ROLL_STEER("Roll steer", Across.ROLL, "°", Unit.ANGLE, a -> bothWheels(a, true, KnucklePose::steerDeg)),
    CAMBER("Camber over travel", Across.TRAVEL, "°", Unit.ANGLE, a -> bothWheels(a, false, KnucklePose::camberDeg)),
    CASTER("Caster over travel", Across.TRAVEL, "°", Unit.ANGLE, a -> bothWheels(a, false, KnucklePose::casterDeg)),
    TRACK(
            "Track change",
            Across.TRAVEL,
            "mm",
            Unit.LENGTH,
            a -> List.of(series(
                    "",
                    travel(
                            a,
                            false,
                            p -> SteerFigures.track(p)
                                    - SteerFigures.track(new AxlePose.Assembled(
                                            a.steer().orElseThrow().left(),
                                            a.steer().orElseThrow().right())))))),
    WHEELBASE("Wheelbase change", Across.TRAVEL, "mm", Unit.LENGTH, Curve::wheelbase),
    USABLE_TRAVEL("Usable travel", Across.STEER, "mm", Unit.LENGTH, Curve::usableTravel);

    /** What runs along the bottom. */
    public enum Across {
        COLUMN_TURN,
        STEER,
        INNER,
        TRAVEL,
        ROLL;

        private static final String BOTH_WAYS = "left wheel up, right wheel down, ";

        public boolean isLength() {
            return this == TRAVEL || this == ROLL;
        }
    }

    /** A stretch of curve without gaps. */
    public record Run(List<double[]> points) {}

    /** A stretch along the bottom, in the curve's own unit. */
    public record Used(double from, double to) {}

    /** One line of a curve. @param name what tells it from the others; empty where there is only one */
    public record Series(String name, List<Run> runs) {

        /** In between the points along straight lines; empty in gaps. */
        public Optional<Double> value(double at) {
            for (Run run : runs) {
                List<double[]> p = run.points();
                for (int i = 1; i < p.size(); i++) {
                    double a = p.get(i - 1)[0];
                    double b = p.get(i)[0];
                    if (at >= Math.min(a, b) - 1e-9 && at <= Math.max(a, b) + 1e-9 && a != b) {
                        return Optional.of(p.get(i - 1)[1] + (p.get(i)[1] - p.get(i - 1)[1]) * (at - a) / (b - a));
                    }
                }
            }
            return Optional.empty();
        }
    }

    /**
     * Of the inner wheel, degrees: nearer to straight ahead both wheels all but agree, and a part of next to nothing
     * has no meaning.
     */
    private static final double LEAST_FOR_ACKERMANN = 3;

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

    public String title() {
        return title;
    }

    public Across acrossWhat() {
        return across;
    }

    /** What runs along the bottom, with its unit. @param rollOnly whether the axle can only roll */
    public String across(LengthUnit lengths, boolean rollOnly) {
        String length = lengths == LengthUnit.MM ? "mm" : "in";
        return switch (across) {
            case COLUMN_TURN, STEER -> "steering wheel, °";
            case INNER -> "inner wheel, ° (turning left)";
            case TRAVEL -> rollOnly ? Across.BOTH_WAYS + length : "travel, " + length;
            case ROLL -> Across.BOTH_WAYS + length;
        };
    }

    /** The unit marked on the scale. */
    public String unit(LengthUnit lengths) {
        boolean inches = lengths != LengthUnit.MM;
        return measure == Unit.LENGTH && inches ? "in" : measure == Unit.FORCE && inches ? "lbf" : unit;
    }

    /** A value of the curve in words. */
    public String text(double value, LengthUnit lengths) {
        return measure.format(value, lengths);
    }

    /** How many of the shown unit are in one of the curve's own, along the bottom. */
    public double shown(LengthUnit lengths) {
        return across.isLength() ? 1 / lengths.mm() : 1;
    }

    /** The same up the side. */
    public double shownUp(LengthUnit lengths) {
        return measure == Unit.LENGTH
                ? 1 / lengths.mm()
                : measure == Unit.FORCE && lengths != LengthUnit.MM ? 1 / Unit.NEWTON_PER_POUND : 1;
    }

    public List<Series> series(Analysis analysis) {
        return all.apply(analysis).stream().filter(s -> !s.runs.isEmpty()).toList();
    }

    /** What is used of the range: the normal travel, the wheel from lock to lock. Empty where all of it is. */
    public Optional<Used> used(Analysis a) {
        Vehicle vehicle = a.job().vehicle();
        return switch (across) {
            case COLUMN_TURN, INNER -> Optional.empty();
            case STEER ->
                a.steer()
                        .map(s -> new Used(
                                s.lock(Side.RIGHT).turn().steeringWheelDeg(),
                                s.lock(Side.LEFT).turn().steeringWheelDeg()));
            case TRAVEL -> Optional.of(new Used(-vehicle.normalDroop(), vehicle.normalBump()));
            case ROLL ->
                Optional.of(Math.min(vehicle.normalBump(), vehicle.normalDroop()))
                        .map(t -> new Used(-t, t));
        };
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
        List<Series> all = new ArrayList<>(
                List.of(series("true Ackermann", steer(a, r -> r.turn().flatMap(TurnGeometry::outerErrorDeg)))));
        a.job()
                .targets()
                .outerTable()
                .ifPresent(
                        t -> all.add(series("the table", steer(a, r -> r.turn().flatMap(x -> miss(t, x))))));
        return all;
    }

    private static Optional<Double> miss(OuterWheelTable table, TurnGeometry turn) {
        return turn.innerDeg() < 0.5 ? Optional.empty() : Optional.of(turn.outerDeg() - table.outerAt(turn.innerDeg()));
    }

    /** This job beside the schools: rolling about one point, both alike, and the job's own table. */
    private static List<Series> schools(Analysis a) {
        List<TurnGeometry> turns = a.steer()
                .map(s -> s.rows().stream()
                        .filter(r -> r.steeringWheelDeg() > 0)
                        .flatMap(r -> r.turn().stream())
                        .filter(x -> x.innerDeg() > 0.5)
                        .toList())
                .orElse(List.of());
        if (turns.size() < 2) {
            return List.of();
        }
        List<Series> all = new ArrayList<>(List.of(
                against("this job", turns, TurnGeometry::outerDeg),
                against("full Ackermann", turns, TurnGeometry::idealOuterDeg),
                against("parallel", turns, TurnGeometry::innerDeg)));
        a.job()
                .targets()
                .outerTable()
                .ifPresent(t -> all.add(against("the table", turns, x -> t.outerAt(x.innerDeg()))));
        return all;
    }

    private static Series against(String name, List<TurnGeometry> turns, ToDoubleFunction<TurnGeometry> outer) {
        return series(
                name,
                List.of(new Run(turns.stream()
                        .map(x -> new double[] {x.innerDeg(), outer.applyAsDouble(x)})
                        .toList())));
    }

    private static List<Series> effort(Analysis a) {
        List<Effort.Row> rows =
                a.steer().flatMap(SteerFigures::effort).map(Effort::rows).orElse(List.of());
        return rows.size() < 2
                ? List.of()
                : List.of(
                        series(
                                "parked",
                                List.of(new Run(rows.stream()
                                        .map(r -> new double[] {r.steeringWheelDeg(), r.parked()})
                                        .toList()))),
                        series(
                                "creeping",
                                List.of(new Run(rows.stream()
                                        .map(r -> new double[] {r.steeringWheelDeg(), r.creeping()})
                                        .toList()))),
                        series(
                                "limit",
                                List.of(new Run(List.of(
                                        new double[] {
                                            rows.getFirst().steeringWheelDeg(),
                                            a.job().targets().rimForce()
                                        },
                                        new double[] {
                                            rows.getLast().steeringWheelDeg(),
                                            a.job().targets().rimForce()
                                        })))));
    }

    /** Bump up and droop down from ride height. */
    private static List<Series> usableTravel(Analysis a) {
        List<TravelFigures.Row> rows = a.travel().map(TravelFigures::rows).orElse(List.of());
        return rows.size() < 2
                ? List.of()
                : List.of(
                        series(
                                "bump",
                                List.of(new Run(rows.stream()
                                        .map(r -> new double[] {
                                            r.steeringWheelDeg(), r.bump().mm()
                                        })
                                        .toList()))),
                        series(
                                "droop",
                                List.of(new Run(rows.stream()
                                        .map(r -> new double[] {
                                            r.steeringWheelDeg(), -r.droop().mm()
                                        })
                                        .toList()))));
    }

    private static List<Series> wheelbase(Analysis a) {
        List<Series> all = new ArrayList<>();
        for (Side side : Side.values()) {
            all.add(series(
                    side.label(),
                    travel(
                            a,
                            false,
                            p -> p.knuckle(side).wheelCentre().x()
                                    - a.steer()
                                            .orElseThrow()
                                            .knuckle(side)
                                            .wheelCentre()
                                            .x())));
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
        a.steer().ifPresent(s -> s.rows().forEach(r -> value.apply(r)
                .ifPresentOrElse(v -> points.add(new double[] {r.steeringWheelDeg(), v}), () -> cut(runs, points))));
        cut(runs, points);
        return runs;
    }

    private static List<Run> travel(Analysis a, boolean roll, ToDoubleFunction<AxlePose.Assembled> value) {
        List<Run> runs = new ArrayList<>();
        List<double[]> points = new ArrayList<>();
        List<BumpRow> rows = a.steer().map(s -> roll ? s.roll() : s.bump()).orElse(List.of());
        rows.forEach(b -> b.knuckles()
                .ifPresentOrElse(
                        k -> points.add(new double[] {b.travel(), value.applyAsDouble(k)}), () -> cut(runs, points)));
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
