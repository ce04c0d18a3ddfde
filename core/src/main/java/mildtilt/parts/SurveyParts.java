package mildtilt.parts;

import static mildtilt.describe.Ranges.COORDINATE;
import static mildtilt.describe.Ranges.PLAN_ANGLE_READ;
import static mildtilt.describe.Ranges.SLOPE_READ;
import static mildtilt.describe.Ranges.TOLERANCE;

import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Part;
import mildtilt.id.Id;
import mildtilt.survey.Reading;
import mildtilt.survey.StatedUncertainty;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;

/** What was measured on the vehicle. */
public final class SurveyParts {

    private static final Kind<Double> SPREAD = new Size(TOLERANCE);
    private static final String SPREAD_HELP = "± mm, or degrees for angles: one standard deviation";
    private static final Kind<Double> LENGTH = new Size(COORDINATE);
    private static final Kind<Id> POINT = Reference.ANY;

    private SurveyParts() {}

    private static final Form<Reading> READING = Form.Kinds.<Reading>of("kind", "one thing measured of a point")
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

    public static final Part<Survey> SURVEY = Part.of(Survey.class)
            .needs("points", "points", new Many<>(new Group<>(SURVEY_POINT), 0, 150), "every point that was measured")
            .omits(
                    "stated",
                    "stated",
                    new Group<>(STATED),
                    StatedUncertainty.USUAL,
                    "how well the rest of the plan is known")
            .help("what was measured on the vehicle");
}
