package mildtilt.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.photograph.Lens;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.PracticeScene;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.SeenRectangle.SeenFrom;
import mildtilt.photograph.SeenRectangle.Standing;
import mildtilt.survey.BetweenPoints.Measured;
import mildtilt.survey.Reading.InPlane;
import mildtilt.survey.Reading.Sighted;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** One made-up picture aslant of a board whose size is known, and points in its plane. */
class RectangleInPhotographTest {

    private static final int WIDTH = 4000;
    private static final int HEIGHT = 3000;
    private static final double FOCAL = 3010;
    private static final double FOCAL_35 = FOCAL / Math.hypot(WIDTH, HEIGHT) * Math.hypot(36, 24) * 1.03;
    private static final double WIDE = 800;
    private static final double HIGH = 600;
    private static final Id PHOTO = Id.Kind.PHOTO.first();

    /** In the plane of the board, from its lower left corner, mm to the right and up. */
    private static final List<Point> PLACES = List.of(
            new Point(100, 80, 0),
            new Point(700, 120, 0),
            new Point(650, 520, 0),
            new Point(200, 400, 0),
            new Point(400, 300, 0));

    private static Id point(int i) {
        return Id.Kind.MARK.number(i + 1);
    }

    private static Point inSpace(Frame board, Point p) {
        return board.origin().plus(board.world(p.minus(Point.ORIGIN)));
    }

    /** About 1.3 m off, a third of that to one side and a little above. */
    private static Frame camera(Frame board) {
        return PracticeScene.looking(
                inSpace(board, new Point(900, 500, 1200)), inSpace(board, new Point(WIDE / 2, HIGH / 2, 0)));
    }

    private static Lens.Pixel drawn(Lens lens, Frame camera, Point p, Random random, double noise) {
        Lens.Pixel d = lens.drawn(camera.local(p.minus(camera.origin())));
        return new Lens.Pixel(d.across() + noise * random.nextGaussian(), d.down() + noise * random.nextGaussian());
    }

    private static Survey survey(Standing stands, Lens lens, Random random, double noise, List<Point> places) {
        Frame board = stands.frame();
        Frame camera = camera(board);
        List<Lens.Pixel> corners = IntStream.range(0, 4)
                .mapToObj(c -> drawn(lens, camera, inSpace(board, SeenRectangle.corner(c, WIDE, HIGH)), random, noise))
                .toList();
        Photograph photograph = new Photograph(
                PHOTO,
                "Side",
                "side.jpg",
                WIDTH,
                HEIGHT,
                FOCAL_35,
                0,
                List.of(),
                Optional.of(new SeenRectangle(corners, WIDE, HIGH, 0.3, stands)));
        List<SurveyPoint> points = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            Lens.Pixel d = drawn(lens, camera, inSpace(board, places.get(i)), random, noise);
            points.add(new SurveyPoint(
                    point(i),
                    "Place " + i,
                    List.of(
                            new Sighted(PHOTO, d.across(), d.down(), Math.max(0.1, noise)),
                            new InPlane(PHOTO, places.get(i).z(), 0.2))));
        }
        return new Survey(points, StatedUncertainty.USUAL, List.of(photograph), PlacedSheet.AS_PRINTED);
    }

    private static Surveyed fit(Survey s) {
        return SurveyFit.of(s, _ -> Optional.empty(), Id::text);
    }

    private static Lens lens(double k1) {
        return new Lens(FOCAL, WIDTH / 2.0 + 12, HEIGHT / 2.0 - 10, k1, 0);
    }

    @ParameterizedTest
    @EnumSource
    void pointsComeInTheVehiclesAxesFromEverySide(SeenFrom from) {
        Standing stands = new Standing(from, new Point(700, -320, 410), 8, 0.01, 0.001);
        Surveyed s = fit(survey(stands, lens(0), new Random(1), 0, PLACES));
        assertThat(s.open()).isEmpty();
        for (int i = 0; i < PLACES.size(); i++) {
            assertThat(s.places().get(point(i)).at().distanceTo(inSpace(stands.frame(), PLACES.get(i))))
                    .isLessThan(0.5);
        }
    }

    /** Who looks from the vehicle's left has its front on the left, so what is further right is further back. */
    @Test
    void fromTheLeftRightwardIsBackward() {
        Frame left = Standing.BY_LEVEL.withFrom(SeenFrom.LEFT).frame();
        assertThat(left.e().minus(Vector.X.times(-1)).norm()).isZero();
        assertThat(left.f().minus(Vector.Z).norm()).isZero();
        assertThat(Standing.BY_LEVEL.withFrom(SeenFrom.RIGHT).frame().e()).isEqualTo(Vector.X);
        assertThat(Standing.BY_LEVEL.withFrom(SeenFrom.FRONT).frame().e()).isEqualTo(Vector.Y);
        assertThat(Standing.BY_LEVEL.withFrom(SeenFrom.ABOVE).frame().f()).isEqualTo(Vector.X);
    }

    /** How well what was drawn 200 times is known. @param off rms, mm, mm and degrees; @param told the mean ± */
    private record Scatter(double place, double[] off, double[] told) {}

    /** Lenses as different as is thought beforehand, everything pressed to 1 px. @param edge a straight one, too */
    private static Scatter scatter(boolean edge) {
        Standing stands = new Standing(SeenFrom.LEFT, new Point(900, 350, 300), 3, 5, 1);
        Random random = new Random(5);
        List<Point> places = new ArrayList<>(PLACES);
        for (int i = 0; edge && i < 7; i++) {
            places.add(new Point(-100 + 170 * i, 20, 0));
        }
        int draws = 200;
        double[] off = new double[3];
        double[] told = new double[3];
        double place = 0;
        for (int d = 0; d < draws; d++) {
            Lens lens = new Lens(
                    FOCAL * (1 + 0.05 * random.nextGaussian()),
                    WIDTH / 2.0 + 40 * random.nextGaussian(),
                    HEIGHT / 2.0 + 40 * random.nextGaussian(),
                    0.1 * random.nextGaussian(),
                    0.1 * random.nextGaussian());
            Survey survey = survey(stands, lens, random, 1, places);
            Id first = point(PLACES.size());
            Id last = point(places.size() - 1);
            for (int i = PLACES.size() + 1; i < places.size() - 1; i++) {
                survey = survey.edit(point(i), p -> p.with(new Reading.OnLine(first, last, 0.1)));
            }
            Surveyed s = fit(survey);
            BetweenPoints between = new BetweenPoints(s);
            List<Measured> all = List.of(
                    between.distance(point(0), point(1)).orElseThrow(),
                    between.distance(point(0), point(2)).orElseThrow(),
                    between.angle(point(0), point(1), point(3), point(2)).orElseThrow());
            double[] truth = {
                PLACES.get(0).distanceTo(PLACES.get(1)),
                PLACES.get(0).distanceTo(PLACES.get(2)),
                Math.toDegrees(Math.atan2(120, 450) - Math.atan2(40, 600))
            };
            for (int k = 0; k < 3; k++) {
                off[k] += Math.pow(all.get(k).value() - truth[k], 2) / draws;
                told[k] += all.get(k).sd() / draws;
            }
            for (int i = 0; i < PLACES.size(); i++) {
                // The board's own place is not what is asked: beside its middle.
                Vector is = s.places()
                        .get(point(i))
                        .at()
                        .minus(s.places().get(point(4)).at());
                Vector was = stands.frame().world(PLACES.get(i).minus(PLACES.get(4)));
                place += Math.pow(is.minus(was).norm(), 2) / draws / (PLACES.size() - 1);
            }
        }
        for (int k = 0; k < 3; k++) {
            off[k] = Math.sqrt(off[k]);
        }
        return new Scatter(Math.sqrt(place), off, told);
    }

    @Test
    void distancesAndAnglesAreAsSureAsTold() {
        for (boolean edge : List.of(false, true)) {
            Scatter s = scatter(edge);
            for (int k = 0; k < 3; k++) {
                assertThat(s.told[k] / s.off[k]).isBetween(0.6, 1.6);
            }
            // Two places a picture's pixel is half a millimetre at; without the edge the lens is most of it.
            assertThat(s.place).isLessThan(edge ? 1.2 : 3);
        }
    }

    @Test
    void whatStandsBeforeThePlaneIsOffUntilItsHeightIsSaid() {
        Standing stands = new Standing(SeenFrom.RIGHT, new Point(0, -400, 300), 0, 0.01, 0.001);
        List<Point> places = List.of(new Point(700, 120, 60));
        Survey said = survey(stands, lens(0), new Random(1), 0, places);
        Point truth = inSpace(stands.frame(), places.getFirst());
        assertThat(fit(said).places().get(point(0)).at().distanceTo(truth)).isLessThan(0.6);
        Survey flat = said.edit(point(0), p -> p.with(1, new InPlane(PHOTO, 0, 0.2)));
        assertThat(fit(flat).places().get(point(0)).at().distanceTo(truth)).isGreaterThan(60);
    }

    /** Nothing but a straight edge across the picture tells that the lens bends it. */
    @Test
    void aStraightEdgeTellsTheLensApart() {
        Standing stands = new Standing(SeenFrom.LEFT, new Point(900, 350, 300), 0, 0.01, 0.001);
        List<Point> edge = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            edge.add(new Point(-100 + 170 * i, 20 + 5 * i, 0));
        }
        Survey bent = survey(stands, lens(0.08), new Random(1), 0, edge);
        Survey straight = bent;
        for (int i = 1; i < 6; i++) {
            int at = i;
            straight = straight.edit(point(at), p -> p.with(new Reading.OnLine(point(0), point(6), 0.1)));
        }
        double before = fit(bent).photographs().getFirst().lens().k1();
        double after = fit(straight).photographs().getFirst().lens().k1();
        assertThat(Math.abs(before)).isLessThan(0.02);
        assertThat(after).isCloseTo(0.08, within(0.01));
    }

    @Test
    void threePlacesOfARimGiveTheWheelsMiddle() {
        Standing stands = new Standing(SeenFrom.LEFT, new Point(900, 350, 300), 0, 0.01, 0.001);
        Point middle = new Point(420, 310, 0);
        List<Point> rim = List.of(20.0, 130.0, 250.0).stream()
                .map(a -> new Point(
                        middle.x() + 250 * Math.cos(Math.toRadians(a)),
                        middle.y() + 250 * Math.sin(Math.toRadians(a)),
                        0))
                .toList();
        Survey survey = survey(stands, lens(0), new Random(1), 0, rim)
                .with(new SurveyPoint(
                        point(3), "Wheel", List.of(new Reading.Centre(point(0), point(1), point(2), 0.5))));
        Surveyed s = fit(survey);
        assertThat(s.open()).isEmpty();
        assertThat(s.places().get(point(3)).at().distanceTo(inSpace(stands.frame(), middle)))
                .isLessThan(0.3);
        assertThat(new BetweenPoints(s)
                        .distance(point(3), point(1))
                        .orElseThrow()
                        .value())
                .isCloseTo(250, within(0.3));
    }

    /** Its ± is the rim's scatter carried through the circle: a short arc knows its middle badly. */
    @Test
    void aMiddleFromAShortArcIsLessSure() {
        assertThat(middleSd(List.of(0.0, 20.0, 40.0))).isGreaterThan(5 * middleSd(List.of(0.0, 120.0, 240.0)));
    }

    private static double middleSd(List<Double> anglesDeg) {
        List<SurveyPoint> points = new ArrayList<>();
        for (int i = 0; i < anglesDeg.size(); i++) {
            double a = Math.toRadians(anglesDeg.get(i));
            points.add(new SurveyPoint(
                    point(i),
                    "Rim " + i,
                    List.of(
                            new Reading.Plumb(300 * Math.cos(a), 0, 1),
                            new Reading.Height(300 + 300 * Math.sin(a), 1))));
        }
        points.add(new SurveyPoint(point(3), "Wheel", List.of(new Reading.Centre(point(0), point(1), point(2), 0.5))));
        Surveyed s = fit(Survey.of(points, StatedUncertainty.USUAL));
        assertThat(s.places().get(point(3)).at().distanceTo(new Point(0, 0, 300)))
                .isLessThan(1e-3);
        return s.places().get(point(3)).sd();
    }

    /** A camera that a rectangle places serves points that another picture sees, too. */
    @Test
    void aPointWithoutItsPlaneIsOpenAndSaysWhatIsMissing() {
        Survey s = survey(new Standing(SeenFrom.LEFT, Point.ORIGIN, 0, 1, 0.5), lens(0), new Random(1), 0, PLACES)
                .edit(point(0), p -> p.without(1));
        Surveyed fit = fit(s);
        assertThat(fit.places()).doesNotContainKey(point(0)).hasSize(PLACES.size() - 1);
        assertThat(fit.open().get(point(0))).contains("seen in one photograph");
    }

    /** Two pictures, each with the board in it, place what stands before the board without any plane. */
    @Test
    void twoPicturesWithTheBoardPlaceWhatStandsBeforeIt() {
        Standing stands = new Standing(SeenFrom.LEFT, new Point(900, 350, 300), 0, 0.01, 0.001);
        Frame board = stands.frame();
        Point truth = inSpace(board, new Point(420, 260, 150));
        Survey one = survey(stands, lens(0), new Random(1), 0, List.of());
        Frame second = PracticeScene.looking(
                inSpace(board, new Point(-400, 700, 1100)), inSpace(board, new Point(WIDE / 2, HIGH / 2, 0)));
        Random still = new Random(2);
        List<Lens.Pixel> corners = IntStream.range(0, 4)
                .mapToObj(c -> drawn(lens(0), second, inSpace(board, SeenRectangle.corner(c, WIDE, HIGH)), still, 0))
                .toList();
        Photograph first = one.photographs().getFirst();
        Photograph other = first.withId(Id.Kind.PHOTO.number(2))
                .withRectangle(first.rectangle().map(r -> r.withCorners(corners)));
        Lens.Pixel a = drawn(lens(0), camera(board), truth, still, 0);
        Lens.Pixel b = drawn(lens(0), second, truth, still, 0);
        SurveyPoint point = new SurveyPoint(
                point(0),
                "Before it",
                List.of(
                        new Sighted(first.id(), a.across(), a.down(), 0.2),
                        new Sighted(other.id(), b.across(), b.down(), 0.2)));
        Surveyed s = fit(one.withPhotographs(List.of(first, other)).withPoints(List.of(point)));
        assertThat(s.open()).isEmpty();
        assertThat(s.places().get(point(0)).at().distanceTo(truth)).isLessThan(1);
    }

    @Test
    void cornersInAnotherOrderAreRefused() {
        SeenRectangle r = survey(Standing.BY_LEVEL, lens(0), new Random(1), 0, PLACES)
                .photographs()
                .getFirst()
                .rectangle()
                .orElseThrow();
        assertThatThrownBy(() -> r.withCorners(r.corners().reversed()))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("lower left, lower right");
    }
}
