package mildtilt.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.json.AnalysisJson;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.Grid;
import mildtilt.units.LengthUnit;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Parts of a column: what can't be is refused in words, and any column that can be is kept, told and judged whole. */
class ColumnPartsTest {

    private static final Job DEMO = DemoJob.MARSH_CARRIER.job();

    static Stream<Arguments> refused() {
        Shaft s = Shaft.round(Id.Kind.SHAFT.first(), "Mid", 20, 0, true);
        Column c = TestColumns.random(new Random(1), 2);
        return Stream.of(
                refusal(() -> new ShaftProfile.Round(0), "above 0"),
                refusal(() -> new ShaftProfile.Round(Double.NaN), "above 0"),
                refusal(() -> new ShaftProfile.Splined(20, 2), "3 to 120 teeth"),
                refusal(() -> new ShaftProfile.Splined(20, 121), "3 to 120 teeth"),
                refusal(() -> new ShaftProfile.DoubleD(20, 20), "less than its diameter"),
                refusal(() -> new ShaftProfile.Keyed(20, 0), "narrower than its shaft"),
                refusal(() -> s.withBore(20), "bore of \"Mid\""),
                refusal(() -> s.withProfile(new ShaftProfile.Keyed(20, 6)).withBore(14.5), "bore of \"Mid\""),
                refusal(() -> s.withYieldMpa(0), "yield strength of \"Mid\""),
                refusal(() -> s.withClockingDeg(Double.NaN), "not a number"),
                refusal(() -> s.withIndexDeg(Double.POSITIVE_INFINITY), "not a number"),
                refusal(() -> new Slide(-1, 0, 0), "negative"),
                refusal(() -> new YokeDimensions(-1, 0), "negative"),
                refusal(() -> c.joints().getFirst().withMaxAngleDeg(181), "at most 180"),
                refusal(() -> c.joints().getFirst().withTorqueNm(Optional.of(0.0)), "above 0"),
                refusal(() -> c.joints().getFirst().withSwingDiameter(Optional.of(-3.0)), "above 0"),
                refusal(
                        () -> Bearing.planned(
                                Id.Kind.BEARING.first(), "B", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 0, -1, 20),
                        "at or past its wheel end"),
                refusal(
                        () -> Bearing.planned(
                                Id.Kind.BEARING.first(), "B", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 0, 1, 0),
                        "bore of \"B\""),
                refusal(
                        () -> Bearing.planned(
                                        Id.Kind.BEARING.first(), "B", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 0, 1, 5)
                                .withOff(Double.NaN, 0),
                        "not a number"),
                refusal(
                        () -> c.withBearings(List.of(Bearing.planned(
                                Id.Kind.BEARING.first(), "B", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 3, 1, 5))),
                        "sits on shaft 4, but there are only 3"),
                refusal(() -> new ColumnTube(0, 1, 2, 0), "diameter"),
                refusal(() -> new ColumnTube(40, 5, 5, 0), "lower bearing below the upper"),
                refusal(() -> new ColumnTube(40, 1, 2, -1), "collapses"),
                refusal(() -> new Adjustment(-1, 0, 0, 0, Optional.empty()), "reach"),
                refusal(() -> new Adjustment(0, 0, 61, 0, Optional.empty()), "0 to 60"),
                refusal(() -> new Adjustment(0, 0, 0, 0, Optional.of(-1.0)), "pivot"),
                refusal(() -> c.wheel().withDiameter(0), "diameter"),
                refusal(() -> Installation.FREE.withFrameMovement(-1), "negative"),
                refusal(() -> new ForkSetting.Stepped(0), "at least one setting"),
                refusal(() -> c.withShaft(0, s.withClockingDeg(3)), "one fork only"));
    }

    private static Arguments refusal(ThrowingCallable made, String says) {
        return Arguments.of(made, says);
    }

    @ParameterizedTest
    @MethodSource("refused")
    void impossiblePartsAreRefusedWithASentence(ThrowingCallable made, String says) {
        assertThatThrownBy(made)
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining(says)
                .hasMessageEndingWith(".");
    }

    /**
     * Any column comes back from its file as it was, is worked out without a figure that is none, and every remedy
     * applies.
     */
    @RepeatedTest(8)
    void anyColumnIsKeptAndJudgedWhole(RepetitionInfo rep) throws Exception {
        Column c = new RandomColumns(rep.getCurrentRepetition()).next();
        Job job = DEMO.withColumn(c);
        assertThat(JobReader.read(JobWriter.write(job))).isEqualTo(job);
        Analysis a = Analysis.of(job, new Grid(2, 2), CatalogueFile.shipped());
        assertThat(AnalysisJson.write(a, List.of())).doesNotContain("NaN").doesNotContain("Infinity");
        for (Finding f : a.findings()) {
            for (LengthUnit unit : LengthUnit.values()) {
                assertThat(f.what().text(unit) + f.why().text(unit))
                        .doesNotContain("{")
                        .doesNotContain("NaN")
                        .doesNotContain("null");
            }
            assertThat(Element.trainOf(job)).contains(f.element());
            for (Remedy r : f.remedies()) {
                Job cured = r.edit().apply(job);
                assertThat(cured).isNotEqualTo(job);
                assertThat(JobReader.read(JobWriter.write(cured)))
                        .as(r.action().text(LengthUnit.MM))
                        .isEqualTo(cured);
                assertThat(cured.axle().isPresent()).isTrue();
            }
        }
        for (Element e : Element.trainOf(job)) {
            assertThat(Element.label(job, e)).isNotBlank();
            assertThat(JobPoints.of(job)).containsAll(Element.points(job, e));
        }
    }

    /** A bearing dragged goes along its shaft and nowhere else, and no farther than its ends. */
    @Test
    void bearingDragMovesAlongShaft() {
        Job job = DEMO.editColumn(c -> c.withBearings(List.of(Bearing.planned(
                Id.Kind.BEARING.first(), "Steady", Bearing.Kind.ROD_END, Bearing.Mount.FRAME, 1, 100, 19))));
        PointId middle = new PointId.BearingMiddle(0);
        Column c = job.column().orElseThrow();
        Point at = JobPoints.position(job, middle);
        assertThat(at.distanceTo(c.start(1))).isCloseTo(100, within(1e-9));
        assertThat(JobPoints.label(job, middle)).containsIgnoringCase("steady");
        Job along = JobPoints.moved(
                job,
                middle,
                at.plus(c.axis(1).times(40)).plus(c.axis(1).anySquare().times(70)));
        assertThat(along.column().orElseThrow().bearings().getFirst().along()).isCloseTo(140, within(1e-6));
        assertThat(along.column().orElseThrow().bearings().getFirst().off()).isZero();
        double past = JobPoints.moved(job, middle, at.plus(c.axis(1).times(4000)))
                .column()
                .orElseThrow()
                .bearings()
                .getFirst()
                .along();
        assertThat(past).isBetween(100.0, c.length(1) + 1e-6);
        double before = JobPoints.moved(job, middle, at.plus(c.axis(1).times(-4000)))
                .column()
                .orElseThrow()
                .bearings()
                .getFirst()
                .along();
        assertThat(before).isBetween(0.0, 100.0);
    }

    @Test
    void directionsFromSlopeAndPlanAngles() {
        Random r = new Random(6);
        for (int i = 0; i < 200; i++) {
            double down = -80 + 160 * r.nextDouble();
            double left = -170 + 340 * r.nextDouble();
            Direction d = Direction.ofSlope(down, left);
            assertThat(d.downDeg()).isCloseTo(down, within(1e-9));
            assertThat(d.leftDeg()).isCloseTo(left, within(1e-9));
        }
        assertThat(Direction.ofSlope(0, 0).vector().minus(Vector.X).norm()).isLessThan(1e-12);
        assertThat(Direction.ofSlope(90, 0).z()).isCloseTo(-1, within(1e-12));
        assertThat(Direction.ofSlope(0, 90).y()).isCloseTo(1, within(1e-12));
    }

    /** Whatever is said of one part, the others stay: each edit by name against the column rebuilt by hand. */
    @Test
    void editsChangeOnlyTheirPart() {
        Column c = new RandomColumns(77).next();
        while (c.joints().size() < 3) {
            c = new RandomColumns(c.hashCode()).next();
        }
        List<Column> edited = new ArrayList<>(List.of(
                c.editShaft(1, s -> s.withYieldMpa(s.yieldMpa() + 1)),
                c.editJoint(2, j -> j.withName("other")),
                c.withFirstForkDeg(c.firstForkDeg() + 1),
                c.withTube(Optional.of(new ColumnTube(60, 1, 2, 3))),
                c.withInstallation(c.installation().withBulkhead(Optional.of(1.0))),
                c.withWheel(c.wheel().withDiameter(999)),
                c.editWheelEndFit(1, f -> f.withTakeOff(77)),
                c.editGearEndFit(c.joints().size(), f -> f.withEngagement(78)),
                c.editWheelEndFit(0, f -> f.withTakeOff(79))));
        for (Column e : edited) {
            assertThat(e).isNotEqualTo(c);
            assertThat(e.points()).isEqualTo(c.points());
            assertThat(e.bearings()).isEqualTo(c.bearings());
        }
        assertThat(edited.get(0).joints()).isEqualTo(c.joints());
        assertThat(edited.get(6).joints().getFirst().gearSide().takeOff()).isEqualTo(77);
        assertThat(edited.get(6).joints().getFirst().wheelSide())
                .isEqualTo(c.joints().getFirst().wheelSide());
        assertThat(edited.get(7).gear().fit().engagement()).isEqualTo(78);
        assertThat(edited.get(8).wheel().fit().takeOff()).isEqualTo(79);
        assertThat(edited.get(6).cutLength(1))
                .isCloseTo(c.cutLength(1) - 77 + c.wheelEndFit(1).takeOff(), within(1e-9));
    }
}
