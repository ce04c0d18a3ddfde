package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.DoubleFunction;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LockLimits;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Lock and feel that are not the same to left and right: by how much, what does it, and what would put it right. */
final class LockChecks {

    /** Of the larger lock: a lock smaller than this part of the other is a stop. */
    private static final double GRAVE = 0.5;

    /**
     * Turns to either lock that differ by more than this part of the larger get a finding, even where the wheels turn
     * alike.
     */
    private static final double TURNS_APART = 0.2;

    /** A gear is looked for off its middle by up to this, mm or degrees. */
    private static final double FARTHEST = 60;

    private static final int STEPS = 12;
    private static final int HALVINGS = 18;

    private final Job job;
    private final SteerFigures figures;

    LockChecks(Job job, SteerFigures figures) {
        this.job = job;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("Full lock left against right", new Element.GearElement(), all -> all.addAll(findings()));
    }

    private List<Finding> findings() {
        SteerFigures.Lock left = figures.lock(Side.LEFT);
        SteerFigures.Lock right = figures.lock(Side.RIGHT);
        double l = left.turn().innerDeg();
        double r = right.turn().innerDeg();
        double turnsLeft = Math.abs(left.turn().steeringWheelDeg()) / 360;
        double turnsRight = Math.abs(right.turn().steeringWheelDeg()) / 360;
        boolean lock = Math.abs(l - r) > job.rules().geometry().lockApartDeg();
        boolean turns = Math.abs(turnsLeft - turnsRight) > TURNS_APART * Math.max(turnsLeft, turnsRight);
        if (!lock && !turns || figures.sense() != SteerFigures.Sense.RIGHT_WAY) {
            return List.of();
        }
        Phrase what = lock
                ? Phrase.of(
                        "Full lock is {0} of inner wheel to the left and {1} to the right, with {2} and {3} of steering wheel.",
                        Quantity.angle(l), Quantity.angle(r), Quantity.turns(turnsLeft), Quantity.turns(turnsRight))
                : Phrase.of(
                        "The steering wheel turns {0} to the left lock and {1} to the right one.",
                        Quantity.turns(turnsLeft), Quantity.turns(turnsRight));
        Phrase feel = ratios(Math.min(l, r) / 2)
                .map(x -> Phrase.of(
                        " To bring the inner wheel to {0} it takes {1} to the left and {2} to the right.",
                        Quantity.angle(Math.min(l, r) / 2), Quantity.turns(x[0]), Quantity.turns(x[1])))
                .orElse(Phrase.of(""));
        List<Cause> causes = causes();
        Phrase why = Phrase.of(
                        "The vehicle turns tighter one way than the other, and the driver learns the wrong feel. ")
                .then(ends());
        for (Cause c : causes.stream().limit(1).toList()) {
            why = why.then(" Likely cause: ").then(c.why).then(".");
        }
        return List.of(new Finding(
                Fault.LOCK_UNEQUAL,
                lock && Math.min(l, r) < GRAVE * Math.max(l, r) ? Severity.STOP : Severity.LOOK,
                new Element.GearElement(),
                what.then(feel),
                why,
                causes.stream().map(c -> c.remedy).toList()));
    }

    /** Turns of the steering wheel to an angle of the inner wheel, to the left and to the right. */
    private Optional<double[]> ratios(double innerDeg) {
        SteeringTrain train = new SteeringTrain(job);
        double[] turns = new double[2];
        for (Side way : Side.values()) {
            Optional<Double> sw = figures.rows().stream()
                    .filter(x -> x.steeringWheelDeg() * way.sign() > 0)
                    .filter(x -> x.turn().filter(t -> t.innerDeg() >= innerDeg).isPresent())
                    .map(x -> Math.abs(x.steeringWheelDeg()))
                    .min(Double::compare);
            if (sw.isEmpty()) {
                return Optional.empty();
            }
            turns[way.ordinal()] = at(train, way, innerDeg, sw.get()) / 360;
        }
        return Optional.of(turns);
    }

    private static double at(SteeringTrain train, Side way, double innerDeg, double past) {
        double low = 0;
        double high = past;
        for (int i = 0; i < 40; i++) {
            double mid = (low + high) / 2;
            boolean there = train.pose(way.sign() * mid, 0, 0)
                    .assembled()
                    .map(a -> way.sign() * a.knuckle(way).steerDeg() >= innerDeg)
                    .orElse(true);
            low = there ? low : mid;
            high = there ? mid : high;
        }
        return high;
    }

    private Phrase ends() {
        LockLimits.Hit l = figures.lock(Side.LEFT).hit();
        LockLimits.Hit r = figures.lock(Side.RIGHT).hit();
        return Phrase.of("To the left the " + l.limit().label() + " ends it, to the right the "
                + r.limit().label() + ".");
    }

    private record Cause(Phrase why, Remedy remedy) {}

    /** What alone, put right, makes both locks alike. */
    private List<Cause> causes() {
        List<Cause> all = new ArrayList<>();
        stops().ifPresent(all::add);
        switch (job.axle().orElseThrow().gear()) {
            case RackAndPinion r ->
                equal(
                                s -> job.editAxle(a -> a.withGear(
                                        r.withCentre(r.centre().plus(r.axis().times(s))))),
                                FARTHEST)
                        .ifPresent(s -> all.add(new Cause(
                                Phrase.of(
                                        "the rack is {0} too far to the " + (s > 0 ? "right" : "left")
                                                + ", so that one tie rod is longer than the other",
                                        Quantity.length(Math.abs(s))),
                                new Remedy(
                                        Phrase.of(
                                                "Move the rack {0} to the " + (s > 0 ? "left" : "right")
                                                        + " and set both tie rods again",
                                                Quantity.length(Math.abs(s))),
                                        j -> j.editAxle(a -> a.editRack(x -> x.withCentre(
                                                r.centre().plus(r.axis().times(s)))))))));
            case ArmGear g ->
                equal(deg -> turned(job, g, deg), FARTHEST)
                        .ifPresent(deg -> all.add(new Cause(
                                Phrase.of(
                                                "the gear's arm is {0} off its middle straight ahead",
                                                Quantity.angle(Math.abs(deg)))
                                        .then(rodChange(g, deg)),
                                new Remedy(
                                        Phrase.of(
                                                        "Set the gear's arm {0} " + (deg > 0 ? "on" : "back")
                                                                + " about its shaft, straight ahead",
                                                        Quantity.angle(Math.abs(deg)))
                                                .then(rodChange(g, deg)),
                                        j -> turned(j, g, deg)))));
        }
        return all;
    }

    private static Job turned(Job job, ArmGear g, double deg) {
        return job.editAxle(a -> a.editArmGear(x -> x.withArmEnd(g.axis().turned(g.armEnd(), Math.toRadians(deg)))));
    }

    /** What that makes of the rod the arm drives, in mm: how its adjuster is turned. */
    private Phrase rodChange(ArmGear g, double deg) {
        SteeringTrain before = new SteeringTrain(job);
        SteeringTrain after = new SteeringTrain(turned(job, g, deg));
        for (Rod rod :
                new Rod[] {Rod.INTERMEDIATE_LINK, Rod.DRAG_LINK, Rod.DRAG_ROD, Rod.SHORT_LINK, Rod.CENTRE_LINK}) {
            if (before.axle().orElseThrow().lengths().containsKey(rod)) {
                double by = Objects.requireNonNull(
                                after.axle().orElseThrow().lengths().get(rod))
                        - Objects.requireNonNull(
                                before.axle().orElseThrow().lengths().get(rod));
                return Math.abs(by) < 0.05
                        ? Phrase.of("")
                        : Phrase.of(
                                "; the " + rod.label() + " is then {0} " + (by > 0 ? "longer" : "shorter"),
                                Quantity.length(Math.abs(by)));
            }
        }
        return Phrase.of("");
    }

    /** Knuckle stops that are not set alike. */
    private Optional<Cause> stops() {
        WheelLimits left = job.axle().orElseThrow().corner(Side.LEFT).limits();
        WheelLimits right = job.axle().orElseThrow().corner(Side.RIGHT).limits();
        boolean byStop = figures.lock(Side.LEFT).hit().limit() == Limit.KNUCKLE_STOP
                || figures.lock(Side.RIGHT).hit().limit() == Limit.KNUCKLE_STOP;
        if (!byStop
                || left.equals(right)
                || left.stopInner().isEmpty() && right.stopInner().isEmpty()) {
            return Optional.empty();
        }
        double common =
                Math.min(left.stopInner().orElse(90.0), right.stopInner().orElse(90.0));
        Job alike = alike(job, common);
        return difference(alike)
                .filter(d -> Math.abs(d) <= job.rules().geometry().lockApartDeg())
                .map(_ -> new Cause(
                        Phrase.of("the knuckle stops are not set alike"),
                        new Remedy(
                                Phrase.of(
                                        "Set both knuckle stops at {0} with the wheel inside", Quantity.angle(common)),
                                j -> alike(j, common))));
    }

    private static Job alike(Job job, double stop) {
        return job.editAxle(a -> {
            Corner l = a.corner(Side.LEFT);
            Corner r = a.corner(Side.RIGHT);
            WheelLimits both = l.limits().withStops(Optional.of(stop), Optional.empty());
            return a.withCorner(Side.LEFT, l.withLimits(both))
                    .withCorner(Side.RIGHT, r.withLimits(r.limits().withStops(Optional.of(stop), Optional.empty())));
        });
    }

    /** The smallest change that makes both locks alike, if one does. */
    private Optional<Double> equal(DoubleFunction<Job> changed, double farthest) {
        double before = difference(changed.apply(0)).orElse(Double.NaN);
        if (Double.isNaN(before)) {
            return Optional.empty();
        }
        for (int i = 1; i <= STEPS; i++) {
            for (int sign : new int[] {-1, 1}) {
                double from = sign * farthest * (i - 1) / STEPS;
                double to = sign * farthest * i / STEPS;
                Optional<Double> a = attempt(changed, from);
                Optional<Double> b = attempt(changed, to);
                if (a.isPresent() && b.isPresent() && a.get() * b.get() <= 0) {
                    double at = halved(changed, from, to, a.get());
                    double rounded = Math.rint(at * 10) / 10;
                    boolean alike = attempt(changed, rounded)
                            .filter(d -> Math.abs(d) <= job.rules().geometry().lockApartDeg() / 2)
                            .isPresent();
                    return alike && rounded != 0 ? Optional.of(rounded) : Optional.empty();
                }
            }
        }
        return Optional.empty();
    }

    private static double halved(DoubleFunction<Job> changed, double from, double to, double there) {
        double a = from;
        double b = to;
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (a + b) / 2;
            double d = attempt(changed, mid).orElse(there);
            if (d * there > 0) {
                a = mid;
            } else {
                b = mid;
            }
        }
        return (a + b) / 2;
    }

    private static Optional<Double> attempt(DoubleFunction<Job> changed, double by) {
        try {
            return difference(changed.apply(by));
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    /** Inner lock to the left less the one to the right, degrees. */
    private static Optional<Double> difference(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        double[] inner = new double[2];
        for (Side way : Side.values()) {
            LockLimits.Hit hit = LockLimits.stop(train, job, way);
            Optional<Double> deg = train.pose(hit.steeringWheelDeg() * (1 - 1e-9), 0, 0)
                    .assembled()
                    .map(a -> way.sign() * a.knuckle(way).steerDeg());
            if (deg.isEmpty()) {
                return Optional.empty();
            }
            inner[way.ordinal()] = deg.get();
        }
        return Optional.of(inner[0] - inner[1]);
    }
}
