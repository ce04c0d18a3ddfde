package mildtilt.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.job.VehicleScale;
import mildtilt.report.Papers;
import mildtilt.suspension.Strut;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Axle and gear are chosen apart, and what comes of it works. */
class StartingVehicleTest {

    private static final VehicleScale SIZES = new VehicleScale(1450, 2500, 660);
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 9);
    /** What such a combination may still be advised to better; none of it stops the work. */
    private static final Set<Fault> ADVICE =
            EnumSet.of(Fault.SIZES_GUESSED, Fault.WIND_UP, Fault.REVERSED_ACKERMANN, Fault.NEAR_TOGGLE);

    /** Each gear on its usual axle is looked at by {@link FreshStartTest}. */
    @ParameterizedTest
    @EnumSource(GearChoice.class)
    void everyGearWorksWithItsAxles(GearChoice gear) {
        for (AxleChoice axle : AxleChoice.values()) {
            if (!gear.suits(axle)) {
                assertThatThrownBy(() -> new StartingVehicle(axle, gear, SIZES, Set.of()))
                        .isInstanceOf(ImpossibleGeometryException.class)
                        .hasMessageContaining("Choose another");
                continue;
            }
            if (axle == gear.usual()) {
                continue;
            }
            Job job = new StartingVehicle(axle, gear, SIZES, Set.of()).job(TODAY);
            assertThat(job.axle().orElseThrow().left().suspension())
                    .hasSameClassAs(
                            axle.example().job().axle().orElseThrow().left().suspension());
            assertThat(job.axle().orElseThrow().gear())
                    .hasSameClassAs(gear.example().job().axle().orElseThrow().gear());
            Analysis a = Analysis.of(job);
            assertThat(a.findings())
                    .as(gear + " on " + axle)
                    .allMatch(f -> f.severity() == Severity.LOOK && ADVICE.contains(f.fault()));
            assertThat(a.steer()).as("it can be turned").isPresent();
        }
    }

    @Test
    void ownedPartsAreNotBought() {
        StartingVehicle bare = new StartingVehicle(AxleChoice.STRUTS, GearChoice.RACK_BEHIND, SIZES, Set.of());
        Job bought = bare.job(TODAY);
        Job there = new StartingVehicle(
                        AxleChoice.STRUTS,
                        GearChoice.RACK_BEHIND,
                        SIZES,
                        EnumSet.of(PartAtHand.JOINTS, PartAtHand.GEAR))
                .job(TODAY);
        assertThat(bought.axle().orElseThrow().left().suspension()).isInstanceOf(Strut.class);
        assertThat(there.about())
                .contains("column joints")
                .contains("steering gear")
                .doesNotContain("axle");
        assertThat(there.plan()).isEqualTo(bought.plan());
        long joints = there.column().orElseThrow().joints().size();
        assertThat(here(there)).isEqualTo(joints).isPositive();
        assertThat(here(bought)).isZero();
    }

    private static long here(Job job) {
        return Papers.of(Analysis.of(job), TODAY).buying().items().stream()
                .filter(i -> i.purchase().arrived().isPresent())
                .count();
    }
}
