package mildtilt.travel;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CornerPoint;
import mildtilt.travel.Bound.Kind;
import mildtilt.travel.Bound.Tilting;

/** Every bound of a job: what its parts between ends, its anti-roll bars and its suspension joints may not go past. */
public final class Bounds {

    private final List<Bound> all = new ArrayList<>();
    private final CarrierMotion motion;

    private Bounds(CarrierMotion motion) {
        this.motion = motion;
    }

    /** None without an axle. @param train of the job */
    public static List<Bound> of(Job job, SteeringTrain train) {
        if (train.carriers().isEmpty()) {
            return List.of();
        }
        SteeredAxle axle = train.requireAxle();
        Bounds b = new Bounds(train.carriers().get());
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            Obstacle o = job.surroundings().obstacles().get(i);
            switch (o.shape()) {
                case TwoEnded t -> b.twoEnded(o, i, t);
                case AntiRollBar bar -> b.bar(o, i, bar, job.targets().toggleDeg());
                case Shape.Tube _, Shape.Box _, Shape.Plate _, Shape.Cylinder _, Shape.Sphere _, Shape.Scan _ -> {}
            }
        }
        for (Side side : Side.values()) {
            Corner corner = axle.corner(side);
            corner.joints().forEach(j -> b.joint(corner, side, j));
        }
        axle.barTilts().forEach(t -> b.barEnd(axle, t));
        return List.copyOf(b.all);
    }

    private Function<Carrier, RigidMove> moves(AxlePose pose) {
        return c -> motion.move(pose, c);
    }

    private void twoEnded(Obstacle o, int index, TwoEnded t) {
        Element element = new Element.InTheWay(index);
        Function<AxlePose, TwoEnded> now = pose -> t.carried(moves(pose));
        t.longest()
                .ifPresent(mm ->
                        all.add(new Bound(o.id(), element, o.name(), longest(t), mm, t.endsTravel(), p -> now.apply(p)
                                .endToEnd())));
        t.shortest()
                .ifPresent(mm -> all.add(new Bound(
                        o.id(),
                        element,
                        o.name(),
                        t instanceof TwoEnded.BumpStop ? Kind.MET : Kind.SHORTEST,
                        mm,
                        t.endsTravel(),
                        p -> now.apply(p).endToEnd())));
        if (t instanceof TwoEnded.Hose h && h.leastRadius() > 0) {
            all.add(new Bound(
                    o.id(), element, o.name(), Kind.BENT, h.leastRadius(), false, p -> ((TwoEnded.Hose) now.apply(p))
                            .line()
                            .leastRadius()));
        }
        for (boolean first : new boolean[] {true, false}) {
            PartEnd end = t.end(first);
            tilts(
                    end.fit(),
                    fit -> Bound.tilt(
                            o.id(),
                            element,
                            o.name() + ", end on the " + end.on().label(),
                            new Tilting(
                                    fit,
                                    p -> {
                                        TwoEnded stands = now.apply(p);
                                        Vector part = stands.end(!first)
                                                .at()
                                                .minus(stands.end(first).at());
                                        return motion.move(p, end.on())
                                                .inverse()
                                                .turned(part);
                                    },
                                    (j, f) -> editShape(
                                            j,
                                            index,
                                            TwoEnded.class,
                                            x -> x.withEnd(first, x.end(first).withFit(Optional.of(f)))))));
        }
    }

    private void tilts(Optional<EndFit> fit, Function<EndFit, Bound> bound) {
        fit.filter(f -> Double.isFinite(f.mostTiltDeg())).ifPresent(f -> all.add(bound.apply(f)));
    }

    private static <T extends Shape> Job editShape(Job job, int index, Class<T> type, UnaryOperator<T> change) {
        return job.editSurroundings(s ->
                s.edit(index, o -> type.isInstance(o.shape()) ? o.withShape(change.apply(type.cast(o.shape()))) : o));
    }

    private static Kind longest(TwoEnded t) {
        return switch (t) {
            case TwoEnded.Strap _ -> Kind.TAUT;
            case TwoEnded.CoilSpring _ -> Kind.LOOSE;
            case TwoEnded.Hose _ -> Kind.STRETCHED;
            case TwoEnded.Damper _, TwoEnded.DrivenShaft _, TwoEnded.BumpStop _ -> Kind.LONGEST;
        };
    }

    private void bar(Obstacle o, int index, AntiRollBar bar, double offLine) {
        Element element = new Element.InTheWay(index);
        Direction axis = bar.axis().direction();
        for (Side side : Side.values()) {
            AntiRollBar.Arm arm = bar.arm(side);
            String name = o.name() + ", " + side.label() + " drop link";
            all.add(new Bound(o.id(), element, name, Kind.IN_LINE, offLine, false, p -> bar.stand(side, moves(p))
                    .offLineDeg()));
            tilts(
                    arm.fit(),
                    fit -> Bound.tilt(
                            o.id(),
                            element,
                            name + ", end on its arm",
                            new Tilting(
                                    fit,
                                    p -> {
                                        AntiRollBar.Stand s = bar.stand(side, moves(p));
                                        return axis.turn(s.link().minus(s.end()), -s.turned());
                                    },
                                    (j, f) -> editShape(
                                            j,
                                            index,
                                            AntiRollBar.class,
                                            x -> x.withArm(side, x.arm(side).withFit(Optional.of(f)))))));
            tilts(
                    arm.link().fit(),
                    fit -> Bound.tilt(
                            o.id(),
                            element,
                            name + ", end on the " + arm.link().on().label(),
                            new Tilting(
                                    fit,
                                    p -> {
                                        AntiRollBar.Stand s = bar.stand(side, moves(p));
                                        Vector link = motion.move(p, bar.on())
                                                .turned(s.end().minus(s.link()));
                                        return motion.move(p, arm.link().on())
                                                .inverse()
                                                .turned(link);
                                    },
                                    (j, f) -> editShape(
                                            j,
                                            index,
                                            AntiRollBar.class,
                                            x -> x.withArm(
                                                    side,
                                                    x.arm(side)
                                                            .withLink(
                                                                    x.arm(side)
                                                                            .link()
                                                                            .withFit(Optional.of(f))))))));
        }
    }

    private void barEnd(SteeredAxle axle, BarTilt t) {
        Bar bar = axle.beam().stream()
                .flatMap(x -> x.bars().stream())
                .filter(x -> x.part() == t.part())
                .findFirst()
                .orElseThrow();
        all.add(Bound.tilt(
                Id.of(t.part()).part(t.onAxle() ? "axle" : "frame"),
                new Element.BeamElement(),
                t.label(),
                new Tilting(
                        new EndFit.Eye(t.bolt(), t.allowedDeg()),
                        p -> {
                            RigidMove beam = motion.move(p, Carrier.AXLE);
                            Vector along = beam.moved(bar.axleEnd()).minus(bar.bodyEnd());
                            return t.onAxle() ? beam.inverse().turned(along.negated()) : along;
                        },
                        (j, f) -> j.editAxle(a -> a.withBarTilt(
                                t.part(),
                                t.onAxle(),
                                a.barTilt(t.part(), t.onAxle()).map(x -> x.withBolt(f.direction())))))));
    }

    private void joint(Corner corner, Side side, JointTilt j) {
        all.add(Bound.tilt(
                new Id(side.code()).part(Id.of(j.at()).text()),
                new Element.Knuckles(),
                side.label() + " " + j.at().label(),
                new Tilting(fit(j), part(corner, side, j), (job, f) -> withAxis(job, side, j, f.direction()))));
    }

    /** An arm's housing stays as it is in the arm. */
    private static Job withAxis(Job job, Side side, JointTilt j, Direction to) {
        return job.editAxle(a -> a.withCorner(
                side,
                a.corner(side).withJoint(j.at(), a.corner(side).joint(j.at()).map(x -> x.withAxis(to)
                        .withHousing(Optional.of(x.housing().orElse(x.axis())))))));
    }

    private static EndFit fit(JointTilt j) {
        return switch (j.at()) {
            case LOWER_INNER_FRONT,
                    LOWER_INNER_REAR,
                    UPPER_INNER_FRONT,
                    UPPER_INNER_REAR,
                    LOWER_FRONT_OUTER,
                    LOWER_REAR_OUTER,
                    UPPER_FRONT_OUTER,
                    UPPER_REAR_OUTER -> new EndFit.Eye(j.axis(), j.allowedDeg());
            default -> new EndFit.Ball(j.axis(), j.allowedDeg());
        };
    }

    private Function<AxlePose, Vector> part(Corner corner, Side side, JointTilt j) {
        boolean left = side == Side.LEFT;
        Carrier knuckle = left ? Carrier.LEFT_KNUCKLE : Carrier.RIGHT_KNUCKLE;
        Carrier lower = left ? Carrier.LEFT_LOWER_ARM : Carrier.RIGHT_LOWER_ARM;
        Carrier upper = left ? Carrier.LEFT_UPPER_ARM : Carrier.RIGHT_UPPER_ARM;
        return switch (j.at()) {
            case STRUT_TOP ->
                p -> point(corner, CornerPoint.STRUT_TOP)
                        .minus(motion.move(p, knuckle).moved(point(corner, CornerPoint.STRUT_LOWER)));
            case LOWER_INNER_FRONT, LOWER_INNER_REAR, UPPER_INNER_FRONT, UPPER_INNER_REAR ->
                p -> motion.move(p, knuckle)
                        .moved(point(corner, JointTilt.otherEnd(j.at())))
                        .minus(point(corner, j.at()));
            case LOWER_FRONT_OUTER, LOWER_REAR_OUTER, UPPER_FRONT_OUTER, UPPER_REAR_OUTER ->
                p -> {
                    RigidMove moved = motion.move(p, knuckle);
                    Vector link = point(corner, JointTilt.otherEnd(j.at())).minus(moved.moved(point(corner, j.at())));
                    return moved.inverse().turned(link);
                };
            // A swing beam's arm is one with the beam, and its joint is on the frame.
            case BEAM_ARM -> housing(j, Carrier.FRAME, lower);
            case LOWER_BALL_JOINT, LOWER_ARM_END -> housing(j, knuckle, lower);
            case UPPER_BALL_JOINT, UPPER_ARM_END -> housing(j, knuckle, upper);
            case STRUT_LOWER,
                    LOWER_ARM_PIVOT,
                    UPPER_ARM_PIVOT,
                    KINGPIN_LOWER,
                    KINGPIN_UPPER,
                    BEAM_PIVOT,
                    WHEEL_CENTRE,
                    TIE_ROD_POINT -> throw new IllegalArgumentException(j.at() + " does not tilt");
        };
    }

    /** A stud in one part and its housing in another. */
    private Function<AxlePose, Vector> housing(JointTilt j, Carrier stud, Carrier housing) {
        Vector was = j.housing().orElse(j.axis()).vector();
        return p ->
                motion.move(p, stud).inverse().turned(motion.move(p, housing).turned(was));
    }

    private static Point point(Corner corner, CornerPoint which) {
        return Objects.requireNonNull(corner.suspension().points().get(which));
    }
}
