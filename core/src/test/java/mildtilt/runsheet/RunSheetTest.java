package mildtilt.runsheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.build.LocatingStep;
import mildtilt.build.WeldRecord;
import mildtilt.build.WeldRecord.Moment;
import mildtilt.build.WeldRecord.Reading;
import mildtilt.build.WeldedMetal;
import mildtilt.build.WorkPlan;
import mildtilt.build.WorkPlan.Purchase;
import mildtilt.build.WorkPlan.StepMark;
import mildtilt.columnrange.TrainEdits;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.Shuttle;
import mildtilt.report.Papers;
import mildtilt.runsheet.RunSheet.State;
import mildtilt.runsheet.RunStep.Need;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RunSheetTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);

    private static Papers papers(Job job) {
        return Papers.of(Analysis.of(job), DAY);
    }

    private static List<String> keys(RunSheet r) {
        return r.lines().stream().map(l -> l.step().key()).toList();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void stepsFollowTheirDependencies(DemoJob demo) {
        RunSheet run = papers(demo.job()).run();
        List<String> keys = keys(run);
        assertThat(keys).doesNotHaveDuplicates().startsWith("stands").endsWith("drive");
        for (RunSheet.Line l : run.lines()) {
            assertThat(l.step().needs()).as(l.step().key()).allSatisfy(n -> {
                assertThat(keys.indexOf(n.key()))
                        .isBetween(0, keys.indexOf(l.step().key()) - 1);
                assertThat(n.why()).isNotBlank();
            });
        }
        assertThat(keys).containsSubsequence("gear", "rods", "trial", "lock", "inspect");
        assertThat(keys).containsSubsequence("mounts", "mock", "shafts");
        assertThat(run.lines().stream().map(RunSheet.Line::step).filter(s -> !s.own()))
                .allSatisfy(s -> assertThat(s.proof().text(LengthUnit.MM))
                        .as(s.key())
                        .hasSizeGreaterThan(15)
                        .endsWith("."));
        if (keys.contains("weld")) {
            assertThat(run.held(Set.of("trial")))
                    .as("nothing is welded for good before the trial")
                    .contains("strip", "weld", "test", "drive");
            assertThat(run.line("weld").orElseThrow().step().cautions())
                    .contains(Cautions.CURRENT, Cautions.QUALIFIED, Cautions.SEALED);
        }
        assertThat(run.line("mounts").orElseThrow().step().cautions()).contains(Cautions.CHARGE);
        assertThat(run.line("stands").orElseThrow().step().cautions()).contains(Cautions.STANDS);
    }

    /**
     * A shuttle's bar fixes everything else; a bell crank and an idler follow the gear; carriers come before the saw.
     */
    @Test
    void oneThingLocatesTheNext() {
        Job shuttle = Arrays.stream(DemoJob.values())
                .map(DemoJob::job)
                .filter(j -> j.axle().orElseThrow().linkage() instanceof Shuttle)
                .findFirst()
                .orElseThrow();
        assertThat(keys(papers(shuttle).run())).containsSubsequence("centre", "bar", "gear", "mounts", "rods");
        Job crank = Arrays.stream(DemoJob.values())
                .map(DemoJob::job)
                .filter(j -> j.axle().orElseThrow().linkage() instanceof BellCrank)
                .findFirst()
                .orElseThrow();
        assertThat(keys(papers(crank).run())).containsSubsequence("gear", "pivots", "rods");
        Job steady = DemoJob.MARSH_CARRIER
                .job()
                .editColumn(c -> TrainEdits.withBearing(
                        c, 1, CatalogueFile.shipped().bearings().getFirst()));
        RunSheet run = papers(steady).run();
        assertThat(keys(run)).containsSubsequence("mounts", "mock", "carriers", "cut");
        assertThat(run.line("carriers").orElseThrow().step().measure()).hasSize(1);
    }

    /** Somebody has a column that stays where it is, and leads the gear to it. */
    @Test
    void whatTheUserSaysOfWhatLocatesWhatComesFirst() throws JobFileException {
        Job job = DemoJob.MARSH_CARRIER.job();
        Job told = job.editMaking(m -> m.editPlan(p -> p.withLocated(LocatingStep.GEAR, LocatingStep.MOUNTS)));
        RunSheet run = papers(told).run();
        assertThat(keys(run))
                .containsSubsequence("wheel", "mounts", "gear", "rods")
                .hasSameSizeAs(keys(papers(job).run()));
        assertThat(run.line("gear").orElseThrow().step().needs())
                .anyMatch(n -> n.key().equals("mounts") && n.why().startsWith("you said"));
        assertThat(run.line("mounts").orElseThrow().step().needs())
                .noneMatch(n -> n.key().equals("gear"));
        assertThat(JobReader.read(JobWriter.write(told)).making().plan().located())
                .containsExactly(new WorkPlan.Located(LocatingStep.GEAR, LocatingStep.MOUNTS));
        // The rods need the gear: what goes round in a circle among the user's own is refused.
        assertThatThrownBy(() ->
                        told.editMaking(m -> m.editPlan(p -> p.withLocated(LocatingStep.MOUNTS, LocatingStep.WHEEL)
                                .withLocated(LocatingStep.WHEEL, LocatingStep.GEAR))))
                .hasMessageContaining("round in a circle");
    }

    @Test
    void stepsMatchJobContents() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        Job axleOnly = Job.of("axle", new Plan(demo.vehicle(), Optional.empty(), demo.axle(), demo.targets()));
        assertThat(keys(papers(axleOnly).run()))
                .doesNotContain("mounts", "forks", "weld")
                .contains("rods", "toe", "trial");
        Job columnOnly = Job.of("column", new Plan(demo.vehicle(), demo.column(), Optional.empty(), demo.targets()));
        assertThat(keys(papers(columnOnly).run()))
                .doesNotContain("rods", "gear")
                .contains("mounts", "forks");
        Job nothing = Job.of("nothing", new Plan(demo.vehicle(), Optional.empty(), Optional.empty(), demo.targets()));
        assertThat(keys(papers(nothing).run())).contains("stands", "drive");
    }

    private static RunStep step(String key, double hours, double wait, String... after) {
        List<Need> needs = new ArrayList<>();
        for (String a : after) {
            needs.add(new Need(a, "it does"));
        }
        return new RunStep(key, "Step " + key, needs, List.of(), "", wait, List.of(), hours, false, "", Phrase.of(""));
    }

    private static final List<RunStep> STEPS =
            List.of(step("a", 4, 0), step("b", 2, 1, "a"), step("c", 6, 0), step("d", 3, 0, "b", "c"));

    @Test
    void earlyTicksAreFlaggedAndSkippedStepsDontBlock() {
        WorkPlan plan = WorkPlan.NONE.withMark("b", StepMark.NONE.withDone(Optional.of(DAY)));
        RunSheet run = RunSheet.of(STEPS, plan);
        assertThat(run.lines())
                .extracting(RunSheet.Line::state)
                .containsExactly(State.READY, State.OUT_OF_ORDER, State.READY, State.WAITS);
        assertThat(run.line("b").orElseThrow().open()).extracting(Need::key).containsExactly("a");
        RunSheet without = RunSheet.of(
                STEPS,
                plan.withMark("a", StepMark.NONE.withSkipped(true))
                        .withMark("c", StepMark.NONE.withDone(Optional.of(DAY))));
        assertThat(without.lines())
                .extracting(RunSheet.Line::state)
                .containsExactly(State.SKIPPED, State.DONE, State.DONE, State.READY);
    }

    @Test
    void addedStepsKeepTheirPlace() {
        WorkPlan plan = WorkPlan.NONE
                .withOwnStep("b", "first")
                .withOwnStep("b", "second")
                .withOwnStep("gone", "last");
        RunSheet run = RunSheet.of(STEPS, plan);
        assertThat(run.lines())
                .extracting(l -> l.step().title())
                .containsExactly("Step a", "Step b", "first", "second", "Step c", "Step d", "last");
        assertThat(RunSheet.of(STEPS, plan.withoutOwnStep("own-1")).lines())
                .extracting(l -> l.step().title())
                .doesNotContain("first")
                .contains("second");
        assertThat(plan.withoutOwnStep("own-1").withOwnStep("a", "third").ownSteps())
                .extracting(WorkPlan.OwnStep::key)
                .doesNotHaveDuplicates();
    }

    @Test
    void orderByDateFollowsReadyDate() {
        // 7 hours a week is an hour a day: c and d are nine hours, so c begins nine days before; b has a day's wait
        // besides.
        WorkPlan plan = WorkPlan.NONE
                .withHoursPerWeek(7)
                .withWanted(Optional.of(LocalDate.of(2027, 1, 31)))
                .withPurchase(
                        new Id("bar"),
                        new Purchase(Optional.of(12.5), Optional.of(10), Optional.empty(), Optional.empty()))
                .withPurchase(
                        new Id("joint"),
                        new Purchase(Optional.of(80.0), Optional.of(60), Optional.empty(), Optional.empty()));
        RunSheet run = RunSheet.of(STEPS, plan);
        assertThat(run.daysFrom("c", 7)).isEqualTo(9);
        assertThat(run.daysFrom("b", 7)).isEqualTo(12);
        assertThat(run.begin(plan)).contains(LocalDate.of(2027, 1, 15));
        List<Buying.Wanted> wanted = List.of(
                new Buying.Wanted(new Id("bar"), Phrase.of("bar"), 1, "", "c"),
                new Buying.Wanted(new Id("joint"), Phrase.of("joint"), 2, "", "b"),
                new Buying.Wanted(new Id("nut"), Phrase.of("nut"), 2, "", "d"));
        Buying b = Buying.of(wanted, run, plan, DAY);
        assertThat(b.items().get(0).latest()).contains(LocalDate.of(2027, 1, 12));
        assertThat(b.items().get(0).late()).isZero();
        assertThat(b.items().get(1).latest()).contains(LocalDate.of(2026, 11, 20));
        assertThat(b.items().get(1).late()).isEqualTo(6);
        assertThat(b.items().get(2).latest()).as("no lead time was typed").isEmpty();
        assertThat(b.price()).isEqualTo(92.5);
        assertThat(b.unpriced()).isEqualTo(1);
        assertThat(b.meanwhile()).containsExactly("Step a");
        // Once here, what it held up can be done; once ordered, there is no day to order it any more.
        WorkPlan here = plan.withPurchase(
                        new Id("joint"), plan.purchase(new Id("joint")).withArrived(Optional.of(DAY)))
                .withPurchase(new Id("bar"), plan.purchase(new Id("bar")).withOrdered(Optional.of(DAY)));
        Buying later = Buying.of(wanted, RunSheet.of(STEPS, here), here, DAY);
        assertThat(later.items().get(0).latest()).isEmpty();
        assertThat(later.meanwhile()).containsExactly("Step a", "Step b");
        assertThat(later.items()).allMatch(i -> i.late() == 0);
    }

    private static WeldRecord weld(WeldedMetal metal, double[]... readings) {
        WeldRecord w = WeldRecord.usual(Id.Kind.WELD.first(), "arm", metal)
                .withWords("rod", "welder", "dye, by another")
                .withDay(Optional.of(DAY));
        for (double[] r : readings) {
            w = w.withReading(new Reading(r[0], r[1], Moment.values()[(int) r[2]]));
        }
        return w;
    }

    private static List<String> wrong(WeldRecord w) {
        return HeatVerdict.of(w).wrong().stream()
                .map(p -> p.text(LengthUnit.MM))
                .toList();
    }

    @Test
    void goodHeatRecordHasNoFaults() {
        WeldRecord good = weld(WeldedMetal.MEDIUM_CARBON, new double[][] {
            {0, 20, 0}, {40, 220, 0}, {50, 280, 1}, {60, 300, 1}, {120, 245, 2}, {240, 130, 2}, {300, 80, 2}
        });
        assertThat(wrong(good)).isEmpty();
        assertThat(HeatVerdict.of(good).fastestCooling().orElseThrow()).isCloseTo(57.5, within(1e-9));
        assertThat(wrong(good.withWords("rod", "welder", "")))
                .singleElement()
                .asString()
                .contains("Not signed");
    }

    /** Each: the readings, and what must be said of them. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 20 0,30 150 0,40 250 1,100 200 2,220 90 2 | Heated to 150 °C; 200 °C was wanted",
                "0 20 0,30 220 0,40 180 1,100 130 2,220 90 2 | Down to 180 °C between runs",
                "0 20 0,30 220 0,40 380 1,100 330 2,300 150 2 | Up to 380 °C between runs",
                "0 20 0,30 220 0,40 300 1,50 200 2,220 90 2 | Cooled by as much as 600 °C an hour",
                "40 300 1,100 250 2,300 90 2 | not shown to have been reached",
                "0 20 0,30 220 0,40 300 1 | cooling was not read"
            })
    void whatWentWrongIsSaid(String readings, String says) {
        List<double[]> all = new ArrayList<>();
        for (String r : readings.strip().split(",")) {
            String[] n = r.split(" ");
            all.add(new double[] {Double.parseDouble(n[0]), Double.parseDouble(n[1]), Double.parseDouble(n[2])});
        }
        assertThat(wrong(weld(WeldedMetal.MEDIUM_CARBON, all.toArray(double[][]::new))))
                .anyMatch(s -> s.contains(says));
    }

    @Test
    void castIronAndUnknownMetalsAreNotWelded() {
        assertThat(wrong(weld(WeldedMetal.CAST_IRON))).anyMatch(s -> s.contains("is not welded"));
        assertThat(wrong(weld(WeldedMetal.UNKNOWN))).anyMatch(s -> s.contains("is not welded"));
        assertThat(wrong(weld(WeldedMetal.MILD_STEEL))).isEmpty();
    }
}
