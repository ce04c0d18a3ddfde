package mildtilt.survey;

import java.util.List;
import java.util.function.Function;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.units.Unit;

/** One thing measured of a point. Other points are named; of which end a tape begins does not matter. */
public sealed interface Reading {

    /** How well it was read, ± mm or degrees, one standard deviation; above 0. */
    double spread();

    /** The other points it hangs on. */
    default List<Id> others() {
        return List.of();
    }

    /** What it is read in. */
    default Unit unit() {
        return Unit.LENGTH;
    }

    /** How many figures it settles. */
    default int figures() {
        return 1;
    }

    /** What the bench calls it, the other points called as {@code names} says. */
    String label(Function<Id, String> names);

    /** Dropped with a plumb bob to the floor's grid: x and y. */
    record Plumb(double x, double y, double spread) implements Reading {
        public Plumb {
            readable(spread, x, y);
        }

        @Override
        public int figures() {
            return 2;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "plumb bob to the floor grid";
        }
    }

    /** Above the floor. */
    record Height(double z, double spread) implements Reading {
        public Height {
            readable(spread, z);
        }

        @Override
        public String label(Function<Id, String> names) {
            return "height above the floor";
        }
    }

    /** A tape from another point. */
    record Tape(Id from, double length, double spread) implements Reading {
        public Tape {
            readable(spread, length);
            if (!(length > 0)) {
                throw new ImpossibleGeometryException("A tape's length must be above 0.");
            }
        }

        @Override
        public List<Id> others() {
            return List.of(from);
        }

        @Override
        public String label(Function<Id, String> names) {
            return "tape from " + names.apply(from);
        }
    }

    /** So far along a straight line from one point toward another, as along a known shaft. */
    record Along(Id from, Id toward, double length, double spread) implements Reading {
        public Along {
            readable(spread, length);
        }

        @Override
        public List<Id> others() {
            return List.of(from, toward);
        }

        @Override
        public int figures() {
            return 3;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "along the line from " + names.apply(from) + " toward " + names.apply(toward);
        }
    }

    /**
     * The way a shaft runs from another point, by an angle finder in side view and the angle in plan.
     *
     * @param downDeg how far it slopes below level going from there
     * @param leftDeg how far it points to the left of straight forward in plan; 180 for straight back
     */
    record Slope(Id from, double downDeg, double leftDeg, double spread) implements Reading {
        public Slope {
            readable(spread, downDeg, leftDeg);
            if (Math.abs(downDeg) > 85) {
                throw new ImpossibleGeometryException(
                        "A shaft within 5 degrees of upright has no angle in plan: measure it another way.");
            }
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public List<Id> others() {
            return List.of(from);
        }

        @Override
        public int figures() {
            return 2;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "slope and plan angle from " + names.apply(from);
        }
    }

    /**
     * How far a shaft slopes, by a phone that lies along it: read once, then with the phone turned end for end in the
     * same place. What the phone itself shows wrong is the same both times and falls out.
     *
     * @param firstDeg below level going from the other point, as the phone shows it
     * @param turnedDeg as it shows it when turned end for end, which is about the same with the other sign
     * @param spread of one reading, degrees
     */
    record PhoneSlope(Id from, double firstDeg, double turnedDeg, double spread) implements Reading {

        /** A phone's own fault beyond this is no fault of a phone: it was read wrong or not turned. */
        private static final double MOST_OWN_FAULT = 10;

        public PhoneSlope {
            readable(spread, firstDeg, turnedDeg);
            if (Math.abs(firstDeg) > 90 || Math.abs(turnedDeg) > 90) {
                throw new ImpossibleGeometryException("A phone's slope is within 90 degrees of level.");
            }
            if (Math.abs(firstDeg + turnedDeg) / 2 > MOST_OWN_FAULT) {
                throw new ImpossibleGeometryException(
                        "Turned end for end a phone shows about the same slope with the other sign; these two "
                                + "differ by more than any phone does. Was it turned, and is one of them negative?");
            }
        }

        /** Below level going from the other point. */
        public double downDeg() {
            return (firstDeg - turnedDeg) / 2;
        }

        /** What the phone shows on a level surface. */
        public double ownFaultDeg() {
            return (firstDeg + turnedDeg) / 2;
        }

        /** Of the slope that both readings give. */
        public double slopeSpread() {
            return spread / Math.sqrt(2);
        }

        @Override
        public List<Id> others() {
            return List.of(from);
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "slope from " + names.apply(from) + " by phone";
        }
    }

    /** Midway between two others: a wheel centre from the rim, a rack's middle from its eyes. */
    record Middle(Id one, Id other, double spread) implements Reading {
        public Middle {
            readable(spread);
        }

        @Override
        public List<Id> others() {
            return List.of(one, other);
        }

        @Override
        public int figures() {
            return 3;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "midway between " + names.apply(one) + " and " + names.apply(other);
        }
    }

    /** The mirror image of a point on the other side. */
    record MirrorOf(Id of, double spread) implements Reading {
        public MirrorOf {
            readable(spread);
        }

        @Override
        public List<Id> others() {
            return List.of(of);
        }

        @Override
        public int figures() {
            return 3;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "mirror image of " + names.apply(of);
        }
    }

    /** Where a point is seen in a photograph. */
    record Sighted(Id photograph, double across, double down, double spread) implements Reading {
        public Sighted {
            readable(spread, across, down);
        }

        @Override
        public int figures() {
            return 2;
        }

        @Override
        public Unit unit() {
            return Unit.PIXEL;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "seen in " + names.apply(photograph);
        }
    }

    /**
     * How far a point lies above the plane of the printed sheet, out of the paper: 0 for what lies in that plane. With
     * this one photograph is enough.
     */
    record AboveSheet(double height, double spread) implements Reading {
        public AboveSheet {
            readable(spread, height);
        }

        @Override
        public String label(Function<Id, String> names) {
            return "above the plane of the sheet";
        }
    }

    /** How far a point stands before the plane of the rectangle in a photograph: 0 for what lies in that plane. */
    record InPlane(Id photograph, double height, double spread) implements Reading {
        public InPlane {
            readable(spread, height);
        }

        @Override
        public String label(Function<Id, String> names) {
            return "in the plane of the rectangle in " + names.apply(photograph);
        }
    }

    /** Somewhere on the straight line through two others, as along a straight edge. */
    record OnLine(Id one, Id other, double spread) implements Reading {
        public OnLine {
            readable(spread);
        }

        @Override
        public List<Id> others() {
            return List.of(one, other);
        }

        @Override
        public int figures() {
            return 2;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "on the line through " + names.apply(one) + " and " + names.apply(other);
        }
    }

    /** The middle of the circle through three others: a wheel's by three places of its rim. */
    record Centre(Id one, Id other, Id third, double spread) implements Reading {
        public Centre {
            readable(spread);
        }

        @Override
        public List<Id> others() {
            return List.of(one, other, third);
        }

        @Override
        public int figures() {
            return 3;
        }

        @Override
        public String label(Function<Id, String> names) {
            return "middle of the circle through " + names.apply(one) + ", " + names.apply(other) + " and "
                    + names.apply(third);
        }
    }

    private static void readable(double spread, double... figures) {
        for (double f : figures) {
            if (!Double.isFinite(f) || Math.abs(f) > 100_000) {
                throw new ImpossibleGeometryException("A reading must be a number within 100 m.");
            }
        }
        if (!(spread > 0 && spread <= 1000)) {
            throw new ImpossibleGeometryException("The ± of a reading must be above 0: nothing is measured exactly.");
        }
    }
}
