package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A screw thread of 60° form, metric or unified.
 *
 * @param major outside diameter, mm
 * @param pitch mm from thread to thread
 */
public record ScrewThread(double major, double pitch, Hand hand) {

    /** Height of the full profile's both sides over the pitch: 2 × 0.6495. */
    private static final double BOTH_FLANKS = 1.299038;

    private static final double INCH = 25.4;

    /** Which way it is turned to go in. */
    public enum Hand {
        RIGHT("right-hand", ""),
        LEFT("left-hand", " LH");

        private final String label;
        private final String mark;

        Hand(String label, String mark) {
            this.label = label;
            this.mark = mark;
        }

        public String label() {
            return label;
        }

        public Hand other() {
            return this == RIGHT ? LEFT : RIGHT;
        }
    }

    /** @throws ImpossibleGeometryException if the pitch does not suit the diameter */
    public ScrewThread {
        if (!(major > 0) || !(pitch > 0 && pitch < major / 2)) {
            throw new ImpossibleGeometryException("A thread's pitch must be above 0 and less than half its diameter.");
        }
    }

    public ScrewThread withHand(Hand h) {
        return new ScrewThread(major, pitch, h);
    }

    /** Whether its pitch is a whole number of threads to the inch and not a metric step. */
    public boolean unified() {
        double perInch = INCH / pitch;
        boolean wholePerInch = Math.abs(perInch - Math.rint(perInch)) < 0.002;
        boolean metricStep =
                Math.abs(pitch / 0.25 - Math.rint(pitch / 0.25)) < 1e-6 && Math.abs(major - Math.rint(major)) < 1e-6;
        return wholePerInch && !metricStep;
    }

    /** As it is stamped and ordered: M16 × 1.5 LH, or 5/8-18 UNF LH. */
    public String label() {
        return ThreadText.of(this) + hand.mark;
    }

    /** Drill for tapping it, mm: the major diameter less the pitch, which leaves {@link #depthPct} of the thread. */
    public double tapDrill() {
        return major - pitch;
    }

    /** How much of the full thread a hole of this size leaves, percent: (major − hole) / (1.299 pitch). */
    public double depthPct(double hole) {
        return 100 * (major - hole) / (BOTH_FLANKS * pitch);
    }
}
