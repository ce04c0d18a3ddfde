package mildtilt.trials.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import mildtilt.trials.Setup;
import mildtilt.trials.TrialReading;
import mildtilt.trials.TrialReading.WallDot;
import mildtilt.trials.TrialSheet;
import mildtilt.trials.diagnose.Deviation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Dots on the wall and plates under the wheels, made by the linkage itself and read back. */
class LaserTest {

    private static TrialSheet sheet(List<? extends TrialReading> readings) {
        return new TrialSheet(
                "t", LocalDateTime.of(2026, 1, 1, 0, 0), "", "", Setup.RAISED, List.copyOf(readings), List.of(), "");
    }

    /** What a laser would draw on a vehicle, without noise. */
    private static List<WallDot> dots(Job built, boolean hubToo) {
        SteeringTrain t = new SteeringTrain(built);
        List<WallDot> all = new ArrayList<>();
        for (Side s : Side.values()) {
            for (boolean rodOn : hubToo ? new boolean[] {true, false} : new boolean[] {true}) {
                for (double z :
                        Grid.spread(built.vehicle().droop(), built.vehicle().bump(), 4)) {
                    Laser.Dot d = Laser.dot(t, s, z, rodOn, 3000).orElseThrow();
                    all.add(new WallDot(s, rodOn, z, d.left(), d.up(), 0.5, TrialReading.TYPED));
                }
            }
        }
        return all;
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void laserBeamExtendsHubToWall(DemoJob demo) {
        Job job = demo.job();
        SteeringTrain t = new SteeringTrain(job);
        if (t.requireAxle().wheelTravel() == WheelTravel.NONE) {
            return;
        }
        for (Side side : Side.values()) {
            for (double z : new double[] {
                -job.vehicle().droop(), -13, 0, 22, job.vehicle().bump()
            }) {
                KnucklePose rest = Laser.knuckle(t, side, 0).orElseThrow();
                KnucklePose k = Laser.knuckle(t, side, z).orElseThrow();
                // Two points fixed in the hub: its centre, and one 100 mm ahead square to the spin axis and level.
                Vector spin = rest.spin();
                Vector ahead = new Vector(spin.y(), -spin.x(), 0).direction().times(100 * side.sign());
                Point a = k.carried(rest.wheelCentre());
                Point b = k.carried(rest.wheelCentre().plus(ahead));
                double wallX = rest.wheelCentre().x() + 2500;
                double part = (wallX - a.x()) / (b.x() - a.x());
                double still = rest.wheelCentre().y() + ahead.y() / ahead.x() * 2500;
                Laser.Dot d = Laser.dot(t, side, z, true, 2500).orElseThrow();
                assertThat(d.left()).isCloseTo(a.y() + part * (b.y() - a.y()) - still, within(1e-6));
                assertThat(d.up())
                        .isCloseTo(
                                a.z()
                                        + part * (b.z() - a.z())
                                        - rest.wheelCentre().z(),
                                within(1e-6));
                // Held straight, the dot goes sideways with the hub alone.
                Laser.Dot held = Laser.dot(t, side, z, false, 2500).orElseThrow();
                assertThat(held.headingDeg()).isCloseTo(0, within(1e-6));
                assertThat(held.left())
                        .isCloseTo(
                                Laser.dot(t, side, z, false, 9000).orElseThrow().left(), within(1e-6));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void toeIsRecoveredFromDots(DemoJob demo) {
        Job plan = demo.job();
        SteeringTrain planned = new SteeringTrain(plan);
        if (planned.requireAxle().wheelTravel() == WheelTravel.NONE) {
            assertThat(WallTrace.of(sheet(List.of()), planned)).isEmpty();
            return;
        }
        Job built = Deviation.LEFT_ARM_UP.apply(Deviation.GEAR_UP.apply(plan, -4), 3);
        SteeringTrain real = new SteeringTrain(built);
        for (boolean hubToo : new boolean[] {true, false}) {
            List<WallTrace> traces = WallTrace.of(sheet(dots(built, hubToo)), planned);
            assertThat(traces).hasSize(2).allMatch(w -> w.hubTraced() == hubToo);
            for (WallTrace w : traces) {
                for (WallTrace.ToePoint p : w.points()) {
                    double toe = Laser.knuckle(real, w.wheel(), p.travel())
                                    .orElseThrow()
                                    .toeInDeg()
                            - Laser.knuckle(real, w.wheel(), 0).orElseThrow().toeInDeg();
                    // What the plan is asked for, caster and camber change, hardly hangs on where the gear is.
                    assertThat(p.toeIn())
                            .as(demo + " " + w.wheel() + " at " + p.travel())
                            .isCloseTo(toe, within(0.004 + 0.02 * Math.abs(toe)));
                    assertThat(p.sd()).isCloseTo(Math.toDegrees((hubToo ? Math.sqrt(0.5) : 0.5) / 3000), within(1e-6));
                }
            }
        }
    }

    @Test
    void markOffsetAndWallDistanceCancel() {
        Job built = Deviation.GEAR_UP.apply(DemoJob.GARDEN_SHUTTLE.job(), 5);
        SteeringTrain plan = new SteeringTrain(DemoJob.GARDEN_SHUTTLE.job());
        List<WallDot> dots = dots(built, true);
        List<WallTrace> as = WallTrace.of(sheet(dots), plan);
        List<WallTrace> shifted = WallTrace.of(
                sheet(dots.stream()
                        .map(d -> new WallDot(
                                d.wheel(),
                                d.rodOn(),
                                d.travel(),
                                d.left() + (d.rodOn() ? 7 : -4),
                                d.up(),
                                d.spread(),
                                d.by()))
                        .toList()),
                plan);
        for (int i = 0; i < as.size(); i++) {
            for (int k = 0; k < as.get(i).points().size(); k++) {
                assertThat(shifted.get(i).points().get(k).toeIn())
                        .isCloseTo(as.get(i).points().get(k).toeIn(), within(0.001));
            }
        }
        assertThat(as.getFirst().peakToPeak(-1000, 1000).orElseThrow())
                .isGreaterThan(as.getFirst().peakToPeak(-25, 30).orElseThrow());
        assertThat(as.getFirst().peakToPeak(500, 600)).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void turnPlatesMatchSweep(DemoJob demo) {
        Job job = demo.job();
        SteeringTrain t = new SteeringTrain(job);
        int looked = 0;
        KnucklePose left = t.pose(0, 0, 0).assembled().orElseThrow().left();
        KnucklePose right = t.pose(0, 0, 0).assembled().orElseThrow().right();
        for (SteerRow r : SteerSweep.of(t, job, new Grid(6, 2)).orElseThrow().rows()) {
            if (r.turn().filter(x -> x.innerDeg() > 2).isEmpty()) {
                continue;
            }
            Side way = r.turn().get().turned();
            // Plates are zeroed straight ahead: the static toe is not in them.
            double l = way.sign() * (r.turn().get().leftDeg() - left.steerDeg());
            double o = way.sign() * (r.turn().get().rightDeg() - right.steerDeg());
            Optional<Double> outer = PlateAngles.outerAt(t, way, way == Side.LEFT ? l : o);
            assertThat(outer.orElseThrow())
                    .as(demo + " at " + r.steeringWheelDeg())
                    .isCloseTo(way == Side.LEFT ? o : l, within(1e-6));
            looked++;
        }
        assertThat(looked).isGreaterThan(4);
        assertThat(PlateAngles.outerAt(t, Side.LEFT, 89)).isEmpty();
    }
}
