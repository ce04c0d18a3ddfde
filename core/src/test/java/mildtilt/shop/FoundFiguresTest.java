package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.LevelColumn;
import mildtilt.analysis.Analysis;
import mildtilt.build.AsFound;
import mildtilt.build.Making;
import mildtilt.build.PartAsFound;
import mildtilt.build.PartAsFound.Limit;
import mildtilt.build.ShaftJoin;
import mildtilt.build.ShroudAsFound;
import mildtilt.column.Column;
import mildtilt.column.Slide;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.shop.FoundFigures.Verdict;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

/** A hearse's column for a pedal-driven ferry: level, so that every length can be added up on paper. */
class FoundFiguresTest {

    private static final Id UPPER = LevelColumn.UPPER;
    private static final Id LOWER = LevelColumn.LOWER;

    private static Job found(AsFound found) {
        return LevelColumn.job().editMaking(m -> m.withAsFound(found));
    }

    private static AsFound with(PartAsFound shaft, PartAsFound tube) {
        return new AsFound(Map.of(UPPER, shaft), Optional.of(tube), Optional.empty());
    }

    /** The shaft is 600 less 0 at the hub less 15 in the fork: 585. The tube is 430 between bearings and 12 beyond. */
    @Test
    void whatComesOffIsAsOnPaper() throws JobFileException {
        Job job = found(
                with(new PartAsFound(703, 560, Limit.BEARING_SEAT), new PartAsFound(534, 492, Limit.COLLAPSE_SECTION))
                        .withShroud(Optional.of(new ShroudAsFound(30, new PartAsFound(600, 300, Limit.LOCK)))));
        List<FoundFigures> all = FoundFigures.of(job);
        assertThat(all).extracting(FoundFigures::verdict).containsExactly(Verdict.CUT, Verdict.TOO_LONG, Verdict.CUT);
        FoundFigures shaft = all.get(0);
        assertThat(shaft.off()).isCloseTo(118, within(1e-9));
        assertThat(shaft.left()).isCloseTo(585, within(1e-9));
        FoundFigures tube = all.get(1);
        assertThat(tube.off()).isCloseTo(42, within(1e-9));
        assertThat(tube.over()).isCloseTo(492 - 454, within(1e-9));
        // Upper bearing at 50, 492 of tube less 12 at either end: the lower one at 518, 82 from the joint at 600.
        assertThat(tube.toJoint().orElseThrow()).isCloseTo(82, within(1e-9));
        assertThat(tube.order().text(LengthUnit.MM)).contains("Take 42.0 mm off", "sits 82.0 mm from joint-1");
        // The tube then ends at 530; the fork begins at 560.
        assertThat(all.get(2).left()).isCloseTo(500, within(1e-9));
        assertThat(all.get(2).toJoint().orElseThrow()).isCloseTo(30, within(1e-9));
        assertThat(JobReader.read(JobWriter.write(job)).making().asFound())
                .isEqualTo(job.making().asFound());
    }

    @Test
    void aTubeThatStaysLongEndsWhereItCanAndIsThenAsPlanned() {
        Job job = found(with(new PartAsFound(703, 560, Limit.BEARING_SEAT), new PartAsFound(534, 492, Limit.BRACKET)));
        Finding said = only(job, Fault.FOUND_TOO_LONG);
        assertThat(said.severity()).isEqualTo(Severity.LOOK);
        assertThat(said.why().text(LengthUnit.MM)).startsWith("Move the bracket along");
        Job cured = said.remedies().getFirst().edit().apply(job);
        assertThat(cured.column().orElseThrow().tube().orElseThrow().to()).isCloseTo(518, within(1e-9));
        assertThat(of(cured, Fault.FOUND_TOO_LONG)).isEmpty();
        // 560 of tube put the lower bearing at 586, in the fork: the joint has to go on, and then it sits on the shaft.
        Job worse = found(with(new PartAsFound(703, 560, Limit.BEARING_SEAT), new PartAsFound(600, 560, Limit.OTHER)));
        Finding stop = only(worse, Fault.FOUND_TOO_LONG);
        assertThat(stop.severity()).isEqualTo(Severity.STOP);
        Job moved = stop.remedies().getFirst().edit().apply(worse);
        assertThat(of(moved, Fault.FOUND_TOO_LONG)).isEmpty();
        assertThat(of(moved, Fault.BEARING_OFF_SHAFT))
                .extracting(Finding::element)
                .doesNotContain(new Element.Tube());
    }

    /** The folding shaft is 370 as cut; it slides from 110 to 210 along, and a bearing sits at 330. */
    @Test
    void aFoldingShaftIsLengthenedWhereNothingSlidesOrBurns() {
        Job job =
                found(AsFound.NOTHING.withShaft(LOWER, Optional.of(new PartAsFound(330, 330, Limit.COLLAPSE_SECTION))));
        Finding said = only(job, Fault.FOUND_TOO_SHORT);
        assertThat(said.what().text(LengthUnit.MM)).contains("40.0 mm too short");
        Job joined = said.remedies().getFirst().edit().apply(job);
        ShaftJoin join = joined.making().joins().getFirst();
        Column.Stretch slides = joined.column().orElseThrow().slidesOver(1).orElseThrow();
        assertThat(slides.distance(join.along())).isGreaterThan(30);
        assertThat(FoundFigures.of(joined).getFirst().verdict()).isEqualTo(Verdict.LENGTHENED);
        assertThat(of(joined, Fault.JOIN_LOST)).isEmpty();
        Papers papers = Papers.of(Analysis.of(joined), LocalDate.EPOCH);
        // As found it is 330, its halves meeting 145 from its wheel end by 60: halves of 175 and 215. One of them stays
        // whole; the other is of two pieces with a gap to weld, 40 longer in all, and what is made new is from bar.
        double gap = joined.making().workshop().rootGap();
        List<CutList.CutLine> lines = papers.cuts().lines().stream()
                .filter(l -> l.name().startsWith("Folding shaft,"))
                .toList();
        boolean atWheel = join.along() < slides.from();
        assertThat(lines)
                .filteredOn(l -> l.name().equals("Folding shaft, " + (atWheel ? "inner" : "outer") + " half"))
                .singleElement()
                .satisfies(l -> assertThat(l.finished()).isCloseTo(atWheel ? 215 : 175, within(1e-9)));
        assertThat(lines.stream().mapToDouble(CutList.CutLine::finished).sum())
                .isCloseTo(175 + 215 + 40 - gap, within(1e-9));
        assertThat(lines).filteredOn(l -> l.section().isPresent()).hasSize(1);
        // In the middle of what slides no join is cut for, and it is said.
        Job within = job.editMaking(m -> m.withJoin(LOWER, 160, ShaftJoin.School.SLEEVE));
        assertThat(only(within, Fault.JOIN_LOST).what().text(LengthUnit.MM))
                .contains("slide in each other from 110.0 mm to 210.0 mm");
    }

    /**
     * Whatever its length and wherever its halves meet: nothing is kept that was not there, and it comes out as
     * planned.
     */
    @Test
    void whatIsKeptWasThere() {
        Random random = new Random(24);
        int lengthened = 0;
        for (int i = 0; i < 200; i++) {
            double length = 260 + random.nextInt(105);
            double middle = 90 + random.nextInt((int) length - 130);
            Job job = found(AsFound.NOTHING.withShaft(LOWER, Optional.of(new PartAsFound(length, length, Limit.OTHER))))
                    .editColumn(c ->
                            c.editShaft(1, s -> s.withSlide(Optional.of(new Slide(60, 40, 20, Optional.of(middle))))));
            Optional<Lengthening> way = Lengthening.of(job, 1, ShaftJoin.School.SLEEVE);
            if (way.isEmpty()) {
                continue;
            }
            Job joined = way.get().apply(job, 1, ShaftJoin.School.SLEEVE);
            if (FoundFigures.of(joined).getFirst().verdict() != Verdict.LENGTHENED) {
                continue;
            }
            lengthened++;
            double outer = middle - 15 + 30;
            double inner = length - (middle - 15) + 30;
            double gap = joined.making().workshop().rootGap();
            List<CutList.CutLine> lines = new ShaftCuts(
                            joined,
                            joined.column().orElseThrow(),
                            BenchSheet.of(joined, new SteeringTrain(joined)),
                            JoinFigures.of(joined),
                            FoundFigures.of(joined))
                    .lines().stream()
                            .filter(l -> l.name().startsWith("Folding shaft,"))
                            .toList();
            String what = length + " found, halves meeting at " + middle;
            for (CutList.CutLine l : lines) {
                if (l.section().isEmpty()) {
                    assertThat(l.finished())
                            .as(what + ": " + l.name())
                            .isLessThanOrEqualTo((l.name().contains("outer") ? outer : inner) + 1e-9);
                }
            }
            assertThat(lines.stream().mapToDouble(CutList.CutLine::finished).sum())
                    .as(what)
                    .isCloseTo(370 + 60 - gap, within(1e-9));
        }
        assertThat(lengthened).as("shafts that could be lengthened").isGreaterThan(60);
    }

    /** A weld laid in one go, 90 mm from a bearing, and where it is cool. */
    @Test
    void heatThatReachesABearingIsSaidWithWhereItIsCool() {
        Job near = LevelColumn.job()
                .editColumn(c -> c.editShaft(1, s -> s.withSlide(Optional.empty())))
                .editMaking(m -> m.withJoin(LOWER, 240, ShaftJoin.School.SLEEVE));
        Finding said = only(near, Fault.HEAT_SPOILS);
        ReachedByHeat hot = JoinFigures.of(near).getFirst().near().stream()
                .filter(n -> n.name().equals("Rod end"))
                .findFirst()
                .orElseThrow();
        assertThat(hot.away()).isCloseTo(90, within(1e-9));
        assertThat(said.what().text(LengthUnit.MM)).contains("Rod end is 90.0 mm away");
        assertThat(hot.keep()).isGreaterThan(90);
        // A millimetre further than said it stays cool.
        double further = 330 - hot.keep() - 1;
        assertThat(further).as("there is a place").isGreaterThan(0);
        assertThat(JoinFigures.of(near, near.making().joins().getFirst().withAlong(further))
                        .orElseThrow()
                        .near())
                .extracting(ReachedByHeat::name)
                .doesNotContain("Rod end");
        Job bolted = near.editMaking((Making m) -> m.editJoin(0, j -> j.withSchool(ShaftJoin.School.COUPLING)));
        assertThat(of(bolted, Fault.HEAT_SPOILS)).isEmpty();
    }

    private static List<Finding> of(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .toList();
    }

    private static Finding only(Job job, Fault fault) {
        List<Finding> all = of(job, fault);
        assertThat(all).hasSize(1);
        return all.getFirst();
    }
}
