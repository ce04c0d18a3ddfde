package mildtilt.trials;

import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.id.Id;

/** Something read at a trial. */
public sealed interface TrialReading {

    /** Typed by hand, as against read by an instrument. */
    String TYPED = "typed";

    /** ± one standard deviation, mm, degrees, turns or N as what was read. */
    double spread();

    /** How it came here: {@link #TYPED} or the instrument's name. */
    String by();

    /** The parts it was read of, as far as a job has several such. */
    default List<Id> parts() {
        return switch (this) {
            case Figure f -> f.what.parts();
            case RunOut r -> List.of(r.shaft);
            case WallDot _, PlatePair _ -> List.of();
        };
    }

    /** One figure. */
    record Figure(Measurand what, double value, double spread, String by) implements TrialReading {
        public Figure {
            value = positiveZero(value);
            readable(spread, value);
        }
    }

    /**
     * Where the laser on a hub draws its dot on the wall ahead, from the mark of that hub's dot at ride height with the
     * rod on.
     *
     * @param rodOn whether the tie rod was on; off, the hub is held straight ahead by hand, so that the dot shows how
     * the hub itself moves sideways
     * @param travel of that wheel, mm
     * @param left mm to the left, seen by the driver
     * @param up mm; 0 where it was not read; not used
     */
    record WallDot(Side wheel, boolean rodOn, double travel, double left, double up, double spread, String by)
            implements TrialReading {
        public WallDot {
            travel = positiveZero(travel);
            left = positiveZero(left);
            up = positiveZero(up);
            readable(spread, travel, left, up);
        }
    }

    /**
     * Both wheels on turn plates, zeroed straight ahead.
     *
     * @param way turned
     * @param inner degrees into the turn of the wheel on its inside
     * @param outer the same of the other wheel
     */
    record PlatePair(Side way, double inner, double outer, double spread, String by) implements TrialReading {
        public PlatePair {
            outer = positiveZero(outer);
            readable(spread, inner, outer);
            if (!(inner > 0 && inner < 90) || !(outer > -30 && outer < 90)) {
                throw new ImpossibleGeometryException(
                        "A turn plate's inner angle lies between 0 and 90 degrees, counted into the turn.");
            }
        }

        public double leftDeg() {
            return way == Side.LEFT ? inner : -outer;
        }

        public double rightDeg() {
            return way == Side.LEFT ? outer : -inner;
        }
    }

    /**
     * A dial indicator at one station of a shaft, read at equal steps of one turn, the first with the mark up; + pushed
     * in.
     *
     * @param along from the shaft's wheel end, mm
     */
    record RunOut(Id shaft, double along, List<Double> dial, double spread, String by) implements TrialReading {

        public static final int FEWEST = 4;

        public RunOut {
            dial = dial.stream().map(TrialReading::positiveZero).toList();
            readable(spread, along);
            dial.forEach(d -> readable(spread, d));
            if (dial.size() < FEWEST || dial.size() > 36) {
                throw new ImpossibleGeometryException(
                        "Run-out needs the dial at " + FEWEST
                                + " to 36 equal steps of a turn: an eccentric shaft has one high place, and it must not be missed.");
            }
        }
    }

    /** A file holds no zero below zero: what is read back is what was written. */
    private static double positiveZero(double v) {
        return v + 0.0;
    }

    private static void readable(double spread, double... figures) {
        for (double f : figures) {
            if (!Double.isFinite(f) || Math.abs(f) > 100_000) {
                throw new ImpossibleGeometryException("A reading must be a number within 100 000.");
            }
        }
        if (!(spread > 0 && spread <= 1000)) {
            throw new ImpossibleGeometryException("The ± of a reading must be above 0: nothing is measured exactly.");
        }
    }
}
