package mildtilt.suspension;

import mildtilt.geometry.Point;

/** A corner whose wheel travels by itself, made ready to be asked for poses. */
public interface TravellingCorner {

    /** Of the rod that steers this knuckle, centre to centre, mm. */
    double rodLength();

    /**
     * @param anchor the other end of the rod that steers this knuckle
     * @param tieRodInner place of the tie rod's inner end; the same unless another rod steers this knuckle
     * @param travel rise of the wheel, mm
     */
    CornerPose solve(Point anchor, Point tieRodInner, double travel);
}
