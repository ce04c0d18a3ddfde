package mildtilt.trials.instruments;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.column.Column;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.lazy.Lazy;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LockLimits;
import mildtilt.trials.Setup;
import mildtilt.trials.compare.Laser;
import mildtilt.trials.diagnose.Deviation;

/**
 * A vehicle that stands in for a real one: built to a plan, but not quite, as real ones are. What is wrong with it is
 * its own secret.
 */
public final class SimulatedVehicle {

    /** A dial is set up along a shaft no closer than this, mm. */
    private static final double SET_TO = 0.5;

    /**
     * How a shaft runs: straight lines from its held ends to a bend, mm off at the bend, and held off its axis by so
     * much all along.
     */
    private record Shaft(double bendAlong, double bend, double bendDeg, double eccentric, double eccentricDeg) {}

    private final Job built;
    private final SteeringTrain train;
    private final Map<Id, Shaft> shafts = new HashMap<>();
    private final double heavier;
    private final double drag;
    private final double phoneOffDeg;
    private final Lazy<Double> parked;
    private final Lazy<List<Double>> locks;

    /** @param built as it really is */
    private SimulatedVehicle(Job built, Random secret) {
        this.built = built;
        train = new SteeringTrain(built);
        built.column().ifPresent(c -> {
            for (int i = 0; i < c.shafts().size(); i++) {
                double length = c.start(i).distanceTo(c.end(i));
                double bend = secret.nextDouble() < 0.4 ? 0.2 + 0.4 * secret.nextDouble() : 0;
                shafts.put(
                        c.shafts().get(i).id(),
                        new Shaft(
                                length * (0.35 + 0.3 * secret.nextDouble()),
                                bend,
                                360 * secret.nextDouble(),
                                0.1 * secret.nextDouble(),
                                360 * secret.nextDouble()));
            }
        });
        heavier = 0.95 + 0.3 * secret.nextDouble();
        drag = 8 + 10 * secret.nextDouble();
        phoneOffDeg = 1.5 * secret.nextGaussian();
        locks = Lazy.of(() -> Arrays.stream(Side.values())
                .map(way -> (1 - 1e-6) * LockLimits.stop(train, built, way).steeringWheelDeg())
                .toList());
        parked = Lazy.of(() -> SteerSweep.of(train, built, Grid.USUAL)
                .flatMap(SteerFigures::effort)
                .map(e -> heavier * e.worstParked())
                .orElse(drag));
    }

    /** One built as it really is, known to a test. */
    public static SimulatedVehicle of(Job built, long seed) {
        return new SimulatedVehicle(built, new Random(seed));
    }

    /** One built to a plan with errors of its own: the same seed, the same errors. */
    public static SimulatedVehicle builtTo(Job plan, long seed) {
        Random secret = new Random(seed);
        Job job = plan;
        if (plan.axle().isPresent()) {
            List<Deviation> all = List.of(
                    Deviation.GEAR_UP,
                    Deviation.GEAR_UP,
                    Deviation.LEFT_ARM_UP,
                    Deviation.RIGHT_ARM_UP,
                    Deviation.GEAR_TILT);
            List<Job> wrong = new ArrayList<>();
            tried(wrong, job, secret.nextDouble() < 0.15, 0, Optional.empty());
            tried(
                    wrong,
                    wrong.getLast(),
                    false,
                    (secret.nextBoolean() ? 1 : -1) * (1.5 + 2.5 * secret.nextDouble()),
                    Optional.of(all.get(secret.nextInt(all.size()))));
            tried(wrong, wrong.getLast(), false, 1.5 * secret.nextGaussian(), Optional.of(Deviation.GEAR_LEFT));
            job = wrong.getLast();
        }
        int joints = plan.column().map(c -> c.joints().size()).orElse(0);
        for (int i = 0; i < joints; i++) {
            PointId id = new PointId.JointCentre(i);
            Point p = JobPoints.position(job, id);
            job = JobPoints.moved(
                    job,
                    id,
                    p.plus(new Vector(
                            1.5 * secret.nextGaussian(), 1.5 * secret.nextGaussian(), 1.5 * secret.nextGaussian())));
        }
        return new SimulatedVehicle(job, secret);
    }

    private static void tried(List<Job> all, Job job, boolean swapped, double mm, Optional<Deviation> misfit) {
        try {
            Job next = swapped
                    ? Deviation.armsSwapped(job)
                    : misfit.filter(m -> m.applies(job))
                            .map(m -> m.apply(job, mm))
                            .orElse(job);
            all.add(new SteeringTrain(next).pose(0, 0, 0).assembled().isPresent() ? next : job);
        } catch (ImpossibleGeometryException e) {
            all.add(job);
        }
    }

    /** What it is like, for a stand-in that gives its secret away when asked. */
    public Job built() {
        return built;
    }

    /** What an instrument would show there, without its own noise; empty where it can't be put so. */
    Optional<List<Double>> shown(InstrumentKind kind, InstrumentPlacement mark, Setup setup, boolean rodOn) {
        return switch (kind) {
            case ANGLE_FINDER -> mark instanceof InstrumentPlacement.OnJoint j ? joint(j.joint()) : Optional.empty();
            case DIAL -> mark instanceof InstrumentPlacement.OnShaft s ? dial(s) : Optional.empty();
            case TURN_PLATES -> plates(setup);
            case LASER ->
                mark instanceof InstrumentPlacement.OnWheel w
                                && train.axle().isPresent()
                                && train.locked().isEmpty()
                        ? Laser.dot(
                                        train,
                                        w.side(),
                                        w.side() == Side.LEFT ? setup.travelLeft() : setup.travelRight(),
                                        rodOn,
                                        setup.wall())
                                .map(d -> List.of(d.left(), d.up()))
                        : Optional.empty();
            case PULL_SCALE -> Optional.of(List.of(pull(setup)));
            case PHONE -> mark instanceof InstrumentPlacement.OnShaft s ? slope(s) : Optional.empty();
        };
    }

    private Optional<List<Double>> joint(Id id) {
        return train.column().flatMap(t -> t.column().joint(id).map(i -> List.of(t.jointAngleDeg(i))));
    }

    private Optional<List<Double>> dial(InstrumentPlacement.OnShaft m) {
        Optional<Column> column = built.column();
        Shaft s = shafts.get(m.shaft());
        if (column.isEmpty() || s == null) {
            return Optional.empty();
        }
        double length = column.get().shaft(m.shaft()).map(column.get()::length).orElse(0.0);
        if (!(m.along() >= -SET_TO && m.along() <= length + SET_TO)) {
            return Optional.empty();
        }
        double part = m.along() < s.bendAlong ? m.along() / s.bendAlong : (length - m.along()) / (length - s.bendAlong);
        return Optional.of(List.of(high(s.bend * Math.max(0, part), s.bendDeg, m.turnedDeg())
                + high(s.eccentric, s.eccentricDeg, m.turnedDeg())));
    }

    private Optional<List<Double>> slope(InstrumentPlacement.OnShaft m) {
        return built.column().flatMap(c -> c.shaft(m.shaft()).map(i -> {
            double down = c.end(i).minus(c.start(i)).direction().downDeg();
            return List.of(down * Math.cos(Math.toRadians(m.turnedDeg())) + phoneOffDeg);
        }));
    }

    private static double high(double off, double atDeg, double turnedDeg) {
        return off * Math.cos(Math.toRadians(turnedDeg - atDeg));
    }

    private Optional<List<Double>> plates(Setup setup) {
        if (train.axle().isEmpty()) {
            return Optional.empty();
        }
        Optional<AxlePose.Assembled> ahead = train.pose(0, 0, 0).assembled();
        // It turns no further than it can, whatever the plan says.
        double steering = Math.clamp(
                setup.steeringWheelDeg(), locks.get().get(1), locks.get().get(0));
        return train.pose(steering, setup.travelLeft(), setup.travelRight())
                .assembled()
                .flatMap(p -> ahead.map(a -> List.of(
                        p.left().steerDeg() - a.left().steerDeg(),
                        p.right().steerDeg() - a.right().steerDeg())));
    }

    private double pull(Setup setup) {
        return setup.onGround() ? parked.get() : drag;
    }
}
