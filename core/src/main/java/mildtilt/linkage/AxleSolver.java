package mildtilt.linkage;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
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
    private static final double GEAR_END_TOLERANCE = 1e-6;

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
    private final Optional<DragLinkOnTieRod> onTieRod;
    private final RodEndAngles rodEnds;

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
        onTieRod = axle.linkage() instanceof DragLink d && d.attachment() instanceof Attachment.OnTieRod t
                ? Optional.of(new DragLinkOnTieRod(t.fraction(), drivenLength, ((Moving.OnKingpin) left).solver(),
                        ((Moving.OnKingpin) right).solver(), arm, beamDesign))
                : Optional.empty();
        rodEnds = new RodEndAngles(axle);
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
        return Collections.unmodifiableMap(new TreeMap<>(lengths));
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
                    case Attachment.OnTieRod _ -> onTieRod.orElseThrow().stance(angle, arm.at(angle), beam.orElseThrow());
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

    /** Goes through the rod ends of an axle that stands. */
    public void atRodEnds(Stance stance, RodEndAngles.Visitor visitor) {
        rodEnds.visit(stance, visitor);
    }
}
