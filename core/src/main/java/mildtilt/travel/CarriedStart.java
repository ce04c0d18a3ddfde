package mildtilt.travel;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.TrailingArms;

/**
 * A new part between ends for a vehicle, to be moved to where it is: on the left, from the frame to what the wheel
 * hangs on, with the lengths that the travel and the lock ask of it there.
 */
public enum CarriedStart {
    DAMPER("damper", "left damper"),
    STEERING_DAMPER("steering damper", "steering damper"),
    COIL_SPRING("coil spring", "left spring"),
    LIMIT_STRAP("limit strap", "left strap"),
    BUMP_STOP("bump stop", "left bump stop"),
    DRIVEN_SHAFT("driven shaft", "left driven shaft"),
    HOSE("brake hose, cable", "left brake hose"),
    ANTI_ROLL_BAR("anti-roll bar with drop links", "anti-roll bar");

    private static final double SPARE = 10;
    /** Part of the way from the arm's inner end to its outer one, or from the middle of the axle to its kingpin. */
    private static final double OUT = 0.7;

    /** Fore and aft of the wheel's middle, so that new parts stand beside each other and clear of a driven shaft. */
    private static final double BESIDE = 110;

    private static final double SLACK = 1.15;
    private static final double ROUND = 1;

    private final String label;
    private final String name;

    CarriedStart(String label, String name) {
        this.label = label;
        this.name = name;
    }

    public String label() {
        return label;
    }

    /** What it is called, before a number. */
    public String partName() {
        return name;
    }

    /** Empty without an axle that can be turned: then there is nothing for an end to go along with. */
    public Optional<Obstacle> on(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        SteeredAxle axle = train.requireAxle();
        Knuckle left = axle.left().knuckle();
        Point low = foot(axle, left);
        Carrier on = holder(axle);
        double aside = aside(axle);
        PartEnd foot = PartEnd.on(on, low.plus(new Vector(this == COIL_SPRING ? -aside : aside, 0, 0)));
        Point above = foot.at().plus(new Vector(0, -60, 320));
        return Optional.of(
                switch (this) {
                    case DAMPER -> damper(job, train, PartEnd.on(Carrier.FRAME, above), foot, 60);
                    case COIL_SPRING -> {
                        double[] between = range(job, train, PartEnd.on(Carrier.FRAME, above), foot);
                        yield shaped(new TwoEnded.CoilSpring(
                                PartEnd.on(Carrier.FRAME, above),
                                foot,
                                120,
                                Math.floor(Math.max(between[0] - 2 * SPARE, SPARE)),
                                Math.ceil(between[1] + 2 * SPARE)));
                    }
                    case STEERING_DAMPER -> steeringDamper(job, train, axle);
                    case LIMIT_STRAP ->
                        set(
                                job,
                                new TwoEnded.Strap(
                                        PartEnd.on(Carrier.FRAME, low.plus(new Vector(1.6 * aside, -20, 180))),
                                        PartEnd.on(on, low.plus(new Vector(1.6 * aside, 0, 0))),
                                        20,
                                        400),
                                job.vehicle().droop());
                    case BUMP_STOP ->
                        set(
                                job,
                                new TwoEnded.BumpStop(
                                        PartEnd.on(
                                                Carrier.FRAME,
                                                low.plus(new Vector(
                                                        2.2 * aside,
                                                        0,
                                                        job.vehicle().bump() + 60))),
                                        PartEnd.on(on, low.plus(new Vector(2.2 * aside, 0, 0))),
                                        50,
                                        40),
                                job.vehicle().bump());
                    case ANTI_ROLL_BAR -> bar(on, foot.at());
                    case DRIVEN_SHAFT -> drivenShaft(job, train, axle, left);
                    case HOSE -> {
                        PartEnd to = PartEnd.on(
                                Carrier.LEFT_KNUCKLE, left.wheelCentre().plus(new Vector(-80, -120, 60)));
                        PartEnd from =
                                PartEnd.on(Carrier.FRAME, left.wheelCentre().plus(new Vector(-140, -330, 200)));
                        double most = range(job, train, from, to)[1];
                        yield shaped(new TwoEnded.Hose(from, to, 12, Math.ceil(most * SLACK), 45));
                    }
                });
    }

    private Obstacle shaped(CarriedShape t) {
        return Obstacle.fixed(name, t).withGap(6);
    }

    /** What a damper stands on. */
    private static Carrier holder(SteeredAxle axle) {
        return axle.beam().isPresent()
                ? Carrier.AXLE
                : CarrierMotion.exists(axle, Carrier.LEFT_LOWER_ARM) ? Carrier.LEFT_LOWER_ARM : Carrier.LEFT_KNUCKLE;
    }

    /** On a trailing or leading arm away from its pivot: nearer to it than the wheel a strap would go slack. */
    private static double aside(SteeredAxle axle) {
        return axle.left().suspension() instanceof TrailingArms t
                        && t.lowerAxis().footOf(t.lowerEnd()).x() > t.lowerEnd().x()
                ? -BESIDE
                : BESIDE;
    }

    private static Point foot(SteeredAxle axle, Knuckle left) {
        Point ball = axle.left().suspension().steerAxis().footOf(left.wheelCentre());
        return new Point(ball.x(), ball.y() * OUT, ball.z() * 0.8);
    }

    private Obstacle damper(Job job, SteeringTrain train, PartEnd from, PartEnd to, double diameter) {
        double[] between = range(job, train, from, to);
        return shaped(new TwoEnded.Damper(
                from, to, diameter, Math.floor(Math.max(between[0] - SPARE, ROUND)), Math.ceil(between[1] + SPARE)));
    }

    /** Across, beside the rod that joins the wheels or the first tie rod. */
    private Obstacle steeringDamper(Job job, SteeringTrain train, SteeredAxle axle) {
        Carrier rod = List.of(Carrier.TIE_ROD, Carrier.CENTRE_LINK, Carrier.RACK_BAR, Carrier.LEFT_TIE_ROD).stream()
                .filter(c -> CarrierMotion.exists(axle, c))
                .findFirst()
                .orElse(Carrier.LEFT_KNUCKLE);
        Point at = axle.left().knuckle().tieRodPoint();
        Point on = new Point(at.x() + 40, at.y() * 0.35, at.z());
        Carrier still = axle.beam().isPresent() && rod == Carrier.TIE_ROD ? Carrier.AXLE : Carrier.FRAME;
        return damper(
                job,
                train,
                PartEnd.on(still, on.plus(new Vector(0, -Math.max(300, at.y()), 0))),
                PartEnd.on(rod, on),
                40);
    }

    private Obstacle drivenShaft(Job job, SteeringTrain train, SteeredAxle axle, Knuckle left) {
        Point outer = axle.left().suspension().steerAxis().footOf(left.wheelCentre());
        Vector spin = left.spinAxisPoint().minus(left.wheelCentre());
        PartEnd to = new PartEnd(
                new Point(left.wheelCentre().x(), outer.y(), left.wheelCentre().z()),
                Carrier.LEFT_KNUCKLE,
                Optional.of(new EndFit.Ball(spin.direction(), 45)));
        PartEnd from = new PartEnd(
                new Point(
                        left.wheelCentre().x(),
                        outer.y() * 0.3,
                        left.wheelCentre().z()),
                axle.beam().isPresent() ? Carrier.AXLE : Carrier.FRAME,
                Optional.of(new EndFit.Ball(Vector.Y.direction(), 22)));
        double[] between = range(job, train, from, to);
        return shaped(new TwoEnded.DrivenShaft(
                from, to, 30, Math.floor(Math.max(between[0] - SPARE, ROUND)), Math.ceil(between[1] + SPARE)));
    }

    private Obstacle set(Job job, TwoEnded t, double travel) {
        Obstacle o = shaped(t);
        int index = job.surroundings().obstacles().size();
        Job with = job.editSurroundings(s -> s.with(o.withName(s.free(o.name()))));
        return TravelStop.is(with, o)
                ? TravelStop.set(with, index, travel).surroundings().obstacles().get(index)
                : o;
    }

    /** Level arms that trail, and links that stand upright over where they hold. */
    private Obstacle bar(Carrier on, Point foot) {
        Point end = foot.plus(new Vector(0, 0, 130));
        Point bush = new Point(end.x() + 220, end.y() - 40, end.z());
        AntiRollBar.Arm left = new AntiRollBar.Arm(bush, end, Optional.empty(), PartEnd.on(on, foot));
        AntiRollBar.Arm right = new AntiRollBar.Arm(
                bush.mirrored(),
                end.mirrored(),
                Optional.empty(),
                PartEnd.on(on, foot).mirrored());
        return shaped(new AntiRollBar(Carrier.FRAME, left, right, 22, 14));
    }

    /** The least and the most that two ends are apart over the whole range, mm. */
    private static double[] range(Job job, SteeringTrain train, PartEnd from, PartEnd to) {
        double[] range = new double[2];
        // A part that is too long and too short everywhere tells both.
        TwoEnded probe = new TwoEnded.Damper(from, to, 1, 1, 2);
        Job with = job.editSurroundings(s -> s.withObstacles(List.of(Obstacle.fixed("probe", probe))));
        List<Bound> bounds = Bounds.of(with, train).stream()
                .filter(b -> b.element() instanceof Element.InTheWay)
                .toList();
        for (BoundUse u : BoundUse.of(bounds, with, train)) {
            if (u.bound().kind() == Bound.Kind.LONGEST) {
                range[1] = u.nearest();
            } else if (u.bound().kind() == Bound.Kind.SHORTEST) {
                range[0] = u.nearest();
            }
        }
        return range;
    }
}
