package mildtilt.survey;

import java.util.List;
import java.util.function.Function;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;

/** One thing measured of a point. Other points are named; of which end a tape begins does not matter. */
public sealed interface Reading {

    /** How well it was read, ± mm or degrees, one standard deviation; above 0. */
    double spread();

    /** The other points it hangs on. */
    default List<Id> others() {
        return List.of();
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
