package mildtilt.parts;

import static mildtilt.describe.Ranges.ALONG_A_SHAFT;
import static mildtilt.describe.Ranges.ANGLE;
import static mildtilt.describe.Ranges.COORDINATE;
import static mildtilt.describe.Ranges.DIAL;
import static mildtilt.describe.Ranges.FIGURE_READ;
import static mildtilt.describe.Ranges.INNER_READ;
import static mildtilt.describe.Ranges.OUTER_READ;
import static mildtilt.describe.Ranges.TOLERANCE;
import static mildtilt.describe.Ranges.TRAVEL_READ;
import static mildtilt.describe.Ranges.WALL_AWAY;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.ByKey;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Day;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Moment;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Part;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.job.TrialLog;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.Inspection;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.trials.Tolerances;
import mildtilt.trials.TrialReading;
import mildtilt.trials.TrialSheet;

/** What was read on the vehicles built to the plan. */
public final class LogParts {

    private static final Kind<Double> SPREAD = new Size(TOLERANCE);
    private static final String SPREAD_HELP = "± one standard deviation, in the reading's unit";
    private static final Kind<String> BY = new Text(0, 100);
    private static final String BY_HELP = "\"typed\", or the instrument";
    private static final Kind<Side> SIDE = new Choice<>(Side.class);

    private LogParts() {}

    public static final Part<Tolerances> TOLERANCES = new Part<>(
            Tolerances.class,
            Arrays.stream(Tolerances.Kind.values())
                    .<Field<Tolerances, ?>>map(LogParts::tolerance)
                    .toList(),
            found -> {
                Map<Tolerances.Kind, Double> all = new EnumMap<>(Tolerances.Kind.class);
                for (Tolerances.Kind k : Tolerances.Kind.values()) {
                    all.put(k, found.get(k.name()));
                }
                return new Tolerances(all);
            },
            _ -> {},
            "how far what is measured may be from the plan");

    private static Field<Tolerances, Double> tolerance(Tolerances.Kind k) {
        return new Field<>(
                k.name(),
                new Shape.Keyed<>(
                        k.name().toLowerCase(Locale.ROOT),
                        new Size(TOLERANCE),
                        new Presence.Usual<>(_ -> Tolerances.USUAL.of(k), true)),
                t -> t.of(k),
                (_, v) -> v,
                k.label(),
                k.label());
    }

    private static final Form<Measurand> GAUGE = Form.Kinds.<Measurand>of("what", "was read")
            .or(
                    "joint_angle",
                    Part.of(Measurand.JointAngle.class)
                            .needs("joint", "part", Reference.to(Id.Kind.JOINT), "the joint")
                            .help("operating angle of a joint"))
            .or(
                    "shaft_length",
                    Part.of(Measurand.ShaftLength.class)
                            .needs("shaft", "part", Reference.to(Id.Kind.SHAFT), "the shaft")
                            .help("a shaft from centre to centre"))
            .or(
                    "rod_length",
                    Part.of(Measurand.RodLength.class)
                            .needs("rod", "part", new Choice<>(Rod.class), "the rod")
                            .help("a rod from centre to centre"))
            .or(
                    "lock_angle",
                    Part.of(Measurand.LockAngle.class)
                            .needs("way", "way", SIDE, "turned")
                            .needs("wheel", "wheel", SIDE, "whose angle")
                            .help("a wheel's angle at lock"))
            .or(
                    "gap",
                    Part.of(Measurand.Gap.class)
                            .needs("first", "part", Reference.ANY, "one part")
                            .needs("second", "other", Reference.ANY, "the other")
                            .help("the least gap of two parts"))
            .or(
                    "turns_to",
                    Part.of(Measurand.TurnsTo.class)
                            .needs("way", "way", SIDE, "turned")
                            .help("turns to lock"))
            .or("gear_off_centre", Part.of(Measurand.GearOffCentre.class).help("gear off the middle of its travel"))
            .or(
                    "spokes_off_straight",
                    Part.of(Measurand.SpokesOffStraight.class).help("spokes off straight"))
            .or(
                    "rim_force",
                    Part.of(Measurand.RimForce.class)
                            .usual("onGround", "on_ground", new Flag(), false, "with the tyres on the ground")
                            .help("force at the rim"))
            .or(
                    "rim_play",
                    Part.of(Measurand.RimPlay.class)
                            .usual("onGround", "on_ground", new Flag(), false, "with the tyres on the ground")
                            .help("play at the rim"))
            .or("free_return", Part.of(Measurand.FreeReturn.class).help("left over after free return"));

    private static <T extends Record> Part<T> read(Part.Builder<T> b, String help) {
        return b.needs("spread", "spread", SPREAD, SPREAD_HELP)
                .usual("by", "by", BY, TrialReading.TYPED, BY_HELP)
                .help(help);
    }

    private static final Form<TrialReading> READING = Form.Kinds.<TrialReading>of("kind", "something read at a trial")
            .or(
                    "figure",
                    read(
                            Part.of(TrialReading.Figure.class)
                                    .inline("what", GAUGE)
                                    .needs("value", "value", new Size(FIGURE_READ), "mm, degrees, turns or N"),
                            "one figure"))
            .or(
                    "wall_dot",
                    read(
                            Part.of(TrialReading.WallDot.class)
                                    .needs("wheel", "wheel", SIDE, "the laser is on")
                                    .usual(
                                            "rodOn",
                                            "rod_on",
                                            new Flag(),
                                            true,
                                            "false with the tie rod off and the hub held straight")
                                    .needs("travel", "travel_mm", new Size(TRAVEL_READ), "of that wheel, + up")
                                    .needs(
                                            "left",
                                            "left_mm",
                                            new Size(COORDINATE),
                                            "from the mark at ride height, + left")
                                    .usual("up", "up_mm", new Size(COORDINATE), 0.0, "from that mark"),
                            "a laser's dot on the wall"))
            .or(
                    "turn_plates",
                    read(
                            Part.of(TrialReading.PlatePair.class)
                                    .needs("way", "way", SIDE, "turned")
                                    .needs("inner", "inner_deg", new Size(INNER_READ), "into the turn")
                                    .needs("outer", "outer_deg", new Size(OUTER_READ), "into the turn"),
                            "both wheels on turn plates"))
            .or(
                    "run_out",
                    read(
                            Part.of(TrialReading.RunOut.class)
                                    .needs("shaft", "part", Reference.to(Id.Kind.SHAFT), "the shaft")
                                    .needs("along", "along_mm", new Size(ALONG_A_SHAFT), "from its wheel end")
                                    .needs(
                                            "dial",
                                            "dial_mm",
                                            new Many<>(new Size(DIAL), TrialReading.RunOut.FEWEST, 36),
                                            "at equal steps of one turn"),
                            "a dial indicator at one station"));

    private static final Part<Setup> SETUP = Part.of(Setup.class)
            .usual("onGround", "on_ground", new Flag(), false, "weight on the tyres")
            .usual("springsOff", "springs_off", new Flag(), false, "so that the hubs go freely")
            .usual("stopsOff", "stops_off", new Flag(), false, "bump stops off")
            .usual("steeringWheelDeg", "steering_wheel_deg", new Size(ANGLE), 0.0, "+ left")
            .label("Steering wheel at")
            .usual("travelLeft", "travel_left_mm", new Size(TRAVEL_READ), 0.0, "+ up")
            .label("Left wheel up")
            .usual("travelRight", "travel_right_mm", new Size(TRAVEL_READ), 0.0, "+ up")
            .label("Right wheel up")
            .usual("wall", "wall_mm", new Size(WALL_AWAY), Setup.RAISED.wall(), "from the wheel centres forward")
            .label("Wall ahead of the wheels")
            .help("how the vehicle stood");

    private static final Part<TrialSheet> SHEET = Part.of(TrialSheet.class)
            .needs("name", "name", Text.NAME, "of the trial")
            .needs("at", "at", new Moment(), "day and time")
            .usual("by", "by", Text.LINE, "", "who")
            .usual("changed", "changed", Text.NOTE, "", "since the trial before")
            .usual(
                    "setup",
                    "setup",
                    new Group<>(SETUP),
                    new Setup(false, false, false, 0, 0, 0, Setup.RAISED.wall()),
                    "how the vehicle stood")
            .usual("readings", "readings", new Many<>(new Group<>(READING), 0, 1000), List.of(), "what was read")
            .usual(
                    "photos",
                    "photos",
                    new Many<>(new Text(1, 300), 0, 200),
                    List.of(),
                    "by names relative to the job's folder")
            .usual("remarks", "remarks", new Text(0, 10000), "", "anything")
            .help("a trial");

    private static final Part<Trial> TRIAL = Part.of(Trial.class)
            .needs("id", "id", Reference.to(Id.Kind.TRIAL), "its own")
            .inline("sheet", SHEET)
            .needs("plan", "plan", new Group<>(PlanParts.PLAN), "as it was then")
            .checked(t -> new SteeringTrain(Job.of("", t.plan())))
            .help("a trial with the plan as it was");

    private static final Part<Inspection.Tick> TICK = Part.of(Inspection.Tick.class)
            .needs("found", "found", new Flag(), "true fine")
            .usual("by", "by", Text.LINE, "", "who looked")
            .needs("day", "day", new Day(), "a day")
            .usual("note", "note", Text.NOTE, "", "anything")
            .help("what was found");

    private static final Part<Inspection.Own> OWN = Part.of(Inspection.Own.class)
            .needs("id", "id", Reference.to(Id.Kind.CHECK), "its own")
            .needs("what", "what", new Text(1, 300), "an item of one's own")
            .help("an item added by hand");

    private static final Part<Inspection> INSPECTION = Part.of(Inspection.class)
            .usual(
                    "ticks",
                    "ticks",
                    new ByKey<>("key", Reference.ANY, "of the item", TICK, 500),
                    Map.of(),
                    "what was looked at")
            .usual("own", "own", new Many<>(new Group<>(OWN), 0, 200), List.of(), "items added by hand")
            .may("driven", "driven", new Day(), "the day of the first drive")
            .help("what was looked at: a builder's record, not an approval");

    private static final Part<BuiltVehicle> VEHICLE = Part.of(BuiltVehicle.class)
            .needs("id", "id", Reference.to(Id.Kind.VEHICLE), "its own")
            .needs("name", "name", Text.NAME, "of the vehicle")
            .usual("trials", "trials", new Many<>(new Group<>(TRIAL), 0, 500), List.of(), "the first one first")
            .omits("inspection", "inspection", new Group<>(INSPECTION), Inspection.NONE, "what was looked at")
            .help("a vehicle built to the plan");

    public static final Part<TrialLog> LOG = Part.of(TrialLog.class)
            .omits(
                    "tolerances",
                    "tolerances",
                    new Group<>(TOLERANCES),
                    Tolerances.USUAL,
                    "how far what is measured may be from the plan")
            .needs("vehicles", "vehicles", new Many<>(new Group<>(VEHICLE), 1, 100), "built to the plan")
            .help("what was read on the vehicles built to the plan");
}
