package mildtilt.parts;

import static mildtilt.describe.Ranges.ADJUSTMENT;
import static mildtilt.describe.Ranges.ALONG_A_SHAFT;
import static mildtilt.describe.Ranges.ANGLE;
import static mildtilt.describe.Ranges.COORDINATE;
import static mildtilt.describe.Ranges.GRIPS_APART;
import static mildtilt.describe.Ranges.GRIP_OFFSET;
import static mildtilt.describe.Ranges.HAND_SWING;
import static mildtilt.describe.Ranges.IN_A_BORE;
import static mildtilt.describe.Ranges.JOINT_ACROSS;
import static mildtilt.describe.Ranges.JOINT_ANGLE;
import static mildtilt.describe.Ranges.KEY_WIDTH;
import static mildtilt.describe.Ranges.MOVEMENT;
import static mildtilt.describe.Ranges.OUT_OF_LINE;
import static mildtilt.describe.Ranges.RIM_OF_HANDS;
import static mildtilt.describe.Ranges.ROD_DIAMETER;
import static mildtilt.describe.Ranges.SHAFT_BORE;
import static mildtilt.describe.Ranges.SHAFT_DIAMETER;
import static mildtilt.describe.Ranges.TORQUE;
import static mildtilt.describe.Ranges.WHEEL_TILT;
import static mildtilt.describe.Ranges.YIELD_STRENGTH;

import java.util.List;
import java.util.Optional;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.GearInput;
import mildtilt.column.HandBar;
import mildtilt.column.Installation;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Slide;
import mildtilt.column.Socket;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.describe.Field.Found;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Heading;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Place;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Kind.Whole;
import mildtilt.describe.Part;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.id.Id;

/** The column from steering wheel to gear input. */
public final class ColumnParts {

    private static final double USUAL_DIAMETER = 20;
    private static final String TYPICAL = "true while its sizes are typical ones nobody has measured";

    private ColumnParts() {}

    /** An end of a shaft, or the bore that it goes into. @param usual diameter, mm */
    private static Form<ShaftProfile> seat(double usual) {
        Kind<Double> diameter = new Size(SHAFT_DIAMETER);
        String across = "outside diameter; of a bore, the size of end it is made for";
        return Form.Kinds.<ShaftProfile>of("form", "form and size of a shaft's end")
                .or(
                        "round",
                        Part.of(ShaftProfile.Round.class)
                                .usual("diameter", "diameter_mm", diameter, usual, across)
                                .label("Diameter")
                                .help("round"))
                .or(
                        "spline",
                        Part.of(ShaftProfile.Splined.class)
                                .usual("diameter", "diameter_mm", diameter, usual, across)
                                .label("Diameter")
                                .usual("teeth", "teeth", new Whole(3, 120), 36, "of a spline or serration")
                                .label("Teeth")
                                .help("spline or serration"))
                .or(
                        "double_d",
                        Part.of(ShaftProfile.DoubleD.class)
                                .usual("diameter", "diameter_mm", diameter, usual, across)
                                .label("Diameter")
                                .usualOf(
                                        "acrossFlats",
                                        "across_flats_mm",
                                        diameter,
                                        f -> 0.8 * f.<Double>get("diameter"),
                                        "of a double-D, less than its diameter")
                                .label("Across flats")
                                .help("two flats"))
                .or(
                        "keyed",
                        Part.of(ShaftProfile.Keyed.class)
                                .usual("diameter", "diameter_mm", diameter, usual, across)
                                .label("Diameter")
                                .usualOf(
                                        "keyWidth",
                                        "key_width_mm",
                                        new Size(KEY_WIDTH),
                                        f -> f.<Double>get("diameter") / 4,
                                        "of a keyed end")
                                .label("Key width")
                                .help("key and keyway"))
                .usually("round", false);
    }

    public static final Form<ShaftProfile> SEAT = seat(USUAL_DIAMETER);

    /** What a fork, hub or gear has for a shaft's end. */
    static final Part<Socket> SOCKET = Part.of(Socket.class)
            .inline("seat", SEAT)
            .usual(
                    "hold",
                    "hold",
                    new Choice<>(Socket.Retention.class),
                    Socket.Retention.PINCH_BOLT,
                    "what keeps the end in")
            .help("what a fork, hub or gear has for a shaft end, and what keeps the end in it");

    public static final Part<YokeDimensions> FIT = Part.of(YokeDimensions.class)
            .usual("takeOff", "take_off_mm", new Size(IN_A_BORE), 0.0, "from the centre to the face the shaft enters")
            .label("Take-off")
            .usual("engagement", "engagement_mm", new Size(IN_A_BORE), 0.0, "how far the shaft goes in past that face")
            .label("Engagement")
            .may("socket", "socket", new Group<>(SOCKET), "of the fork, if it is known")
            .help("how a shaft end sits in a fork");

    public static final Part<Adjustment> ADJUSTMENTS = Part.of(Adjustment.class)
            .usual("reachIn", "reach_in_mm", new Size(ADJUSTMENT), 0.0, "toward the gear, from where it is planned")
            .label("Reach in")
            .usual("reachOut", "reach_out_mm", new Size(ADJUSTMENT), 0.0, "toward the driver")
            .label("Reach out")
            .usual(
                    "tiltUpDeg",
                    "tilt_up_deg",
                    new Size(WHEEL_TILT),
                    0.0,
                    "how far the driver can lift the wheel from where it is planned")
            .label("Tilt up")
            .usual("tiltDownDeg", "tilt_down_deg", new Size(WHEEL_TILT), 0.0, "how far the driver can lower it")
            .label("Tilt down")
            .may(
                    "pivot",
                    "pivot_from_hub_mm",
                    new Size(ALONG_A_SHAFT),
                    "from the hub to the axis it tilts about; at the first joint if left out")
            .label("Tilt pivot, from hub")
            .help("how far its driver can set it from where it is planned");

    public static final Part<HandBar> HAND_BAR = Part.of(HandBar.class)
            .needs("kind", "kind", new Choice<>(HandBar.Kind.class), "what the hands hold")
            .usual(
                    "apart",
                    "grips_apart_mm",
                    new Size(GRIPS_APART),
                    0.0,
                    "between the middles of both grips; a tiller has one, in the middle")
            .label("Grips apart")
            .needs(
                    "back",
                    "back_mm",
                    new Size(GRIP_OFFSET),
                    "how far the grips lie behind the hub; below 0 ahead of it")
            .label("Grips behind the hub")
            .needs("up", "up_mm", new Size(GRIP_OFFSET), "how far they lie above the hub; below 0 under it")
            .label("Grips above the hub")
            .usual(
                    "swingEachWayDeg",
                    "swing_each_way_deg",
                    new Size(HAND_SWING),
                    60.0,
                    "as far as hands can follow it from straight ahead")
            .label("Hands follow, each way")
            .help("handlebar, levers or tiller");

    public static final Part<SteeringWheel> WHEEL = Part.of(SteeringWheel.class)
            .needs("hub", "hub_mm", Place.ANYWHERE, "centre of the hub")
            .usual("diameter", "diameter_mm", new Size(RIM_OF_HANDS), 360.0, "of the rim")
            .label("Rim diameter")
            .inline("fit", FIT)
            .omits(
                    "adjustment",
                    "adjustment",
                    new Group<>(ADJUSTMENTS),
                    Adjustment.NONE,
                    "how far its driver can set it")
            .may(
                    "bar",
                    "hand_bar",
                    new Group<>(HAND_BAR),
                    "handlebar, levers or tiller; leave out where the hands hold a wheel")
            .help("the steering wheel, or what the hands hold instead");

    public static final Part<ColumnTube> TUBE = tube(false);

    private static Part<ColumnTube> tube(boolean generic) {
        Kind<Double> along = new Size(ALONG_A_SHAFT);
        Part.Builder<ColumnTube> b = Part.of(ColumnTube.class)
                .usual("outside", "outside_mm", new Size(ROD_DIAMETER), 45.0, "outside diameter")
                .label("Outside diameter");
        String upper = "from the hub to the upper bearing";
        String lower = "from the hub to the lower bearing";
        b = generic
                ? b.usual("from", "from_mm", along, 0.0, upper).usual("to", "to_mm", along, 0.0, lower)
                : b.needs("from", "from_mm", along, upper)
                        .label("Upper bearing, from hub")
                        .needs("to", "to_mm", along, lower)
                        .label("Lower bearing, from hub");
        return b.usual(
                        "collapse",
                        "collapse_mm",
                        along,
                        0.0,
                        "how far a blow can push the column together; 0 for one that can't")
                .label("Collapses by")
                .usual(
                        "beyond",
                        "beyond_mm",
                        along,
                        ColumnTube.USUAL_BEYOND,
                        "how far the tube stands out beyond the middle of each bearing: what the saw has to leave")
                .label("Stands out beyond the bearings")
                .help("tube round the first shaft, a bearing at either end");
    }

    /** A tube of a catalogue, whose place means nothing. */
    static final Part<ColumnTube> GENERIC_TUBE = tube(true);

    public static final Part<Slide> SLIDE = Part.of(Slide.class)
            .usual(
                    "overlap",
                    "overlap_mm",
                    new Size(ALONG_A_SHAFT),
                    0.0,
                    "how far one part stands in the other, as planned")
            .label("Overlap")
            .usual("leastOverlap", "least_overlap_mm", new Size(ALONG_A_SHAFT), 0.0, "below which it must never come")
            .label("Least overlap")
            .usual(
                    "closes",
                    "closes_mm",
                    new Size(ALONG_A_SHAFT),
                    0.0,
                    "how far it can be pushed together before it bottoms")
            .label("Closes by")
            .may(
                    "middle",
                    "overlap_middle_mm",
                    new Size(ALONG_A_SHAFT),
                    "from the shaft's wheel-end centre to the middle of the overlap; the shaft's middle if left out")
            .label("Wheel end to overlap's middle")
            .help("if its length can change");

    public static final Part<Shaft> SHAFT =
            shaft(Part.of(Shaft.class).needs("id", "id", Reference.to(Id.Kind.SHAFT), "its own"));
    static final Part<Shaft> GENERIC_SHAFT = shaft(Part.of(Shaft.class).fixed("id", Id.Kind.SHAFT.first()));

    private static Part<Shaft> shaft(Part.Builder<Shaft> b) {
        return b.needs("name", "name", Text.NAME, "what the bench calls it")
                .inline("profile", SEAT)
                .usual("bore", "bore_mm", new Size(SHAFT_BORE), 0.0, "inside diameter of a tube; 0 for a solid shaft")
                .label("Bore")
                .usual(
                        "yieldMpa",
                        "yield_mpa",
                        new Size(YIELD_STRENGTH),
                        Shaft.MILD_STEEL,
                        "yield strength of the material")
                .label("Yields at, MPa")
                .may(
                        "wheelEnd",
                        "wheel_end",
                        new Group<>(SEAT),
                        "form of its end toward the wheel, if other than its own")
                .may("gearEnd", "gear_end", new Group<>(SEAT), "form of its end toward the gear, if other than its own")
                .omits(
                        "clockingDeg",
                        "clocking_deg",
                        new Size(ANGLE),
                        0.0,
                        "from wheel-end fork pin to gear-end fork pin, + clockwise seen from the wheel end; only "
                                + "for a shaft between two joints")
                .label("Clocking, + clockwise")
                .omits(
                        "indexDeg",
                        "clocking_index_deg",
                        new Size(ANGLE),
                        0.0,
                        "one clocking that splined, flatted or keyed ends allow as made; all others are whole "
                                + "steps from it")
                .label("Clocking at index")
                .omits("forksFixed", "forks_fixed", new Flag(), false, "true if both forks are on it for good")
                .usual("toCut", "to_cut", new Flag(), true, "true if the fabricator cuts it to length")
                .may("slide", "slide", new Group<>(SLIDE), "if its length can change")
                .omits("typical", "typical", new Flag(), false, TYPICAL)
                .help("a shaft between two joints, or between a joint and the hub or gear");
    }

    private static final Form<JointKind> JOINT_KIND = Form.Kinds.<JointKind>of(
                    "kind", "double: constant velocity; coupling: flexible")
            .or("single", Part.of(JointKind.Single.class).help("one cross"))
            .or(
                    "double",
                    Part.of(JointKind.Double.class)
                            .usual(
                                    "centred",
                                    "centred",
                                    new Flag(),
                                    false,
                                    "of a double joint: true if it centres itself")
                            .help("two crosses"))
            .or("coupling", Part.of(JointKind.Coupling.class).help("a flexible disc"))
            .usually("single", true);

    public static final Part<Joint> JOINT = joint(Part.of(Joint.class)
            .needs("id", "id", Reference.to(Id.Kind.JOINT), "its own")
            .needs("name", "name", Text.NAME, "what the bench calls it")
            .inline("kind", JOINT_KIND)
            .needs("centre", "centre_mm", Place.ANYWHERE, "joint centre"));
    static final Part<Joint> GENERIC_JOINT = joint(Part.of(Joint.class)
            .fixed("id", Id.Kind.JOINT.first())
            .needs("name", "name", Text.NAME, "what the bench calls it")
            .inline("kind", JOINT_KIND)
            .fixed("centre", Point.ORIGIN));

    private static Part<Joint> joint(Part.Builder<Joint> b) {
        return b.usualOf(
                        "maxAngleDeg",
                        "max_angle_deg",
                        new Size(JOINT_ANGLE),
                        f -> f.<JointKind>get("kind").usualLimitDeg(),
                        "largest operating angle it allows")
                .label("Largest angle allowed")
                .usual("wheelSide", "wheel_side", new Group<>(FIT), YokeDimensions.NONE, "the fork toward the wheel")
                .usual("gearSide", "gear_side", new Group<>(FIT), YokeDimensions.NONE, "the fork toward the gear")
                .may("torqueNm", "torque_nm", new Size(TORQUE), "the most its maker allows; none if not known")
                .label("Torque allowed, N·m")
                .may(
                        "swingDiameter",
                        "swing_diameter_mm",
                        new Size(JOINT_ACROSS),
                        "of the circle that its ears and screws sweep")
                .label("Swing diameter")
                .omits("typical", "typical", new Flag(), false, TYPICAL)
                .help("a joint between two shafts");
    }

    /** A bearing, by the id of the shaft it holds; the column has its place in the row. */
    public record SupportBearing(Optional<Id> shaft, Bearing bearing) {}

    public static final Part<Bearing> BEARING =
            bearing(Part.of(Bearing.class).needs("id", "id", Reference.to(Id.Kind.BEARING), "its own"));
    static final Part<Bearing> GENERIC_BEARING = bearing(Part.of(Bearing.class).fixed("id", Id.Kind.BEARING.first()));

    private static Part<Bearing> bearing(Part.Builder<Bearing> b) {
        return b.needs("name", "name", Text.NAME, "what the bench calls it")
                .usual("kind", "kind", new Choice<>(Bearing.Kind.class), Bearing.Kind.ROD_END, "rod end if left out")
                .usual("mount", "mount", new Choice<>(Bearing.Mount.class), Bearing.Mount.FRAME, "what it is fixed to")
                .fixed("shaft", 0)
                .usual("along", "along_mm", new Size(ALONG_A_SHAFT), 0.0, "from the shaft's wheel-end centre")
                .label("Along the shaft")
                .usual("bore", "bore_mm", new Size(SHAFT_DIAMETER), USUAL_DIAMETER, "inside the bearing")
                .label("Bore")
                .omits(
                        "offAcross",
                        "off_across_mm",
                        new Size(OUT_OF_LINE),
                        0.0,
                        "how far its middle was found to the left of the shaft's line; − to the right")
                .label("Measured off, to the left")
                .omits(
                        "offUp",
                        "off_up_mm",
                        new Size(OUT_OF_LINE),
                        0.0,
                        "how far its middle was found above the shaft's line, square to it; − below")
                .label("Measured off, up")
                .omits("typical", "typical", new Flag(), false, TYPICAL)
                .help("a bearing that holds a shaft");
    }

    private static final Part<SupportBearing> HELD = Part.of(SupportBearing.class)
            .inline("bearing", BEARING)
            .may("shaft", "shaft", Reference.to(Id.Kind.SHAFT), "the shaft it holds; the one at the wheel if left out")
            .help("a bearing that holds a shaft");

    private static List<SupportBearing> held(Column c) {
        return c.bearings().stream()
                .map(b ->
                        new SupportBearing(Optional.of(c.shafts().get(b.shaft()).id()), b))
                .toList();
    }

    private static List<Bearing> placed(Found found, List<SupportBearing> held) {
        List<Shaft> shafts = found.get("shafts");
        List<Id> ids = shafts.stream().map(Shaft::id).toList();
        return held.stream()
                .map(h -> {
                    int at = h.shaft.map(ids::indexOf).orElse(0);
                    if (at < 0) {
                        throw new ImpossibleGeometryException("There is no shaft \"" + h.shaft.orElseThrow()
                                + "\" for \"" + h.bearing.name() + "\" to hold.");
                    }
                    return h.bearing.withShaft(at);
                })
                .toList();
    }

    public static final Part<GearInput> GEAR_INPUT = Part.of(GearInput.class)
            .needs("point", "point_mm", Place.ANYWHERE, "where the last shaft ends in the gear")
            .inline("fit", FIT)
            .may(
                    "axis",
                    "axis",
                    new Heading(),
                    "the way the input points, from the column into the gear, as measured; only where the gear is "
                            + "bolted down")
            .help("the gear's input shaft");

    public static final Part<Installation> INSTALLATION = Part.of(Installation.class)
            .may(
                    "columnAxis",
                    "column_axis",
                    new Heading(),
                    "the way the column points, from the hub, as measured; only where it is bolted down")
            .usual(
                    "frameMovement",
                    "frame_movement_mm",
                    new Size(MOVEMENT),
                    0.0,
                    "how far the frame, with gear and lower joints, moves against the body that carries the "
                            + "column, any way")
            .label("Frame moves")
            .may("bulkhead", "bulkhead_x_mm", new Size(COORDINATE), "between cabin and front; none where there is none")
            .label("Bulkhead at x")
            .help("how the column stands in the vehicle");

    public static final Part<Column> COLUMN = Part.of(Column.class)
            .needs("wheel", "steering_wheel", new Group<>(WHEEL), "the steering wheel")
            .usual(
                    "firstForkDeg",
                    "first_fork_deg",
                    new Size(ANGLE),
                    0.0,
                    "straight ahead, where the first fork's pin stands: from the direction (first shaft, hub to "
                            + "joint) × (second shaft, on toward the gear), which is square to the plane of both; "
                            + "right-handed about the first shaft pointing toward the gear, so clockwise as the driver sees "
                            + "it")
            .label("First fork, straight ahead")
            .may("tube", "tube", new Group<>(TUBE), "round the first shaft")
            .needs(
                    "shafts",
                    "shafts",
                    new Many<>(new Group<>(SHAFT), 1, Column.MOST_JOINTS + 1),
                    "from wheel to gear, one more than there are joints")
            .needs("joints", "joints", new Many<>(new Group<>(JOINT), 0, Column.MOST_JOINTS), "from wheel to gear")
            .adapted(
                    "bearings",
                    "bearings",
                    new Many<>(new Group<>(HELD), 0, 20),
                    new Presence.Usual<>(_ -> List.of(), false),
                    ColumnParts::held,
                    ColumnParts::placed,
                    "besides those of the tube and of the gear")
            .needs("gear", "gear_input", new Group<>(GEAR_INPUT), "where the last shaft ends")
            .omits(
                    "installation",
                    "installation",
                    new Group<>(INSTALLATION),
                    Installation.FREE,
                    "how the column stands in the vehicle")
            .help("steering wheel to gear input; leave out if not laid out yet");
}
