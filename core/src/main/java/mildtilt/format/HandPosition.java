package mildtilt.format;

/**
 * A position of the hands to work out.
 *
 * @param steeringWheelDeg + left
 * @param travelLeft rise of the left wheel, mm
 * @param travelRight rise of the right wheel, mm
 */
public record HandPosition(double steeringWheelDeg, double travelLeft, double travelRight) {}
