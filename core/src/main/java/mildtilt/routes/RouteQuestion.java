package mildtilt.routes;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
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
 * @param frontRule whether it must keep the rule set's rule for a blow from the front, by a stroke or by a kink
 * @param wheelHeight how far the wheel and its column may be set higher or lower by spacers or brackets, mm
 * @param wheelReach how far they may be set nearer to the driver or farther, along the wheel's axis, mm
 * @param hole that it must go through; anywhere if empty
 */
@Withers
public record RouteQuestion(
        int fewest,
        int most,
        double gap,
        double tiltFromDeg,
        double tiltToDeg,
        boolean wheelFree,
        double bracketReach,
        boolean frontRule,
        double wheelHeight,
        double wheelReach,
        Optional<Hole> hole)
        implements RouteQuestionBuilder.With {

    public static final int MOST_JOINTS = 4;

    /** How far a rack is turned where it is free. */
    public static final double USUAL_TILT = 40;

    public static final RouteQuestion USUAL =
            new RouteQuestion(1, 3, 10, 0, 0, false, 120, false, 0, 0, Optional.empty());

    /** Most that a wheel is set by spacers and brackets, mm. */
    public static final double MOST_WHEEL_SET = 300;

    /** A hole in a bulkhead that stands across the vehicle. @param centre of it; @param diameter mm */
    public record Hole(Point centre, double diameter) {
        public Hole {
            if (!(diameter > 0 && diameter <= 1000)) {
                throw new ImpossibleGeometryException("The hole a route must go through is above 0 and up to 1000 mm.");
            }
        }
    }

    /** @throws ImpossibleGeometryException if it can't be asked so */
    public RouteQuestion {
        if (!(fewest >= 1 && most >= fewest && most <= MOST_JOINTS)) {
            throw new ImpossibleGeometryException(
                    "A route has from 1 to " + MOST_JOINTS + " joints, the fewest no more than the most.");
        }
        if (!(gap >= 0 && gap <= 1000 && bracketReach >= 0 && bracketReach <= 1000)) {
            throw new ImpossibleGeometryException("The wanted gap and the reach of a bracket can be 0 to 1000 mm.");
        }
        if (!(wheelHeight >= 0 && wheelHeight <= MOST_WHEEL_SET && wheelReach >= 0 && wheelReach <= MOST_WHEEL_SET)) {
            throw new ImpossibleGeometryException("The wheel can be set 0 to 300 mm higher or nearer.");
        }
        if (!(tiltFromDeg <= 0 && tiltToDeg >= 0 && tiltFromDeg >= -90 && tiltToDeg <= 90)) {
            throw new ImpossibleGeometryException(
                    "The gear's tilt must go from 0 or less to 0 or more, no more than 90 degrees either way.");
        }
    }

    public RouteQuestion withJoints(int least, int greatest) {
        return new RouteQuestion(
                least,
                greatest,
                gap,
                tiltFromDeg,
                tiltToDeg,
                wheelFree,
                bracketReach,
                frontRule,
                wheelHeight,
                wheelReach,
                hole);
    }

    public RouteQuestion withTilt(double from, double to) {
        return new RouteQuestion(
                fewest, most, gap, from, to, wheelFree, bracketReach, frontRule, wheelHeight, wheelReach, hole);
    }

    public boolean tiltFree() {
        return tiltToDeg > tiltFromDeg;
    }
}
