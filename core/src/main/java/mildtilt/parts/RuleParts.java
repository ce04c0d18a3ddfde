package mildtilt.parts;

import static mildtilt.describe.Ranges.BRAKE_STEER;
import static mildtilt.describe.Ranges.CLASS_LEAST;
import static mildtilt.describe.Ranges.CLASS_SIZE;
import static mildtilt.describe.Ranges.ENGAGEMENT;
import static mildtilt.describe.Ranges.FORCE;
import static mildtilt.describe.Ranges.KERB_TIMES;
import static mildtilt.describe.Ranges.KINK;
import static mildtilt.describe.Ranges.MOVEMENT;
import static mildtilt.describe.Ranges.PERCENT;
import static mildtilt.describe.Ranges.RATE;
import static mildtilt.describe.Ranges.ROLL_STEER;
import static mildtilt.describe.Ranges.RULE_MARGIN;
import static mildtilt.describe.Ranges.SCRUB;
import static mildtilt.describe.Ranges.SMALL_ANGLE;
import static mildtilt.describe.Ranges.STEER_ANGLE;
import static mildtilt.describe.Ranges.STEER_AXIS_ANGLE;
import static mildtilt.describe.Ranges.STROKE;
import static mildtilt.describe.Ranges.TRAIL;
import static mildtilt.describe.Ranges.TURN;

import java.util.List;
import mildtilt.column.Socket;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Choices;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Part;
import mildtilt.rules.Rules;
import mildtilt.rules.WheelGeometry;

/** A rule set. No limit is left to a default but those that older sets did not know. */
public final class RuleParts {

    /** Of its own load, with which a wheel is pushed back, where a set does not say. */
    private static final double USUAL_KERB = 1;

    private static final WheelGeometry U = WheelGeometry.USUAL;
    private static final Kind<Double> AXIS = new Size(STEER_AXIS_ANGLE);
    private static final Kind<Double> SMALL = new Size(SMALL_ANGLE);

    private RuleParts() {}

    private static final Part<Rules.Collapse> COLLAPSE = Part.of(Rules.Collapse.class)
            .needs("stroke", "stroke_mm", new Size(STROKE), "least free stroke; 0 if none is required")
            .may("kinkDeg", "kink_deg", new Size(KINK), "sum of joint angles taken instead; left out if none is")
            .usualOf(
                    "straightForbidden",
                    "straight_forbidden",
                    new Flag(),
                    f -> f.<Double>get("stroke") > 0,
                    "whether a column that is all but a straight bar, without that stroke, is a stop; if left out, "
                            + "where a stroke is asked for")
            .help("what a blow from the front must find");

    private static final Part<WheelGeometry> GEOMETRY = Part.of(WheelGeometry.class)
            .usual("casterMinDeg", "caster_min_deg", AXIS, U.casterMinDeg(), "least caster (1)")
            .usual("casterMaxDeg", "caster_max_deg", AXIS, U.casterMaxDeg(), "most caster (10)")
            .usual("trailMin", "trail_min_mm", new Size(TRAIL), U.trailMin(), "least mechanical trail (5)")
            .usual("trailMax", "trail_max_mm", new Size(TRAIL), U.trailMax(), "most mechanical trail (80)")
            .usual("kingpinMinDeg", "kingpin_min_deg", AXIS, U.kingpinMinDeg(), "least kingpin inclination (0)")
            .usual("kingpinMaxDeg", "kingpin_max_deg", AXIS, U.kingpinMaxDeg(), "most kingpin inclination (20)")
            .usual("scrubMax", "scrub_max_mm", new Size(SCRUB), U.scrubMax(), "most scrub radius either way (120)")
            .usual("toeDeg", "toe_deg", SMALL, U.toeDeg(), "most static toe of one wheel either way (0.5)")
            .usual(
                    "apartDeg",
                    "apart_deg",
                    SMALL,
                    U.apartDeg(),
                    "most that left and right steer axis differ in caster or inclination (0.5)")
            .usual(
                    "rollSteer",
                    "roll_steer_deg",
                    new Size(ROLL_STEER),
                    U.rollSteer(),
                    "most that the wheels steer for a degree of roll either way (0.15)")
            .usual(
                    "lockApartDeg",
                    "lock_apart_deg",
                    SMALL,
                    U.lockApartDeg(),
                    "most that the inner wheel's lock differs from left to right (3)")
            .omits(
                    "brakeSteer",
                    "brake_steer_deg",
                    new Size(BRAKE_STEER),
                    U.brakeSteer(),
                    "most that the wheels steer for a degree that braking winds the axle up either way (0.2)")
            .help("what is usual of the wheels' geometry");

    public static final Part<Rules.VehicleClass> CLASS = Part.of(Rules.VehicleClass.class)
            .needs("name", "name", Text.NAME, "of the class")
            .needs("wheelbaseMin", "wheelbase_min_mm", new Size(CLASS_LEAST), "least")
            .label("Least wheelbase")
            .needs("wheelbaseMax", "wheelbase_max_mm", new Size(CLASS_SIZE), "most")
            .label("Most wheelbase")
            .needs("widthMax", "width_max_mm", new Size(CLASS_SIZE), "over the tyres")
            .label("Most width over tyres")
            .may(
                    "shaftHoleMax",
                    "shaft_hole_max_mm",
                    new Size(CLASS_SIZE),
                    "most of the hole the column goes through in the bulkhead; any if left out")
            .label("Most shaft hole")
            .help("a class of vehicle");

    public static final Part<Rules> RULES = rules(Part.of(Rules.class)).help("the limits the column is judged by");

    /** A rule set in a file of its own. */
    public static final Part<Rules> FILE = rules(
                    Part.of(Rules.class).constant("format", "mild-tilt-rules").constant("version", 1))
            .help("a rule set in a file of its own");

    private static Part.Builder<Rules> rules(Part.Builder<Rules> b) {
        return b.needs("name", "name", Text.NAME, "short name of the set")
                .usual("about", "about", Text.NOTE, "", "whom it is meant for")
                .needs("jointDeg", "joint_deg", new Size(STEER_ANGLE), "most angle of any single joint")
                .needs("ripplePct", "ripple_pct", new Size(PERCENT), "most ripple of the column")
                .needs(
                        "welding",
                        "welding",
                        new Choice<>(Rules.Welding.class),
                        "whether a steering shaft may be welded")
                .needs(
                        "collapse",
                        "collapse",
                        new Group<>((Form<Rules.Collapse>) COLLAPSE),
                        "what a blow from the front must find")
                .needs(
                        "engagementTimes",
                        "engagement_times",
                        new Size(ENGAGEMENT),
                        "least engagement in shaft diameters")
                .needs("overlap", "overlap_mm", new Size(STROKE), "least overlap of a sliding shaft")
                .needs("holds", "holds", new Choices<>(Socket.Retention.class), "what may keep a shaft end in a fork")
                .usual("locking", "locking", Text.NOTE, "", "how every fastener is to be locked")
                .needs("jointInCabin", "joint_in_cabin", new Flag(), "whether a joint may stand inside the cabin")
                .needs("heavyPull", "heavy_pull_n", new Size(FORCE), "at the rim, that nothing may fail under")
                .needs(
                        "strengthMargin",
                        "strength_margin",
                        new Size(RULE_MARGIN),
                        "least yield strength over stress under that pull")
                .needs("windUpDeg", "wind_up_deg", new Size(TURN), "most twist of all shafts under that pull")
                .needs("spanHz", "span_hz", new Size(RATE), "least frequency at which a span may shake")
                .needs("outOfLine", "out_of_line_mm", new Size(MOVEMENT), "most that a bearing may be out of line")
                .usual(
                        "kerbTimes",
                        "kerb_times",
                        new Size(KERB_TIMES),
                        USUAL_KERB,
                        "times its own load that a kerb pushes a wheel back with (1)")
                .usual("geometry", "geometry", new Group<>(GEOMETRY), U, "what is usual of the wheels' geometry")
                .usual("classes", "classes", new Many<>(new Group<>(CLASS), 0, 50), List.of(), "none for any vehicle")
                .usual(
                        "differ",
                        "differ",
                        new Many<>(new Text(1, 2000), 0, 50),
                        List.of(),
                        "where authorities differ, one sentence each");
    }
}
