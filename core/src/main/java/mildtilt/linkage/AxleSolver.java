package mildtilt.linkage;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.CornerSolver;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KingpinSolver;
import mildtilt.suspension.KnucklePose;

/**
 * Poses of a steered axle for a turn of the gear's input and a travel of each wheel. Each member of the
 * linkage follows from the one before in closed form; only a drag link taken from the tie rod needs a root
 * in one variable.
 */
public final class AxleSolver {

    /** How far past its end the gear may be asked to go and still counts as at its end, mm or rad. */
    private static final double GEAR_END_TOLERANCE = 1e-9;

    private static final double REACH_TOLERANCE = 1e-9;

    private final SteeredAxle axle;
    private final Map<Rod, Double> lengths = new EnumMap<>(Rod.class);
    private final Frame beamDesign;
    private final double track;
    private final Moving left;
    private final Moving right;
    /** The gear arm's circle; unused with a rack. */
    private final Orbit arm;
    /** What the arm drives: idler, bell crank or knuckle, as its circle and branch; unused otherwise. */
    private final Orbit driven;
    private final int drivenBranch;
    private final double drivenLength;
    /** With a drag link on the tie rod, straight ahead: gap for a turn of the left knuckle, mm/rad; that turn for one of the arm. */
    private final double gapPerTurn;
    private final double turnPerArm;

    /** One corner made ready, on arms of its own or on a kingpin. */
    private sealed interface Moving {

        record OnArms(CornerSolver solver) implements Moving {}

        record OnKingpin(KingpinSolver solver) implements Moving {}

        default double rodLength() {
            return switch (this) {
                case OnArms a -> a.solver.rodLength();
                case OnKingpin k -> k.solver.rodLength();
            };
        }
    }

    /** @throws ImpossibleGeometryException if a rod or arm has no length */
    public AxleSolver(SteeredAxle axle) {
        this.axle = axle;
        beamDesign = axle.beamDesign();
        track = axle.track();
        Point tieLeft = axle.corner(Side.LEFT).knuckle().tieRodPoint();
        Point tieRight = axle.corner(Side.RIGHT).knuckle().tieRodPoint();
        Orbit none = new Orbit(Point.ORIGIN, Vector.X, Vector.Y, 1);
        arm = axle.gear() instanceof ArmGear g ? g.orbit() : none;
        Orbit follower = none;
        Point followerStart = Point.ORIGIN;
        switch (axle.linkage()) {
            case RackTieRods _, Shuttle _, DragLink _ -> { }
            case CentreLink c -> {
                SwingArm idler = c.idler(armGear());
                follower = Orbit.of(idler.axis(), idler.end());
                followerStart = idler.end();
            }
            case BellCrank b -> {
                follower = Orbit.of(b.pivot(), b.dragRodPoint());
                followerStart = b.dragRodPoint();
            }
        }
        driven = follower;
        switch (axle.linkage()) {
            case RackTieRods _ -> {
                RackAndPinion rack = rack();
                left = moving(Side.LEFT, tieLeft, rack.innerPivot(Side.LEFT, 0), Rod.LEFT_TIE_ROD.label());
                right = moving(Side.RIGHT, tieRight, rack.innerPivot(Side.RIGHT, 0), Rod.RIGHT_TIE_ROD.label());
                drivenBranch = 1;
                drivenLength = 0;
            }
            case CentreLink c -> {
                Point pitman = armGear().armEnd();
                left = moving(Side.LEFT, tieLeft, c.innerAt(Side.LEFT, pitman, followerStart), Rod.LEFT_TIE_ROD.label());
                right = moving(Side.RIGHT, tieRight, c.innerAt(Side.RIGHT, pitman, followerStart), Rod.RIGHT_TIE_ROD.label());
                drivenBranch = follower.branchAt(0, pitman);
                drivenLength = length(Rod.CENTRE_LINK, pitman, followerStart);
            }
            case BellCrank b -> {
                left = moving(Side.LEFT, tieLeft, b.tieRodPoint(Side.LEFT), Rod.LEFT_TIE_ROD.label());
                right = moving(Side.RIGHT, tieRight, b.tieRodPoint(Side.RIGHT), Rod.RIGHT_TIE_ROD.label());
                drivenBranch = follower.branchAt(0, armGear().armEnd());
                drivenLength = length(Rod.DRAG_ROD, armGear().armEnd(), b.dragRodPoint());
            }
            case Shuttle s -> {
                left = moving(Side.LEFT, tieLeft, s.inner(Side.LEFT), Rod.LEFT_TIE_ROD.label());
                right = moving(Side.RIGHT, tieRight, s.inner(Side.RIGHT), Rod.RIGHT_TIE_ROD.label());
                Vector w = s.linkPoint().minus(armGear().armEnd());
                drivenBranch = s.slide().dot(w) >= 0 ? 1 : -1;
                drivenLength = length(Rod.SHORT_LINK, armGear().armEnd(), s.linkPoint());
            }
            case DragLink d -> {
                drivenBranch = 1;
                String drag = Rod.DRAG_LINK.label();
                String tie = Rod.TIE_ROD.label();
                Point end = armGear().armEnd();
                switch (d.attachment()) {
                    case Attachment.OnKnuckle k -> {
                        drivenLength = length(Rod.DRAG_LINK, end, k.point());
                        boolean fromLeft = k.side() == Side.LEFT;
                        left = fromLeft ? moving(Side.LEFT, k.point(), end, drag) : moving(Side.LEFT, tieLeft, tieRight, tie);
                        right = fromLeft ? moving(Side.RIGHT, tieRight, tieLeft, tie) : moving(Side.RIGHT, k.point(), end, drag);
                    }
                    case Attachment.OnTieRod t -> {
                        drivenLength = length(Rod.DRAG_LINK, end, between(tieLeft, tieRight, t.fraction()));
                        left = moving(Side.LEFT, tieLeft, tieRight, tie);
                        right = moving(Side.RIGHT, tieRight, tieLeft, tie);
                    }
                }
                length(Rod.TIE_ROD, tieLeft, tieRight);
            }
        }
        if (axle.linkage() instanceof DragLink d && d.attachment() instanceof Attachment.OnTieRod t) {
            double h = 1e-4;
            Point end = arm.at(0);
            gapPerTurn = (tieRodTrial(t, beamDesign, h, end).gap - tieRodTrial(t, beamDesign, -h, end).gap) / (2 * h);
            double gapPerArm = (tieRodTrial(t, beamDesign, 0, arm.at(h)).gap - tieRodTrial(t, beamDesign, 0, arm.at(-h)).gap) / (2 * h);
            turnPerArm = gapPerTurn == 0 ? 0 : -gapPerArm / gapPerTurn;
        } else {
            gapPerTurn = 0;
            turnPerArm = 0;
        }
        if (!axle.oneTieRod()) {
            lengths.put(Rod.LEFT_TIE_ROD, left.rodLength());
            lengths.put(Rod.RIGHT_TIE_ROD, right.rodLength());
        }
    }

    private Moving moving(Side side, Point rodPoint, Point anchor, String rod) {
        Corner corner = axle.corner(side);
        return corner.suspension() instanceof Kingpin k
                ? new Moving.OnKingpin(new KingpinSolver(side, k, corner.knuckle(), rodPoint, anchor, rod, beamDesign))
                : new Moving.OnArms(new CornerSolver(side, corner.suspension(), corner.knuckle(), rodPoint, anchor, rod));
    }

    private double length(Rod rod, Point a, Point b) {
        double mm = a.distanceTo(b);
        if (mm < 1) {
            throw new ImpossibleGeometryException("The " + rod.label() + " has no length.");
        }
        lengths.put(rod, mm);
        return mm;
    }

    private RackAndPinion rack() {
        return (RackAndPinion) axle.gear();
    }

    private ArmGear armGear() {
        return (ArmGear) axle.gear();
    }

    private static Point between(Point a, Point b, double fraction) {
        return a.plus(b.minus(a).times(fraction));
    }

    public SteeredAxle axle() {
        return axle;
    }

    /** Every rod's length between centres, mm. */
    public Map<Rod, Double> lengths() {
        return Map.copyOf(lengths);
    }

    /** The tie rod that ends at this side's steering arm, centre to centre, mm. */
    public double tieRodLength(Side side) {
        Rod own = axle.oneTieRod() ? Rod.TIE_ROD : side == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD;
        return lengths.getOrDefault(own, 0.0);
    }

    /** Rotation of the gear's input from straight ahead to either end, rad. */
    public double gearInputStop() {
        return axle.gear().inputStop();
    }

    /**
     * @param gearInputLeft rotation of the gear's input to the left, rad
     * @param travelLeft rise of the left wheel, or of the axle beam there, mm
     * @param travelRight the same on the right
     */
    public Stance pose(double gearInputLeft, double travelLeft, double travelRight) {
        Optional<Frame> beam = Optional.empty();
        if (left instanceof Moving.OnKingpin) {
            Beam.Place place = axle.beam().map(b -> b.place(beamDesign, track, travelLeft, travelRight))
                    .orElseGet(() -> fixed(travelLeft, travelRight));
            if (place.now().isEmpty()) {
                CannotAssemble no = axle.beam().filter(b -> b instanceof Beam.Sprung).isPresent()
                        ? new CannotAssemble("track bar", place.missing(), Reason.LINK)
                        : new CannotAssemble("axle", place.missing(), Reason.WHEEL_TRAVEL);
                return new Stance(no, no, mechanismAlone(gearInputLeft), Optional.empty());
            }
            beam = place.now();
        }
        double over = Math.abs(gearInputLeft) - axle.gear().inputStop();
        return switch (axle.linkage()) {
            case RackTieRods _ -> {
                double displacement = rack().displacementAt(gearInputLeft);
                double past = Math.abs(displacement) - rack().travelEachWay();
                if (past > GEAR_END_TOLERANCE) {
                    yield stopped(new CannotAssemble("rack", past, Reason.GEAR_END), beam);
                }
                Point l = rack().innerPivot(Side.LEFT, displacement);
                Point r = rack().innerPivot(Side.RIGHT, displacement);
                yield rods(l, r, new Mechanism.RackAt(displacement, l, r), beam, travelLeft, travelRight);
            }
            case CentreLink c -> {
                double angle = armGear().armAngleAt(gearInputLeft);
                if (over > GEAR_END_TOLERANCE) {
                    yield stopped(pastEnd(over), beam);
                }
                Point pitman = arm.at(angle);
                Orbit.Reach idler = driven.atReach(pitman, drivenLength, drivenBranch);
                if (Math.abs(idler.missing()) > REACH_TOLERANCE) {
                    yield broken(Rod.CENTRE_LINK, idler.missing(), angle, pitman, beam);
                }
                Point l = c.innerAt(Side.LEFT, pitman, idler.point());
                Point r = c.innerAt(Side.RIGHT, pitman, idler.point());
                yield rods(l, r, new Mechanism.CentreLinkAt(angle, driven.angleOf(idler.point()), pitman, idler.point(), l, r),
                        beam, travelLeft, travelRight);
            }
            case BellCrank b -> {
                double angle = armGear().armAngleAt(gearInputLeft);
                if (over > GEAR_END_TOLERANCE) {
                    yield stopped(pastEnd(over), beam);
                }
                Point end = arm.at(angle);
                Orbit.Reach crank = driven.atReach(end, drivenLength, drivenBranch);
                if (Math.abs(crank.missing()) > REACH_TOLERANCE) {
                    yield broken(Rod.DRAG_ROD, crank.missing(), angle, end, beam);
                }
                double turned = driven.angleOf(crank.point());
                Point l = b.pivot().turned(b.tieRodPoint(Side.LEFT), turned);
                Point r = b.pivot().turned(b.tieRodPoint(Side.RIGHT), turned);
                yield rods(l, r, new Mechanism.BellCrankAt(angle, turned, end, crank.point(), l, r),
                        beam, travelLeft, travelRight);
            }
            case Shuttle s -> {
                double angle = armGear().armAngleAt(gearInputLeft);
                if (over > GEAR_END_TOLERANCE) {
                    yield stopped(pastEnd(over), beam);
                }
                Point end = arm.at(angle);
                // The link point slides along a line and stands at the link's length from the arm's end.
                Vector w = s.linkPoint().minus(end);
                double along = s.slide().dot(w);
                double square = drivenLength * drivenLength - (w.dot(w) - along * along);
                if (square < 0) {
                    yield broken(Rod.SHORT_LINK, Math.sqrt(w.dot(w) - along * along) - drivenLength, angle, end, beam);
                }
                double displacement = drivenBranch * Math.sqrt(square) - along;
                Vector slid = s.slide().times(displacement);
                Point l = s.inner(Side.LEFT).plus(slid);
                Point r = s.inner(Side.RIGHT).plus(slid);
                yield rods(l, r, new Mechanism.ShuttleAt(angle, end, displacement, s.linkPoint().plus(slid), l, r),
                        beam, travelLeft, travelRight);
            }
            case DragLink d -> {
                double angle = armGear().armAngleAt(gearInputLeft);
                if (over > GEAR_END_TOLERANCE) {
                    yield stopped(pastEnd(over), beam);
                }
                yield switch (d.attachment()) {
                    case Attachment.OnKnuckle k -> fromKnuckle(k, angle, beam, travelLeft, travelRight);
                    case Attachment.OnTieRod t -> fromTieRod(t, angle, beam.orElseThrow());
                };
            }
        };
    }

    private Beam.Place fixed(double travelLeft, double travelRight) {
        double most = Math.abs(travelLeft) > Math.abs(travelRight) ? travelLeft : travelRight;
        return Math.abs(most) > 1e-9 ? new Beam.Place(Optional.empty(), most) : new Beam.Place(Optional.of(beamDesign), 0);
    }

    private static CannotAssemble pastEnd(double overRad) {
        return new CannotAssemble("steering gear", Math.toDegrees(overRad), Reason.GEAR_TURNED_OUT);
    }

    private Optional<Mechanism> mechanismAlone(double gearInputLeft) {
        return axle.gear() instanceof ArmGear g
                ? Optional.of(new Mechanism.Broken(g.armAngleAt(gearInputLeft), arm.at(g.armAngleAt(gearInputLeft))))
                : Optional.empty();
    }

    private static Stance stopped(CannotAssemble no, Optional<Frame> beam) {
        return new Stance(no, no, Optional.empty(), beam);
    }

    private static Stance broken(Rod rod, double missing, double angle, Point armEnd, Optional<Frame> beam) {
        CannotAssemble no = new CannotAssemble(rod.label(), missing, Reason.LINK);
        return new Stance(no, no, Optional.of(new Mechanism.Broken(angle, armEnd)), beam);
    }

    /** Both wheels with a tie rod each from a given inner point. */
    private Stance rods(Point l, Point r, Mechanism mechanism, Optional<Frame> beam, double travelLeft, double travelRight) {
        return new Stance(corner(Side.LEFT, l, l, beam, travelLeft), corner(Side.RIGHT, r, r, beam, travelRight),
                Optional.of(mechanism), beam);
    }

    private CornerPose corner(Side side, Point anchor, Point tieRodInner, Optional<Frame> beam, double travel) {
        return switch (side == Side.LEFT ? left : right) {
            case Moving.OnArms a -> a.solver.solve(anchor, tieRodInner, travel);
            case Moving.OnKingpin k -> k.solver.solve(beam.orElseThrow(), anchor, tieRodInner);
        };
    }

    /** The drag link turns one knuckle, the tie rod takes the other along. */
    private Stance fromKnuckle(Attachment.OnKnuckle k, double angle, Optional<Frame> beam, double travelLeft, double travelRight) {
        Point end = arm.at(angle);
        Side near = k.side();
        CornerPose first = corner(near, end, end, beam, near == Side.LEFT ? travelLeft : travelRight);
        if (!(first instanceof KnucklePose driving)) {
            return new Stance(first, first, Optional.of(new Mechanism.Broken(angle, end)), beam);
        }
        CornerPose second = corner(near.other(), driving.tieRodPoint(), driving.tieRodPoint(), beam,
                near == Side.LEFT ? travelRight : travelLeft);
        CornerPose firstWhole = second instanceof KnucklePose s ? driving.withTieRodInner(s.tieRodPoint())
                : driving.withTieRodInner(driving.tieRodPoint());
        Mechanism mechanism = new Mechanism.DragLinkAt(angle, end, driving.carried(k.point()));
        return near == Side.LEFT
                ? new Stance(firstWhole, second, Optional.of(mechanism), beam)
                : new Stance(second, firstWhole, Optional.of(mechanism), beam);
    }

    private static final double WIDEST_TURN = 1.6;
    private static final double TURN_STEP = 0.02;

    /**
     * The drag link meets the tie rod between its ends: the left knuckle's angle is the root at which the drag
     * link has its length, found by stepping out from straight ahead the way that closes the gap, then
     * halving.
     */
    private Stance fromTieRod(Attachment.OnTieRod t, double angle, Frame beam) {
        Point end = arm.at(angle);
        Optional<TieRodTrial> quick = bySecant(t, beam, end, turnPerArm * angle);
        if (quick.isPresent()) {
            return onTieRod(quick.get(), angle, end, beam);
        }
        double at = 0;
        double gap = tieRodTrial(t, beam, 0, end).gap;
        double nearest = gap;
        if (Math.abs(gap) > 1e-12) {
            double ahead = tieRodTrial(t, beam, 1e-4, end).gap;
            double way = (ahead - gap) * gap < 0 ? 1 : -1;
            boolean found = false;
            double from = 0;
            for (double to = way * TURN_STEP; Math.abs(to) < WIDEST_TURN; to += way * TURN_STEP) {
                TieRodTrial there = tieRodTrial(t, beam, to, end);
                if (there.right instanceof CannotAssemble) {
                    break;
                }
                if (gap * there.gap <= 0) {
                    at = halved(t, beam, end, from, to, gap);
                    found = true;
                    break;
                }
                if (Math.abs(there.gap) > Math.abs(nearest)) {
                    break;
                }
                nearest = there.gap;
                from = to;
            }
            if (!found) {
                return broken(Rod.DRAG_LINK, nearest, angle, end, Optional.of(beam));
            }
        }
        return onTieRod(tieRodTrial(t, beam, at, end), angle, end, beam);
    }

    private static Stance onTieRod(TieRodTrial held, double angle, Point end, Frame beam) {
        if (!(held.right instanceof KnucklePose r)) {
            return new Stance(held.right, held.right, Optional.of(new Mechanism.Broken(angle, end)), Optional.of(beam));
        }
        return new Stance(held.left.withTieRodInner(r.tieRodPoint()), r, Optional.of(new Mechanism.DragLinkAt(angle, end, held.driven)), Optional.of(beam));
    }

    /**
     * The root by the secant rule from where it would be if everything went in proportion; empty where that leads astray, or
     * to a place where the gap closes the other way round, which lies beyond over-centre.
     */
    private Optional<TieRodTrial> bySecant(Attachment.OnTieRod t, Frame beam, Point end, double guess) {
        if (gapPerTurn == 0) {
            return Optional.empty();
        }
        double a0 = guess;
        TieRodTrial t0 = tieRodTrial(t, beam, a0, end);
        if (Math.abs(t0.gap) < 1e-12) {
            return Optional.of(t0);
        }
        double a1 = a0 - t0.gap / gapPerTurn;
        for (int i = 0; i < 10; i++) {
            if (!(Math.abs(a1) < WIDEST_TURN) || t0.right instanceof CannotAssemble) {
                return Optional.empty();
            }
            TieRodTrial t1 = tieRodTrial(t, beam, a1, end);
            double slope = (t1.gap - t0.gap) / (a1 - a0);
            if (Math.abs(t1.gap) < 1e-11 || Math.abs(t1.gap / slope) < 1e-15) {
                return slope * gapPerTurn > 0 && t1.right instanceof KnucklePose ? Optional.of(t1) : Optional.empty();
            }
            double next = a1 - t1.gap / slope;
            a0 = a1;
            t0 = t1;
            a1 = next;
            if (a1 == a0) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** @param gap how much further from the arm's end the driven point stands than the drag link is long, mm */
    private record TieRodTrial(KnucklePose left, CornerPose right, Point driven, double gap) {}

    private TieRodTrial tieRodTrial(Attachment.OnTieRod t, Frame beam, double angle, Point end) {
        KingpinSolver onLeft = ((Moving.OnKingpin) left).solver();
        KnucklePose l = onLeft.turned(beam, angle, Point.ORIGIN);
        CornerPose r = corner(Side.RIGHT, l.tieRodPoint(), l.tieRodPoint(), Optional.of(beam), 0);
        Point driven = r instanceof KnucklePose k ? between(l.tieRodPoint(), k.tieRodPoint(), t.fraction()) : l.tieRodPoint();
        return new TieRodTrial(l, r, driven, driven.distanceTo(end) - drivenLength);
    }

    private double halved(Attachment.OnTieRod t, Frame beam, Point end, double from, double to, double gapFrom) {
        double a = from;
        double b = to;
        double ga = gapFrom;
        double gb = tieRodTrial(t, beam, b, end).gap;
        // The secant's point where it falls inside, else the middle: quick, and never outside the bracket.
        for (int i = 0; i < 80 && Math.abs(b - a) > 1e-15; i++) {
            double mid = i % 3 == 2 ? (a + b) / 2 : a - ga * (b - a) / (gb - ga);
            if (!(mid > Math.min(a, b) && mid < Math.max(a, b))) {
                mid = (a + b) / 2;
            }
            double gm = tieRodTrial(t, beam, mid, end).gap;
            if (Math.abs(gm) < 1e-12) {
                return mid;
            }
            if (ga * gm <= 0) {
                b = mid;
                gb = gm;
            } else {
                a = mid;
                ga = gm;
            }
        }
        return (a + b) / 2;
    }

    /** Told every rod end's tilt and, where it pushes an arm, its angle to that arm. */
    public interface AtRodEnd {

        /** @param deg |90° − angle between bolt and rod|; only where the bolt is known */
        void tilt(RodEnd end, double deg);

        /** @param deg in space between rod and arm; 180 stretched, 0 folded */
        void arm(RodEnd end, double deg);
    }

    /** Goes through the rod ends of an axle that stands. */
    public void atRodEnds(Stance stance, AtRodEnd visitor) {
        if (!(stance.left() instanceof KnucklePose l) || !(stance.right() instanceof KnucklePose r)
                || stance.mechanism().isEmpty()) {
            return;
        }
        boolean one = axle.oneTieRod();
        atKnuckle(l, one ? RodEnd.TIE_LEFT : RodEnd.LEFT_OUTER, visitor);
        atKnuckle(r, one ? RodEnd.TIE_RIGHT : RodEnd.RIGHT_OUTER, visitor);
        switch (stance.mechanism().get()) {
            case Mechanism.RackAt _ -> inners(l, r, v -> v, visitor);
            case Mechanism.ShuttleAt m -> {
                inners(l, r, v -> v, visitor);
                Shuttle s = (Shuttle) axle.linkage();
                Vector rod = m.linkPoint().minus(m.armEnd());
                s.linkEnds().outerBolt().ifPresent(b -> visitor.tilt(RodEnd.SHORT_SHUTTLE, tilt(b.vector(), rod)));
                s.linkEnds().innerBolt().ifPresent(b -> visitor.tilt(RodEnd.SHORT_PITMAN,
                        tilt(armGear().axis().direction().turn(b.vector(), m.armAngle()), rod)));
                visitor.arm(RodEnd.SHORT_PITMAN, armAngle(armGear().axis(), m.armEnd(), m.linkPoint()));
            }
            case Mechanism.CentreLinkAt m -> {
                Vector was = linkDesign();
                Vector now = m.idlerEnd().minus(m.pitmanEnd());
                inners(l, r, v -> swung(v, was, now), visitor);
                CentreLink c = (CentreLink) axle.linkage();
                visitor.arm(RodEnd.LINK_PITMAN, armAngle(armGear().axis(), m.pitmanEnd(), m.idlerEnd()));
                visitor.arm(RodEnd.LINK_IDLER, armAngle(c.idler(armGear()).axis(), m.idlerEnd(), m.pitmanEnd()));
            }
            case Mechanism.BellCrankAt m -> {
                BellCrank b = (BellCrank) axle.linkage();
                Direction pivot = b.pivot().direction();
                inners(l, r, v -> pivot.turn(v, m.crankAngle()), visitor);
                visitor.arm(RodEnd.LEFT_INNER, armAngle(b.pivot(), m.left(), l.tieRodPoint()));
                visitor.arm(RodEnd.RIGHT_INNER, armAngle(b.pivot(), m.right(), r.tieRodPoint()));
                Vector rod = m.crankPoint().minus(m.armEnd());
                b.dragRodEnds().outerBolt().ifPresent(d -> visitor.tilt(RodEnd.ROD_CRANK,
                        tilt(pivot.turn(d.vector(), m.crankAngle()), rod)));
                b.dragRodEnds().innerBolt().ifPresent(d -> visitor.tilt(RodEnd.ROD_SHAFT_ARM,
                        tilt(armGear().axis().direction().turn(d.vector(), m.armAngle()), rod)));
                visitor.arm(RodEnd.ROD_CRANK, armAngle(b.pivot(), m.crankPoint(), m.armEnd()));
                visitor.arm(RodEnd.ROD_SHAFT_ARM, armAngle(armGear().axis(), m.armEnd(), m.crankPoint()));
            }
            case Mechanism.DragLinkAt m -> {
                DragLink d = (DragLink) axle.linkage();
                Vector rod = m.drivenPoint().minus(m.armEnd());
                d.ends().innerBolt().ifPresent(b -> visitor.tilt(RodEnd.DRAG_PITMAN,
                        tilt(armGear().axis().direction().turn(b.vector(), m.armAngle()), rod)));
                visitor.arm(RodEnd.DRAG_PITMAN, armAngle(armGear().axis(), m.armEnd(), m.drivenPoint()));
                switch (d.attachment()) {
                    case Attachment.OnKnuckle k -> {
                        KnucklePose driving = k.side() == Side.LEFT ? l : r;
                        RodEnd end = k.side() == Side.LEFT ? RodEnd.DRAG_LEFT : RodEnd.DRAG_RIGHT;
                        d.ends().outerBolt().ifPresent(b -> visitor.tilt(end,
                                tilt(driving.now().carried(b.vector(), driving.design()), rod)));
                        visitor.arm(end, driving.armAngleDeg(m.drivenPoint(), m.armEnd()));
                    }
                    case Attachment.OnTieRod _ -> {
                        Vector now = r.tieRodPoint().minus(l.tieRodPoint());
                        Vector was = axle.corner(Side.RIGHT).knuckle().tieRodPoint()
                                .minus(axle.corner(Side.LEFT).knuckle().tieRodPoint());
                        d.ends().outerBolt().ifPresent(b -> visitor.tilt(RodEnd.DRAG_ON_TIE_ROD,
                                tilt(swung(b.vector(), was, now), rod)));
                    }
                }
            }
            case Mechanism.Broken _ -> { }
        }
    }

    private Vector linkDesign() {
        CentreLink c = (CentreLink) axle.linkage();
        return c.idler(armGear()).end().minus(armGear().armEnd());
    }

    private void atKnuckle(KnucklePose k, RodEnd end, AtRodEnd visitor) {
        visitor.arm(end, k.rodToArmDeg());
        Optional<Direction> bolt = axle.corner(k.side()).rodEnds().outerBolt();
        if (bolt.isPresent()) {
            visitor.tilt(end, tilt(k.now().carried(bolt.get().vector(), k.design()), k.tieRodInner().minus(k.tieRodPoint())));
        }
    }

    private interface Carry {
        Vector now(Vector design);
    }

    private void inners(KnucklePose l, KnucklePose r, Carry carry, AtRodEnd visitor) {
        inner(l, RodEnd.LEFT_INNER, carry, visitor);
        inner(r, RodEnd.RIGHT_INNER, carry, visitor);
    }

    private void inner(KnucklePose k, RodEnd end, Carry carry, AtRodEnd visitor) {
        Optional<Direction> bolt = axle.corner(k.side()).rodEnds().innerBolt();
        if (bolt.isPresent()) {
            visitor.tilt(end, tilt(carry.now(bolt.get().vector()), k.tieRodInner().minus(k.tieRodPoint())));
        }
    }

    private static double tilt(Vector bolt, Vector rod) {
        return Math.abs(90 - Math.toDegrees(bolt.angleTo(rod)));
    }

    /** Angle in space between a rod and the arm that holds its end. */
    private static double armAngle(Axis axis, Point end, Point otherEnd) {
        return Math.toDegrees(otherEnd.minus(end).angleTo(axis.footOf(end).minus(end)));
    }

    /** A vector turned with a link by the smallest rotation that takes the link from where it was to where it is. */
    private static Vector swung(Vector v, Vector was, Vector now) {
        Vector about = was.cross(now);
        double sine = about.norm();
        return sine < 1e-12 * was.norm() * now.norm() ? v : about.direction().turn(v, was.angleTo(now));
    }
}
