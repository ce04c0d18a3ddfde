package mildtilt.parts;

import static mildtilt.describe.Ranges.ACKERMANN;
import static mildtilt.describe.Ranges.AXLE_LOAD;
import static mildtilt.describe.Ranges.EFFICIENCY;
import static mildtilt.describe.Ranges.FORCE;
import static mildtilt.describe.Ranges.MARGIN;
import static mildtilt.describe.Ranges.PERCENT;
import static mildtilt.describe.Ranges.REAR_STEER;
import static mildtilt.describe.Ranges.ROAD_WHEEL_ANGLE;
import static mildtilt.describe.Ranges.ROLLING;
import static mildtilt.describe.Ranges.SMALL_ANGLE;
import static mildtilt.describe.Ranges.STEER_ANGLE;
import static mildtilt.describe.Ranges.TYRE_GRIP;
import static mildtilt.describe.Ranges.TYRE_WIDTH;
import static mildtilt.describe.Ranges.WHEELBASE;
import static mildtilt.describe.Ranges.WHEEL_TRAVEL;

import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Row;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Part;
import mildtilt.job.Loads;
import mildtilt.job.OuterWheelTable;
import mildtilt.job.Plan;
import mildtilt.job.Targets;
import mildtilt.job.Vehicle;

/** What is built: the vehicle's own sizes, the column, the axle, what is wanted. */
public final class PlanParts {

    private static final Targets U = Targets.USUAL;
    private static final Loads L = Loads.of(1);
    private static final Kind<Double> TRAVEL = new Size(WHEEL_TRAVEL);
    private static final Kind<Double> SMALL = new Size(SMALL_ANGLE);

    private PlanParts() {}

    public static final Part<Loads> LOADS = Part.of(Loads.class)
            .needs(
                    "frontAxleKg",
                    "front_axle_kg",
                    new Size(AXLE_LOAD),
                    "carried by both steered wheels together; without it no effort can be worked out")
            .label("Front axle load, kg")
            .usual(
                    "friction",
                    "friction",
                    new Size(TYRE_GRIP),
                    L.friction(),
                    "tyre on ground, sliding; about 0.8 on dry concrete")
            .label("Friction of the tyre")
            .usual(
                    "rollingResistance",
                    "rolling_resistance",
                    new Size(ROLLING),
                    L.rollingResistance(),
                    "part of the load; about 0.02 on a hard floor")
            .label("Rolling resistance")
            .usual(
                    "efficiency",
                    "efficiency",
                    new Size(EFFICIENCY),
                    L.efficiency(),
                    "part of the driver's work that reaches the knuckles; about 0.85")
            .label("Efficiency")
            .help("what presses the steered tyres on the ground");

    public static final Part<Vehicle> VEHICLE = Part.of(Vehicle.class)
            .needs("wheelbase", "wheelbase_mm", new Size(WHEELBASE), "front axle line to rear axle line")
            .label("Wheelbase")
            .usual("bump", "bump_mm", TRAVEL, 50.0, "largest rise of a wheel from ride height")
            .label("Bump travel")
            .usual("droop", "droop_mm", TRAVEL, 50.0, "largest fall of a wheel from ride height, as a positive number")
            .label("Droop travel")
            .usualOf(
                    "normalBump",
                    "normal_bump_mm",
                    TRAVEL,
                    f -> Vehicle.USUAL_NORMAL_PART * f.<Double>get("bump"),
                    "rise that everyday driving uses; within bump_mm")
            .label("Normal bump travel")
            .usualOf(
                    "normalDroop",
                    "normal_droop_mm",
                    TRAVEL,
                    f -> Vehicle.USUAL_NORMAL_PART * f.<Double>get("droop"),
                    "fall that everyday driving uses, as a positive number; within droop_mm")
            .label("Normal droop travel")
            .usual("tyreWidth", "tyre_width_mm", new Size(TYRE_WIDTH), 150.0, "width of tread on the ground")
            .label("Tyre width")
            .may("loads", "loads", new Group<>(LOADS), "what presses the steered tyres on the ground")
            .omits(
                    "rearSteer",
                    "rear_steer_times",
                    new Size(REAR_STEER),
                    0.0,
                    "degrees the rear wheels steer for each degree of the front wheels' mean, + the other way")
            .label("Rear wheels steer, times the front")
            .help("the vehicle's own sizes");

    private static final Part<OuterWheelTable.Row> OUTER_ROW = Part.of(OuterWheelTable.Row.class)
            .needs("innerDeg", "inner_deg", new Size(ROAD_WHEEL_ANGLE), "of the inner wheel")
            .needs("outerDeg", "outer_deg", new Size(ROAD_WHEEL_ANGLE), "of the outer wheel")
            .help("[inner, outer]");

    private static final Part<OuterWheelTable> OUTER_TABLE = Part.of(OuterWheelTable.class)
            .needs("rows", "rows", new Many<>(new Row<>(OUTER_ROW), 1, 90), "[inner, outer] angles, rising")
            .needs("toleranceDeg", "tolerance_deg", SMALL, "how far the outer wheel may be off")
            .help("wanted outer angles; goes before the Ackermann band");

    public static final Part<Targets> TARGETS = Part.of(Targets.class)
            .usual("ripplePct", "ripple_pct", new Size(PERCENT), U.ripplePct(), "of the column")
            .label("Most ripple wanted, %")
            .usual(
                    "ackermannMinPct",
                    "ackermann_min_pct",
                    new Size(ACKERMANN),
                    U.ackermannMinPct(),
                    "of true Ackermann")
            .label("Least Ackermann wanted, %")
            .usual(
                    "ackermannMaxPct",
                    "ackermann_max_pct",
                    new Size(ACKERMANN),
                    U.ackermannMaxPct(),
                    "of true Ackermann")
            .label("Most Ackermann wanted, %")
            .usual(
                    "bumpSteerDeg",
                    "bump_steer_deg",
                    SMALL,
                    U.bumpSteerDeg(),
                    "most toe change of a wheel over the normal travel, peak to peak")
            .label("Most bump steer wanted")
            .may("lockDeg", "lock_deg", new Size(STEER_ANGLE), "inner wheel's angle at full lock")
            .label("Lock wanted, inner wheel")
            .usual(
                    "toggleDeg",
                    "toggle_deg",
                    SMALL,
                    U.toggleDeg(),
                    "least angle between any rod and its arm and their being in line")
            .label("Least to over-centre")
            .usual("rakeDeg", "rake_deg", SMALL, U.rakeDeg(), "in plan, against the way its inner end moves")
            .label("Most rake of a rod")
            .usual(
                    "rimForce",
                    "rim_force_n",
                    new Size(FORCE),
                    U.rimForce(),
                    "with the tyres on the ground, standing still")
            .label("Most rim force parked, N")
            .usual(
                    "bucklingMargin",
                    "buckling_margin",
                    new Size(MARGIN),
                    U.bucklingMargin(),
                    "a rod's buckling load over its force, parked")
            .label("Least buckling margin, times")
            .may(
                    "outerTable",
                    "outer_table",
                    new Group<>(OUTER_TABLE),
                    "wanted outer angles; goes before the Ackermann band")
            .help("what is wanted of this vehicle");

    public static final Part<Plan> PLAN = Part.of(Plan.class)
            .needs("vehicle", "vehicle", new Group<>(VEHICLE), "the vehicle's own sizes")
            .may(
                    "column",
                    "column",
                    new Group<>(ColumnParts.COLUMN),
                    "steering wheel to gear input; leave out if not laid out yet")
            .may(
                    "axle",
                    "axle",
                    new Group<>(AxleParts.AXLE),
                    "gear, linkage and corners; leave out if not measured yet")
            .usual("targets", "targets", new Group<>(TARGETS), U, "what is wanted of this vehicle")
            .help("what is built");
}
