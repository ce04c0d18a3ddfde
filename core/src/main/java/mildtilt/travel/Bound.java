package mildtilt.travel;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.KnucklePose;

/**
 * What a part may not go past as steering and wheels move.
 *
 * @param part whose it is
 * @param name of the part, or of the end of it
 * @param limit mm or degrees, as the kind says
 * @param endsTravel whether the part is there to end the travel, so that meeting it is no fault
 * @param value of one pose that is assembled, in the same unit
 * @param tilting what tilts on what, where that is the value
 */
public record Bound(
        Id part,
        Element element,
        String name,
        Kind kind,
        double limit,
        boolean endsTravel,
        ToDoubleFunction<AxlePose> value,
        Optional<Tilting> tilting) {

    /**
     * A part on an end or a joint.
     *
     * @param first whether the fit is at the part's first end
     * @param fit in the design position
     * @param part its direction as seen from what holds the fit, in that one's design position
     */
    public record Tilting(boolean first, EndFit fit, Function<AxlePose, Vector> part) {}

    /** One of a length. */
    private Bound(
            Id part,
            Element element,
            String name,
            Kind kind,
            double limit,
            boolean endsTravel,
            ToDoubleFunction<AxlePose> value) {
        this(part, element, name, kind, limit, endsTravel, value, Optional.empty());
    }

    /** One of a tilt. */
    static Bound tilt(Id part, Element element, String name, Tilting t) {
        return new Bound(
                part,
                element,
                name,
                Kind.TILT,
                t.fit.mostTiltDeg(),
                false,
                p -> t.fit.tiltDeg(t.part.apply(p)),
                Optional.of(t));
    }

    /** What is measured, and which way it runs out. */
    public enum Kind {
        /** Its ends too far apart, mm. */
        LONGEST("pulled out to its end"),
        /** Its ends too near, mm. */
        SHORTEST("pushed in to its end"),
        /** A spring has come loose, mm. */
        LOOSE("loose"),
        /** A strap has come taut, mm. */
        TAUT("taut"),
        /** A bump stop has met, mm. */
        MET("met"),
        /** A hose is stretched out, mm. */
        STRETCHED("stretched out"),
        /** A hose is bent too sharply: radius, mm. */
        BENT("bent too sharply"),
        /** An end or a joint tilts, degrees. */
        TILT("out of angle");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        /** How the part stands that is past it. */
        public String label() {
            return label;
        }

        /** Whether more of the value is nearer to the limit. */
        boolean upward() {
            return switch (this) {
                case LONGEST, LOOSE, TAUT, STRETCHED, TILT -> true;
                case SHORTEST, MET, BENT -> false;
            };
        }

        public boolean isAngle() {
            return this == TILT;
        }
    }

    /** What is left of a value until the limit. */
    public double margin(double at) {
        return kind.upward() ? limit - at : at - limit;
    }

    public double margin(AxlePose pose) {
        return margin(value.applyAsDouble(pose));
    }

    /** The most that any is past its limit in a pose that is assembled, below 0; 0 where none is. A spring may be loose. */
    public static double past(List<Bound> bounds, AxlePose pose) {
        double past = 0;
        for (Bound b : bounds) {
            if (b.kind != Kind.LOOSE) {
                past = Math.min(past, b.margin(pose));
            }
        }
        return past;
    }

    /** Every bound of a job with an axle. */
    public static List<Bound> of(Job job) {
        CarrierMotion motion = new CarrierMotion(job.axle().orElseThrow());
        List<Bound> all = new ArrayList<>();
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            Obstacle o = job.surroundings().obstacles().get(i);
            if (o.shape() instanceof TwoEnded t) {
                ofTwoEnded(all, o, new Element.InTheWay(i), t, motion);
            }
        }
        for (Side side : Side.values()) {
            Corner corner = job.axle().get().corner(side);
            for (JointTilt j : corner.joints()) {
                all.add(tilt(
                        new Id(side.code()).part(Id.of(j.at()).text()),
                        new Element.Knuckles(),
                        side.label() + " " + j.at().label(),
                        ofJoint(corner, side, j, motion)));
            }
        }
        return all;
    }

    private static Tilting ofJoint(Corner corner, Side side, JointTilt j, CarrierMotion motion) {
        boolean left = side == Side.LEFT;
        Carrier knuckle = left ? Carrier.LEFT_KNUCKLE : Carrier.RIGHT_KNUCKLE;
        return switch (j.at()) {
            case STRUT_TOP ->
                new Tilting(true, new EndFit.Ball(j.axis(), j.allowedDeg()), p -> {
                    KnucklePose k = (KnucklePose) p.corner(side);
                    return point(corner, CornerPoint.STRUT_TOP)
                            .minus(k.carried(point(corner, CornerPoint.STRUT_LOWER)));
                });
            case LOWER_INNER_FRONT, LOWER_INNER_REAR, UPPER_INNER_FRONT, UPPER_INNER_REAR ->
                new Tilting(true, new EndFit.Eye(j.axis(), j.allowedDeg()), p -> {
                    KnucklePose k = (KnucklePose) p.corner(side);
                    return k.carried(point(corner, JointTilt.otherEnd(j.at()))).minus(point(corner, j.at()));
                });
            case LOWER_FRONT_OUTER, LOWER_REAR_OUTER, UPPER_FRONT_OUTER, UPPER_REAR_OUTER ->
                new Tilting(true, new EndFit.Eye(j.axis(), j.allowedDeg()), p -> {
                    KnucklePose k = (KnucklePose) p.corner(side);
                    Vector link = point(corner, JointTilt.otherEnd(j.at())).minus(k.carried(point(corner, j.at())));
                    return motion.move(p, knuckle).inverse().turned(link);
                });
            // A swing beam's arm is one with the beam, and its joint is on the frame.
            case BEAM_ARM -> onArm(j, Carrier.FRAME, left ? Carrier.LEFT_LOWER_ARM : Carrier.RIGHT_LOWER_ARM, motion);
            case LOWER_BALL_JOINT, LOWER_ARM_END ->
                onArm(j, knuckle, left ? Carrier.LEFT_LOWER_ARM : Carrier.RIGHT_LOWER_ARM, motion);
            case UPPER_BALL_JOINT, UPPER_ARM_END ->
                onArm(j, knuckle, left ? Carrier.LEFT_UPPER_ARM : Carrier.RIGHT_UPPER_ARM, motion);
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
    private static Tilting onArm(JointTilt j, Carrier stud, Carrier housing, CarrierMotion motion) {
        Vector was = j.housing().orElse(j.axis()).vector();
        return new Tilting(true, new EndFit.Ball(j.axis(), j.allowedDeg()), p -> motion.move(p, stud)
                .inverse()
                .turned(motion.move(p, housing).turned(was)));
    }

    private static Point point(Corner corner, CornerPoint which) {
        return Objects.requireNonNull(corner.suspension().points().get(which));
    }

    private static void ofTwoEnded(List<Bound> all, Obstacle o, Element element, TwoEnded t, CarrierMotion motion) {
        Function<AxlePose, TwoEnded> now = pose -> t.carried(moves(motion, pose));
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
            end.fit()
                    .filter(f -> Double.isFinite(f.mostTiltDeg()))
                    .ifPresent(fit -> all.add(tilt(
                            o.id(),
                            element,
                            o.name() + ", end on the " + end.on().label(),
                            new Tilting(first, fit, p -> {
                                TwoEnded stands = now.apply(p);
                                Vector part = stands.end(!first)
                                        .at()
                                        .minus(stands.end(first).at());
                                return motion.move(p, end.on()).inverse().turned(part);
                            }))));
        }
    }

    private static Kind longest(TwoEnded t) {
        return switch (t) {
            case TwoEnded.Strap _ -> Kind.TAUT;
            case TwoEnded.CoilSpring _ -> Kind.LOOSE;
            case TwoEnded.Hose _ -> Kind.STRETCHED;
            case TwoEnded.Damper _, TwoEnded.DrivenShaft _, TwoEnded.BumpStop _ -> Kind.LONGEST;
        };
    }

    private static Function<Carrier, RigidMove> moves(CarrierMotion motion, AxlePose pose) {
        return c -> motion.move(pose, c);
    }
}
