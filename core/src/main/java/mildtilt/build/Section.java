package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;

/** What a piece is sawn from. Lengths mm. */
public sealed interface Section {

    /** Area of the cross-section, mm²; of a plate, none: it is not sawn by length. */
    double area();

    /** Solid round bar. */
    record Bar(double diameter) implements Section {
        public Bar {
            above0(diameter, "A bar's diameter");
        }

        @Override
        public double area() {
            return Math.PI * diameter * diameter / 4;
        }
    }

    /** @param wall less than half the outside */
    record Tube(double outside, double wall) implements Section {
        public Tube {
            above0(outside, "A tube's diameter");
            if (!(wall > 0 && wall < outside / 2)) {
                throw new ImpossibleGeometryException("A tube's wall must be above 0 and less than half its diameter.");
            }
        }

        public double inside() {
            return outside - 2 * wall;
        }

        @Override
        public double area() {
            return Math.PI * (outside - wall) * wall;
        }
    }

    /** A bar where the wall takes all of it, a tube otherwise. */
    static Section round(double outside, double bore) {
        return bore > 0 ? new Tube(outside, (outside - bore) / 2) : new Bar(outside);
    }

    private static void above0(double mm, String what) {
        if (!(mm > 0) || !Double.isFinite(mm)) {
            throw new ImpossibleGeometryException(what + " must be above 0.");
        }
    }
}
