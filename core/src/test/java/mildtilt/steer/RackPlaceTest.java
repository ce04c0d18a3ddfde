package mildtilt.steer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

class RackPlaceTest {

    /** Made as wide and set as high as is said, nothing is left to say; the width's line hangs on the height. */
    @Test
    void doesAsItSays() {
        SteeredAxle axle = DemoJob.MARSH_CARRIER.job().axle().orElseThrow();
        SteeredAxle now = axle.withGearMoved(new Vector(0, 0, 17));
        for (int i = 0; i < 20; i++) {
            RackPlace p = RackPlace.of(now).orElseThrow();
            now = now.editRack(r -> r.withPivotSpacing(p.wantedApart().orElseThrow()))
                    .withGearMoved(new Vector(0, 0, p.raise()));
        }
        RackPlace done = RackPlace.of(now).orElseThrow();
        assertThat(done.raise()).isCloseTo(0, within(1e-6));
        assertThat(done.wantedApart().orElseThrow()).isCloseTo(done.apart(), within(1e-6));
        assertThat(done.text())
                .extracting(p -> p.text(LengthUnit.MM))
                .allMatch(t -> t.contains("each on the line") || t.startsWith("Both tie rods point"));
    }

    @Test
    void isSaidOfRacksOnly() {
        Job struts = DemoJob.GARDEN_SHUTTLE.job();
        assertThat(RackPlace.of(DemoJob.BOG_TENDER.job().axle().orElseThrow())).isEmpty();
        RackPlace.of(struts.axle().orElseThrow())
                .ifPresent(p -> assertThat(p.text()).isNotEmpty());
        RackPlace wide = new RackPlace(700, Optional.of(660.0), -12);
        assertThat(wide.text())
                .extracting(p -> p.text(LengthUnit.MM))
                .containsExactly(
                        "Its inner pivots are 700.0 mm apart; 660.0 mm apart they would be on the lines through the "
                                + "arms' inner pivots. It is 40.0 mm too wide.",
                        "12.0 mm lower, both tie rods would point at their arms' instant centres.");
    }
}
