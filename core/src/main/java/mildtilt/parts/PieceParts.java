package mildtilt.parts;

import static mildtilt.describe.Ranges.ANGLE;
import static mildtilt.describe.Ranges.BOLT_CIRCLE;
import static mildtilt.describe.Ranges.COORDINATE;
import static mildtilt.describe.Ranges.COPE_ANGLE;
import static mildtilt.describe.Ranges.CORNER;
import static mildtilt.describe.Ranges.INTO_ANOTHER;
import static mildtilt.describe.Ranges.RUN_OUT;
import static mildtilt.describe.Ranges.SETTING;
import static mildtilt.describe.Ranges.WALL;
import static mildtilt.parts.StockParts.BORED;
import static mildtilt.parts.StockParts.COUNT;
import static mildtilt.parts.StockParts.LENGTH;
import static mildtilt.parts.StockParts.METAL;
import static mildtilt.parts.StockParts.SECTION;
import static mildtilt.parts.StockParts.THREAD;
import static mildtilt.parts.StockParts.TUBE;

import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.describe.Form;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Flag;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Kind.Whole;
import mildtilt.describe.Part;
import mildtilt.id.Id;

/** What is made besides shafts and rods. */
public final class PieceParts {

    private PieceParts() {}

    private static <P extends Record & Piece> Part.Builder<P> piece(Class<P> type) {
        return Part.of(type)
                .needs("id", "id", Reference.to(Id.Kind.PIECE), "its own")
                .needs("name", "name", Text.NAME, "its own")
                .label("Name");
    }

    private static final Part<Piece.Meeting> MEETING = Part.of(Piece.Meeting.class)
            .usual("into", "into_mm", new Size(INTO_ANOTHER), 0.0, "diameter of what it meets; 0 for a flat")
            .label("meets Ø (0 flat)")
            .usual("angleDeg", "angle_deg", new Size(COPE_ANGLE), 90.0, "between the axes")
            .label("at")
            .usual("offset", "offset_mm", new Size(COORDINATE), 0.0, "of the axes")
            .label("off its middle")
            .usual("turnDeg", "turn_deg", new Size(ANGLE), 0.0, "of this end about the tube")
            .label("turned")
            .help("how an end meets what it stands on");

    public static final Part<Piece.Groove> GROOVE = Part.of(Piece.Groove.class)
            .needs("fromEnd", "from_end_mm", LENGTH, "from the shaft's end to the groove's middle")
            .label("Groove from the end")
            .needs("width", "width_mm", METAL, "of the groove")
            .label("Groove's width")
            .needs("depth", "depth_mm", METAL, "of the groove, from the outside")
            .label("Groove's depth")
            .help("a groove for a pinch bolt");

    public static final Part<Piece.TurnedEnd> TURNED_END = Part.of(Piece.TurnedEnd.class)
            .needs("length", "length_mm", LENGTH, "of its spline, flats, key or seat")
            .label("Spline, flats or seat")
            .usual(
                    "pinFromFlatDeg",
                    "pin_from_flat_deg",
                    new Size(ANGLE),
                    0.0,
                    "from a flat of the fork's bore to its pin")
            .label("Fork's flat to its pin")
            .may("groove", "groove", new Group<>(GROOVE), "for a pinch bolt")
            .help("an end of a turned shaft");

    public static final Part<Piece.PlateHole> PLATE_HOLE = Part.of(Piece.PlateHole.class)
            .needs("x", "x_mm", new Size(COORDINATE), "from the plate's left edge")
            .label("From the left edge")
            .needs("y", "y_mm", new Size(COORDINATE), "from the plate's lower edge")
            .label("From the lower edge")
            .needs("diameter", "diameter_mm", BORED, "of the hole")
            .label("Hole")
            .help("a hole in a plate");

    public static final Form<Piece> PIECE = Form.Kinds.<Piece>of("kind", "a piece made besides shafts and rods")
            .or(
                    "length",
                    piece(Piece.Length.class)
                            .needs("section", "section", new Group<>(SECTION), "what it is sawn from")
                            .usual("metal", "metal", new Choice<>(Metal.class), Metal.STEEL, "what it is made of")
                            .label("Metal")
                            .needs("length", "length_mm", LENGTH, "finished")
                            .label("Length")
                            .usual("left", "left", COUNT, 1, "how many for the left, or for the vehicle")
                            .label("Left")
                            .usual("right", "right", COUNT, 0, "how many for the right")
                            .label("Right")
                            .help("a length of bar or tube"))
            .or(
                    "arm_plate",
                    piece(Piece.ArmPlate.class)
                            .needs("of", "arm", new Choice<>(Piece.ArmOf.class), "whose length it has")
                            .label("Arm")
                            .needs("thickness", "thickness_mm", METAL, "of the plate")
                            .label("Plate")
                            .needs("rootHole", "root_hole_mm", METAL, "at the axis")
                            .label("Hole at its root")
                            .needs("endHole", "end_hole_mm", METAL, "at the joint")
                            .label("Hole at its end")
                            .needs("margin", "margin_mm", METAL, "of metal round the holes")
                            .label("Metal round them")
                            .help("an arm of plate"))
            .or(
                    "bearing_bracket",
                    piece(Piece.BearingBracket.class)
                            .needs("bearing", "bearing", Reference.to(Id.Kind.BEARING), "the bearing it carries")
                            .label("Bearing")
                            .needs("foot", "foot", Reference.to(Id.Kind.OBSTACLE), "what it stands on")
                            .label("Stands on")
                            .needs("thickness", "thickness_mm", METAL, "of the plate")
                            .label("Plate")
                            .needs("footWidth", "foot_width_mm", METAL, "of its foot")
                            .label("Foot's width")
                            .needs("hole", "hole_mm", METAL, "in its middle")
                            .label("Hole")
                            .usual("bolts", "bolts", new Whole(0, 12), 0, "round the hole")
                            .label("Bolts")
                            .usual("boltCircle", "bolt_circle_mm", new Size(BOLT_CIRCLE), 0.0, "diameter")
                            .label("Bolt circle")
                            .usual("boltHole", "bolt_hole_mm", new Size(BOLT_CIRCLE), 0.0, "diameter")
                            .label("Bolt holes")
                            .needs("margin", "margin_mm", METAL, "of metal round the holes")
                            .label("Metal round them")
                            .help("a bracket for a bearing"))
            .or(
                    "coped_tube",
                    piece(Piece.CopedTube.class)
                            .needs("section", "section", new Group<>(TUBE), "of the tube")
                            .usual("metal", "metal", new Choice<>(Metal.class), Metal.STEEL, "what it is made of")
                            .label("Metal")
                            .needs("length", "length_mm", LENGTH, "between the axes it meets")
                            .label("Axis to axis")
                            .needs("from", "from", new Group<>(MEETING), "its first end")
                            .needs("to", "to", new Group<>(MEETING), "its other end")
                            .usual("left", "left", COUNT, 1, "how many for the left, or for the vehicle")
                            .label("Left")
                            .usual("right", "right", COUNT, 0, "how many for the right")
                            .label("Right")
                            .help("a stay of tube with copes"))
            .or(
                    "centring_jig",
                    piece(Piece.CentringJig.class)
                            .needs("one", "one_mm", METAL, "first shaft")
                            .label("One shaft")
                            .needs("other", "other_mm", METAL, "second shaft")
                            .label("Other shaft")
                            .needs("length", "length_mm", LENGTH, "in all")
                            .label("Length")
                            .needs("wall", "wall_mm", new Size(WALL), "over the larger shaft")
                            .label("Wall")
                            .help("a jig to print"))
            .or(
                    "turned_shaft",
                    piece(Piece.TurnedShaft.class)
                            .needs("shaft", "shaft", Reference.to(Id.Kind.SHAFT), "the shaft of the column that it is")
                            .needs("wheelEnd", "wheel_end", new Group<>(TURNED_END), "its end toward the wheel")
                            .needs("gearEnd", "gear_end", new Group<>(TURNED_END), "its end toward the gear")
                            .usual(
                                    "fit",
                                    "fit",
                                    new Choice<>(Piece.TurnedFit.class),
                                    Piece.TurnedFit.H7,
                                    "tolerance of its diameters")
                            .usual("centres", "centres", new Flag(), true, "whether both ends are centre-drilled")
                            .usual("runOut", "run_out_mm", new Size(RUN_OUT), 0.1, "most of its seats between centres")
                            .label("Run-out, at most")
                            .help("a shaft of the column turned in one piece"))
            .or(
                    "bearing_housing",
                    piece(Piece.BearingHousing.class)
                            .needs("bearing", "bearing", Reference.to(Id.Kind.BEARING), "the bearing it holds")
                            .needs("bearingOutside", "bearing_outside_mm", BORED, "of its outer ring")
                            .label("Bearing's outside")
                            .needs("bearingWidth", "bearing_width_mm", BORED, "of its outer ring")
                            .label("Bearing's width")
                            .needs("section", "section", new Group<>(TUBE), "the tube it is made from")
                            .needs("length", "length_mm", LENGTH, "of the tube")
                            .label("Housing's length")
                            .needs("slit", "slit_mm", METAL, "width of the cut along it")
                            .label("Slit")
                            .needs("lugThickness", "lug_thickness_mm", METAL, "of each lug")
                            .label("Lugs' thickness")
                            .needs("lugHeight", "lug_height_mm", METAL, "of each lug beyond the tube")
                            .label("Lugs' height")
                            .usual("bolts", "bolts", new Whole(1, 6), 2, "along it")
                            .label("Bolts")
                            .needs("boltHole", "bolt_hole_mm", BORED, "in the lugs")
                            .label("Bolt holes")
                            .usual("left", "left", COUNT, 1, "how many for the left, or for the vehicle")
                            .label("Left")
                            .usual("right", "right", COUNT, 0, "how many for the right")
                            .label("Right")
                            .help("a clamping housing for a bearing, from tube"))
            .or(
                    "adapter_plate",
                    piece(Piece.AdapterPlate.class)
                            .needs("width", "width_mm", LENGTH, "of the plate")
                            .label("Width")
                            .needs("height", "height_mm", LENGTH, "of the plate")
                            .label("Height")
                            .needs("thickness", "thickness_mm", METAL, "of the plate")
                            .label("Plate")
                            .usual("corner", "corner_mm", new Size(CORNER), 0.0, "radius of its corners")
                            .label("Corners' radius")
                            .needs("holes", "holes", new Many<>(new Group<>(PLATE_HOLE), 0, 60), "in the plate")
                            .usual("left", "left", COUNT, 1, "how many for the left, or for the vehicle")
                            .label("Left")
                            .usual("right", "right", COUNT, 0, "how many for the right")
                            .label("Right")
                            .help("a plate with holes between two parts"))
            .or(
                    "steady_post",
                    piece(Piece.SteadyPost.class)
                            .needs("bearing", "bearing", Reference.to(Id.Kind.BEARING), "the bearing it carries")
                            .needs("foot", "foot", Reference.to(Id.Kind.OBSTACLE), "what its tab is fixed to")
                            .inline("thread", THREAD)
                            .needs(
                                    "mouth",
                                    "mouth_mm",
                                    LENGTH,
                                    "from the bearing's middle to its threaded hole's mouth")
                            .label("Bearing's middle to hole")
                            .needs("engaged", "engaged_mm", LENGTH, "how far the post is screwed in")
                            .label("Thread in the bearing")
                            .needs("tab", "tab_mm", METAL, "thickness of the tab")
                            .label("Tab's thickness")
                            .needs(
                                    "standOff",
                                    "stand_off_mm",
                                    LENGTH,
                                    "from what the tab is fixed to, to its upper face")
                            .label("Tab's upper face above it")
                            .needs("nut", "nut_mm", METAL, "height of a nut with its washer")
                            .label("Nut with washer")
                            .usual("adjust", "adjust_mm", new Size(SETTING), 5.0, "how far it is set up or down")
                            .label("Sets up and down by")
                            .help("a post with nuts above and below, for a bearing"));
}
