package mildtilt.solve;

import java.util.Optional;
import mildtilt.job.Job;
import mildtilt.job.Targets;
import mildtilt.steer.QuickFigures;

/**
 * One thing wanted or to be kept.
 *
 * @param wish what
 * @param value degrees, percent, a plain ratio, turns or N, as the wish says
 * @param tolerance how far off still counts as met
 */
public record Target(Wish wish, double value, double tolerance) {

    /** Far from any want, in tolerances: what can't be measured there counts as this far off. */
    private static final double FAR = 100;

    public enum Wish {
        /** Toe change over the full travel, degrees; less is as good. */
        BUMP_STEER("Bump steer over the full travel, at most", "°", 0.05),
        /** The same over the normal travel. */
        NORMAL_BUMP_STEER("Bump steer over the normal travel, at most", "°", 0.02),
        LOCK("Inner wheel at lock", "°", 0.3),
        ACKERMANN("Ackermann at 20°", "%", 2),
        /** Largest miss of the job's own table, degrees; less is as good. */
        OUTER_TABLE("Largest miss of the outer-angle table", "°", 0.1),
        RATIO("Ratio at centre", ": 1", 0.15),
        TURNS("Turns lock to lock", "", 0.03),
        /** Least angle of any rod to being in line; more is as good. */
        TOGGLE("Nearest to over-centre, at least", "°", 0.5),
        /** Least tilt any rod end has left; more is as good. */
        ROD_END("Rod end's margin, at least", "°", 0.3),
        /** The most that the rim wants parked, N; less is as good. */
        RIM_FORCE("Rim force parked, at most", "N", 3),
        /** What the worse wheel's blow pulls at the rim, N; less is as good. */
        KICK_BACK("Kick-back at the rim, at most", "N", 3);

        private final String label;
        private final String unit;
        private final double usualTolerance;

        Wish(String label, String unit, double usualTolerance) {
            this.label = label;
            this.unit = unit;
            this.usualTolerance = usualTolerance;
        }

        public String label() {
            return label;
        }

        public String unit() {
            return unit;
        }

        boolean isForce() {
            return this == RIM_FORCE || this == KICK_BACK;
        }

        /** Whether it is about where the lock ends, so that the stops are set for it afterwards. */
        boolean endsTheLock() {
            return this == LOCK || this == TURNS;
        }
    }

    public static Target of(Wish wish, double value) {
        return new Target(wish, value, wish.usualTolerance);
    }

    /** What a job has of it, if it can be measured there. */
    public static Optional<Double> measured(Wish wish, QuickFigures f) {
        return switch (wish) {
            case BUMP_STEER -> Optional.of(f.bumpDeg());
            case NORMAL_BUMP_STEER -> Optional.of(f.normalBumpDeg());
            case LOCK -> Optional.of(f.lockDeg());
            case ACKERMANN -> f.ackermannPct();
            case OUTER_TABLE -> f.outerMissDeg();
            case RATIO -> Optional.of(f.ratio());
            case TURNS -> Optional.of(f.turns());
            case TOGGLE -> Optional.of(f.toggleDeg());
            case ROD_END -> Optional.of(f.rodEndMarginDeg());
            case RIM_FORCE -> f.forces().map(QuickFigures.Forces::parked);
            case KICK_BACK -> f.forces().map(QuickFigures.Forces::kickBack);
        };
    }

    /** How far off a job is, in tolerances; 0 and below is met to the point. */
    double missed(QuickFigures f) {
        Optional<Double> is = measured(wish, f);
        if (is.isEmpty() || is.get().isNaN()) {
            return FAR;
        }
        double off = is.get() - value;
        return switch (wish) {
            case BUMP_STEER, NORMAL_BUMP_STEER, OUTER_TABLE, RIM_FORCE, KICK_BACK -> Math.max(0, off) / tolerance;
            case TOGGLE, ROD_END -> Math.max(0, -off) / tolerance;
            case LOCK, ACKERMANN, RATIO, TURNS -> Math.abs(off) / tolerance;
        };
    }

    /**
     * What every answer keeps: the chosen distance from over-centre and the rod ends' angles, or what there is now if
     * less.
     */
    static Target[] kept(Job job, QuickFigures now) {
        Targets t = job.targets();
        return new Target[] {
            of(Wish.TOGGLE, Math.min(t.toggleDeg(), now.toggleDeg())),
            of(Wish.ROD_END, Math.min(0, now.rodEndMarginDeg()))
        };
    }
}
