package mildtilt.app.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.app.WindowExtension;
import mildtilt.app.workbench.Workbench.Message;
import mildtilt.clearance.PairGap;
import mildtilt.findings.Finding;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.SteeringInput;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.util.WaitForAsyncUtils;

/** The document and its history, on the interface thread but without a window. */
@ExtendWith(WindowExtension.class)
class WorkbenchTest {

    private static final PointId HUB = new PointId.Hub();
    private static final PointId ARM = new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT);

    private final Job demo = DemoJob.MARSH_CARRIER.job();
    private final AtomicReference<Workbench> made = new AtomicReference<>();

    @BeforeEach
    void open() {
        onFx(() -> made.set(new Workbench(demo)));
    }

    @AfterEach
    void close() {
        onFx(() -> bench().close());
    }

    private Workbench bench() {
        return made.get();
    }

    private static void onFx(Runnable run) {
        WaitForAsyncUtils.waitForAsyncFx(20_000, () -> {
            assertThat(Platform.isFxApplicationThread()).isTrue();
            run.run();
        });
    }

    private static Job moved(Job job, PointId id, double x, double y, double z) {
        return JobPoints.moved(job, id, JobPoints.position(job, id).plus(new Vector(x, y, z)));
    }

    private void settle() throws Exception {
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> bench().analysisProperty()
                .get()
                .map(w -> w.now().job() == bench().job() && w.whole())
                .orElse(false));
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void manyEditsUndoAndRedo() {
        onFx(() -> {
            for (int i = 0; i < 300; i++) {
                assertThat(bench().edit("step " + i, j -> moved(j, HUB, 0, 0, 0.5)))
                        .isTrue();
            }
            Job last = bench().job();
            assertThat(JobPoints.position(last, HUB).z()).isCloseTo(1010 + 150, within(1e-6));
            for (int i = 299; i >= 0; i--) {
                assertThat(bench().undoable()).contains("step " + i);
                bench().undo();
            }
            assertThat(bench().job()).isEqualTo(demo);
            assertThat(bench().undoable()).isEmpty();
            bench().undo();
            for (int i = 0; i < 300; i++) {
                bench().redo();
            }
            assertThat(bench().job()).isEqualTo(last);
            bench().undo();
            bench().edit("another way", j -> moved(j, HUB, 1, 0, 0));
            assertThat(bench().redoable())
                    .as("a new change ends the old future")
                    .isEmpty();
        });
    }

    @Test
    void refusedEditChangesNothing() {
        onFx(() -> {
            assertThat(bench().edit(
                                    "fold the arm",
                                    j -> JobPoints.moved(j, new PointId.JointCentre(0), JobPoints.position(j, HUB))))
                    .isFalse();
            Message said = bench().messageProperty().get();
            assertThat(said.refusal()).isTrue();
            assertThat(said.text()).contains("\"Column shaft\" has no length").contains("Nothing was changed");
            // A size the file could not hold is refused as well, before it can be saved.
            assertThat(bench().edit("far away", j -> JobPoints.moved(j, HUB, new Point(-5e6, 0, 0))))
                    .isFalse();
            assertThat(bench().messageProperty().get().text())
                    .contains("hub, x is -5000000 mm; it can be -20000 to 20000 mm");
            assertThat(bench().job()).isSameAs(demo);
            assertThat(bench().undoable()).isEmpty();
            assertThat(bench().unsaved()).isFalse();
            assertThat(bench().edit("no change", j -> j)).isFalse();
        });
    }

    /**
     * An edit made where no notes stand leaves the remedies out; the notes shown before it is worked out bring them all
     * the same.
     */
    @Test
    void remedyEffectsComputeWhenFindingsOpen() throws Exception {
        settle();
        Finding looked = curable();
        onFx(() -> {
            bench().lookAtRemedies(looked);
            bench().stageProperty().set(WorkStage.TRIAL);
            assertThat(bench().findingsSeen()).isFalse();
            bench().edit("while no notes are seen", j -> moved(j, HUB, 0, 0, 1));
            bench().stageProperty().set(WorkStage.MAKE);
            assertThat(bench().findingsSeen()).isTrue();
        });
        settle();
        AnalysisUpdate now = bench().analysisProperty().get().orElseThrow();
        assertThat(now.effects().keySet())
                .containsExactlyInAnyOrderElementsOf(now.now().findings().stream()
                        .filter(looked::same)
                        .filter(f -> f.element().equals(looked.element()))
                        .flatMap(f -> f.remedies().stream())
                        .toList())
                .isNotEmpty();
    }

    @Test
    void dragIsOneUndoableChange() {
        onFx(() -> {
            bench().beginDrag();
            for (int i = 1; i <= 30; i++) {
                double x = i;
                bench().drag(start -> moved(start, ARM, x, 0, 0));
            }
            assertThat(bench().undoable()).isEmpty();
            assertThat(JobPoints.position(bench().job(), ARM).x()).isEqualTo(-158 + 30);
            // On its way a drag may pass places that can't be; it stays at the last that can.
            bench().drag(start ->
                    JobPoints.moved(start, ARM, JobPoints.position(start, new PointId.InnerPivot(Side.LEFT))));
            assertThat(JobPoints.position(bench().job(), ARM).x()).isEqualTo(-158 + 30);
            bench().endDrag("move the arm");
            assertThat(bench().undoable()).contains("move the arm");
            bench().undo();
            assertThat(bench().job()).isEqualTo(demo);

            bench().beginDrag();
            bench().drag(start -> moved(start, HUB, 9, 9, 9));
            bench().cancelDrag();
            assertThat(bench().job()).isEqualTo(demo);
            bench().endDrag("nothing");
            assertThat(bench().undoable()).isEmpty();
        });
    }

    @Test
    void compareWithLastChangeOpenedOrMark() throws Exception {
        onFx(() -> bench().edit("raise the hub", j -> moved(j, HUB, 0, 0, 10)));
        settle();
        assertThat(before()).isEqualTo(demo);
        onFx(() -> bench().edit("raise it again", j -> moved(j, HUB, 0, 0, 10)));
        settle();
        assertThat(JobPoints.position(before(), HUB).z()).isEqualTo(1020);
        onFx(() -> bench().comparedProperty().set(CompareWith.OPENED));
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> before().equals(demo));
        onFx(() -> bench().pin());
        onFx(() -> bench().edit("and again", j -> moved(j, HUB, 0, 0, 10)));
        settle();
        assertThat(JobPoints.position(before(), HUB).z()).isEqualTo(1030);
        assertThat(bench().comparedProperty().get()).isEqualTo(CompareWith.PINNED);
    }

    private Job before() {
        return bench().analysisProperty()
                .get()
                .flatMap(AnalysisUpdate::before)
                .orElseThrow()
                .job();
    }

    @Test
    void newestAnalysisWins() throws Exception {
        onFx(() -> {
            for (int i = 0; i < 60; i++) {
                bench().edit("step", j -> moved(j, ARM, 0.5, 0, 0));
            }
        });
        settle();
        AnalysisUpdate worked = bench().analysisProperty().get().orElseThrow();
        assertThat(worked.now().job()).isSameAs(bench().job());
        // What nobody looks at is not worked out; what is looked at is, of the same analysis.
        assertThat(worked.effects()).isEmpty();
        Finding looked = curable();
        onFx(() -> bench().lookAtRemedies(looked));
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> bench().analysisProperty()
                .get()
                .orElseThrow()
                .effects()
                .keySet()
                .containsAll(looked.remedies()));
        assertThat(bench().analysisProperty().get().orElseThrow().now()).isSameAs(worked.now());
        assertThat(worked.now().headlines().get(Headline.RATIO)).isPresent();
    }

    private Finding curable() {
        return bench().analysisProperty().get().orElseThrow().now().findings().stream()
                .filter(f -> !f.remedies().isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** A change of what is judged leaves the gaps as they are; one of the vehicle has them worked out anew. */
    @Test
    void gapsAreKeptWhereNothingTheyHangOnChanges() throws Exception {
        settle();
        Analysis first = bench().analysisProperty().get().orElseThrow().now();
        onFx(() -> bench().edit("Turn a fork", j -> j.editColumn(c -> c.withFirstForkDeg(c.firstForkDeg() + 30))));
        settle();
        // The wheel turns the gear otherwise then, so each gap is smallest at another turn of it.
        Analysis clocked = bench().analysisProperty().get().orElseThrow().now();
        assertThat(clocked.clearance()).isNotSameAs(first.clearance());
        asFresh(clocked);
        onFx(() -> bench().edit("Other rules", j -> j.withRules(ShippedRules.CLOSED_COURSE.rules())));
        settle();
        Analysis ruled = bench().analysisProperty().get().orElseThrow().now();
        assertThat(ruled.clearance()).isSameAs(clocked.clearance());
        asFresh(ruled);
        onFx(() -> bench().edit("Raise the hub", j -> moved(j, HUB, 0, 0, 10)));
        settle();
        Analysis raised = bench().analysisProperty().get().orElseThrow().now();
        assertThat(raised.clearance()).isNotSameAs(first.clearance());
        asFresh(raised);
    }

    /** Its gaps are those of its job worked out with nothing known before. */
    private static void asFresh(Analysis a) {
        List<PairGap> fresh = Analysis.of(a.job()).clearance().orElseThrow().pairs();
        List<PairGap> kept = a.clearance().orElseThrow().pairs();
        assertThat(kept).hasSameSizeAs(fresh);
        for (int i = 0; i < fresh.size(); i++) {
            assertThat(kept.get(i).firstId()).isEqualTo(fresh.get(i).firstId());
            assertThat(kept.get(i).secondId()).isEqualTo(fresh.get(i).secondId());
            assertThat(kept.get(i).gap()).isCloseTo(fresh.get(i).gap(), within(1e-6));
        }
    }

    @Test
    void steeringInputStopsAtLimits() {
        onFx(() -> {
            bench().steerTo(new SteeringInput(1e6, 500, -500));
            SteeringInput h = bench().steeringInput();
            assertThat(h.steeringWheelDeg())
                    .isEqualTo(bench().train().stopDeg(Side.LEFT).orElseThrow());
            assertThat(h.travelLeft()).isEqualTo(70);
            assertThat(h.travelRight()).isEqualTo(-60);
            assertThat(bench().pose().orElseThrow().assembled()).isPresent();
            assertThat(bench().pose().orElseThrow().left())
                    .isInstanceOfSatisfying(
                            KnucklePose.class, k -> assertThat(k.steerDeg()).isGreaterThan(25));
            // A shorter rack brings the hands back with it.
            bench().edit("half the travel", j -> j.withVehicle(j.vehicle().withBump(20)));
            assertThat(bench().steeringInput().travelLeft()).isEqualTo(20);
        });
    }

    @Test
    void savedAndOpenedAreReported() {
        onFx(() -> {
            bench().edit("raise the hub", j -> moved(j, HUB, 0, 0, 10));
            assertThat(bench().unsaved()).isTrue();
            bench().undo();
            assertThat(bench().unsaved()).as("back at what was opened").isFalse();
            bench().redo();
            bench().savedAs(Path.of("x.tilt"));
            assertThat(bench().unsaved()).isFalse();
            assertThat(bench().fileProperty().get()).contains(Path.of("x.tilt"));
            bench().selectionProperty().set(Optional.of(new Element.Wheel()));
            bench().open(demo.withTitle("other"), Optional.empty());
            assertThat(bench().undoable()).isEmpty();
            assertThat(bench().selectionProperty().get()).isEmpty();
            assertThat(bench().steeringInput().straightAhead()).isTrue();
            bench().markUnsaved();
            assertThat(bench().unsaved()).isTrue();
        });
    }
}
