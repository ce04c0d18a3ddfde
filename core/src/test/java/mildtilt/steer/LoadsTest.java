package mildtilt.steer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import mildtilt.MixedVehicles;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodTube;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.RodForces;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Effort and rod forces against work, statics and textbook cases. */
class LoadsTest {

    @Test
    void parkedTorqueLimitingCases() {
        Loads loads = new Loads(1000, 0.8, 0.02, 0.85);
        double w = 1000 * 9.80665 / 2;
        assertThat(Effort.parkedTorque(loads, 200, 0)).isCloseTo(w * 0.8 * 200 / Math.sqrt(8), within(1e-6));
        assertThat(Effort.parkedTorque(loads, 1e-9, 50)).isCloseTo(w * 0.8 * 50, within(1e-3));
        assertThat(Effort.creepingTorque(loads, 200, 0)).isCloseTo(w * 0.8 * 200 / 4, within(1e-6));
        assertThat(Effort.creepingTorque(loads, 200, 40)).isLessThan(Effort.parkedTorque(loads, 200, 40));
    }

    /** The work put in at the gear's first member for a small turn is what the knuckles take out. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void rodForcesSatisfyVirtualWork(DemoJob demo) {
        rodForcesSatisfyVirtualWork(demo.title(), demo.job());
    }

    @ParameterizedTest
    @EnumSource(MixedVehicles.class)
    void rodForcesOfMixedKindsSatisfyVirtualWork(MixedVehicles vehicle) {
        rodForcesSatisfyVirtualWork(vehicle.name(), vehicle.job());
    }

    private static void rodForcesSatisfyVirtualWork(String what, Job job) {
        SteeringTrain train = new SteeringTrain(job);
        AxleSolver axle = train.axle().orElseThrow();
        double step = 1e-4 * train.stopDeg(Side.LEFT).orElseThrow();
        for (double part : new double[] {-0.7, -0.2, 0.05, 0.5, 0.75}) {
            double sw = part * train.stopDeg(Side.LEFT).orElseThrow();
            AxlePose here = train.pose(sw, 0, 0);
            AxlePose.Assembled up = train.pose(sw + step, 0, 0).assembled().orElseThrow();
            AxlePose.Assembled down = train.pose(sw - step, 0, 0).assembled().orElseThrow();
            Map<Rod, Double> forces = RodForces.of(axle, here, here.assembled().orElseThrow(), 120_000, 90_000);
            double taken = 120_000 * turned(here.assembled().get().left(), down.left(), up.left())
                    + 90_000 * turned(here.assembled().get().right(), down.right(), up.right());
            double given = given(job, forces, here, train.pose(sw - step, 0, 0), train.pose(sw + step, 0, 0));
            assertThat(given).as(what + " at " + part).isCloseTo(taken, within(Math.abs(taken) * 2e-4 + 1));
        }
    }

    /** Whatever the curve does on the way, from straight ahead to the lock it rises by that much for each degree. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void creepingForceSlopeMatchesHarderLock(DemoJob demo) {
        Job job = demo.job();
        Analysis a = Analysis.of(job);
        double ahead = Effort.at(a.train(), job, 0).orElseThrow().row().creeping();
        List<Double> slopes = new ArrayList<>();
        for (Side way : Side.values()) {
            double lock = a.steer().orElseThrow().lock(way).turn().steeringWheelDeg();
            slopes.add((Effort.at(a.train(), job, lock).orElseThrow().row().creeping() - ahead) / Math.abs(lock));
        }
        assertThat(a.headlines().get(Headline.CREEPING_PER_DEGREE).orElseThrow())
                .isCloseTo(Collections.max(slopes), within(1e-3 * Math.abs(Collections.max(slopes))));
    }

    /** How far a knuckle turned about its steer axis between two poses, rad. */
    private static double turned(KnucklePose at, KnucklePose from, KnucklePose to) {
        Axis axis = at.steerAxis();
        Vector a = square(axis, from.tieRodPoint());
        Vector b = square(axis, to.tieRodPoint());
        return Math.atan2(axis.direction().dot(a.cross(b)), a.dot(b));
    }

    private static Vector square(Axis axis, Point p) {
        return p.minus(axis.footOf(p));
    }

    private static double given(Job job, Map<Rod, Double> forces, AxlePose here, AxlePose down, AxlePose up) {
        return switch (job.axle().orElseThrow().gear()) {
            case RackAndPinion r -> {
                AxlePose.Assembled a = here.assembled().orElseThrow();
                double along = 0;
                for (Side side : Side.values()) {
                    KnucklePose k = a.knuckle(side);
                    Vector pull =
                            k.tieRodPoint().minus(k.tieRodInner()).direction().vector();
                    along += forces.get(side == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD)
                            * r.axis().dot(pull);
                }
                double moved = r.displacementAt(Math.toRadians(up.gearInputDeg()))
                        - r.displacementAt(Math.toRadians(down.gearInputDeg()));
                yield -along * moved;
            }
            case ArmGear _
            when here.stance().mechanism().orElseThrow() instanceof Mechanism.CentreLinkAt m -> {
                AxlePose.Assembled a = here.assembled().orElseThrow();
                Vector left = pullOn(a.left(), forces.get(Rod.LEFT_TIE_ROD));
                Vector right = pullOn(a.right(), forces.get(Rod.RIGHT_TIE_ROD));
                Vector push = RodForces.onCentreLink(m, left, right);
                yield push.dot(ends(up)[0].minus(ends(down)[0]));
            }
            case ArmGear _
            when here.stance().mechanism().orElseThrow() instanceof Mechanism.ArmTieRodsAt m -> {
                AxlePose.Assembled a = here.assembled().orElseThrow();
                Mechanism.ArmTieRodsAt low =
                        (Mechanism.ArmTieRodsAt) down.stance().mechanism().orElseThrow();
                Mechanism.ArmTieRodsAt high =
                        (Mechanism.ArmTieRodsAt) up.stance().mechanism().orElseThrow();
                // The arm holds against both tie rods.
                yield -pullOn(a.left(), forces.get(Rod.LEFT_TIE_ROD))
                                .dot(high.left().minus(low.left()))
                        - pullOn(a.right(), forces.get(Rod.RIGHT_TIE_ROD))
                                .dot(high.right().minus(low.right()));
            }
            case ArmGear _ -> {
                Rod rod = List.of(Rod.CENTRE_LINK, Rod.INTERMEDIATE_LINK, Rod.DRAG_LINK, Rod.DRAG_ROD, Rod.SHORT_LINK)
                        .stream()
                        .filter(forces::containsKey)
                        .findFirst()
                        .orElseThrow();
                Point[] h = ends(here);
                Point[] d = ends(down);
                Point[] u = ends(up);
                // The arm's end pulls on the rod along it.
                yield forces.get(rod) * h[0].minus(h[1]).direction().dot(u[0].minus(d[0]));
            }
        };
    }

    /** What a tie rod that pulls does to the part at its inner end. */
    private static Vector pullOn(KnucklePose k, double pull) {
        return k.tieRodPoint().minus(k.tieRodInner()).direction().times(pull);
    }

    /** The gear's arm end and the rod's other end. */
    private static Point[] ends(AxlePose pose) {
        return switch (pose.stance().mechanism().orElseThrow()) {
            case Mechanism.CentreLinkAt m -> new Point[] {m.armEnd(), m.idlerEnd()};
            case Mechanism.DragLinkAt m ->
                new Point[] {m.armEnd(), m.links().getFirst().to()};
            case Mechanism.BellCrankAt m -> new Point[] {m.armEnd(), m.crankPoint()};
            case Mechanism.ShuttleAt m -> new Point[] {m.armEnd(), m.linkPoint()};
            case Mechanism.RackAt _, Mechanism.ArmTieRodsAt _, Mechanism.Broken _ -> throw new AssertionError();
        };
    }

    @Test
    void effortWithoutWeightIsFriction() {
        Job job = DemoJob.GARDEN_SHUTTLE.job();
        SteeringTrain train = new SteeringTrain(job);
        Effort.Here middle = Effort.at(train, job, 0).orElseThrow();
        // Straight ahead the weight's pulls on both sides cancel.
        assertThat(middle.row().returning()).isCloseTo(0, within(0.5));
        SteerFigures s = SteerSweep.of(train, job, Grid.USUAL).orElseThrow();
        double torque = Effort.parkedTorque(
                job.vehicle().loads().orElseThrow(),
                job.vehicle().tyreWidth(),
                s.left().scrubRadius());
        double rim = job.column().orElseThrow().wheel().diameter() / 2;
        assertThat(middle.row().parked())
                .isCloseTo(
                        2 * torque / s.ratioAtCentre().orElseThrow() / rim / 0.85,
                        within(middle.row().parked() * 0.02));
        assertThat(s.effort().orElseThrow().worstParked())
                .isGreaterThanOrEqualTo(middle.row().parked() - 1e-9);
    }

    @Test
    void bucklingFollowsEulerAndYield() {
        RodTube tube = new RodTube(25, 3, 0, 235);
        double i = Math.PI * (Math.pow(25, 4) - Math.pow(19, 4)) / 64;
        assertThat(tube.bucklingLoad(2000)).isCloseTo(Math.PI * Math.PI * 205_000 * i / 4e6, within(1e-6));
        assertThat(tube.bucklingLoad(1)).isCloseTo(235 * tube.area(), within(1.0));
        double before = Double.POSITIVE_INFINITY;
        for (double length = 50; length < 3000; length += 10) {
            double load = tube.bucklingLoad(length);
            assertThat(load).isLessThan(before);
            before = load;
        }
        RodTube solid = new RodTube(20, 10, 0, 355);
        assertThat(solid.area()).isCloseTo(Math.PI * 100, within(1e-9));
        RodTube cranked = new RodTube(25, 3, 40, 235);
        assertThat(cranked.stress(1e-6, 400) * 1e6).isCloseTo(1 / cranked.area() + 40 * 12.5 / i, within(1e-6));
        assertThat(cranked.stress(2000, 400)).isGreaterThan(2000 * cranked.stress(1e-6, 400) * 1e6);
        assertThat(cranked.stress(1e9, 400)).isInfinite();
        assertThatThrownBy(() -> new RodTube(20, 11, 0, 235)).isInstanceOf(ImpossibleGeometryException.class);
    }
}
