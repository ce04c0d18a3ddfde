package mildtilt.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.survey.Reading.Along;
import mildtilt.survey.Reading.Height;
import mildtilt.survey.Reading.Middle;
import mildtilt.survey.Reading.MirrorOf;
import mildtilt.survey.Reading.Plumb;
import mildtilt.survey.Reading.Slope;
import mildtilt.survey.Reading.Tape;
import mildtilt.survey.Surveyed.Told;
import org.junit.jupiter.api.Test;

class SurveyFitTest {

    private static final Map<String, Point> MARKS = Map.of("A", new Point(0, 0, 0), "B", new Point(1000, 0, 0), "C", new Point(0, 800, 0), "D", new Point(900, 900, 0));

    private static Survey marks() {
        Survey s = Survey.NONE;
        for (String m : List.of("A", "B", "C", "D")) {
            s = s.edit(m, p -> p.with(new Plumb(MARKS.get(m).x(), MARKS.get(m).y(), 0.5)).with(new Height(0, 0.5)));
        }
        return s;
    }

    private static Surveyed fit(Survey s) {
        return SurveyFit.of(s, _ -> Optional.empty());
    }

    private static Survey taped(Survey s, String name, Point truth, String... from) {
        Survey all = s;
        for (String m : from) {
            all = all.edit(name, p -> p.with(new Tape(m, truth.distanceTo(MARKS.get(m)), 1)));
        }
        return all;
    }

    private static void near(Point is, Point truth, double mm) {
        assertThat(is.distanceTo(truth)).isLessThan(mm);
    }

    @Test
    void threeTapesSettleAPointAndAFourthIsToSpare() {
        Point truth = new Point(420, 310, 650);
        Surveyed three = fit(taped(marks(), "joint", truth, "A", "B", "C"));
        near(three.places().get("joint").at(), truth, 1e-5);
        assertThat(three.spare()).isZero();
        assertThat(three.told()).filteredOn(t -> t.reading() instanceof Tape).noneMatch(Told::checked);
        Surveyed four = fit(taped(marks(), "joint", truth, "A", "B", "C", "D"));
        near(four.places().get("joint").at(), truth, 1e-5);
        assertThat(four.spare()).isEqualTo(1);
        assertThat(four.worst()).isEmpty();
    }

    @Test
    void aMisreadTapeIsNamed() {
        Point truth = new Point(420, 310, 650);
        Random random = new Random(4);
        int found = 0;
        for (int n = 0; n < 40; n++) {
            Survey s = taped(marks(), "joint", truth, "A", "B", "C", "D").edit("joint", p -> p.with(new Height(truth.z() + random.nextGaussian(), 1)).with(new Plumb(truth.x() + random.nextGaussian(), truth.y() + random.nextGaussian(), 1)));
            int which = random.nextInt(4);
            Survey wrong = s.edit("joint", p -> p.with(which, new Tape(((Tape) p.readings().get(which)).from(), ((Tape) p.readings().get(which)).length() + 20, 1)));
            Optional<Told> worst = fit(wrong).worst();
            assertThat(worst).isPresent();
            assertThat(worst.get().times()).isGreaterThan(5);
            assertThat(worst.get().misread()).as("what it was misread by").isCloseTo(20, within(8.0));
            found += worst.get().point().equals("joint") && worst.get().index() == which ? 1 : 0;
        }
        assertThat(found).as("the very tape that was misread").isGreaterThanOrEqualTo(38);
    }

    /** The ± told is the scatter that many surveys with such readings really have. */
    @Test
    void theSpreadToldIsTheSpreadThereIs() {
        Point truth = new Point(420, 310, 650);
        Random random = new Random(9);
        int runs = 600;
        double[] sum = new double[3];
        Surveyed.Place told = null;
        for (int n = 0; n < runs; n++) {
            Survey s = Survey.NONE;
            for (Map.Entry<String, Point> m : MARKS.entrySet()) {
                double x = m.getValue().x() + 0.5 * random.nextGaussian();
                double y = m.getValue().y() + 0.5 * random.nextGaussian();
                double z = 0.5 * random.nextGaussian();
                s = s.edit(m.getKey(), p -> p.with(new Plumb(x, y, 0.5)).with(new Height(z, 0.5)));
                double length = truth.distanceTo(m.getValue()) + 2 * random.nextGaussian();
                s = s.edit("joint", p -> p.with(new Tape(m.getKey(), length, 2)));
            }
            told = fit(s).places().get("joint");
            sum[0] += Math.pow(told.at().x() - truth.x(), 2);
            sum[1] += Math.pow(told.at().y() - truth.y(), 2);
            sum[2] += Math.pow(told.at().z() - truth.z(), 2);
        }
        // Of 600 draws a standard deviation is known to some 3 %.
        assertThat(Math.sqrt(sum[0] / runs)).isCloseTo(told.sdX(), within(0.1 * told.sdX()));
        assertThat(Math.sqrt(sum[1] / runs)).isCloseTo(told.sdY(), within(0.1 * told.sdY()));
        assertThat(Math.sqrt(sum[2] / runs)).isCloseTo(told.sdZ(), within(0.1 * told.sdZ()));
    }

    @Test
    void everyKindOfReadingFindsItsPoint() {
        Survey s = taped(marks(), "hub", new Point(-100, 300, 900), "A", "B", "C")
                .edit("joint", p -> p.with(new Slope("hub", 30, -10, 0.2)).with(new Tape("hub", 500, 1)))
                .edit("bearing", p -> p.with(new Along("hub", "joint", 180, 1)))
                .edit("left rim front", p -> p.with(new Plumb(250, 700, 1)).with(new Height(310, 1)))
                .edit("left rim rear", p -> p.with(new Plumb(-250, 702, 1)).with(new Height(312, 1)))
                .edit("left wheel centre", p -> p.with(new Middle("left rim front", "left rim rear", 1)))
                .edit("right wheel centre", p -> p.with(new MirrorOf("left wheel centre", 1)));
        Surveyed f = fit(s);
        assertThat(f.open()).isEmpty();
        Point hub = new Point(-100, 300, 900);
        Point joint = hub.plus(Direction.ofSlope(30, -10).times(500));
        near(f.places().get("joint").at(), joint, 1e-3);
        near(f.places().get("bearing").at(), hub.plus(joint.minus(hub).times(0.36)), 1e-3);
        near(f.places().get("left wheel centre").at(), new Point(0, 701, 311), 1e-6);
        near(f.places().get("right wheel centre").at(), new Point(0, -701, 311), 1e-6);
        // Half a metre away two tenths of a degree are 1.7 mm across.
        assertThat(f.places().get("joint").sd()).isBetween(1.7, 6.0);
        assertThat(Skew.of(f).axleDeg().orElseThrow()).isCloseTo(0, within(1e-6));
    }

    @Test
    void whatIsNotSettledIsSaidAndTheRestIsStillWorkedOut() {
        Survey s = taped(marks(), "two tapes", new Point(300, 300, 400), "A", "B");
        s = taped(s, "joint", new Point(420, 310, 650), "A", "B", "C");
        s = s.edit("dropped", p -> p.with(new Height(5, 1)).with(new Plumb(3, 4, 1))).edit("hangs on it", p -> p.with(new Tape("two tapes", 100, 1)))
                .edit("from one gone", p -> p.with(new Tape("gone", 100, 1))).edit("bare", p -> p);
        Surveyed f = fit(s);
        assertThat(f.open()).containsOnlyKeys("two tapes", "hangs on it", "from one gone", "bare");
        assertThat(f.open().get("two tapes")).contains("2 figures of three");
        assertThat(f.open().get("from one gone")).contains("\"gone\"");
        near(f.places().get("joint").at(), new Point(420, 310, 650), 1e-4);
        near(f.places().get("dropped").at(), new Point(3, 4, 5), 1e-4);
        // Tapes from three marks in one line leave it free to go round that line.
        Survey line = Survey.NONE;
        for (int i = 0; i < 3; i++) {
            int x = 400 * i;
            line = line.edit("m" + i, p -> p.with(new Plumb(x, 0, 0.5)).with(new Height(0, 0.5))).edit("joint", p -> p.with(new Tape("m" + x / 400, Math.hypot(Math.hypot(300 - x, 200), 500), 1)));
        }
        assertThat(fit(line).open()).containsOnlyKeys("joint");
        assertThat(SurveyFit.of(Survey.NONE, _ -> Optional.empty()).places()).isEmpty();
    }

    @Test
    void ofTwoPlacesThatSuitThePlansIsMeant() {
        Point above = new Point(420, 310, 650);
        Survey s = taped(marks(), "joint", above, "A", "B", "C");
        near(SurveyFit.of(s, n -> n.equals("joint") ? Optional.of(new Point(400, 300, -500)) : Optional.empty()).places().get("joint").at(), new Point(420, 310, -650), 1e-4);
        near(SurveyFit.of(s, n -> n.equals("joint") ? Optional.of(new Point(400, 300, 500)) : Optional.empty()).places().get("joint").at(), above, 1e-4);
    }

    @Test
    void aSkewVehicleIsTold() {
        Survey s = Survey.NONE.edit("left wheel centre", p -> p.with(new Plumb(6, 760, 1)).with(new Height(390, 1))).edit("right wheel centre", p -> p.with(new Plumb(-4, -757, 1)).with(new Height(388, 1)));
        Skew skew = Skew.of(fit(s));
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
    void readingsThatCanNotBeAreRefused() {
        assertThatThrownBy(() -> new Tape("A", 0, 1)).isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> new Height(5, 0)).hasMessageContaining("nothing is measured exactly");
        assertThatThrownBy(() -> new Slope("A", 89, 0, 1)).hasMessageContaining("upright");
        assertThatThrownBy(() -> Survey.NONE.edit("A", p -> p.with(new Tape("A", 5, 1)))).hasMessageContaining("from itself");
    }
}
