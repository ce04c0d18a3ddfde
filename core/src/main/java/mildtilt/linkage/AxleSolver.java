package mildtilt.linkage;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.CornerSolver;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.KnucklePose;

/** Poses of a steered axle for a turn of the gear's input and a travel of each wheel. */
public final class AxleSolver {

    /** How far past its end the gear may be asked to go and still counts as at its end, mm. */
    private static final double GEAR_END_TOLERANCE = 1e-9;

    private final SteeredAxle axle;
    private final Map<Side, CornerSolver> solvers = new EnumMap<>(Side.class);

    public AxleSolver(SteeredAxle axle) {
        this.axle = axle;
        for (Side side : Side.values()) {
            Corner corner = axle.corner(side);
            solvers.put(side, switch (axle.gear()) {
                case RackAndPinion rack -> switch (corner.suspension()) {
                    case DoubleWishbone arms ->
                            new CornerSolver(side, arms, corner.knuckle(), rack.innerPivot(side, 0));
                };
            });
        }
    }

    public SteeredAxle axle() {
        return axle;
    }

    /** From pivot centre to pivot centre, mm. */
    public double tieRodLength(Side side) {
        return solver(side).tieRodLength();
    }

    private CornerSolver solver(Side side) {
        CornerSolver solver = solvers.get(side);
        if (solver == null) {
            throw new IllegalStateException("no solver for " + side);
        }
        return solver;
    }

    /**
     * One corner's pose.
     *
     * @param gearInputLeft rotation of the gear's input to the left, rad
     * @param travel rise of the wheel, mm
     */
    public CornerPose pose(Side side, double gearInputLeft, double travel) {
        return switch (axle.gear()) {
            case RackAndPinion rack -> {
                double displacement = rack.displacementAt(gearInputLeft);
                double over = Math.abs(displacement) - rack.travelEachWay();
                if (over > GEAR_END_TOLERANCE) {
                    yield new CannotAssemble("rack", over, Reason.GEAR_END);
                }
                CornerPose pose = solver(side).solve(rack.innerPivot(side, displacement), travel);
                yield pose instanceof CannotAssemble c ? c.named(side.label()) : pose;
            }
        };
    }

    /** Rotation of the gear's input from straight ahead to either end, rad. */
    public double gearInputStop() {
        return switch (axle.gear()) {
            case RackAndPinion rack -> rack.pinionStop();
        };
    }

    /** |90° − angle between bolt and rod| at the outer rod end, degrees; empty without a known bolt. */
    public OptionalDouble outerMisalignmentDeg(KnucklePose pose) {
        return axle.corner(pose.side()).rodEnds().outerBolt()
                .map(bolt -> tilt(pose.now().carried(bolt.vector(), pose.design()), pose))
                .map(OptionalDouble::of).orElseGet(OptionalDouble::empty);
    }

    /** The same at the inner rod end, whose bolt moves with the rack and does not turn. */
    public OptionalDouble innerMisalignmentDeg(KnucklePose pose) {
        return axle.corner(pose.side()).rodEnds().innerBolt()
                .map(bolt -> tilt(bolt.vector(), pose))
                .map(OptionalDouble::of).orElseGet(OptionalDouble::empty);
    }

    private static double tilt(Vector bolt, KnucklePose pose) {
        return Math.abs(90 - Math.toDegrees(bolt.angleTo(pose.tieRodInner().minus(pose.tieRodPoint()))));
    }
}
