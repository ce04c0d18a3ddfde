package mildtilt.parts;

import static mildtilt.describe.Ranges.COORDINATE;
import static mildtilt.describe.Ranges.FOCAL;
import static mildtilt.describe.Ranges.LEAN;
import static mildtilt.describe.Ranges.PIXELS;
import static mildtilt.describe.Ranges.PLAN_ANGLE_READ;
import static mildtilt.describe.Ranges.SLOPE_READ;
import static mildtilt.describe.Ranges.SMALL_ANGLE;
import static mildtilt.describe.Ranges.TOLERANCE;

import java.util.List;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Place;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Row;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Kind.Whole;
import mildtilt.describe.Part;
import mildtilt.id.Id;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.SeenRectangle.Standing;
import mildtilt.photograph.TargetSheet;
import mildtilt.survey.PlacedSheet;
import mildtilt.survey.Reading;
import mildtilt.survey.StatedUncertainty;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;

/** What was measured on the vehicle. */
public final class SurveyParts {

    private static final Kind<Double> SPREAD = new Size(TOLERANCE);
    private static final String SPREAD_HELP = "± mm, or degrees for angles: one standard deviation";
    private static final Kind<Double> LENGTH = new Size(COORDINATE);
    private static final Kind<Double> PIXEL = new Size(PIXELS);
    private static final Kind<Id> POINT = Reference.ANY;

    private SurveyParts() {}

    /** One thing measured of a point; the window shows what has a label. */
    public static final Form<Reading> READING = Form.Kinds.<Reading>of("kind", "one thing measured of a point")
            .or(
                    "plumb",
                    Part.of(Reading.Plumb.class)
                            .needs("x", "x_mm", LENGTH, "on the floor grid, forward")
                            .label("x, forward")
                            .needs("y", "y_mm", LENGTH, "on the floor grid, left")
                            .label("y, left")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("plumb bob to the floor grid"))
            .or(
                    "height",
                    Part.of(Reading.Height.class)
                            .needs("z", "z_mm", LENGTH, "above the floor")
                            .label("Height")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("height above the floor"))
            .or(
                    "tape",
                    Part.of(Reading.Tape.class)
                            .needs("from", "begins_at", POINT, "the other point")
                            .label("From")
                            .needs("length", "length_mm", LENGTH, "between them")
                            .label("Length")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("tape from another point"))
            .or(
                    "along",
                    Part.of(Reading.Along.class)
                            .needs("from", "begins_at", POINT, "where the line begins")
                            .label("From")
                            .needs("toward", "toward", POINT, "the point it runs toward")
                            .label("Toward")
                            .needs("length", "length_mm", LENGTH, "along it")
                            .label("Along")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("so far along a line"))
            .or(
                    "slope",
                    Part.of(Reading.Slope.class)
                            .needs("from", "begins_at", POINT, "the other point")
                            .label("From")
                            .needs("downDeg", "down_deg", new Size(SLOPE_READ), "below level going from there")
                            .label("Below level")
                            .needs(
                                    "leftDeg",
                                    "left_deg",
                                    new Size(PLAN_ANGLE_READ),
                                    "to the left of straight forward in plan")
                            .label("To the left")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("angle finder and plan angle from another point"))
            .or(
                    "phone_slope",
                    Part.of(Reading.PhoneSlope.class)
                            .needs("from", "begins_at", POINT, "the other point")
                            .label("From")
                            .needs(
                                    "firstDeg",
                                    "first_deg",
                                    new Size(LEAN),
                                    "below level going from there, as the phone shows it")
                            .label("Phone shows")
                            .needs(
                                    "turnedDeg",
                                    "turned_deg",
                                    new Size(LEAN),
                                    "as it shows it when turned end for end, which is about the same with the other "
                                            + "sign")
                            .label("Turned round")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("slope of a shaft by a phone that lies on it"))
            .or(
                    "photograph",
                    Part.of(Reading.Sighted.class)
                            .needs("photograph", "photograph", Reference.to(Id.Kind.PHOTO), "the photograph")
                            .label("In")
                            .needs("across", "across_px", PIXEL, "from its left edge, as the camera stored it")
                            .label("Across")
                            .needs("down", "down_px", PIXEL, "from its top edge")
                            .label("Down")
                            .needs("spread", "spread", SPREAD, "± px, one standard deviation")
                            .label("±")
                            .help("where it is seen in a photograph"))
            .or(
                    "above_sheet",
                    Part.of(Reading.AboveSheet.class)
                            .needs("height", "height_mm", LENGTH, "out of the paper; 0 for what lies in its plane")
                            .label("Above the sheet")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("how far it lies above the plane of the printed sheet"))
            .or(
                    "in_plane",
                    Part.of(Reading.InPlane.class)
                            .needs("photograph", "photograph", Reference.to(Id.Kind.PHOTO), "whose rectangle it is")
                            .label("In")
                            .needs("height", "height_mm", LENGTH, "before that plane, toward who looks at it; 0 in it")
                            .label("Before the plane")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("in the plane of the rectangle in a photograph"))
            .or(
                    "on_line",
                    Part.of(Reading.OnLine.class)
                            .needs("one", "begins_at", POINT, "one point of the line")
                            .label("One")
                            .needs("other", "ends_at", POINT, "another")
                            .label("Other")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("on the straight line through two"))
            .or(
                    "centre",
                    Part.of(Reading.Centre.class)
                            .needs("one", "first", POINT, "a point of the circle")
                            .label("One")
                            .needs("other", "second", POINT, "another")
                            .label("Other")
                            .needs("third", "third", POINT, "a third")
                            .label("Third")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("middle of the circle through three"))
            .or(
                    "middle",
                    Part.of(Reading.Middle.class)
                            .needs("one", "begins_at", POINT, "one point")
                            .label("One")
                            .needs("other", "ends_at", POINT, "the other")
                            .label("Other")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("midway between two"))
            .or(
                    "mirror",
                    Part.of(Reading.MirrorOf.class)
                            .needs("of", "begins_at", POINT, "the point on the other side")
                            .label("Of")
                            .needs("spread", "spread", SPREAD, SPREAD_HELP)
                            .label("±")
                            .help("mirror of the other side"));

    private static final Part<SurveyPoint> SURVEY_POINT = Part.of(SurveyPoint.class)
            .needs(
                    "id",
                    "id",
                    POINT,
                    "of the job's point, such as hub, joint-1.centre or left.lower_ball_joint, or of a mark: "
                            + "mark-1")
            .needs("name", "name", Text.NAME, "a mark's own; of a job's point what it was called when it was measured")
            .needs("readings", "readings", new Many<>(new Group<>(READING), 0, 50), "what was measured of it")
            .help("a point that was measured");

    public static final Part<StatedUncertainty> STATED = Part.of(StatedUncertainty.class)
            .usual(
                    "point",
                    "point_mm",
                    SPREAD,
                    StatedUncertainty.USUAL.point(),
                    "each coordinate of a point that was not surveyed")
            .usual("clockingDeg", "clocking_deg", SPREAD, StatedUncertainty.USUAL.clockingDeg(), "a fork on its shaft")
            .usual(
                    "again",
                    "again_mm",
                    SPREAD,
                    StatedUncertainty.USUAL.again(),
                    "what a point would be known to if measured once more with care")
            .help("how well the rest of the plan is known, one standard deviation each");

    private static final Part<MarkSeen> MARK = Part.of(MarkSeen.class)
            .needs("mark", "mark", new Whole(1, TargetSheet.ON_SHEET), "the number that is printed on it")
            .needs("across", "across_px", PIXEL, "its dot's middle from the photograph's left edge")
            .needs("down", "down_px", PIXEL, "from the top edge")
            .help("a mark of the printed sheet in a photograph");

    private static final Part<Lens.Pixel> CORNER = Part.of(Lens.Pixel.class)
            .needs("across", "across_px", PIXEL, "from the photograph's left edge")
            .needs("down", "down_px", PIXEL, "from the top edge")
            .help("a place in a photograph");

    public static final Part<Standing> STANDING = Part.of(Standing.class)
            .needs(
                    "from",
                    "seen_from",
                    new Choice<>(Standing.BY_LEVEL.from().getDeclaringClass()),
                    "which way it " + "faces")
            .needs("at", "at", Place.ANYWHERE, "its lower left corner")
            .usual(
                    "turnedDeg",
                    "turned_deg",
                    new Size(PLAN_ANGLE_READ),
                    0.0,
                    "in its plane, anticlockwise as it is looked at")
            .label("Turned anticlockwise")
            .usual("spread", "spread_mm", SPREAD, Standing.BY_LEVEL.spread(), "of each coordinate, ±")
            .label("± of its place")
            .usual(
                    "spreadDeg",
                    "spread_deg",
                    new Size(SMALL_ANGLE),
                    Standing.BY_LEVEL.spreadDeg(),
                    "of each way it could be turned, ±")
            .label("± of its lie")
            .help("where the rectangle was on the vehicle");

    public static final Part<SeenRectangle> RECTANGLE = Part.of(SeenRectangle.class)
            .needs(
                    "corners",
                    "corners",
                    new Many<>(new Row<>(CORNER), 4, 4),
                    "lower left, lower right, upper right, upper left, looking at it")
            .needs("wide", "wide_mm", LENGTH, "along its lower edge")
            .label("Wide")
            .needs("high", "high_mm", LENGTH, "up its side")
            .label("High")
            .usual("spread", "spread_mm", SPREAD, 0.5, "how well its sides are known, ±")
            .label("± of its sides")
            .needs("stands", "stands", new Group<>(STANDING), "where it was")
            .help("a rectangle of known size in a photograph");

    private static final Part<Photograph> PHOTOGRAPH = Part.of(Photograph.class)
            .needs("id", "id", Reference.to(Id.Kind.PHOTO), "photo-1 and so on")
            .needs("name", "name", Text.NAME, "what it is called")
            .needs("file", "file", Text.NAME, "beside the job")
            .needs("width", "width_px", new Whole(100, 100_000), "as the camera stored it")
            .needs("height", "height_px", new Whole(100, 100_000), "as the camera stored it")
            .omits(
                    "focal35",
                    "focal_35mm",
                    new Size(FOCAL),
                    0.0,
                    "the lens, as the length that sees as much on a picture of 36 × 24 mm; 0 if it is not known")
            .omits("turnedDeg", "turned_deg", new Whole(0, 270), 0, "clockwise, to show it upright")
            .omits(
                    "marks",
                    "marks",
                    new Many<>(new Row<>(MARK), 0, TargetSheet.ON_SHEET),
                    List.of(),
                    "of the printed sheet that are seen in it")
            .may("rectangle", "rectangle", new Group<>(RECTANGLE), "of known size that is seen in it")
            .help("a photograph that is measured from");

    private static final Part<PlacedSheet.Laid> LAID = Part.of(PlacedSheet.Laid.class)
            .needs("at", "at", Place.ANYWHERE, "the cross in its middle")
            .needs(
                    "turnedDeg",
                    "turned_deg",
                    new Size(PLAN_ANGLE_READ),
                    "how far its arrow points to the left of straight forward")
            .usual("spread", "spread_mm", SPREAD, PlacedSheet.Laid.BY_EYE.spread(), "of each coordinate, ±")
            .usual(
                    "spreadDeg",
                    "spread_deg",
                    new Size(SMALL_ANGLE),
                    PlacedSheet.Laid.BY_EYE.spreadDeg(),
                    "of its direction, and of how level it lies, ±")
            .help("where the sheet lies, flat and face up");

    private static final Part<PlacedSheet> SHEET = Part.of(PlacedSheet.class)
            .usual("bar", "bar_mm", LENGTH, TargetSheet.BAR, "how long its bar came out of the printer")
            .omits(
                    "barSpread",
                    "bar_spread_mm",
                    SPREAD,
                    PlacedSheet.AS_PRINTED.barSpread(),
                    "how well that was read, ±")
            .may("laid", "laid", new Group<>(LAID), "where it lies, if that was measured")
            .help("the printed sheet as it was used");

    public static final Part<Survey> SURVEY = Part.of(Survey.class)
            .needs("points", "points", new Many<>(new Group<>(SURVEY_POINT), 0, 150), "every point that was measured")
            .omits(
                    "stated",
                    "stated",
                    new Group<>(STATED),
                    StatedUncertainty.USUAL,
                    "how well the rest of the plan is known")
            .omits(
                    "photographs",
                    "photographs",
                    new Many<>(new Group<>(PHOTOGRAPH), 0, Survey.MOST_PHOTOGRAPHS),
                    List.of(),
                    "that points are seen in")
            .omits(
                    "sheet",
                    "sheet",
                    new Group<>(SHEET),
                    PlacedSheet.AS_PRINTED,
                    "the printed sheet that is seen in the photographs")
            .help("what was measured on the vehicle");
}
