package mildtilt.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.corner.WheelLimits;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

/** Sizes that can't be are refused with a sentence that names them; sizes that go together stay together. */
class RefusalsTest {

    private static final Targets USUAL = Targets.USUAL;

    private static void refused(ThrowingCallable making, String says) {
        assertThatThrownBy(making)
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining(says);
    }

    @Test
    void impossibleTargetsAreRefused() {
        refused(() -> USUAL.withLockDeg(Optional.of(90.0)), "wanted lock");
        refused(() -> USUAL.withToggleDeg(0), "over-centre");
        refused(() -> USUAL.withRakeDeg(95), "rake");
        refused(() -> USUAL.withRimForce(0), "rim force");
        refused(() -> USUAL.withBucklingMargin(-1), "buckling");
        refused(() -> USUAL.withAckermann(60, 60), "least wanted Ackermann");
        refused(() -> USUAL.withBumpSteerDeg(0), "above 0");
        refused(() -> new OuterWheelTable(List.of(), 1), "no rows");
        refused(() -> new OuterWheelTable(List.of(new OuterWheelTable.Row(0, 0)), 1), "must rise");
        refused(
                () -> new OuterWheelTable(List.of(new OuterWheelTable.Row(20, 18), new OuterWheelTable.Row(10, 9)), 1),
                "must rise");
        refused(() -> new OuterWheelTable(List.of(new OuterWheelTable.Row(20, 18)), 0), "tolerance");
    }

    @Test
    void impossibleLoadsLimitsAndTravelAreRefused() {
        refused(() -> Loads.of(0), "load on the front axle");
        refused(() -> new Loads(500, 4, 0.02, 0.85), "friction");
        refused(() -> new Loads(500, 0.8, 1.1, 0.85), "rolling resistance");
        refused(() -> new Loads(500, 0.8, 0.02, 0), "efficiency");
        refused(() -> WheelLimits.NONE.withStops(Optional.of(0.0), Optional.empty()), "between 0 and 90");
        refused(() -> WheelLimits.NONE.withTyre(Optional.empty(), Optional.of(120.0)), "between 0 and 90");
        Vehicle v = new Vehicle(2000, 60, 50, 180);
        refused(() -> v.withNormal(70, 10), "normal travel");
        refused(() -> v.withTyreWidth(0), "tyre width");
        assertThat(v.normalBump()).isEqualTo(24);
        assertThat(v.withNormal(60, 50).withBump(30).normalBump())
                .as("the normal part stays within")
                .isEqualTo(30);
        assertThat(v.withNormal(60, 50).withDroop(20).normalDroop()).isEqualTo(20);
    }

    @Test
    void outerTableInterpolatesLinearly() {
        OuterWheelTable t =
                new OuterWheelTable(List.of(new OuterWheelTable.Row(10, 9), new OuterWheelTable.Row(30, 24)), 0.5);
        assertThat(t.outerAt(5)).isCloseTo(4.5, within(1e-12));
        assertThat(t.outerAt(10)).isEqualTo(9);
        assertThat(t.outerAt(20)).isCloseTo(16.5, within(1e-12));
        assertThat(t.outerAt(32)).as("beyond the last as there").isEqualTo(26);
    }

    @Test
    void duplicateVariantsAreRefused() {
        Job job = DemoJob.SALT_RAKE.job();
        Id one = Id.Kind.VARIANT.first();
        Id other = Id.Kind.VARIANT.number(2);
        refused(
                () -> new Variants(List.of(new Variant(one, "a", job.plan()), new Variant(other, "a", job.plan()))),
                "same name");
        refused(
                () -> new Variants(List.of(new Variant(one, "a", job.plan()), new Variant(one, "b", job.plan()))),
                "same id");
        assertThatThrownBy(() -> job.takingVariant(one, "before")).hasMessageContaining("variant-1");
    }
}
