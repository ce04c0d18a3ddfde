package mildtilt.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import mildtilt.app.WindowExtension;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.jobfile.DemoJob;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.util.WaitForAsyncUtils;

/**
 * What is remembered from one start to the next: recent jobs and the layout of each stage. Damage to it never stops a
 * start.
 */
@ExtendWith(WindowExtension.class)
class KeptForTheUserTest {

    @TempDir
    Path folder;

    /** With a workbench, on the interface thread. */
    private static void withBench(Consumer<Workbench> use) {
        WaitForAsyncUtils.waitForAsyncFx(20_000, () -> {
            try (Workbench bench = new Workbench(DemoJob.BOG_TENDER.job())) {
                use.accept(bench);
            }
        });
    }

    private Path job(String name) throws Exception {
        return Files.writeString(folder.resolve(name), "{}");
    }

    @Test
    void recentJobsAreNewestFirstWithoutRepeatsAndAtMostTwelve() throws Exception {
        RecentJobs recent = new RecentJobs(folder.resolve("state"));
        assertThat(recent.all()).isEmpty();
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < 15; i++) {
            files.add(job("j" + i + ".tilt"));
            recent.add(files.getLast());
        }
        assertThat(recent.all()).hasSize(12).startsWith(files.get(14), files.get(13));
        recent.add(files.get(8));
        assertThat(recent.all())
                .hasSize(12)
                .startsWith(files.get(8), files.get(14))
                .doesNotHaveDuplicates();
        assertThat(new RecentJobs(folder.resolve("state")).all()).isEqualTo(recent.all());
    }

    @Test
    void recentJobsThatAreGoneAreLeftOut() throws Exception {
        RecentJobs recent = new RecentJobs(folder);
        Path stays = job("stays.tilt");
        Path goes = job("goes.tilt");
        recent.add(stays);
        recent.add(goes);
        Files.delete(goes);
        assertThat(recent.all()).containsExactly(stays);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\u0000\n/x", "\n\n\n", "not/a/path/that/is/there\n"})
    void damagedRecentListIsEmpty(String text) throws Exception {
        Files.writeString(folder.resolve("recent.txt"), text);
        assertThat(new RecentJobs(folder).all()).isEmpty();
    }

    @Test
    void eachStageKeepsItsViewAndDockAcrossStarts() {
        withBench(bench -> {
            StageLayouts layouts = new StageLayouts(folder, bench);
            bench.stageProperty().set(WorkStage.LINKAGE);
            bench.viewProperty().set(ViewChoice.FRONT);
            bench.dockFoldedProperty().set(true);
            bench.stageProperty().set(WorkStage.COLUMN);
            assertThat(bench.dockFoldedProperty().get()).as("the column's own").isFalse();
            bench.viewProperty().set(ViewChoice.ALL);
            bench.stageProperty().set(WorkStage.LINKAGE);
            assertThat(bench.viewProperty().get()).isEqualTo(ViewChoice.FRONT);
            layouts.sideWidthProperty().set(412.4);
            layouts.keep();
        });
        withBench(bench -> {
            StageLayouts layouts = new StageLayouts(folder, bench);
            bench.stageProperty().set(WorkStage.COLUMN);
            assertThat(bench.viewProperty().get()).isEqualTo(ViewChoice.ALL);
            bench.stageProperty().set(WorkStage.LINKAGE);
            assertThat(bench.viewProperty().get()).isEqualTo(ViewChoice.FRONT);
            assertThat(bench.dockFoldedProperty().get()).isTrue();
            assertThat(layouts.sideWidthProperty().get()).isEqualTo(412);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"LINKAGE.view=SIDEWAYS\nside.width=wide", "\\u12", "side.width=\nLINKAGE.dock.folded=perhaps"})
    void damagedLayoutIsTheUsualOne(String text) throws Exception {
        Files.writeString(folder.resolve("window.properties"), text);
        withBench(bench -> {
            StageLayouts layouts = new StageLayouts(folder, bench);
            bench.stageProperty().set(WorkStage.LINKAGE);
            assertThat(bench.viewProperty().get()).isEqualTo(ViewChoice.usual(WorkStage.LINKAGE));
            assertThat(bench.dockFoldedProperty().get()).isFalse();
            assertThat(layouts.sideWidthProperty().get()).isEqualTo(StageLayouts.USUAL_SIDE);
        });
    }
}
