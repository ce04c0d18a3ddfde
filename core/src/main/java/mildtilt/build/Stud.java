package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;

/** What a rod's end goes into its arm with. Lengths mm. */
public sealed interface Stud {

    /** A bolt through the end's ball and a plain hole. */
    record Bolt(double diameter) implements Stud {
        public Bolt {
            above0(diameter, "A bolt's diameter");
        }
    }

    /**
     * A tapered stud, drawn into a tapered hole by its nut.
     *
     * @param large diameter at the ball
     * @param small diameter at the thread
     * @param length of the taper between them
     */
    record Taper(double large, double small, double length) implements Stud {
        public Taper {
            above0(small, "A taper's small diameter");
            above0(length, "A taper's length");
            if (!(large > small)) {
                throw new ImpossibleGeometryException("A taper's large diameter must be above its small one.");
            }
        }

        /** Change of diameter over length. */
        public double rate() {
            return (large - small) / length;
        }
    }

    /** Comes with the gear and stays on it, as a rack's inner joint does: there is nothing to fit. */
    record OnGear() implements Stud {}

    private static void above0(double mm, String what) {
        if (!(mm > 0) || !Double.isFinite(mm)) {
            throw new ImpossibleGeometryException(what + " must be above 0.");
        }
    }
}
