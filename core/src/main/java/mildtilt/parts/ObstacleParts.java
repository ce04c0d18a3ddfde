package mildtilt.parts;

import static mildtilt.describe.Ranges.ANGLE;
import static mildtilt.describe.Ranges.BETWEEN_ENDS;
import static mildtilt.describe.Ranges.BODY_SIZE;
import static mildtilt.describe.Ranges.BODY_THICKNESS;
import static mildtilt.describe.Ranges.CRANK_OF_PEDALS;
import static mildtilt.describe.Ranges.GAP;
import static mildtilt.describe.Ranges.KNEES;
import static mildtilt.describe.Ranges.LEAN;
import static mildtilt.describe.Ranges.LIMB;
import static mildtilt.describe.Ranges.PER_MM_OF_TRAVEL;
import static mildtilt.describe.Ranges.REACH;
import static mildtilt.describe.Ranges.ROAD_WHEEL;
import static mildtilt.describe.Ranges.ROD_DIAMETER;
import static mildtilt.describe.Ranges.SLIDE_BACK;
import static mildtilt.describe.Ranges.SLIDE_ON;
import static mildtilt.describe.Ranges.STEER_ANGLE;
import static mildtilt.describe.Ranges.SWING_BACK;
import static mildtilt.describe.Ranges.SWING_ON;
import static mildtilt.describe.Ranges.WANDER;

import java.util.List;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Heading;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Place;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Row;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Part;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.OwnParts;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.Sweep;
import mildtilt.obstacle.TwoEnded;

/** What is in the way, the driver, own sizes that only gaps ask for. */
public final class ObstacleParts {

    private static final Kind<Point> ANYWHERE = Place.ANYWHERE;
    private static final Kind<Double> TURN = new Size(ANGLE);
    private static final String HEADING = "how far its length points to the left of straight forward";
    private static final String SLOPE = "how far its length slopes below level going forward";
    private static final String ROLL = "how far its left side is lifted";

    private ObstacleParts() {}

    public static final Form<EndFit> END_FIT = Form.Kinds.<EndFit>of("kind", "how an end is held")
            .or(
                    "eye",
                    Part.of(EndFit.Eye.class)
                            .needs("bolt", "bolt", new Heading(), "along its bolt")
                            .label("Bolt")
                            .needs("allowedDeg", "allowed_deg", new Size(STEER_ANGLE), "largest tilt from square to it")
                            .label("Tilt it allows")
                            .help("an eye or a rod end on a bolt"))
            .or(
                    "ball",
                    Part.of(EndFit.Ball.class)
                            .needs("axis", "axis", new Heading(), "that the part runs along where it does not tilt")
                            .label("Axis")
                            .needs("allowedDeg", "allowed_deg", new Size(STEER_ANGLE), "largest angle to it")
                            .label("Tilt it allows")
                            .help("a ball, a top mount or the joint of a driven shaft"))
            .or(
                    "fitting",
                    Part.of(EndFit.Fitting.class)
                            .needs("leaves", "leaves", new Heading(), "the way a hose leaves it")
                            .label("Hose leaves")
                            .help("a hose's fitting"));

    public static final Part<PartEnd> PART_END = Part.of(PartEnd.class)
            .needs("at", "at_mm", ANYWHERE, "its middle")
            .usual("on", "fixed_to", new Choice<>(Carrier.class), Carrier.FRAME, "what it is fixed to")
            .may("fit", "fit", new Group<>(END_FIT), "how it is held; without it its tilt is not looked at")
            .help("one end of a part that is between two");

    public static final Part<AntiRollBar.Arm> BAR_ARM = Part.of(AntiRollBar.Arm.class)
            .needs("bush", "bush_mm", ANYWHERE, "where the arm leaves the bar, on the line it turns about")
            .needs("end", "end_mm", ANYWHERE, "of the arm, where its drop link begins")
            .may("fit", "fit", new Group<>(END_FIT), "how the link is held there")
            .needs("link", "link", new Group<>(PART_END), "the drop link's other end")
            .help("one end of an anti-roll bar");

    private static <T extends Record & TwoEnded> Part.Builder<T> twoEnded(Class<T> type) {
        return Part.of(type)
                .needs("from", "from", new Group<>(PART_END), "one end")
                .needs("to", "to", new Group<>(PART_END), "the other end")
                .needs("diameter", "diameter_mm", new Size(BODY_THICKNESS), "across, with what goes round it")
                .label("Diameter");
    }

    public static final Form<Shape> SHAPE = Form.Kinds.<Shape>of(
                    "kind", "its shape, in the vehicle's frame, straight ahead at ride height")
            .or(
                    "tube",
                    Part.of(Shape.Tube.class)
                            .needs(
                                    "line",
                                    "line_mm",
                                    new Many<>(ANYWHERE, 2, 200),
                                    "the points its middle runs through")
                            .needs("diameter", "diameter_mm", new Size(BODY_THICKNESS), "across")
                            .label("Diameter")
                            .help("round along a line, its ends round"))
            .or(
                    "box",
                    Part.of(Shape.Box.class)
                            .needs("centre", "centre_mm", ANYWHERE, "its middle")
                            .needs("length", "length_mm", new Size(BODY_SIZE), "along it")
                            .label("Length")
                            .needs("width", "width_mm", new Size(BODY_SIZE), "across it")
                            .label("Width")
                            .needs("height", "height_mm", new Size(BODY_SIZE), "from its bottom to its top")
                            .label("Height")
                            .usual("leftDeg", "heading_deg", TURN, 0.0, HEADING)
                            .label("Points to the left by")
                            .usual("downDeg", "slope_deg", TURN, 0.0, SLOPE)
                            .label("Slopes down forward by")
                            .usual("rollDeg", "roll_deg", TURN, 0.0, ROLL)
                            .label("Left side lifted by")
                            .help("a box"))
            .or(
                    "plate",
                    Part.of(Shape.Plate.class)
                            .needs(
                                    "corners",
                                    "corners_mm",
                                    new Many<>(ANYWHERE, 3, 60),
                                    "going round; flat and without hollow sides")
                            .needs("thickness", "thickness_mm", new Size(BODY_THICKNESS), "half of it on either side")
                            .label("Thickness")
                            .help("a plate"))
            .or(
                    "cylinder",
                    Part.of(Shape.Cylinder.class)
                            .needs("from", "from_mm", ANYWHERE, "middle of one end")
                            .needs("to", "to_mm", ANYWHERE, "middle of the other")
                            .needs("diameter", "diameter_mm", new Size(BODY_THICKNESS), "across")
                            .label("Diameter")
                            .help("round, its ends flat"))
            .or(
                    "sphere",
                    Part.of(Shape.Sphere.class)
                            .needs("centre", "centre_mm", ANYWHERE, "its middle")
                            .needs("diameter", "diameter_mm", new Size(BODY_THICKNESS), "across")
                            .label("Diameter")
                            .help("a ball"))
            .or(
                    "scan",
                    Part.of(Shape.Scan.class)
                            .usual("file", "file", new Text(0, 300), "", "name of the file it was read from")
                            .needs("at", "at_mm", ANYWHERE, "where the scan's origin is put")
                            .usual("leftDeg", "heading_deg", TURN, 0.0, HEADING)
                            .label("Points to the left by")
                            .usual("downDeg", "slope_deg", TURN, 0.0, SLOPE)
                            .label("Slopes down forward by")
                            .usual("rollDeg", "roll_deg", TURN, 0.0, ROLL)
                            .label("Left side lifted by")
                            .inline("mesh", new Form.Packed("its triangles"))
                            .help("triangles"))
            .or(
                    "damper",
                    twoEnded(TwoEnded.Damper.class)
                            .needs("closed", "closed_mm", new Size(BETWEEN_ENDS), "between its ends, pushed in")
                            .label("Length pushed in")
                            .needs("open", "open_mm", new Size(BETWEEN_ENDS), "between its ends, pulled out")
                            .label("Length pulled out")
                            .help("a damper, a steering damper or a spring unit, between two ends"))
            .or(
                    "coil_spring",
                    twoEnded(TwoEnded.CoilSpring.class)
                            .needs("block", "block_mm", new Size(BETWEEN_ENDS), "with its coils on each other")
                            .label("Length coil on coil")
                            .needs("free", "free_mm", new Size(BETWEEN_ENDS), "with nothing on it")
                            .label("Free length")
                            .help("a coil spring between two ends"))
            .or(
                    "limit_strap",
                    twoEnded(TwoEnded.Strap.class)
                            .needs("taut", "taut_mm", new Size(BETWEEN_ENDS), "between its ends where it ends droop")
                            .label("Length, taut")
                            .help("a strap that ends droop"))
            .or(
                    "bump_stop",
                    twoEnded(TwoEnded.BumpStop.class)
                            .needs("height", "height_mm", new Size(BETWEEN_ENDS), "between its ends where it ends bump")
                            .label("Height where it meets")
                            .help("a block that ends bump, on its first end, and what meets it"))
            .or(
                    "driven_shaft",
                    twoEnded(TwoEnded.DrivenShaft.class)
                            .needs("pushedIn", "pushed_in_mm", new Size(BETWEEN_ENDS), "between its joints, pushed in")
                            .label("Length pushed in")
                            .needs(
                                    "pulledOut",
                                    "pulled_out_mm",
                                    new Size(BETWEEN_ENDS),
                                    "between its joints, as far out as its joints let it")
                            .label("Length pulled out")
                            .help("a shaft that drives a wheel, with a joint at either end"))
            .or(
                    "hose",
                    twoEnded(TwoEnded.Hose.class)
                            .needs("length", "length_mm", new Size(BETWEEN_ENDS), "between its ends, stretched out")
                            .label("Length")
                            .needs("leastRadius", "least_bend_radius_mm", new Size(GAP), "that it may be bent to")
                            .label("Least bend radius")
                            .help("a hose or a cable between two ends"))
            .or(
                    "anti_roll_bar",
                    Part.of(AntiRollBar.class)
                            .usual(
                                    "on",
                                    "bushes_on",
                                    new Choice<>(Carrier.class),
                                    Carrier.FRAME,
                                    "what its bushes are fixed to")
                            .needs("left", "left", new Group<>(BAR_ARM), "its left end")
                            .needs("right", "right", new Group<>(BAR_ARM), "its right end")
                            .needs("diameter", "diameter_mm", new Size(BODY_THICKNESS), "of bar and arms")
                            .label("Diameter")
                            .needs("linkDiameter", "link_diameter_mm", new Size(BODY_THICKNESS), "of its drop links")
                            .label("Drop links, across")
                            .help("a bar that turns in bushes, with arms and drop links"));

    private static Part<Axis> pivot() {
        return AxleParts.axis("origin_mm", "a point on its pivot", "axis", "along its pivot, right-handed", "");
    }

    public static final Form<Sweep> SWEEP = Form.Kinds.<Sweep>of("kind", "how it moves by itself")
            .or(
                    "turns",
                    Part.of(Sweep.Turns.class)
                            .inline("axis", pivot())
                            .needs(
                                    "fromDeg",
                                    "from_deg",
                                    new Size(SWING_BACK),
                                    "from where it stands, 0 or below; right-handed about its pivot")
                            .label("Turns back to")
                            .needs("toDeg", "to_deg", new Size(SWING_ON), "from where it stands, 0 or above")
                            .label("Turns on to")
                            .help("a pedal, an engine that rocks"))
            .or(
                    "slides",
                    Part.of(Sweep.Slides.class)
                            .needs("along", "along", new Heading(), "which way")
                            .needs("from", "from_travel_mm", new Size(SLIDE_BACK), "from where it stands, 0 or below")
                            .label("Slides back to")
                            .needs("to", "to_travel_mm", new Size(SLIDE_ON), "from where it stands, 0 or above")
                            .label("Slides on to")
                            .help("along a straight line"))
            .or(
                    "wanders",
                    Part.of(Sweep.Wanders.class)
                            .needs("by", "by_mm", new Size(WANDER), "any way")
                            .label("Wanders up to")
                            .help("a hose"))
            .or(
                    "follows_wheel",
                    Part.of(Sweep.FollowsWheel.class)
                            .needs("side", "side", new Choice<>(Side.class), "which wheel")
                            .inline("axis", pivot())
                            .needs(
                                    "degPerMm",
                                    "deg_per_mm",
                                    new Size(PER_MM_OF_TRAVEL),
                                    "right-handed about the axis, for a mm of that wheel's rise")
                            .label("Turns per mm of travel, °")
                            .help("an anti-roll bar"));

    public static final Part<Obstacle> OBSTACLE = Part.of(Obstacle.class)
            .needs("id", "id", Reference.to(Id.Kind.OBSTACLE), "its own")
            .needs("name", "name", Text.NAME, "what the bench calls it")
            .needs("shape", "shape", new Group<>(SHAPE), "what it looks like")
            .usualOf(
                    "gap",
                    "gap_mm",
                    new Size(GAP),
                    f -> f.<Boolean>get("hot") ? Obstacle.USUAL_HOT_GAP : Obstacle.USUAL_GAP,
                    "needed to whatever moves past it; 12 if left out, 50 where it is hot")
            .label("Gap it needs")
            .usual("hot", "hot", new Flag(), false, "whether it gives off heat")
            .usual("carrier", "fixed_to", new Choice<>(Carrier.class), Carrier.FRAME, "what it rides with")
            .omits(
                    "sweep",
                    "sweep",
                    new Group<>(SWEEP),
                    new Sweep.Still(),
                    "how it moves by itself; leave out if it does not")
            .usual(
                    "takesBearings",
                    "takes_bearings",
                    new Flag(),
                    false,
                    "whether the bracket of a bearing can be fixed to it")
            .may(
                    "said",
                    "may_be",
                    new Choice<>(Obstacle.May.class),
                    "what may be done to it where it is in the way; if left out, members that take bearings may be "
                            + "notched, long boxes and what rides on the axle neither, the rest moved")
            .help("something in the way");

    public static final Part<Driver.Pedals> PEDALS = Part.of(Driver.Pedals.class)
            .needs("axle", "axle_mm", ANYWHERE, "middle of the cranks' axle")
            .needs("crank", "crank_mm", new Size(CRANK_OF_PEDALS), "from there to a pedal")
            .label("Pedal crank")
            .needs("apart", "apart_mm", new Size(KNEES), "between the feet's middles")
            .label("Feet apart")
            .help("pedals that the feet turn");

    public static final Part<Driver> DRIVER = Part.of(Driver.class)
            .needs("hip", "hip_mm", ANYWHERE, "midway between the hip joints, seated")
            .needs("heel", "heel_mm", ANYWHERE, "midway between the heels on the floor")
            .needs("thigh", "thigh_mm", new Size(LIMB), "hip joint to knee joint")
            .label("Thigh, hip to knee")
            .needs("shin", "shin_mm", new Size(LIMB), "knee joint to heel")
            .label("Shin, knee to heel")
            .needs("kneesApart", "knees_apart_mm", new Size(KNEES), "between the knees' middles")
            .label("Knees apart")
            .omits("trunk", "trunk_mm", new Size(REACH), Driver.USUAL_TRUNK, "hip joint to shoulder joint")
            .label("Trunk, hip to shoulder")
            .omits(
                    "leanDeg",
                    "lean_deg",
                    new Size(LEAN),
                    Driver.USUAL_LEAN,
                    "how far the trunk leans back from upright; below 0 forward")
            .label("Trunk leans back")
            .omits(
                    "arm",
                    "arm_mm",
                    new Size(REACH),
                    Driver.USUAL_ARM,
                    "shoulder joint to the middle of the closed hand, as far as the driver reaches")
            .label("Arm, shoulder to hand")
            .may(
                    "pedals",
                    "pedals",
                    new Group<>(PEDALS),
                    "that the feet turn; leave out where the heels rest on the floor")
            .help("who sits at the wheel, to be kept clear of");

    public static final Part<OwnParts> OWN = Part.of(OwnParts.class)
            .may(
                    "rim",
                    "rim_diameter_mm",
                    new Size(ROAD_WHEEL),
                    "of the road wheel's; not given, 0.6 of the tyre's is guessed, and what it decides is listed "
                            + "as not measured yet")
            .label("Rim diameter")
            .may(
                    "arm",
                    "arm_diameter_mm",
                    new Size(ROD_DIAMETER),
                    "not given, 30 mm is guessed, and what it decides is listed as not measured yet")
            .label("Arms and track bar, across")
            .may(
                    "rod",
                    "rod_diameter_mm",
                    new Size(ROD_DIAMETER),
                    "not given, 24 mm is guessed, and what it decides is listed as not measured yet")
            .label("Rods without a tube, across")
            .may(
                    "steeringArm",
                    "steering_arm_diameter_mm",
                    new Size(ROD_DIAMETER),
                    "of steering arms and the gear's arms; not given, 26 mm is guessed, and what it decides is "
                            + "listed as not measured yet")
            .label("Steering arms, across")
            .may(
                    "gear",
                    "gear_diameter_mm",
                    new Size(ROD_DIAMETER),
                    "of the rack's housing, across a steering box; not given, 50 mm is guessed, and what it "
                            + "decides is listed as not measured yet")
            .label("Gear, across")
            .usual("gap", "own_gap_mm", new Size(GAP), OwnParts.USUAL.gap(), "between the vehicle's own parts")
            .label("Gap between own parts")
            .usual("tyreGap", "tyre_gap_mm", new Size(GAP), OwnParts.USUAL.tyreGap(), "between a tyre and anything")
            .label("Gap round the tyres")
            .usual(
                    "driverGap",
                    "driver_gap_mm",
                    new Size(GAP),
                    OwnParts.USUAL.driverGap(),
                    "between the driver and wheel or column")
            .label("Gap round the driver")
            .help("sizes and gaps that only clearances ask for");

    private static final Part<Surroundings.Touching> TOUCHING = Part.of(Surroundings.Touching.class)
            .needs("first", "first", Reference.ANY, "of a part or obstacle")
            .needs("second", "second", Reference.ANY, "of a part or obstacle")
            .help("two parts");

    public static final Part<Surroundings> SURROUNDINGS = Part.of(Surroundings.class)
            .usual(
                    "obstacles",
                    "obstacles",
                    new Many<>(new Group<>(OBSTACLE), 0, Surroundings.MOST, Surroundings::mustNotHoldTooMuch),
                    List.of(),
                    "names differ")
            .may("driver", "driver", new Group<>(DRIVER), "who sits at the wheel")
            .usual("own", "own_parts", new Group<>(OWN), OwnParts.USUAL, "sizes and gaps that only clearances ask for")
            .omits(
                    "meant",
                    "meant_to_touch",
                    new Many<>(new Row<>(TOUCHING), 0, 1000),
                    List.of(),
                    "pairs, by id, that are meant to touch; they get no finding")
            .help("what is in the way of the steering");
}
