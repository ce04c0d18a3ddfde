package mildtilt.photograph;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;

class MarkFinderTest {

    private static final int WIDTH = 2400;
    private static final int HEIGHT = 1800;
    private static final Lens LENS = new Lens(1830, 1210, 893, 0.05, -0.03);
    private static final Frame SHEET = new Frame(new Point(0, 0, 0), Vector.Y.negated(), Vector.X, Vector.Z);

    @Test
    void anyTwoRingsDifferInFourPartsHoweverTheyAreTurned() {
        List<Integer> rings = MarkCode.rings();
        assertThat(rings).hasSizeGreaterThan(TargetSheet.ON_SHEET);
        for (int i = 0; i < rings.size(); i++) {
            assertThat(Integer.bitCount(rings.get(i))).isBetween(4, MarkCode.PARTS - 4);
            for (int j = 0; j < i; j++) {
                assertThat(MarkCode.distance(rings.get(i), rings.get(j)))
                        .as("marks %d and %d", i + 1, j + 1)
                        .isGreaterThanOrEqualTo(4);
            }
        }
    }

    @Test
    void marksAreFoundToAPartOfAPixelWhereTheyWereDrawn() {
        PracticeScene scene = scene(PracticeScene.Sheet.target(SHEET));
        for (Point from : List.of(
                new Point(-1000, 200, 900),
                new Point(-200, 700, 1000),
                new Point(350, -200, 1400),
                new Point(-500, 0, 250))) {
            Frame camera = PracticeScene.looking(from, new Point(0, 0, 50));
            List<MarkSeen> found = MarkFinder.find(scene.picture(camera, 3));
            assertThat(found).as("seen from %s", from).hasSizeGreaterThanOrEqualTo(20);
            for (MarkSeen m : found) {
                Lens.Pixel truth = drawn(camera, TargetSheet.place(m.mark()));
                // Twice what is claimed of one: MarkSeen.SPREAD.
                assertThat(new Lens.Pixel(m.across(), m.down()).distanceTo(truth))
                        .as("mark %d from %s", m.mark(), from)
                        .isLessThan(2 * MarkSeen.SPREAD);
            }
        }
    }

    @Test
    void aMarkThatIsThereTwiceIsNotTaken() {
        Map<Integer, Point> marks = Map.of(30, new Point(-60, 0, 0), 31, new Point(0, 60, 0), 32, new Point(60, 0, 0));
        Frame above = new Frame(new Point(0, 0, 0.5), SHEET.e(), SHEET.f(), SHEET.g());
        Frame beside = new Frame(new Point(0, -180, 0), SHEET.e(), SHEET.f(), SHEET.g());
        PracticeScene scene =
                scene(new PracticeScene.Sheet(above, 300, 200, marks, 235), PracticeScene.Sheet.single(31, beside));
        Frame camera = PracticeScene.looking(new Point(-500, 100, 700), new Point(0, 0, 0));
        assertThat(MarkFinder.find(scene.picture(camera, 1)))
                .extracting(MarkSeen::mark)
                .containsExactly(30, 32);
    }

    @Test
    void nothingIsFoundInNoiseOrInDots() {
        byte[] noise = new byte[900 * 700];
        new Random(5).nextBytes(noise);
        assertThat(MarkFinder.find(new GreyPicture(900, 700, noise))).isEmpty();
        List<PracticeScene.Thing> dots = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            dots.add(new PracticeScene.Ball(new Point(-300 + 90 * (i % 8), -200 + 90 * (i / 8.0), 0), 20, 10));
        }
        Frame camera = PracticeScene.looking(new Point(-500, 0, 700), new Point(0, 0, 0));
        assertThat(MarkFinder.find(
                        scene(dots.toArray(PracticeScene.Thing[]::new)).picture(camera, 1)))
                .isEmpty();
        assertThat(MarkFinder.find(new GreyPicture(1, 1, new byte[1]))).isEmpty();
    }

    private static Lens.Pixel drawn(Frame camera, Point mark) {
        Point p = SHEET.origin().plus(SHEET.world(new Vector(mark.x(), mark.y(), 0)));
        return LENS.drawn(camera.local(p.minus(camera.origin())));
    }

    private static PracticeScene scene(PracticeScene.Thing... things) {
        List<PracticeScene.Thing> all = new ArrayList<>(List.of(things));
        Frame floor = new Frame(new Point(0, 0, -1), SHEET.e(), SHEET.f(), SHEET.g());
        all.add(new PracticeScene.Sheet(floor, 4000, 4000, Map.of(), 120));
        return new PracticeScene(all, LENS, WIDTH, HEIGHT);
    }
}
