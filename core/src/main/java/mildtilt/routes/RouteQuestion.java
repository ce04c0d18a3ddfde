package mildtilt.routes;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * The limits of a route.
 *
 * @param fewest joints
 * @param most joints
 * @param gap wanted to everything, mm; what needs more by itself gets more
 * @param tiltFromDeg how far a rack may be turned in its clamps, at or below 0
 * @param tiltToDeg at or above 0
 * @param wheelFree whether the steering wheel may be planned anywhere within its adjustment
 * @param bracketReach how far a bearing may stand from the surface its bracket is fixed to, mm
 */
@Withers
public record RouteQuestion(
        int fewest, int most, double gap, double tiltFromDeg, double tiltToDeg, boolean wheelFree, double bracketReach)
        implements RouteQuestionBuilder.With {

    public static final int MOST_JOINTS = 4;

    /** How far a rack is turned where it is free. */
    public static final double USUAL_TILT = 40;

    public static final RouteQuestion USUAL = new RouteQuestion(1, 3, 10, 0, 0, false, 120);

    /** @throws ImpossibleGeometryException if it can't be asked so */
    public RouteQuestion {
        if (!(fewest >= 1 && most >= fewest && most <= MOST_JOINTS)) {
            throw new ImpossibleGeometryException(
                    "A route has from 1 to " + MOST_JOINTS + " joints, the fewest no more than the most.");
        }
        if (!(gap >= 0 && gap <= 1000 && bracketReach >= 0 && bracketReach <= 1000)) {
            throw new ImpossibleGeometryException("The wanted gap and the reach of a bracket can be 0 to 1000 mm.");
        }
        if (!(tiltFromDeg <= 0 && tiltToDeg >= 0 && tiltFromDeg >= -90 && tiltToDeg <= 90)) {
            throw new ImpossibleGeometryException(
                    "The gear's tilt must go from 0 or less to 0 or more, no more than 90 degrees either way.");
        }
    }

    public RouteQuestion withJoints(int least, int greatest) {
        return new RouteQuestion(least, greatest, gap, tiltFromDeg, tiltToDeg, wheelFree, bracketReach);
    }

    public RouteQuestion withTilt(double from, double to) {
        return new RouteQuestion(fewest, most, gap, from, to, wheelFree, bracketReach);
    }

    public boolean tiltFree() {
        return tiltToDeg > tiltFromDeg;
    }
}
