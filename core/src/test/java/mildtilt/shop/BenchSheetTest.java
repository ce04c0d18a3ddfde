package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mildtilt.clocking.ForkMark;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.api.Test;

class BenchSheetTest {

    @Test
    void benchSheetOfTheDemo() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        BenchSheet sheet = BenchSheet.of(demo, new SteeringTrain(demo));
        assertThat(sheet.joints()).extracting(BenchSheet.JointLine::name).containsExactly("Upper joint", "Lower joint");
        assertThat(sheet.shafts().get(0).cut()).isEmpty();
        assertThat(sheet.shafts().get(0).mark()).isEmpty();
        BenchSheet.ShaftLine lower = sheet.shafts().get(1);
        // Between centres, less 42 − 28 at the upper and 40 − 26 at the lower joint.
        assertThat(lower.cut().orElseThrow()).isCloseTo(lower.centres() - 14 - 14, within(1e-9));
        assertThat(lower.mark().orElseThrow().arc()).isCloseTo(Math.PI * 19 * 20 / 360, within(1e-9));
        assertThat(sheet.rods()).hasSize(2);
        assertThat(sheet.rods().get(0).rod()).isEqualTo(Rod.LEFT_TIE_ROD);
        assertThat(sheet.rods().get(0).length()).isEqualTo(sheet.rods().get(1).length());
    }

    @Test
    void forkMarksAreSeenFromWheelEnd() {
        assertThat(new ForkMark(12, 2, 19, Optional.empty()).way()).isEqualTo("clockwise");
        assertThat(new ForkMark(-12, 2, 19, Optional.empty()).way()).isEqualTo("anticlockwise");
        assertThat(new ForkMark(0.01, 0, 19, Optional.empty()).way()).isEqualTo("in line");
    }

    @Test
    void benchSheetIsEmptyWithoutParts() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        Job none = Job.of("none", new Plan(demo.vehicle(), Optional.empty(), Optional.empty(), demo.targets()));
        BenchSheet sheet = BenchSheet.of(none, new SteeringTrain(none));
        assertThat(sheet.joints()).isEmpty();
        assertThat(sheet.shafts()).isEmpty();
        assertThat(sheet.rods()).isEmpty();
    }
}
