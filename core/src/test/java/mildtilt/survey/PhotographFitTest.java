package mildtilt.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.PracticeScene;
import mildtilt.photograph.TargetSheet;
import mildtilt.survey.Reading.Sighted;
import org.junit.jupiter.api.Test;

/** Points from made-up sights whose truth is known: five pictures of 12 megapixels from two metres. */
class PhotographFitTest {

    private static final int WIDTH = 4000;
    private static final int HEIGHT = 3000;
    private static final Lens LENS = new Lens(3010, 2012, 1490, 0.04, -0.02);
    private static final double FOCAL_35 = 3010 / Math.hypot(WIDTH, HEIGHT) * Math.hypot(36, 24) * 1.03;
    private static final List<Point> STANDS = List.of(
            new Point(-1500, 300, 1300),
            new Point(-900, 1200, 1300),
            new Point(300, -1500, 1200),
            new Point(900, 1200, 1400),
            new Point(-300, -900, 1800));
    private static final List<Point> POINTS = List.of(
            new Point(0, 380, 520),
            new Point(350, 300, 420),
            new Point(-250, -300, 300),
            new Point(400, -450, 250),
            new Point(150, 20, 600),
            new Point(-450, 420, 150));
    private static final Point LOOKED_AT = new Point(0, 0, 250);

    /** The sheet's own frame in the vehicle's: its arrow forward, on the floor. */
    private static final Frame SHEET = PlacedSheet.Laid.BY_EYE.frame();

    private static Id point(int i) {
        return new Id("joint-" + (i + 1) + ".centre");
    }

    private static Id photo(int i) {
        return Id.Kind.PHOTO.number(i + 1);
    }

    private static Lens.Pixel drawn(Frame camera, Point p) {
        return LENS.drawn(camera.local(p.minus(camera.origin())));
    }

    /** All that is seen from every stand, with noise. @param click of a point, px; @param mark of the sheet's marks */
    private static Survey survey(Random random, double click, double mark, PlacedSheet sheet) {
        List<Photograph> photographs = new ArrayList<>();
        List<SurveyPoint> points = new ArrayList<>();
        for (int i = 0; i < POINTS.size(); i++) {
            points.add(new SurveyPoint(point(i), "Point " + i, List.of()));
        }
        for (int n = 0; n < STANDS.size(); n++) {
            Frame camera = PracticeScene.looking(STANDS.get(n), LOOKED_AT);
            List<MarkSeen> marks = new ArrayList<>();
            for (int m = 1; m <= TargetSheet.ON_SHEET; m++) {
                Point p = TargetSheet.place(m);
                Lens.Pixel d = drawn(
                        camera, SHEET.origin().plus(SHEET.world(new Vector(p.x(), p.y(), 0).times(sheet.scale()))));
                marks.add(new MarkSeen(
                        m, d.across() + mark * random.nextGaussian(), d.down() + mark * random.nextGaussian()));
            }
            photographs.add(new Photograph(photo(n), "Picture " + n, n + ".jpg", WIDTH, HEIGHT, FOCAL_35, 0, marks));
            for (int i = 0; i < POINTS.size(); i++) {
                Lens.Pixel d = drawn(camera, POINTS.get(i));
                points.set(
                        i,
                        points.get(i)
                                .with(new Sighted(
                                        photo(n),
                                        d.across() + click * random.nextGaussian(),
                                        d.down() + click * random.nextGaussian(),
                                        Math.max(click, 0.1))));
            }
        }
        return new Survey(points, StatedUncertainty.USUAL, photographs, sheet);
    }

    private static PlacedSheet laid(double spread, double spreadDeg) {
        return new PlacedSheet(
                TargetSheet.BAR, 0.05, Optional.of(new PlacedSheet.Laid(Point.ORIGIN, 0, spread, spreadDeg)));
    }

    private static Surveyed fit(Survey s) {
        return SurveyFit.of(s, _ -> Optional.empty(), Id::text);
    }

    private static Point at(Surveyed s, int i) {
        return s.places().get(point(i)).at();
    }

    @Test
    void exactSightsGiveThePointsTheCamerasAndTheLens() {
        Surveyed s = fit(survey(new Random(1), 0, 0, laid(0.01, 0.001)));
        assertThat(s.open()).isEmpty();
        for (int i = 0; i < POINTS.size(); i++) {
            assertThat(at(s, i).distanceTo(POINTS.get(i))).isLessThan(0.02);
        }
        assertThat(s.photographs()).hasSize(STANDS.size()).allSatisfy(p -> {
            int n = Integer.parseInt(p.photograph().text().substring("photo-".length())) - 1;
            assertThat(p.camera().orElseThrow().origin().distanceTo(STANDS.get(n)))
                    .isLessThan(0.5);
            assertThat(p.lens().focal()).isCloseTo(LENS.focal(), within(0.5));
            assertThat(p.lens().k1()).isCloseTo(LENS.k1(), within(2e-3));
            assertThat(p.off()).isLessThan(0.05);
        });
    }

    @Test
    void pointsAreWithinWhatIsClaimedAndAsSureAsTold() {
        Random random = new Random(7);
        int draws = 200;
        double[] square = new double[3 * POINTS.size()];
        double[] told = new double[3 * POINTS.size()];
        for (int d = 0; d < draws; d++) {
            Surveyed s = fit(survey(random, 1, MarkSeen.SPREAD, laid(0.01, 0.001)));
            for (int i = 0; i < POINTS.size(); i++) {
                Surveyed.Place p = s.places().get(point(i));
                Vector off = p.at().minus(POINTS.get(i));
                double[] o = {off.x(), off.y(), off.z()};
                double[] sd = {p.sdX(), p.sdY(), p.sdZ()};
                for (int k = 0; k < 3; k++) {
                    square[3 * i + k] += o[k] * o[k] / draws;
                    told[3 * i + k] += sd[k] / draws;
                }
            }
        }
        for (int i = 0; i < POINTS.size(); i++) {
            double all = Math.sqrt(square[3 * i] + square[3 * i + 1] + square[3 * i + 2]);
            System.out.println(i + " " + all);
            assertThat(all).as("point %d, mm", i).isLessThan(1.5);
            for (int k = 0; k < 3; k++) {
                System.out.println(Math.sqrt(square[3 * i + k]) + " " + told[3 * i + k]);
                assertThat(told[3 * i + k] / Math.sqrt(square[3 * i + k]))
                        .as("told ± to scatter, point %d along %d", i, k)
                        .isBetween(0.6, 1.6);
            }
        }
    }
}
