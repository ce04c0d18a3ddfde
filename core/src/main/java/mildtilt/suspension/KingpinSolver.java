package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.suspension.CannotAssemble.Reason;

/** Finds how a knuckle on a kingpin stands, wherever the beam that holds it has gone, in closed form. */
public final class KingpinSolver {

    private static final double REACH_TOLERANCE = 1e-9;

    private final Kingpin kingpin;
    private final SteeredKnuckle knuckle;
    private final Frame beamDesign;
    private final String rod;

    /**
     * @param rodPoint where the rod that steers this knuckle meets it, design position
     * @param anchor that rod's other end in the design position, which settles its length
     * @param rod what that rod is called
     * @param beamDesign the beam in the design position
     * @throws ImpossibleGeometryException if the steering arm or the rod has no length
     */
    public KingpinSolver(
            Side side, Kingpin kingpin, Knuckle knuckle, Point rodPoint, Point anchor, String rod, Frame beamDesign) {
        this.kingpin = kingpin;
        this.knuckle = new SteeredKnuckle(side, kingpin, knuckle, rodPoint, anchor, rod);
        this.beamDesign = beamDesign;
        this.rod = rod;
    }

    public double rodLength() {
        return knuckle.rodLength();
    }

    /**
     * @param beam the beam as it stands
     * @param anchor the rod's other end
     * @param tieRodInner place of the tie rod's inner end; the same unless another rod steers this knuckle
     */
    public CornerPose solve(Frame beam, Point anchor, Point tieRodInner) {
        Point low = beam.carried(kingpin.lower(), beamDesign);
        Point high = beam.carried(kingpin.upper(), beamDesign);
        SteeredKnuckle.Held held = knuckle.heldBy(low, high, anchor);
        if (Math.abs(held.missing()) > REACH_TOLERANCE) {
            return new CannotAssemble(rod, held.missing(), Reason.LINK);
        }
        return knuckle.pose(held.frame(), low, high, tieRodInner);
    }

    /** The knuckle turned about its kingpin by an angle from straight ahead, rad, right-handed upward. */
    public KnucklePose turned(Frame beam, double angle, Point tieRodInner) {
        Point low = beam.carried(kingpin.lower(), beamDesign);
        Point high = beam.carried(kingpin.upper(), beamDesign);
        Frame design = knuckle.design();
        Frame carried = new Frame(
                low,
                beam.carried(design.e(), beamDesign),
                beam.carried(design.f(), beamDesign),
                beam.carried(design.g(), beamDesign));
        return knuckle.pose(knuckle.turned(carried, Axis.through(low, high), angle), low, high, tieRodInner);
    }
}
