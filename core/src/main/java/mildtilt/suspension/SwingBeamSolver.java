package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.suspension.CannotAssemble.Reason;

/**
 * Finds how the knuckle on a swing beam stands, in closed form: the beam swings until the wheel centre, carried with it
 * straight ahead, has risen as asked (as on a beam axle, steering does not count); then the knuckle turns on its kingpin.
 */
public final class SwingBeamSolver implements TravellingCorner {

    private final Side side;
    private final Axis hinge;
    private final Frame design;
    private final KingpinSolver kingpin;
    private final double low;
    private final double reach;
    private final double phase;
    private final double height;

    /**
     * @param rodPoint where the rod that steers this knuckle meets it, design position
     * @param anchor that rod's other end in the design position, which settles its length
     * @param rod what that rod is called
     * @throws ImpossibleGeometryException if the steering arm or the rod has no length
     */
    public SwingBeamSolver(Side side, SwingBeam beam, Knuckle knuckle, Point rodPoint, Point anchor, String rod) {
        this.side = side;
        hinge = beam.hinge();
        design = new Frame(beam.pivot(), Vector.X, Vector.Y, Vector.Z);
        kingpin = new KingpinSolver(
                side, new Kingpin(beam.lower(), beam.upper()), knuckle, rodPoint, anchor, rod, design);
        Orbit wheel = Orbit.of(hinge, knuckle.wheelCentre());
        // The wheel centre's height over a swing: low + reach · cos(swing − phase).
        double quarter = wheel.at(Math.PI / 2).z();
        low = wheel.centre().z();
        height = knuckle.wheelCentre().z();
        reach = Math.hypot(height - low, quarter - low);
        phase = Math.atan2(quarter - low, height - low);
    }

    @Override
    public double rodLength() {
        return kingpin.rodLength();
    }

    @Override
    public CornerPose solve(Point anchor, Point tieRodInner, double travel) {
        double wanted = (height + travel - low) / reach;
        if (Math.abs(wanted) > 1) {
            return new CannotAssemble(
                    side.label() + " swing beam", (wanted > 0 ? wanted - 1 : wanted + 1) * reach, Reason.WHEEL_TRAVEL);
        }
        double swing = phase - Math.copySign(Math.acos(wanted), phase);
        return kingpin.solve(RigidMove.about(hinge, swing).frame(design), anchor, tieRodInner);
    }
}
