package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;

/** The hole in an arm that a rod's end goes into, as measured. Lengths mm. */
public sealed interface Hole {

    /** Of the arm at the hole. */
    double thickness();

    record Plain(double diameter, double thickness) implements Hole {
        public Plain {
            above0(diameter, "A hole's diameter");
            above0(thickness, "An arm's thickness");
        }
    }

    /**
     * @param large diameter at the face that the ball is on
     * @param small diameter at the face that the nut is on
     */
    record Tapered(double large, double small, double thickness) implements Hole {
        public Tapered {
            above0(small, "A tapered hole's small diameter");
            above0(thickness, "An arm's thickness");
            if (!(large > small)) {
                throw new ImpossibleGeometryException("A tapered hole's large diameter must be above its small one.");
            }
        }

        /** Change of diameter over depth. */
        public double rate() {
            return (large - small) / thickness;
        }
    }

    private static void above0(double mm, String what) {
        if (!(mm > 0) || !Double.isFinite(mm)) {
            throw new ImpossibleGeometryException(what + " must be above 0.");
        }
    }
}
