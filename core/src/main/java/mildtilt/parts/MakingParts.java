package mildtilt.parts;

import static mildtilt.describe.Ranges.ALONG_A_SHAFT;
import static mildtilt.describe.Ranges.BAR_LENGTH;
import static mildtilt.describe.Ranges.CELSIUS;
import static mildtilt.describe.Ranges.COORDINATE;
import static mildtilt.describe.Ranges.FACING;
import static mildtilt.describe.Ranges.HEAT_BETWEEN;
import static mildtilt.describe.Ranges.HOURS;
import static mildtilt.describe.Ranges.HOURS_A_WEEK;
import static mildtilt.describe.Ranges.KERF;
import static mildtilt.describe.Ranges.MINUTES;
import static mildtilt.describe.Ranges.NUT;
import static mildtilt.describe.Ranges.PREHEAT;
import static mildtilt.describe.Ranges.PRICE;
import static mildtilt.describe.Ranges.RATE;
import static mildtilt.describe.Ranges.ROOT_GAP;
import static mildtilt.describe.Ranges.STEER_ANGLE;
import static mildtilt.describe.Ranges.THREAD_ENGAGEMENT;
import static mildtilt.describe.Ranges.WALL;
import static mildtilt.parts.StockParts.BORED;
import static mildtilt.parts.StockParts.LENGTH;
import static mildtilt.parts.StockParts.SECTION;
import static mildtilt.parts.StockParts.THREAD;
import static mildtilt.parts.StockParts.thread;

import java.util.List;
import java.util.Map;
import mildtilt.build.AsFound;
import mildtilt.build.EndPart;
import mildtilt.build.Hole;
import mildtilt.build.LocatingStep;
import mildtilt.build.Making;
import mildtilt.build.Metal;
import mildtilt.build.PartAsFound;
import mildtilt.build.RackRod;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread;
import mildtilt.build.ShaftJoin;
import mildtilt.build.ShroudAsFound;
import mildtilt.build.StopBolt;
import mildtilt.build.Stud;
import mildtilt.build.WeldRecord;
import mildtilt.build.WeldedMetal;
import mildtilt.build.WorkPlan;
import mildtilt.build.Workshop;
import mildtilt.describe.Form;
import mildtilt.describe.Kind.ByConstant;
import mildtilt.describe.Kind.ByKey;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Day;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Place;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.StepKey;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Kind.Whole;
import mildtilt.describe.Part;
import mildtilt.id.Id;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.rods.Rod;

/** How a job is made. */
public final class MakingParts {

    private MakingParts() {}

    private static final Part<Workshop.StockBar> STOCK = Part.of(Workshop.StockBar.class)
            .needs("section", "section", new Group<>(SECTION), "what it is")
            .usual("metal", "metal", new Choice<>(Metal.class), Metal.STEEL, "what it is made of")
            .needs("length", "length_mm", new Size(BAR_LENGTH), "of one")
            .label("Length")
            .usual("count", "count", new Whole(1, 200), 1, "of that length")
            .label("Count")
            .help("bars of one length");

    public static final Part<Workshop.FixtureDatum> FIXTURE = Part.of(Workshop.FixtureDatum.class)
            .usual("x", "x_mm", new Size(COORDINATE), 0.0, "of its zero, in the vehicle's own axes")
            .label("Fixture's zero, x")
            .usual("tableZ", "table_z_mm", new Size(COORDINATE), 0.0, "height of its table in the vehicle's own axes")
            .label("Height of its table, z")
            .help("where a fixture's lengths are measured from");

    public static final Part<Workshop> WORKSHOP = Part.of(Workshop.class)
            .usual("sets", "sets", new Whole(1, 100), Workshop.USUAL.sets(), "vehicles made")
            .label("Sets")
            .usual("kerf", "kerf_mm", new Size(KERF), Workshop.USUAL.kerf(), "of the saw")
            .label("Saw kerf")
            .usual("facing", "facing_mm", new Size(FACING), Workshop.USUAL.facing(), "left on a sawn end")
            .label("Left for facing")
            .usual("rootGap", "root_gap_mm", new Size(ROOT_GAP), Workshop.USUAL.rootGap(), "between butted ends")
            .label("Root gap")
            .usual("usualBar", "usual_bar_mm", new Size(BAR_LENGTH), Workshop.USUAL.usualBar(), "length of a new bar")
            .label("New bar")
            .usual(
                    "engagementTimes",
                    "engagement_times",
                    new Size(THREAD_ENGAGEMENT),
                    Workshop.USUAL.engagementTimes(),
                    "least thread engagement in diameters")
            .usual(
                    "paper",
                    "paper",
                    new Choice<>(Workshop.Paper.class),
                    Workshop.USUAL.paper(),
                    "templates are printed on")
            .may("tubeWall", "tube_wall_mm", new Size(WALL), "of a column tube that is made; it is bought if left out")
            .label("Wall of the column tube")
            .usual("stock", "stock", new Many<>(new Group<>(STOCK), 0, 500), List.of(), "bars and offcuts on hand")
            .omits(
                    "fixture",
                    "fixture",
                    new Group<>(FIXTURE),
                    Workshop.FixtureDatum.ORIGIN,
                    "where a fixture's lengths are measured from")
            .help("the workshop");

    private static final Form<Stud> STUD = Form.Either.<Stud>of(
                    "A stud is a \"bore_mm\" for a bolt, a \"taper\", or \"on_gear\", and only one of them.",
                    "what holds a rod end")
            .under(
                    "taper",
                    Part.of(Stud.Taper.class)
                            .needs("large", "large_mm", BORED, "diameter at the ball")
                            .label("Taper, large end")
                            .needs("small", "small_mm", BORED, "diameter at the thread")
                            .label("Taper, small end")
                            .needs("length", "length_mm", BORED, "between them")
                            .label("Taper's length")
                            .help("of its stud, in place of a bore"))
            .or(
                    "on_gear",
                    Part.of(Stud.OnGear.class).constant("on_gear", true).help("comes with the gear and stays on it"))
            .otherwise(Part.of(Stud.Bolt.class)
                    .usual("diameter", "bore_mm", BORED, 10.0, "of its ball, for a bolt")
                    .label("Bore")
                    .help("a bolt"));

    public static final Part<EndPart> END_PART = Part.of(EndPart.class)
            .needs("name", "name", Text.NAME, "of the end")
            .inline("stud", STUD)
            .inline("thread", thread(true))
            .usualOf(
                    "toThread",
                    "to_thread_mm",
                    LENGTH,
                    f -> 1.6 * f.<ScrewThread>get("thread").major(),
                    "from the ball's centre to where the thread begins")
            .label("Ball to thread")
            .usualOf(
                    "threadLength",
                    "thread_length_mm",
                    LENGTH,
                    f -> 2 * f.<ScrewThread>get("thread").major(),
                    "of the shank's thread")
            .label("Thread's length")
            .usual("tiltDeg", "tilt_deg", new Size(STEER_ANGLE), 12.0, "its ball allows")
            .label("Tilt allowed")
            .help("a rod end or tie-rod end");

    private static final Form<Hole> HOLE_IN_ARM = Form.Either.<Hole>of(
                    "A hole is plain, by its \"diameter_mm\", or tapered, by \"large_mm\" and \"small_mm\".",
                    "the hole in the arm, as measured")
            .or(
                    "diameter_mm",
                    Part.of(Hole.Plain.class)
                            .needs("diameter", "diameter_mm", BORED, "of a plain hole")
                            .label("Hole")
                            .needs("thickness", "thickness_mm", BORED, "of the arm")
                            .label("Arm's thickness")
                            .help("plain"))
            .or(
                    "large_mm",
                    Part.of(Hole.Tapered.class)
                            .needs("large", "large_mm", BORED, "at the ball's face")
                            .label("Hole, large end")
                            .needs("small", "small_mm", BORED, "at the nut's face")
                            .label("Hole, small end")
                            .needs("thickness", "thickness_mm", BORED, "of the arm")
                            .label("Arm's thickness")
                            .help("tapered"));

    private static final Part<RodMakeUp.End> ROD_END = Part.of(RodMakeUp.End.class)
            .needs("part", "part", new Group<>(END_PART), "what it is")
            .needs("jamNut", "jam_nut_mm", new Size(NUT), "its thickness; 0 for none")
            .label("Jam nut")
            .may("hole", "hole", new Group<>(HOLE_IN_ARM), "the hole in the arm, as measured")
            .usual("doubleShear", "double_shear", new Flag(), false, "whether the bolt is held on both sides")
            .help("an end of a rod");

    private static final Part<RodMakeUp.Body> BODY = Part.of(RodMakeUp.Body.class)
            .needs("kind", "kind", new Choice<>(RodMakeUp.BodyKind.class), "how it takes the shanks")
            .needs("threaded", "threaded_mm", LENGTH, "depth of thread at either end")
            .label("Threaded")
            .needs("drilled", "drilled_mm", LENGTH, "depth of the hole at either end")
            .label("Drilled")
            .may("length", "length_mm", LENGTH, "of a body that is there already")
            .label("Length")
            .may(
                    "outerTap",
                    "outer_tap",
                    new Group<>(THREAD),
                    "the thread at the outer end, if other than the end's own")
            .may(
                    "innerTap",
                    "inner_tap",
                    new Group<>(THREAD),
                    "the thread at the inner end, if other than the end's own")
            .help("a rod's body");

    private static final Part<RodMakeUp> ROD = Part.of(RodMakeUp.class)
            .needs("outer", "outer", new Group<>(ROD_END), "at the steering arm, or at what else the rod drives")
            .needs("inner", "inner", new Group<>(ROD_END), "at the gear, or at what else drives it")
            .needs("body", "body", new Group<>(BODY), "between them")
            .help("an end, the body, an end");

    public static final Part<RackRod> RACK_ROD = Part.of(RackRod.class)
            .needs("length", "length_mm", LENGTH, "from the inner ball's centre to its tip, as it is there")
            .label("Inner ball to tip")
            .needs("threaded", "threaded_mm", LENGTH, "from its tip on")
            .label("Thread, from the tip")
            .inline("thread", THREAD)
            .needs("jamNut", "jam_nut_mm", new Size(NUT), "its thickness; 0 for none")
            .label("Jam nut")
            .needs(
                    "endReach",
                    "end_to_mouth_mm",
                    LENGTH,
                    "from the outer ball's centre to the mouth of the end's socket")
            .label("Outer ball to the end's mouth")
            .needs("endDeep", "end_deep_mm", LENGTH, "how far the rod can go into the end")
            .label("Socket's depth")
            .help("a rack's own rod, with an end screwed onto it");

    private static final Part<ShaftJoin> JOIN = Part.of(ShaftJoin.class)
            .needs("id", "id", Reference.to(Id.Kind.JOIN), "its own")
            .needs("shaft", "shaft", Reference.to(Id.Kind.SHAFT), "the shaft that is joined")
            .needs("along", "along_mm", new Size(ALONG_A_SHAFT), "from its wheel-end centre")
            .label("Along, from its wheel-end centre")
            .needs("school", "school", new Choice<>(ShaftJoin.School.class), "how")
            .help("where a shaft is made of two");

    private static final Part<WorkPlan.StepMark> MARK = Part.of(WorkPlan.StepMark.class)
            .may("done", "done", new Day(), "when it was ticked")
            .usual("by", "by", Text.LINE, "", "who ticked it")
            .usual("note", "note", Text.NOTE, "", "what was noted")
            .usual("skipped", "skipped", new Flag(), false, "left out of the work")
            .may("hours", "hours", new Size(HOURS), "it takes")
            .help("what was written on a step");

    private static final Part<WorkPlan.OwnStep> OWN_STEP = Part.of(WorkPlan.OwnStep.class)
            .needs("key", "key", new StepKey(), "its own")
            .needs("after", "after", new StepKey(), "the step before")
            .needs("title", "title", Text.NAME, "what to do")
            .help("a step added by hand");

    private static final Part<WorkPlan.Purchase> PURCHASE = Part.of(WorkPlan.Purchase.class)
            .may("price", "price", new Size(PRICE), "of all of it")
            .may("leadDays", "lead_days", new Whole(0, 3650), "from ordering to having it")
            .may("ordered", "ordered", new Day(), "when")
            .may("arrived", "arrived", new Day(), "when")
            .help("what was written on something to buy");

    private static final Part<WorkPlan.OwnPurchase> OWN_PURCHASE = Part.of(WorkPlan.OwnPurchase.class)
            .needs("id", "id", Reference.to(Id.Kind.PURCHASE), "its own")
            .needs("what", "what", Text.NAME, "to buy")
            .usual("step", "step", new StepKey(), "lock", "the step that needs it")
            .help("something to buy added by hand");

    private static final Part<WorkPlan.Located> LOCATED = Part.of(WorkPlan.Located.class)
            .needs("step", "step", new Choice<>(LocatingStep.class), "what is set")
            .needs("by", "by", new Choice<>(LocatingStep.class), "what it is set by, and comes after")
            .help("one thing that is located by another");

    private static final Part<WorkPlan> PLAN = Part.of(WorkPlan.class)
            .may("wanted", "wanted", new Day(), "when it should be ready")
            .usual(
                    "hoursPerWeek",
                    "hours_per_week",
                    new Size(HOURS_A_WEEK),
                    WorkPlan.NONE.hoursPerWeek(),
                    "worked on it")
            .usual(
                    "marks",
                    "marks",
                    new ByKey<>("step", new StepKey(), "which step", MARK, 1000),
                    Map.of(),
                    "what was written on steps")
            .usual("ownSteps", "own_steps", new Many<>(new Group<>(OWN_STEP), 0, 300), List.of(), "steps added by hand")
            .usual(
                    "purchases",
                    "purchases",
                    new ByKey<>(
                            "what",
                            Reference.ANY,
                            "of the part, or made of its sizes: bar.steel.d25_l6000",
                            PURCHASE,
                            1000),
                    Map.of(),
                    "what was written on things to buy")
            .usual(
                    "ownPurchases",
                    "own_purchases",
                    new Many<>(new Group<>(OWN_PURCHASE), 0, 300),
                    List.of(),
                    "what is bought besides")
            .omits(
                    "located",
                    "located_by",
                    new Many<>(new Group<>(LOCATED), 0, 50),
                    List.of(),
                    "what locates what, where that is other than usual")
            .help("the run sheet and the list of what to buy");

    private static final Part<WeldRecord.Reading> HEAT = Part.of(WeldRecord.Reading.class)
            .needs("minutes", "minutes", new Size(MINUTES), "from the beginning")
            .needs("celsius", "celsius", new Size(CELSIUS), "at the piece")
            .needs("moment", "moment", new Choice<>(WeldRecord.Moment.class), "when")
            .help("a temperature");

    private static final Part<WeldRecord> WELD = Part.of(WeldRecord.class)
            .needs("id", "id", Reference.to(Id.Kind.WELD), "its own")
            .needs("piece", "piece", Text.NAME, "what was welded")
            .needs("metal", "metal", new Choice<>(WeldedMetal.class), "what it is")
            .needs("preheat", "preheat_c", new Size(PREHEAT), "wanted")
            .needs("mostBetween", "most_between_c", new Size(HEAT_BETWEEN), "wanted between runs")
            .needs("coolPerHour", "cool_per_hour_c", new Size(RATE), "wanted")
            .usual("filler", "filler", Text.LINE, "", "wire or rod")
            .usual("readings", "readings", new Many<>(new Group<>(HEAT), 0, 2000), List.of(), "temperatures")
            .usual("weldedBy", "welded_by", Text.LINE, "", "who")
            .usual("inspectedBy", "inspected_by", Text.LINE, "", "who and how")
            .may("day", "day", new Day(), "of the weld")
            .help("a heat record");

    public static final Part<StopBolt> STOP_BOLT = Part.of(StopBolt.class)
            .needs("radius", "radius_mm", LENGTH, "from the steer axis to where the bolt's head meets its pad")
            .label("Steer axis to bolt's head")
            .may(
                    "faceToPad",
                    "face_to_pad_mm",
                    LENGTH,
                    "from the face the bolt is screwed into to the pad, straight ahead")
            .label("Face to pad, straight ahead")
            .help("where the knuckles' lock stops act");

    public static final Part<PartAsFound> PART_AS_FOUND = Part.of(PartAsFound.class)
            .needs("length", "length_mm", LENGTH, "from end to end; of a shaft that slides, at its planned overlap")
            .label("Length as found")
            .needs("least", "least_mm", new Size(ALONG_A_SHAFT), "the shortest it can be made")
            .label("Shortest it can be made")
            .usual(
                    "limit",
                    "limit",
                    new Choice<>(PartAsFound.Limit.class),
                    PartAsFound.Limit.OTHER,
                    "what ends it there")
            .help("a part as it was found");

    public static final Part<ShroudAsFound> SHROUD_AS_FOUND = Part.of(ShroudAsFound.class)
            .needs("from", "from_mm", new Size(ALONG_A_SHAFT), "from the hub to its edge at the wheel")
            .label("Hub to the shroud's edge")
            .inline("part", PART_AS_FOUND)
            .help("the cover round a column as it was found");

    private static final Part<AsFound.ArmAsFound> ARM_AS_FOUND = Part.of(AsFound.ArmAsFound.class)
            .needs("end", "end_mm", Place.ANYWHERE, "the joint at its end, with its knuckle in place, straight ahead")
            .help("a steering arm of a used knuckle");

    public static final Part<AsFound> AS_FOUND = Part.of(AsFound.class)
            .usual(
                    "shafts",
                    "shafts",
                    new ByKey<>("shaft", Reference.to(Id.Kind.SHAFT), "which shaft", PART_AS_FOUND, 20),
                    Map.of(),
                    "shafts that are there already")
            .may("tube", "tube", new Group<>(PART_AS_FOUND), "the column tube")
            .may("shroud", "shroud", new Group<>(SHROUD_AS_FOUND), "the cover round it")
            .omits(
                    "arms",
                    "arms",
                    new ByConstant<>(KnuckleArm.class, ARM_AS_FOUND),
                    Map.of(),
                    "steering arms of used knuckles")
            .help("parts that are there already, as they were found");

    public static final Part<Making> MAKING = Part.of(Making.class)
            .usual("workshop", "workshop", new Group<>(WORKSHOP), Workshop.USUAL, "the workshop")
            .omits("rods", "rods", new ByConstant<>(Rod.class, ROD), Map.of(), "how each rod is put together")
            .omits(
                    "rackRods",
                    "rack_rods",
                    new ByConstant<>(Rod.class, RACK_ROD),
                    Map.of(),
                    "rods that a rack has of its own, with an end screwed onto each")
            .omits(
                    "stopBolt",
                    "stop_bolt",
                    new Group<>(STOP_BOLT),
                    StopBolt.USUAL,
                    "where the knuckles' lock stops act, both alike")
            .omits("asFound", "as_found", new Group<>(AS_FOUND), AsFound.NOTHING, "parts that are there already")
            .usual("joins", "joins", new Many<>(new Group<>(JOIN), 0, 50), List.of(), "where shafts are made of two")
            .usual(
                    "pieces",
                    "pieces",
                    new Many<>(new Group<>(PieceParts.PIECE), 0, 300),
                    List.of(),
                    "made besides shafts and rods")
            .omits("plan", "plan", new Group<>(PLAN), WorkPlan.NONE, "the run sheet and the list of what to buy")
            .usual("welds", "welds", new Many<>(new Group<>(WELD), 0, 100), List.of(), "heat records")
            .help("how it is made");
}
