package mildtilt.parts;

import static mildtilt.describe.Ranges.ARM_SWEEP;
import static mildtilt.describe.Ranges.BUSH_FRICTION;
import static mildtilt.describe.Ranges.CRANK;
import static mildtilt.describe.Ranges.GEAR_RATIO;
import static mildtilt.describe.Ranges.GEAR_TRAVEL;
import static mildtilt.describe.Ranges.LINK_FRACTION;
import static mildtilt.describe.Ranges.PER_TURN;
import static mildtilt.describe.Ranges.RACK_SPACING;
import static mildtilt.describe.Ranges.ROD_DIAMETER;
import static mildtilt.describe.Ranges.ROD_FRACTION;
import static mildtilt.describe.Ranges.ROD_GIVES;
import static mildtilt.describe.Ranges.STEER_ANGLE;
import static mildtilt.describe.Ranges.WALL;
import static mildtilt.describe.Ranges.WHEEL_HEIGHT;
import static mildtilt.describe.Ranges.YIELD_STRENGTH;

import java.util.List;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Heading;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Place;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Part;
import mildtilt.gear.ColumnArm;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.gear.SteeringBox;
import mildtilt.gear.WormAndRoller;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.ArmTieRods;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.Linkage;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.RelayArm;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.ShuttleBar;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.SwingArm;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.BeamPart;
import mildtilt.linkage.beam.Leaf;
import mildtilt.linkage.beam.LeafSprung;
import mildtilt.linkage.beam.Link;
import mildtilt.linkage.beam.Linked;
import mildtilt.linkage.beam.RadiusArms;
import mildtilt.linkage.beam.Sideways;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.linkage.beam.WattLinkage;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.SplitLinks.Upper;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SuspensionLink;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;

/** Gear, linkage, beam and corners. */
public final class AxleParts {

    private static final Direction TO_THE_LEFT = new Direction(0, 1, 0);
    private static final Kind<Point> ANYWHERE = Place.ANYWHERE;

    private AxleParts() {}

    /** A point on an axis, and a direction along it. */
    static Part<Axis> axis(String point, String pointHelp, String direction, String directionHelp, String label) {
        return Part.of(Axis.class)
                .needs("origin", point, ANYWHERE, pointHelp)
                .needs("direction", direction, new Heading(), directionHelp)
                .label(label)
                .help("an axis");
    }

    private static final Part<Axis> ARM_AXIS = axis(
            "axis_point_mm",
            "a point on the arm's shaft",
            "axis",
            "along that shaft; a column arm's points up the shaft, toward the driver",
            "Shaft");

    public static final Part<RackAndPinion> RACK = Part.of(RackAndPinion.class)
            .needs("centre", "centre_mm", ANYWHERE, "midway between the inner tie-rod pivots, straight ahead")
            .usual(
                    "axis",
                    "axis",
                    new Heading(),
                    TO_THE_LEFT,
                    "along the rack, toward the left; 0, 1, 0 unless the rack is askew")
            .needs("pivotSpacing", "pivot_spacing_mm", new Size(RACK_SPACING), "between the inner tie-rod pivots")
            .label("Inner pivot spacing")
            .needs(
                    "travelPerLeftTurn",
                    "travel_per_left_turn_mm",
                    new Size(PER_TURN),
                    "along the axis for one turn of the pinion to the left; above 0: the rack moves to the left, "
                            + "below 0: to the right, as a rack behind the axle must")
            .label("Travel per left turn")
            .needs(
                    "travelEachWay",
                    "travel_each_way_mm",
                    new Size(GEAR_TRAVEL),
                    "from straight ahead to the end of the rack")
            .label("Travel each way")
            .help("a rack and pinion");

    public static final Part<SteeringBox> BOX = Part.of(SteeringBox.class)
            .inline("axis", ARM_AXIS)
            .needs("armEnd", "arm_end_mm", ANYWHERE, "centre of the joint at the arm's end, straight ahead")
            .needs(
                    "sweepEachWayDeg",
                    "sweep_each_way_deg",
                    new Size(ARM_SWEEP),
                    "swing of the arm from straight ahead to its end")
            .label("Swing each way")
            .needs(
                    "ratio",
                    "ratio",
                    new Size(GEAR_RATIO),
                    "turns of the input for one of the sector shaft; above 0: a left turn of the input swings the "
                            + "arm right-handed about the axis, below 0 the other way")
            .label("Ratio of the box")
            .help("a steering box with a pitman arm");

    public static final Part<WormAndRoller> WORM_AND_ROLLER = Part.of(WormAndRoller.class)
            .inline("axis", ARM_AXIS)
            .needs("armEnd", "arm_end_mm", ANYWHERE, "centre of the joint at the arm's end, straight ahead")
            .needs(
                    "sweepEachWayDeg",
                    "sweep_each_way_deg",
                    new Size(ARM_SWEEP),
                    "swing of the arm from straight ahead to its end")
            .label("Swing each way")
            .needs(
                    "ratio",
                    "ratio",
                    new Size(GEAR_RATIO),
                    "straight ahead, turns of the input for one of the sector shaft; above 0: a left turn of the "
                            + "input swings the arm right-handed about the axis, below 0 the other way")
            .label("Ratio, straight ahead")
            .needs(
                    "ratioTurned",
                    "ratio_turned",
                    new Size(GEAR_RATIO),
                    "the same with the arm swung as far as said; beyond, it stays so")
            .label("Ratio, arm swung")
            .needs(
                    "turnedDeg",
                    "turned_deg",
                    new Size(ARM_SWEEP),
                    "swing of the arm at which the other ratio was taken")
            .label("Swing at that ratio")
            .help("a steering box whose ratio changes with the swing of its arm, such as a worm and roller");

    public static final Part<ColumnArm> COLUMN_ARM = Part.of(ColumnArm.class)
            .inline("axis", ARM_AXIS)
            .needs("armEnd", "arm_end_mm", ANYWHERE, "centre of the joint at the arm's end, straight ahead")
            .needs(
                    "sweepEachWayDeg",
                    "sweep_each_way_deg",
                    new Size(ARM_SWEEP),
                    "swing of the arm from straight ahead to its end")
            .label("Swing each way")
            .help("an arm on the column itself");

    public static final Form<Gear> GEAR = Form.Kinds.<Gear>of("kind", "what the column's last shaft turns")
            .or("rack_and_pinion", RACK)
            .or("steering_box", BOX)
            .or("worm_and_roller", WORM_AND_ROLLER)
            .or("column_arm", COLUMN_ARM);

    public static final Part<RodTube> ROD_TUBE = Part.of(RodTube.class)
            .needs("outside", "outside_mm", new Size(ROD_DIAMETER), "outside diameter")
            .label("Tube outside")
            .needs("wall", "wall_mm", new Size(WALL), "wall thickness; half the diameter for a solid bar")
            .label("Tube wall")
            .usual(
                    "crank",
                    "crank_mm",
                    new Size(CRANK),
                    0.0,
                    "how far the rod's middle stands off the straight line between its ends; 0 for a straight rod")
            .label("Crank off its line")
            .usual(
                    "yield",
                    "yield_mpa",
                    new Size(YIELD_STRENGTH),
                    RodTube.USUAL_YIELD,
                    "yield strength of the material")
            .label("Yield of the tube, MPa")
            .help("what the rod is made of, steel taken");

    public static final Part<RodEnds> ROD_ENDS = Part.of(RodEnds.class)
            .may(
                    "outerBolt",
                    "outer_bolt",
                    new Heading(),
                    "bolt or stud in what the rod drives (the steering arm), straight ahead")
            .label("Outer stud")
            .may("innerBolt", "inner_bolt", new Heading(), "bolt or stud in what drives the rod (the gear)")
            .label("Inner stud")
            .may("allowedDeg", "allowed_deg", new Size(STEER_ANGLE), "largest tilt from square to the bolt")
            .label("Tilt its ends allow")
            .may(
                    "tube",
                    "tube",
                    new Group<>(ROD_TUBE),
                    "what the rod is made of; without it no buckling can be worked out")
            .may(
                    "play",
                    "play_mm",
                    new Size(ROD_GIVES),
                    "how far the rod gives along its length before it is solid, in all: a slot, or ends on springs")
            .label("Gives along its length")
            .help("the ends of a rod");

    private static final Part<SwingArm> IDLER = Part.of(SwingArm.class)
            .inline("axis", axis("axis_point_mm", "a point on the idler's axis", "axis", "along that axis", ""))
            .needs("end", "end_mm", ANYWHERE, "centre of the joint at the idler's end")
            .help("an idler arm");

    private static final Form<Attachment> ATTACHMENT = Form.Either.<Attachment>of(
                    "A drag link needs either \"knuckle_side\" with \"knuckle_point_mm\", or \"tie_rod_fraction\", and not "
                            + "both.",
                    "where a drag link ends")
            .or(
                    "knuckle_side",
                    Part.of(Attachment.OnKnuckle.class)
                            .needs("side", "knuckle_side", new Choice<>(Side.class), "the knuckle it turns")
                            .needs("point", "knuckle_point_mm", ANYWHERE, "where it meets that knuckle")
                            .help("on a knuckle"))
            .or(
                    "tie_rod_fraction",
                    Part.of(Attachment.OnTieRod.class)
                            .needs(
                                    "fraction",
                                    "tie_rod_fraction",
                                    new Size(ROD_FRACTION),
                                    "where it meets the tie rod, from its left end")
                            .label("Along the tie rod")
                            .help("on the tie rod"));

    public static final Part<ArmTieRods> ARM_TIE_RODS = Part.of(ArmTieRods.class)
            .needs("leftPoint", "left_tie_rod_point_mm", ANYWHERE, "where the left tie rod meets the gear's arm")
            .may("ownRightPoint", "right_tie_rod_point_mm", ANYWHERE, "leave out if it is the mirror image")
            .help("both tie rods on the gear's arm");

    public static final Part<CentreLink> CENTRE_LINK = Part.of(CentreLink.class)
            .needs(
                    "leftFraction",
                    "left_fraction",
                    new Size(LINK_FRACTION),
                    "left tie rod's inner end, along the line between the arm ends, from the left arm: 0 at the "
                            + "arm's end, 0.5 in the middle")
            .label("Left tie rod, part of the link")
            .usualOf(
                    "rightFraction",
                    "right_fraction",
                    new Size(LINK_FRACTION),
                    f -> f.get("leftFraction"),
                    "the same for the right, from the right arm; as the left if left out")
            .label("Right tie rod, part of the link")
            .may("ownIdler", "idler", new Group<>(IDLER), "leave out if it is the mirror image of the pitman arm")
            .help("a centre link between pitman arm and idler arm");

    public static final Part<RelayArm> RELAY_ARM = Part.of(RelayArm.class)
            .inline(
                    "pivot",
                    axis("pivot_point_mm", "a point on the pivot", "pivot_axis", "along the pivot, upward", "Pivot"))
            .needs("linkPoint", "link_point_mm", ANYWHERE, "where the link from the gear's arm meets it")
            .needs("dragLinkPoint", "drag_link_point_mm", ANYWHERE, "where the drag link begins on it")
            .usual("linkEnds", "link_ends", new Group<>(ROD_ENDS), RodEnds.UNKNOWN, "of the link from the gear's arm")
            .help("a relay arm between gear and drag link");

    public static final Part<DragLink> DRAG_LINK = Part.of(DragLink.class)
            .inline("attachment", ATTACHMENT)
            .usual("ends", "ends", new Group<>(ROD_ENDS), RodEnds.UNKNOWN, "of the drag link")
            .may(
                    "relayArm",
                    "relay_arm",
                    new Group<>(RELAY_ARM),
                    "between gear and drag link; leave out where the drag link begins at the gear's arm")
            .help("a drag link, and one tie rod from knuckle to knuckle");

    public static final Part<BellCrank> BELL_CRANK = Part.of(BellCrank.class)
            .inline(
                    "pivot",
                    axis("pivot_point_mm", "a point on the pivot", "pivot_axis", "along the pivot, upward", "Pivot"))
            .needs("dragRodPoint", "drag_rod_point_mm", ANYWHERE, "where the drag rod meets the crank")
            .needs("leftTieRodPoint", "left_tie_rod_point_mm", ANYWHERE, "where the left tie rod meets it")
            .may("ownRightTieRodPoint", "right_tie_rod_point_mm", ANYWHERE, "leave out if it is the mirror image")
            .usual("dragRodEnds", "drag_rod_ends", new Group<>(ROD_ENDS), RodEnds.UNKNOWN, "of the drag rod")
            .help("a bell crank with both tie rods");

    public static final Part<ShuttleBar> SHUTTLE_BAR = Part.of(ShuttleBar.class)
            .needs("middle", "middle_mm", ANYWHERE, "middle of the bushes, on the bar's line, straight ahead")
            .needs(
                    "span",
                    "bush_span_mm",
                    new Size(GEAR_TRAVEL),
                    "between the middles of two bushes, or the length of one long one")
            .label("Bushes apart")
            .usual(
                    "friction",
                    "friction",
                    new Size(BUSH_FRICTION),
                    ShuttleBar.USUAL_FRICTION,
                    "of bush on bar: 0.1 plastic, 0.15 greased bronze, 0.25 dry")
            .label("Friction of the bushes")
            .help("how a shuttle sits on its bar");

    public static final Part<Shuttle> SHUTTLE = Part.of(Shuttle.class)
            .usual("slide", "slide", new Heading(), TO_THE_LEFT, "along the bar, toward the left")
            .label("Bar")
            .needs("linkPoint", "link_point_mm", ANYWHERE, "where the short link meets the shuttle")
            .needs("leftInner", "left_inner_mm", ANYWHERE, "where the left tie rod meets it")
            .may("ownRightInner", "right_inner_mm", ANYWHERE, "leave out if it is the mirror image")
            .may(
                    "travelEachWay",
                    "travel_each_way_mm",
                    new Size(GEAR_TRAVEL),
                    "from straight ahead to the bar's mounts")
            .label("Travel each way")
            .usual("linkEnds", "link_ends", new Group<>(ROD_ENDS), RodEnds.UNKNOWN, "of the short link")
            .may("bar", "bar", new Group<>(SHUTTLE_BAR), "its bushes; without it no friction and no jamming is judged")
            .help("a shuttle on a bar, pushed by a short link");

    public static final Form<Linkage> LINKAGE = Form.Kinds.<Linkage>of(
                    "kind", "what carries the gear's movement to the steering arms")
            .or("rack_tie_rods", Part.of(RackTieRods.class).help("tie rods on the rack"))
            .or("arm_tie_rods", ARM_TIE_RODS)
            .or("centre_link", CENTRE_LINK)
            .or("drag_link", DRAG_LINK)
            .or("bell_crank", BELL_CRANK)
            .or("shuttle", SHUTTLE);

    private static final Part<TrackBar> TRACK_BAR = Part.of(TrackBar.class)
            .needs("bodyEnd", "body_end_mm", ANYWHERE, "on the frame")
            .needs("axleEnd", "axle_end_mm", ANYWHERE, "on the axle")
            .help("a track bar");

    private static final Part<WattLinkage.Rod> WATT_ROD = Part.of(WattLinkage.Rod.class)
            .needs("outer", "outer_end_mm", ANYWHERE, "away from the crank")
            .needs("crank", "crank_end_mm", ANYWHERE, "on the crank")
            .help("a rod of a Watt linkage");

    private static final Part<WattLinkage> WATT = Part.of(WattLinkage.class)
            .inline(
                    "pin",
                    axis(
                            "pin_point_mm",
                            "a point on the pin the crank turns on",
                            "pin_axis",
                            "along the pin: fore and aft where the crank stands up, upright where it lies flat",
                            "Crank pin"))
            .needs("left", "left_rod", new Group<>(WATT_ROD), "the rod that goes out to the left")
            .needs("right", "right_rod", new Group<>(WATT_ROD), "the rod that goes out to the right")
            .omits(
                    "pinOnFrame",
                    "pin_on_frame",
                    new Flag(),
                    false,
                    "true where the crank is on the frame and the rods go to the axle")
            .help("a Watt linkage");

    /** Neither where the springs alone, or spread links, hold it sideways. */
    private static final Form<Sideways> SIDEWAYS = Form.Either.<Sideways>of(
                    "an axle is held sideways by a \"track_bar\" or by a \"watt_linkage\", not by both",
                    "what holds the axle sideways; neither where springs or spread links do")
            .under("track_bar", TRACK_BAR)
            .under("watt_linkage", WATT)
            .otherwise(Part.of(Sideways.Unaided.class).help("nothing of its own"));

    private static final Part<Link> AXLE_LINK = Part.of(Link.class)
            .needs("bodyEnd", "body_end_mm", ANYWHERE, "on the frame")
            .needs("axleEnd", "axle_end_mm", ANYWHERE, "on the axle")
            .help("a link or arm of the axle");

    private static final Part<Leaf> LEAF = Part.of(Leaf.class)
            .needs("eye", "eye_mm", ANYWHERE, "the eye that is fixed to the frame, ahead of the axle or behind it")
            .needs("seat", "seat_mm", ANYWHERE, "where the axle is clamped to it")
            .needs("shackle", "shackle_mm", ANYWHERE, "the eye that hangs in the shackle")
            .help("a leaf spring");

    public static final Form<Beam> BEAM = Form.Kinds.<Beam>of("kind", "the axle beam that carries both kingpins")
            .or(
                    "sprung",
                    Part.of(Beam.Sprung.class).inline("sideways", SIDEWAYS).help("on springs"))
            .or(
                    "centre_pin",
                    Part.of(Beam.CentrePin.class)
                            .inline(
                                    "pin",
                                    axis(
                                            "pin_point_mm",
                                            "a point on the pin",
                                            "pin_axis",
                                            "along the pin, fore and aft",
                                            "Pin"))
                            .help("rolls about a pin"))
            .or(
                    "leaf_springs",
                    Part.of(LeafSprung.class)
                            .needs("left", "spring", new Group<>(LEAF), "the left spring")
                            .may(
                                    "ownRight",
                                    "right_spring",
                                    new Group<>(LEAF),
                                    "leave out if it is the mirror image of the left")
                            .inline("sideways", SIDEWAYS)
                            .help("on leaf springs, which also hold it"))
            .or(
                    "radius_arms",
                    Part.of(RadiusArms.class)
                            .needs("left", "arm", new Group<>(AXLE_LINK), "the left arm")
                            .may(
                                    "ownRight",
                                    "right_arm",
                                    new Group<>(AXLE_LINK),
                                    "leave out if it is the mirror image of the left")
                            .inline("sideways", SIDEWAYS)
                            .help("on two radius arms fixed to it"))
            .or(
                    "links",
                    Part.of(Linked.class)
                            .needs(
                                    "links",
                                    "links",
                                    new Kind.Many<>(new Group<>(AXLE_LINK), Linked.LEAST, Linked.MOST),
                                    "three, with a track bar, or four")
                            .inline("sideways", SIDEWAYS)
                            .help("on three or four links"));

    private static final Part<SuspensionLink> LINK = Part.of(SuspensionLink.class)
            .needs("inner", "inner_mm", ANYWHERE, "its joint on the frame")
            .needs("outer", "outer_mm", ANYWHERE, "its joint at the knuckle")
            .help("a link between frame and knuckle");

    private static final Form<Upper> UPPER = Form.Kinds.<Upper>of("kind", "what holds the knuckle's upper end")
            .or(
                    "two_links",
                    Part.of(Upper.TwoLinks.class)
                            .needs("front", "front", new Group<>(LINK), "upper front link")
                            .needs("rear", "rear", new Group<>(LINK), "upper rear link")
                            .help("two links; an arm where they end in one joint"))
            .or(
                    "strut",
                    Part.of(Upper.StrutTop.class)
                            .needs("topMount", "top_mount_mm", ANYWHERE, "top mount, fixed to the body")
                            .needs(
                                    "axisLowerPoint",
                                    "strut_lower_point_mm",
                                    ANYWHERE,
                                    "second point on the strut's axis, fixed to the knuckle")
                            .help("a strut"));

    private static final Part<Kingpin> KINGPIN = Part.of(Kingpin.class)
            .needs("lower", "lower_point_mm", ANYWHERE, "a point on the kingpin's axis")
            .needs("upper", "upper_point_mm", ANYWHERE, "a point on it further up")
            .help("a kingpin");

    private static final Form<Suspension> SUSPENSION = Form.Kinds.<Suspension>of("kind", "what holds the knuckle")
            .or(
                    "double_wishbone",
                    Part.of(DoubleWishbone.class)
                            .needs("lowerInnerFront", "lower_inner_front_mm", ANYWHERE, "lower arm, front pivot")
                            .needs("lowerInnerRear", "lower_inner_rear_mm", ANYWHERE, "lower arm, rear pivot")
                            .needs("lowerBallJoint", "lower_ball_joint_mm", ANYWHERE, "lower ball joint")
                            .needs("upperInnerFront", "upper_inner_front_mm", ANYWHERE, "upper arm, front pivot")
                            .needs("upperInnerRear", "upper_inner_rear_mm", ANYWHERE, "upper arm, rear pivot")
                            .needs("upperBallJoint", "upper_ball_joint_mm", ANYWHERE, "upper ball joint")
                            .help("two arms"))
            .or(
                    "strut",
                    Part.of(Strut.class)
                            .needs("lowerInnerFront", "lower_inner_front_mm", ANYWHERE, "lower arm, front pivot")
                            .needs("lowerInnerRear", "lower_inner_rear_mm", ANYWHERE, "lower arm, rear pivot")
                            .needs("lowerBallJoint", "lower_ball_joint_mm", ANYWHERE, "lower ball joint")
                            .needs("topMount", "top_mount_mm", ANYWHERE, "top mount, fixed to the body")
                            .needs(
                                    "axisLowerPoint",
                                    "strut_lower_point_mm",
                                    ANYWHERE,
                                    "second point on the strut's axis, fixed to the knuckle")
                            .help("a strut"))
            .or(
                    "split_links",
                    Part.of(SplitLinks.class)
                            .needs("lowerFront", "lower_front", new Group<>(LINK), "lower front link")
                            .needs("lowerRear", "lower_rear", new Group<>(LINK), "lower rear link")
                            .needs("upper", "upper", new Group<>(UPPER), "what holds the knuckle's upper end")
                            .help("separate links"))
            .or(
                    "trailing_arms",
                    Part.of(TrailingArms.class)
                            .usual(
                                    "pivotAxis",
                                    "pivot_axis",
                                    new Heading(),
                                    TO_THE_LEFT,
                                    "along both arms' pivots, toward the left")
                            .needs("lowerPivot", "lower_pivot_mm", ANYWHERE, "a point on the lower arm's pivot")
                            .needs("lowerEnd", "lower_end_mm", ANYWHERE, "the lower arm's ball joint or link pin")
                            .needs("upperPivot", "upper_pivot_mm", ANYWHERE, "a point on the upper arm's pivot")
                            .needs("upperEnd", "upper_end_mm", ANYWHERE, "the upper arm's ball joint or link pin")
                            .may(
                                    "kingpin",
                                    "kingpin",
                                    new Group<>(KINGPIN),
                                    "of the carrier that link pins hold; leave out with ball joints")
                            .help("two trailing arms"))
            .or(
                    "swing_beam",
                    Part.of(SwingBeam.class)
                            .needs("pivot", "pivot_mm", ANYWHERE, "the beam's pivot on the frame")
                            .needs("armEnd", "radius_arm_mm", ANYWHERE, "the radius arm's joint on the frame")
                            .needs("lower", "lower_point_mm", ANYWHERE, "a point on the kingpin's axis")
                            .needs("upper", "upper_point_mm", ANYWHERE, "a point on it further up")
                            .help("a long beam of its own"))
            .or("kingpin", KINGPIN);

    private static final Part<Knuckle> KNUCKLE = Part.of(Knuckle.class)
            .needs(
                    "wheelCentre",
                    "wheel_centre_mm",
                    new Place(WHEEL_HEIGHT),
                    "centre of the wheel; its height is the tyre's loaded radius")
            .needs(
                    "spinAxisPoint",
                    "spin_axis_point_mm",
                    ANYWHERE,
                    "second point on the spin axis, outboard; carries static toe and camber")
            .needs("tieRodPoint", "tie_rod_point_mm", ANYWHERE, "where the tie rod meets the steering arm")
            .help("a knuckle");

    public static final Part<WheelLimits> LIMITS = Part.of(WheelLimits.class)
            .may(
                    "stopInner",
                    "stop_inner_deg",
                    new Size(STEER_ANGLE),
                    "knuckle's own lock stop, this wheel on the inside of the turn")
            .label("Lock stop, wheel inside")
            .may("stopOuter", "stop_outer_deg", new Size(STEER_ANGLE), "the same on the outside")
            .label("Lock stop, wheel outside")
            .may(
                    "tyreInner",
                    "tyre_inner_deg",
                    new Size(STEER_ANGLE),
                    "where the tyre touches, this wheel on the inside, found by turning it by hand")
            .label("Tyre touches, wheel inside")
            .may("tyreOuter", "tyre_outer_deg", new Size(STEER_ANGLE), "the same on the outside")
            .label("Tyre touches, wheel outside")
            .help("what ends this wheel's turn besides the linkage");

    public static final Part<JointTilt> JOINT_TILT = Part.of(JointTilt.class)
            .needs("at", "at", new Choice<>(CornerPoint.class), "the joint: one of the corner's points")
            .needs("allowedDeg", "allowed_deg", new Size(STEER_ANGLE), "largest tilt")
            .needs(
                    "axis",
                    "axis",
                    new Heading(),
                    "along a ball joint's stud, a link's bolt or a top mount, straight ahead at ride height")
            .label("Stud or bolt")
            .may(
                    "housing",
                    "housing",
                    new Heading(),
                    "axis of a ball joint's housing in its arm; leave out where stud and housing line up at ride "
                            + "height")
            .label("Housing")
            .help("how far a joint of the suspension may tilt");

    private static final Part<Corner> CORNER = Part.of(Corner.class)
            .needs("suspension", "suspension", new Group<>(SUSPENSION), "what holds the knuckle")
            .needs("knuckle", "knuckle", new Group<>(KNUCKLE), "what the wheel turns on")
            .usual("rodEnds", "rod_ends", new Group<>(ROD_ENDS), RodEnds.UNKNOWN, "of the tie rod that ends here")
            .omits(
                    "limits",
                    "limits",
                    new Group<>(LIMITS),
                    WheelLimits.NONE,
                    "what ends this wheel's turn besides the linkage")
            .omits(
                    "joints",
                    "joints",
                    new Many<>(new Group<>(JOINT_TILT), 0, CornerPoint.values().length),
                    List.of(),
                    "of its suspension, whose allowed tilt is known; the others' is not looked at")
            .help("one side");

    public static final Part<BarTilt> BAR_TILT = Part.of(BarTilt.class)
            .needs("part", "part", new Choice<>(BeamPart.class), "the bar")
            .needs("onAxle", "on_axle", new Flag(), "whether it is the end on the axle; else that on the frame")
            .needs("bolt", "bolt", new Heading(), "along its bolt, straight ahead at ride height")
            .label("Bolt")
            .needs("allowedDeg", "allowed_deg", new Size(STEER_ANGLE), "largest tilt from square to the bolt")
            .help("how far an end of a bar between frame and axle may tilt");

    public static final Part<SteeredAxle> AXLE = Part.of(SteeredAxle.class)
            .needs("gear", "gear", new Group<>(GEAR), "what the column's last shaft turns")
            .usual(
                    "linkage",
                    "linkage",
                    new Group<>(LINKAGE),
                    new RackTieRods(),
                    "what carries the gear's movement to the steering arms; rack and tie rods if left out")
            .may(
                    "statedGearOn",
                    "gear_on",
                    new Choice<>(MountedOn.class),
                    "what the gear's housing is bolted to; the frame if left out, and the column follows the axle if it "
                            + "is the axle")
            .label("Gear bolted to")
            .may(
                    "statedRelayOn",
                    "relay_on",
                    new Choice<>(MountedOn.class),
                    "what the pivot of a bell crank or the bar of a shuttle is bolted to; the same as the gear if left out")
            .label("Pivot or bar bolted to")
            .may(
                    "beam",
                    "beam",
                    new Group<>(BEAM),
                    "leave out for wheels on arms of their own, and for kingpins fixed to the frame")
            .needs("left", "left", new Group<>(CORNER), "the left corner")
            .may("ownRight", "right", new Group<>(CORNER), "leave out if it is the mirror image of the left")
            .omits(
                    "barTilts",
                    "bar_ends",
                    new Many<>(new Group<>(BAR_TILT), 0, 12),
                    List.of(),
                    "of track bar, links and radius arms, whose allowed tilt is known; the others' is not looked at")
            .help("gear, linkage and corners; leave out if not measured yet");
}
