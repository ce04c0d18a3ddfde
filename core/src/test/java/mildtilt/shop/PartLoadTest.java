package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mildtilt.analysis.Analysis;
import mildtilt.build.Piece;
import mildtilt.build.Piece.ArmOf;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.shop.PartLoad.Load;
import mildtilt.steer.forces.RodLoad;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Arms, rod ends and what kerbs do to them, against sums by other ways. */
class PartLoadTest {

    private final Job carrier = DemoJob.MARSH_CARRIER.job();

    private static Piece.ArmPlate plate(double thick, double root, double end, double margin) {
        return new Piece.ArmPlate(Id.Kind.PIECE.first(), "p", ArmOf.LEFT_STEERING_ARM, thick, root, end, margin);
    }

    /** Where along the plate it works hardest, gone through in steps; the root's hole taken out of its section. */
    @ParameterizedTest
    @CsvSource({"12, 30, 13, 12, 140", "10, 40, 8, 4, 200", "16, 20, 20, 10, 90", "8, 60, 6, 15, 300"})
    void plateStressPeaksAtRootOrNarrowing(double thick, double root, double end, double margin, double length) {
        Piece.ArmPlate p = plate(thick, root, end, margin);
        double whole = root + 2 * margin;
        double tip = end + 2 * margin;
        double inertia = thick * (Math.pow(whole, 3) - Math.pow(root, 3)) / 12;
        double worst = length * whole / 2 / inertia;
        // First moments of both halves of what is left beside the hole.
        double worstWhole = length / (thick * (whole - root) / 2 * (whole + root) / 2);
        for (int i = 0; i <= 10_000; i++) {
            double x = length * i / 10_000;
            double w = whole + (tip - whole) * x / length;
            worst = Math.max(worst, (length - x) / (thick * w * w / 6));
            worstWhole = Math.max(worstWhole, (length - x) / (thick * w * w / 4));
        }
        assertThat(PartLoad.plateStress(p, length)).isCloseTo(worst, within(worst * 1e-6));
        assertThat(PartLoad.plateWhole(p, length)).isCloseTo(worstWhole, within(worstWhole * 1e-6));
    }

    @Test
    void marginIsYieldOverStress() {
        Analysis a = Analysis.of(carrier);
        RodLoad rod = a.steer().orElseThrow().rodLoads().stream()
                .filter(l -> l.rod() == Rod.LEFT_TIE_ROD)
                .findFirst()
                .orElseThrow();
        PartLoad arm = a.parts().stream()
                .filter(p -> p.kind() == PartLoad.Kind.ARM_PLATE)
                .findFirst()
                .orElseThrow();
        double length =
                ArmOf.LEFT_STEERING_ARM.length(carrier.axle().orElseThrow()).orElseThrow();
        Piece.ArmPlate p = carrier.making().pieces().stream()
                .filter(Piece.ArmPlate.class::isInstance)
                .map(Piece.ArmPlate.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(arm.margin(Load.PARKED).orElseThrow())
                .isCloseTo(235 / (rod.force() * PartLoad.plateStress(p, length)), within(1e-9));
        assertThat(arm.margin(Load.PULL).orElseThrow())
                .isCloseTo(235 / (rod.pullForce().orElseThrow() * PartLoad.plateWhole(p, length)), within(1e-9));
        // An M16 × 1.5 shank has 167 mm² (ISO 898-1), a stud of 16 bends with its ball 16 off the arm.
        PartLoad shank = part(a, PartLoad.Kind.SHANK);
        assertThat(1 / shank.stress()).isCloseTo(167, within(1.0));
        PartLoad stud = part(a, PartLoad.Kind.STUD);
        assertThat(stud.stress()).isCloseTo(16 * 32 / (Math.PI * 16 * 16 * 16), within(1e-12));
        assertThat(stud.stress(Load.KERB)).isCloseTo(16 / (16.0 * 16 * 16 / 6), within(1e-12));
    }

    private static PartLoad part(Analysis a, PartLoad.Kind kind) {
        return a.parts().stream()
                .filter(p -> p.kind() == kind && p.rod() == Rod.LEFT_TIE_ROD)
                .findFirst()
                .orElseThrow();
    }

    /**
     * The kerb's push on one wheel, held by its tie rod alone: moments about the steer axis by hand, straight ahead and
     * on lock.
     */
    @Test
    void kerbLoadsTheTieRodOfItsWheel() {
        Analysis a = Analysis.of(carrier);
        double push = carrier.rules().kerbTimes()
                * carrier.vehicle().loads().orElseThrow().wheelLoad();
        SteeringTrain train = new SteeringTrain(carrier);
        double worst = 0;
        for (Side way : Side.values()) {
            for (double part : new double[] {0, 0.9}) {
                double sw = part * a.steer().orElseThrow().lock(way).turn().steeringWheelDeg();
                KnucklePose k = train.pose(sw, 0, 0).assembled().orElseThrow().left();
                // Straight back, as the wheel points.
                double heading = Math.toRadians(k.steerDeg());
                Vector back = new Vector(-Math.cos(heading), -Math.sin(heading), 0).times(push);
                Vector axis = k.steerAxisHigh().minus(k.steerAxisLow());
                Vector rod = k.tieRodInner().minus(k.tieRodPoint());
                double lever = moment(axis, k.steerAxisLow(), k.tieRodPoint(), rod.times(1 / rod.norm()));
                for (double edge : new double[] {-140, 140}) {
                    worst = Math.max(
                            worst,
                            Math.abs(moment(
                                            axis,
                                            k.steerAxisLow(),
                                            k.wheelCentre().plus(k.spin().times(edge)),
                                            back)
                                    / lever));
                }
            }
        }
        double reported = a.steer().orElseThrow().rodLoads().stream()
                .filter(l -> l.rod() == Rod.LEFT_TIE_ROD)
                .findFirst()
                .orElseThrow()
                .kerbForce()
                .orElseThrow();
        assertThat(carrier.vehicle().tyreWidth()).isEqualTo(280);
        assertThat(reported).isCloseTo(worst, within(worst * 1e-6));
        assertThat(Analysis.of(carrier.withRules(carrier.rules().with(mildtilt.rules.RuleLimit.KERB, 0)))
                        .steer()
                        .orElseThrow()
                        .rodLoads())
                .allMatch(l -> l.kerbForce().isEmpty());
    }

    private static double moment(Vector axis, Point on, Point at, Vector force) {
        return axis.dot(at.minus(on).cross(force)) / axis.norm();
    }

    /** Under the heavy pull, without loss, the work of the hands is the work of both rods on the rack. */
    @Test
    void heavyPullLoadsBothRods() {
        Analysis a = Analysis.of(carrier);
        List<RodLoad> rods = a.steer().orElseThrow().rodLoads();
        SteeringTrain train = new SteeringTrain(carrier);
        double d = 0.5;
        double travel = 0;
        for (Side side : Side.values()) {
            KnucklePose up = pose(train, d, side);
            KnucklePose down = pose(train, -d, side);
            KnucklePose at = pose(train, 0, side);
            Vector rod = at.tieRodInner().minus(at.tieRodPoint());
            double along = Math.abs(up.tieRodInner().minus(down.tieRodInner()).dot(rod.times(1 / rod.norm())));
            travel += along
                    * rods.stream()
                            .filter(l -> l.rod() == (side == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD))
                            .findFirst()
                            .orElseThrow()
                            .pullForce()
                            .orElseThrow();
        }
        double hands = carrier.rules().heavyPull()
                * carrier.column().orElseThrow().wheel().diameter()
                / 2
                * Math.toRadians(2 * d);
        assertThat(travel).isCloseTo(hands, within(hands * 1e-3));
    }

    private static KnucklePose pose(SteeringTrain train, double sw, Side side) {
        var p = train.pose(sw, 0, 0).assembled().orElseThrow();
        return side == Side.LEFT ? p.left() : p.right();
    }

    /** Both tie rods on the gear's arm push it the same way at once. */
    @Test
    void gearsArmWithBothTieRodsTakesBoth() {
        Job rider = DemoJob.HEATH_RIDER.job();
        Piece.ArmPlate plate = new Piece.ArmPlate(Id.Kind.PIECE.first(), "Stem arm", ArmOf.GEAR_ARM, 8, 26, 10, 9);
        Analysis a = Analysis.of(rider.editMaking(m -> m.withPieces(List.of(plate))));
        double tieRods = a.steer().orElseThrow().rodLoads().stream()
                .mapToDouble(RodLoad::force)
                .sum();
        assertThat(a.parts())
                .filteredOn(l -> l.kind() == PartLoad.Kind.ARM_PLATE)
                .singleElement()
                .satisfies(l ->
                        assertThat(l.force(PartLoad.Load.PARKED).orElseThrow()).isCloseTo(tieRods, within(1e-9)));
    }
}
