package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleEdits;
import mildtilt.build.Making;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.OuterWheelTable;
import mildtilt.job.PointId;
import mildtilt.job.TrialLog;
import mildtilt.job.Variant;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.Sideways;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.linkage.rods.RodTube;
import mildtilt.survey.Survey;
import mildtilt.suspension.CornerPoint;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every caution of gear, linkage and rods fires where it must, says what, and its remedies do what they say. */
class CautionsTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static Optional<Finding> find(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .findFirst();
    }

    private static String what(Job job, Fault fault) {
        return find(job, fault)
                .orElseThrow(() -> new AssertionError(fault + " not found"))
                .what()
                .text(LengthUnit.MM);
    }

    private static Job corner(Job job, UnaryOperator<Corner> edit) {
        return job.editAxle(a -> a.withCorner(Side.LEFT, edit.apply(a.left())));
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void reversedSteeringIsReported(DemoJob which) {
        Job job = which.job();
        assertThat(Analysis.of(job).findings())
                .noneMatch(f -> f.fault() == Fault.WRONG_WAY)
                .noneMatch(f -> f.severity() == Severity.STOP && which != DemoJob.MARSH_CARRIER);
        Job reversed = job.editAxle(SteeredAxle::withGearReversed);
        Finding first = Analysis.of(reversed).findings().getFirst();
        assertThat(first.fault()).isEqualTo(Fault.WRONG_WAY);
        assertThat(find(first.remedies().getFirst().edit().apply(reversed), Fault.WRONG_WAY))
                .isEmpty();
    }

    @Test
    void reversedAckermannNamesSwappedKnuckles() {
        Job swapped = KnuckleEdits.flipGear(KnuckleEdits.swapSides(demo), true);
        Finding f = find(swapped, Fault.REVERSED_ACKERMANN).orElseThrow();
        assertThat(f.why().text(LengthUnit.MM)).contains("ahead and lean in").contains("swapped");
        Job cured = f.remedies().getFirst().edit().apply(swapped);
        assertThat(find(cured, Fault.REVERSED_ACKERMANN)).isEmpty();
        assertThat(find(cured, Fault.WRONG_WAY)).isEmpty();
        assertThat(f.remedies().getFirst().action().text(LengthUnit.MM))
                .endsWith("and use a gear that drives the other way");
        assertThat(Analysis.of(cured).headlines().get(Headline.ACKERMANN).orElseThrow())
                .isPositive();
        // Arms that lean the right way with a rack far off point to the rack instead.
        Job rackFar = demo.editAxle(a -> a.withGearMoved(new Vector(110, 0, 0)));
        find(rackFar, Fault.REVERSED_ACKERMANN)
                .ifPresent(g -> assertThat(g.why().text(LengthUnit.MM)).contains("inner ends"));
    }

    /** How the column moves with a gear on the axle is not worked out: that must be said wherever it may matter. */
    @Test
    void gearThatMaySitOnABeamIsReported() {
        Job platform = DemoJob.HOP_PLATFORM.job();
        assertThat(find(platform, Fault.GEAR_ASSUMED_ON_FRAME))
                .as("a drag link from the frame")
                .isEmpty();
        Point arm = JobPoints.position(platform, new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT));
        RackAndPinion rack = new RackAndPinion(
                new Point(arm.x(), 0, arm.z()), Direction.along(0, 1, 0), 600, arm.x() > 0 ? 44 : -44, 70);
        Job racked = platform.editAxle(a -> new SteeredAxle(rack, new RackTieRods(), a.beam(), a.left(), a.ownRight()));
        for (Job onBeam : List.of(racked, racked.editAxle(a -> a.withBeam(new Beam.Sprung(Sideways.UNAIDED))))) {
            Finding f = find(onBeam, Fault.GEAR_ASSUMED_ON_FRAME).orElseThrow();
            assertThat(f.severity()).isEqualTo(Severity.LOOK);
            assertThat(f.element()).isEqualTo(new Element.GearElement());
        }
        assertThat(find(demo, Fault.GEAR_ASSUMED_ON_FRAME))
                .as("wheels that travel on their own")
                .isEmpty();
    }

    @Test
    void outerAngleTableOverridesBand() {
        Job table = demo.withTargets(demo.targets()
                .withOuterTable(Optional.of(new OuterWheelTable(
                        List.of(
                                new OuterWheelTable.Row(10, 9.4),
                                new OuterWheelTable.Row(20, 17.6),
                                new OuterWheelTable.Row(28, 23.5)),
                        0.5))));
        assertThat(what(table, Fault.ACKERMANN))
                .contains("table of wanted angles")
                .contains("0.50° is tolerated");
        Job loose = demo.withTargets(demo.targets()
                .withOuterTable(Optional.of(new OuterWheelTable(
                        table.targets().outerTable().orElseThrow().rows(), 6))));
        assertThat(find(loose, Fault.ACKERMANN)).isEmpty();
    }

    @Test
    void lateStopOrEarlyTyreIsReported() {
        Job bare = corner(demo, c -> c.withLimits(WheelLimits.NONE));
        assertThat(what(bare, Fault.GEAR_TAKES_THE_BLOW))
                .contains("gear's own end comes first")
                .contains("no knuckle stop");
        Job cured = find(bare, Fault.GEAR_TAKES_THE_BLOW)
                .orElseThrow()
                .remedies()
                .getFirst()
                .edit()
                .apply(bare);
        assertThat(find(cured, Fault.GEAR_TAKES_THE_BLOW)).isEmpty();
        Job late = corner(demo, c -> c.withLimits(WheelLimits.NONE.withStops(Optional.of(60.0), Optional.empty())));
        assertThat(what(late, Fault.GEAR_TAKES_THE_BLOW)).contains("60.0° is not reached");
        Job rubs = corner(demo, c -> c.withLimits(WheelLimits.NONE.withTyre(Optional.of(24.0), Optional.empty())));
        assertThat(what(rubs, Fault.TYRE_TOUCHES)).contains("tyre touches first");
        Job clear = find(rubs, Fault.TYRE_TOUCHES)
                .orElseThrow()
                .remedies()
                .getFirst()
                .edit()
                .apply(rubs);
        assertThat(find(clear, Fault.TYRE_TOUCHES)).isEmpty();
    }

    @Test
    void mismatchedGearTravelIsReportedWithRemedies() {
        Job wanting = corner(demo, c -> c.withLimits(WheelLimits.NONE))
                .withTargets(demo.targets().withLockDeg(Optional.of(36.0)));
        assertThat(what(wanting, Fault.LOCK_SHORT)).contains("36.0° is wanted");
        for (Remedy r : find(wanting, Fault.LOCK_SHORT).orElseThrow().remedies()) {
            Analysis after = Analysis.of(r.edit().apply(wanting));
            assertThat(after.match().orElseThrow().gearUsed())
                    .as(r.action().text(LengthUnit.MM))
                    .isCloseTo(1, within(0.02));
        }
        Job bus = DemoJob.LIBRARY_BUS.job();
        Job early = bus.editAxle(a -> a.withCorner(
                Side.LEFT, a.left().withLimits(WheelLimits.NONE.withStops(Optional.of(26.0), Optional.empty()))));
        Finding over = find(early, Fault.GEAR_OVERTRAVELS).orElseThrow();
        assertThat(over.remedies()).hasSize(3);
        for (Remedy r : over.remedies()) {
            double used =
                    Analysis.of(r.edit().apply(early)).match().orElseThrow().gearUsed();
            assertThat(used).as(r.action().text(LengthUnit.MM)).isCloseTo(1, within(0.03));
        }
    }

    @Test
    void rodAndEffortFaultsAreReported() {
        Job raked = demo.editAxle(a -> a.withGearMoved(new Vector(165, 0, 0)));
        assertThat(what(raked, Fault.RAKED_ROD)).contains("raked up to");
        assertThat(find(raked, Fault.RAKED_ROD).orElseThrow().why().text(LengthUnit.MM))
                .contains("of the force a square one would");
        Job thin = corner(demo, c -> c.withRodEnds(c.rodEnds().withTube(Optional.of(new RodTube(8, 1, 0, 235)))));
        assertThat(find(thin, Fault.ROD_BUCKLES).orElseThrow().severity()).isEqualTo(Severity.STOP);
        Job cranked =
                corner(demo, c -> c.withRodEnds(c.rodEnds().withTube(Optional.of(new RodTube(22, 3.5, 70, 235)))));
        assertThat(what(cranked, Fault.ROD_BENDS))
                .contains("is 70.0 mm off its line")
                .contains("MPa");
        assertThat(find(cranked, Fault.ROD_BENDS).orElseThrow().what().text(LengthUnit.INCH))
                .contains("psi");
        Job heavy = demo.withTargets(demo.targets().withRimForce(100));
        assertThat(what(heavy, Fault.HEAVY)).contains("the limit is 100 N");
    }

    @Test
    void overCentreMarginOnlyCountsReachablePoses() {
        Job strict = demo.withTargets(demo.targets().withToggleDeg(60));
        assertThat(what(strict, Fault.NEAR_TOGGLE)).contains("tie rod").contains("limit 60.0°");
        assertThat(find(demo, Fault.NEAR_TOGGLE)).isEmpty();
        Job quick = KnuckleEdits.scaledArms(corner(demo, c -> c.withLimits(WheelLimits.NONE)), 0.6);
        assertThat(find(quick, Fault.NEAR_TOGGLE).or(() -> find(quick, Fault.LOCK_NOT_REACHED)))
                .isPresent();
        Job stopped = KnuckleEdits.scaledArms(
                corner(demo, c -> c.withLimits(WheelLimits.NONE.withStops(Optional.of(22.0), Optional.of(22.0)))), 0.6);
        assertThat(find(stopped, Fault.NEAR_TOGGLE)).isEmpty();
    }

    @Test
    void rodEndTiltIsCuredByLeaningStud() {
        Job leaned = corner(
                demo,
                c -> c.withRodEnds(
                        c.rodEnds().withAllowedDeg(14).withOuterBolt(Optional.of(Direction.along(0, 0.35, 1)))));
        Finding f = find(leaned, Fault.ROD_END_OVER_LIMIT).orElseThrow();
        assertThat(f.remedies().getFirst().action().text(LengthUnit.MM))
                .startsWith("Lean the boss in the steering arm");
        assertThat(find(f.remedies().getFirst().edit().apply(leaned), Fault.ROD_END_OVER_LIMIT))
                .isEmpty();
    }

    @Test
    void bumpSteerFindingGivesReasons() {
        Job high = demo.editAxle(a -> a.withGearMoved(new Vector(0, 0, 24)));
        String why = find(high, Fault.BUMP_STEER).orElseThrow().why().text(LengthUnit.MM);
        assertThat(why)
                .contains("to the lower arm")
                .contains("instant centre its inner end would sit")
                .contains("lower.")
                .contains("line through the arms' inner pivots")
                .contains("Raising the gear 1.0 mm");
        Job tender = DemoJob.BOG_TENDER.job();
        Job steep = tender.withTargets(tender.targets().withBumpSteerDeg(0.1));
        assertThat(find(steep, Fault.BUMP_STEER).orElseThrow().why().text(LengthUnit.MM))
                .contains("drag link slopes")
                .contains("track bar");
    }

    @Test
    void variantsAreKeptComparedAndApplied() throws Exception {
        Job shorter = KnuckleEdits.changedBoth(demo, new KnuckleChange(-10, 0, 0, 0, 0));
        Job with = shorter.keepingVariant("short arms").withPlan(demo.plan()).keepingVariant("as found");
        assertThat(with.variants().all()).extracting(Variant::name).containsExactly("short arms", "as found");
        assertThat(JobReader.read(JobWriter.write(with))).isEqualTo(with);
        Job taken = with.takingVariant(
                with.variants().named("short arms").orElseThrow().id(), "before");
        assertThat(taken.axle()).isEqualTo(shorter.axle());
        assertThat(taken.variants().all()).extracting(Variant::name).containsExactly("as found", "before");
        assertThat(taken.variants().all().getLast().plan().axle()).isEqualTo(demo.axle());
        assertThat(taken.variants().all())
                .extracting(v -> v.id().text())
                .as("an id is not given twice")
                .containsExactly("variant-2", "variant-3");
        assertThat(taken.variants()
                        .without(
                                taken.variants().named("as found").orElseThrow().id())
                        .all())
                .hasSize(1);
        Variant kept = with.variants().named("short arms").orElseThrow();
        assertThat(with.withTitle("Another").as(kept))
                .isEqualTo(shorter.withTitle("Another")
                        .withAbout("")
                        .withSurvey(Survey.NONE)
                        .withMaking(Making.NONE)
                        .withLog(TrialLog.NONE)
                        .withChanges(List.of()));
    }
}
