package mildtilt.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.survey.Reading.Along;
import mildtilt.survey.Reading.Height;
import mildtilt.survey.Reading.Middle;
import mildtilt.survey.Reading.MirrorOf;
import mildtilt.survey.Reading.Plumb;
import mildtilt.survey.Reading.Slope;
import mildtilt.survey.Reading.Tape;
import mildtilt.survey.Surveyed.ReadingCheck;
import org.junit.jupiter.api.Test;

class SurveyFitTest {

    private static final Map<String, Point> MARKS = Map.of(
            "A",
            new Point(0, 0, 0),
            "B",
            new Point(1000, 0, 0),
            "C",
            new Point(0, 800, 0),
            "D",
            new Point(900, 900, 0));

    private static Survey marks() {
        Survey s = Survey.NONE;
        for (String m : List.of("A", "B", "C", "D")) {
            s = read(s, m, new Plumb(MARKS.get(m).x(), MARKS.get(m).y(), 0.5), new Height(0, 0.5));
        }
        return s;
    }

    private static Surveyed fit(Survey s) {
        return SurveyFit.of(s, _ -> Optional.empty(), Id::text);
    }

    /** The id of a point of these tests by a word for it. */
    private static Id id(String word) {
        return new Id(word.toLowerCase(Locale.ROOT).replace(' ', '_').replaceFirst("^(left|right)_", "$1."));
    }

    /** With more read of a point, put in if it is not there yet. */
    private static Survey read(Survey s, String word, Reading... more) {
        SurveyPoint p = s.point(id(word)).orElse(new SurveyPoint(id(word), word, List.of()));
        return s.with(new SurveyPoint(
                p.id(),
                word,
                Stream.concat(p.readings().stream(), Stream.of(more)).toList()));
    }

    private static Point at(Surveyed s, String word) {
        return s.places().get(id(word)).at();
    }

    private static Survey taped(Survey s, String name, Point truth, String... from) {
        Survey all = s;
        for (String m : from) {
            all = read(all, name, new Tape(id(m), truth.distanceTo(MARKS.get(m)), 1));
        }
        return all;
    }

    private static void near(Point is, Point truth, double mm) {
        assertThat(is.distanceTo(truth)).isLessThan(mm);
    }

    @Test
    void threeTapesLocateAPoint() {
        Point truth = new Point(420, 310, 650);
        Surveyed three = fit(taped(marks(), "joint", truth, "A", "B", "C"));
        near(at(three, "joint"), truth, 1e-5);
        assertThat(three.spare()).isZero();
        assertThat(three.checks()).filteredOn(t -> t.reading() instanceof Tape).noneMatch(ReadingCheck::checked);
        Surveyed four = fit(taped(marks(), "joint", truth, "A", "B", "C", "D"));
        near(at(four, "joint"), truth, 1e-5);
        assertThat(four.spare()).isEqualTo(1);
        assertThat(four.worst()).isEmpty();
    }

    @Test
    void misreadTapeIsNamed() {
        Point truth = new Point(420, 310, 650);
        Random random = new Random(4);
        int found = 0;
        for (int n = 0; n < 40; n++) {
            Survey s = taped(marks(), "joint", truth, "A", "B", "C", "D");
            s = read(
                    s,
                    "joint",
                    new Height(truth.z() + random.nextGaussian(), 1),
                    new Plumb(truth.x() + random.nextGaussian(), truth.y() + random.nextGaussian(), 1));
            int which = random.nextInt(4);
            Survey wrong = s.edit(
                    id("joint"),
                    p -> p.with(
                            which,
                            new Tape(
                                    ((Tape) p.readings().get(which)).from(),
                                    ((Tape) p.readings().get(which)).length() + 20,
                                    1)));
            Optional<ReadingCheck> worst = fit(wrong).worst();
            assertThat(worst).isPresent();
            assertThat(worst.get().times()).isGreaterThan(5);
            assertThat(worst.get().misread()).as("what it was misread by").isCloseTo(20, within(8.0));
            found += worst.get().point().equals(id("joint")) && worst.get().index() == which ? 1 : 0;
        }
        assertThat(found).as("the very tape that was misread").isGreaterThanOrEqualTo(38);
    }

    /** The ± told is the scatter that many surveys with such readings really have. */
    @Test
    void reportedSpreadMatchesScatter() {
        Point truth = new Point(420, 310, 650);
        Random random = new Random(9);
        int runs = 600;
        double[] sum = new double[3];
        Surveyed.Place checks = null;
        for (int n = 0; n < runs; n++) {
            Survey s = Survey.NONE;
            for (Map.Entry<String, Point> m : MARKS.entrySet()) {
                double x = m.getValue().x() + 0.5 * random.nextGaussian();
                double y = m.getValue().y() + 0.5 * random.nextGaussian();
                double z = 0.5 * random.nextGaussian();
                s = read(s, m.getKey(), new Plumb(x, y, 0.5), new Height(z, 0.5));
                double length = truth.distanceTo(m.getValue()) + 2 * random.nextGaussian();
                s = read(s, "joint", new Tape(id(m.getKey()), length, 2));
            }
            checks = fit(s).places().get(id("joint"));
            sum[0] += Math.pow(checks.at().x() - truth.x(), 2);
            sum[1] += Math.pow(checks.at().y() - truth.y(), 2);
            sum[2] += Math.pow(checks.at().z() - truth.z(), 2);
        }
        // Of 600 draws a standard deviation is known to some 3 %.
        assertThat(Math.sqrt(sum[0] / runs)).isCloseTo(checks.sdX(), within(0.1 * checks.sdX()));
        assertThat(Math.sqrt(sum[1] / runs)).isCloseTo(checks.sdY(), within(0.1 * checks.sdY()));
        assertThat(Math.sqrt(sum[2] / runs)).isCloseTo(checks.sdZ(), within(0.1 * checks.sdZ()));
    }

    @Test
    void everyReadingKindLocatesItsPoint() {
        Survey s = taped(marks(), "hub", new Point(-100, 300, 900), "A", "B", "C");
        s = read(s, "joint", new Slope(id("hub"), 30, -10, 0.2), new Tape(id("hub"), 500, 1));
        s = read(s, "bearing", new Along(id("hub"), id("joint"), 180, 1));
        s = read(s, "left rim front", new Plumb(250, 700, 1), new Height(310, 1));
        s = read(s, "left rim rear", new Plumb(-250, 702, 1), new Height(312, 1));
        s = read(s, "left wheel centre", new Middle(id("left rim front"), id("left rim rear"), 1));
        s = read(s, "right wheel centre", new MirrorOf(id("left wheel centre"), 1));
        Surveyed f = fit(s);
        assertThat(f.open()).isEmpty();
        Point hub = new Point(-100, 300, 900);
        Point joint = hub.plus(Direction.ofSlope(30, -10).times(500));
        near(at(f, "joint"), joint, 1e-3);
        near(at(f, "bearing"), hub.plus(joint.minus(hub).times(0.36)), 1e-3);
        near(at(f, "left wheel centre"), new Point(0, 701, 311), 1e-6);
        near(at(f, "right wheel centre"), new Point(0, -701, 311), 1e-6);
        // Half a metre away two tenths of a degree are 1.7 mm across.
        assertThat(f.places().get(id("joint")).sd()).isBetween(1.7, 6.0);
        assertThat(SideDifference.of(f, Id::text).axleDeg().orElseThrow()).isCloseTo(0, within(1e-6));
    }

    @Test
    void unlocatedPointsAreReported() {
        Survey s = taped(marks(), "two tapes", new Point(300, 300, 400), "A", "B");
        s = taped(s, "joint", new Point(420, 310, 650), "A", "B", "C");
        s = read(s, "dropped", new Height(5, 1), new Plumb(3, 4, 1));
        s = read(s, "hangs on it", new Tape(id("two tapes"), 100, 1));
        s = read(s, "from one gone", new Tape(id("gone"), 100, 1));
        s = read(s, "bare");
        Surveyed f = fit(s);
        assertThat(f.open()).containsOnlyKeys(id("two tapes"), id("hangs on it"), id("from one gone"), id("bare"));
        assertThat(f.open().get(id("two tapes"))).contains("2 figures of three");
        assertThat(f.open().get(id("from one gone"))).contains("\"gone\"");
        near(at(f, "joint"), new Point(420, 310, 650), 1e-4);
        near(at(f, "dropped"), new Point(3, 4, 5), 1e-4);
        // Tapes from three marks in one line leave it free to go round that line.
        Survey line = Survey.NONE;
        for (int i = 0; i < 3; i++) {
            int x = 400 * i;
            line = read(
                    read(line, "m" + i, new Plumb(x, 0, 0.5), new Height(0, 0.5)),
                    "joint",
                    new Tape(id("m" + i), Math.hypot(Math.hypot(300 - x, 200), 500), 1));
        }
        assertThat(fit(line).open()).containsOnlyKeys(id("joint"));
        assertThat(SurveyFit.of(Survey.NONE, _ -> Optional.empty(), Id::text).places())
                .isEmpty();
    }

    @Test
    void ambiguousPointUsesThePlan() {
        Point above = new Point(420, 310, 650);
        Survey s = taped(marks(), "joint", above, "A", "B", "C");
        near(
                at(
                        SurveyFit.of(
                                s,
                                n -> n.equals(id("joint")) ? Optional.of(new Point(400, 300, -500)) : Optional.empty(),
                                Id::text),
                        "joint"),
                new Point(420, 310, -650),
                1e-4);
        near(
                at(
                        SurveyFit.of(
                                s,
                                n -> n.equals(id("joint")) ? Optional.of(new Point(400, 300, 500)) : Optional.empty(),
                                Id::text),
                        "joint"),
                above,
                1e-4);
    }

    @Test
    void skewVehicleIsReported() {
        Survey s = read(
                read(Survey.NONE, "left wheel centre", new Plumb(6, 760, 1), new Height(390, 1)),
                "right wheel centre",
                new Plumb(-4, -757, 1),
                new Height(388, 1));
        SideDifference skew = SideDifference.of(fit(s), Id::text);
        assertThat(skew.pairs()).singleElement().satisfies(p -> {
            assertThat(p.off().x()).isCloseTo(10, within(1e-6));
            assertThat(p.off().y()).isCloseTo(3, within(1e-6));
            assertThat(p.off().z()).isCloseTo(2, within(1e-6));
            assertThat(p.real()).isTrue();
        });
        assertThat(skew.axleDeg().orElseThrow()).isCloseTo(Math.toDegrees(Math.atan2(10, 1517)), within(1e-9));
        assertThat(skew.axleSd()).isCloseTo(Math.toDegrees(Math.sqrt(2) / 1517), within(1e-4));
    }

    @Test
    void impossibleReadingsAreRefused() {
        assertThatThrownBy(() -> new Tape(id("A"), 0, 1)).isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> new Height(5, 0)).hasMessageContaining("nothing is measured exactly");
        assertThatThrownBy(() -> new Slope(id("A"), 89, 0, 1)).hasMessageContaining("upright");
        assertThatThrownBy(() -> read(Survey.NONE, "A", new Tape(id("A"), 5, 1)))
                .hasMessageContaining("from itself");
    }
}
