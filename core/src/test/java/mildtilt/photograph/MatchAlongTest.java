package mildtilt.photograph;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.photograph.MatchAlong.Match;
import mildtilt.photograph.MatchAlong.View;
import mildtilt.photograph.PracticeScene.Thing;
import org.junit.jupiter.api.Test;

/** Two made-up pictures of balls before a floor, from stands half a metre and more apart. */
class MatchAlongTest {

    private static final Lens LENS = new Lens(1500, 1006, 745, 0.03, -0.02);
    private static final List<Point> BALLS =
            List.of(new Point(0, 0, 400), new Point(250, 130, 300), new Point(-220, 90, 520), new Point(90, -260, 180));

    private static PracticeScene scene() {
        List<Thing> things = new ArrayList<>();
        things.add(new PracticeScene.Sheet(
                new Frame(new Point(0, 0, -1), Vector.Y.negated(), Vector.X, Vector.Z), 6000, 6000, Map.of(), 105));
        things.add(
                PracticeScene.Sheet.target(new Frame(new Point(100, -150, 0), Vector.Y.negated(), Vector.X, Vector.Z)));
        for (int i = 0; i < BALLS.size(); i++) {
            things.add(new PracticeScene.Ball(BALLS.get(i), 18 + 4 * i, 225 - 20 * i));
        }
        things.add(new PracticeScene.Bar(BALLS.get(0), BALLS.get(1), 9, 150));
        return new PracticeScene(things, LENS, 2000, 1500);
    }

    private static Lens.Pixel drawn(View v, Point p) {
        return LENS.drawn(v.camera().local(p.minus(v.camera().origin())));
    }

    private static View view(Point from, long seed) {
        Frame camera = PracticeScene.looking(from, new Point(0, 0, 250));
        return new View(scene().picture(camera, seed), camera, LENS);
    }

    /** One ball has a bar before it that stands elsewhere in the other picture: it may be left open, never wrong. */
    @Test
    void whatIsPressedInOneIsFoundInTheOther() {
        View one = view(new Point(-1300, -600, 1200), 1);
        View other = view(new Point(-1300, 0, 1250), 2);
        int found = 0;
        for (Point ball : BALLS) {
            Optional<Match> m = MatchAlong.of(one, drawn(one, ball), other);
            m.ifPresent(x -> assertThat(x.at().distanceTo(drawn(other, ball)))
                    .as("%s", ball)
                    .isLessThan(2 * MatchAlong.SPREAD));
            found += m.isPresent() ? 1 : 0;
        }
        assertThat(found).isGreaterThanOrEqualTo(BALLS.size() - 1);
    }

    /** A bare floor looks the same all along the line: nothing is proposed rather than any place of it. */
    @Test
    void nothingIsProposedWhereThereIsNothingToSee() {
        View one = view(new Point(-1300, -600, 1200), 1);
        View other = view(new Point(-1300, 0, 1250), 2);
        Optional<Match> bare = MatchAlong.of(one, drawn(one, new Point(-300, -500, 0)), other);
        assertThat(bare).isEmpty();
    }

    /** The other picture does not show it at all. */
    @Test
    void whatIsNotInTheOtherPictureIsNotFound() {
        View one = view(new Point(-1300, -600, 1200), 1);
        Frame away = PracticeScene.looking(new Point(-1300, 0, 1250), new Point(-3000, 0, 1250));
        View other = new View(scene().picture(away, 2), away, LENS);
        assertThat(MatchAlong.of(one, drawn(one, BALLS.getFirst()), other)).isEmpty();
    }
}
