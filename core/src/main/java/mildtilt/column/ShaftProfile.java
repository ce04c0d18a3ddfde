package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;

/** The form of a shaft's end, or of the bore it goes into. Lengths mm. */
public sealed interface ShaftProfile {

    /** Over the outside of a shaft's end; of a bore, the size of end that it is made for. */
    double diameter();

    ShaftProfile withDiameter(double mm);

    /** What the bench calls it. */
    String label();

    /** In how many ways one part goes onto the other in a whole turn; 0 for any angle. */
    int waysPerTurn();

    /** The diameter of plain round bar that would be no stronger, mm. */
    double roundNoStronger();

    /** Plain and round: turns to any angle. */
    record Round(double diameter) implements ShaftProfile {
        public Round {
            above0(diameter, "diameter");
        }

        @Override
        public Round withDiameter(double mm) {
            return new Round(mm);
        }

        @Override
        public String label() {
            return "round";
        }

        @Override
        public int waysPerTurn() {
            return 0;
        }

        @Override
        public double roundNoStronger() {
            return diameter;
        }
    }

    /** @param teeth of the spline or serration, 3 to 120 */
    record Splined(double diameter, int teeth) implements ShaftProfile {

        /** Depth of a tooth's root below the outside, in modules, of a stub tooth with a fillet root. */
        private static final double ROOT_DEPTH = 0.9;

        public Splined {
            above0(diameter, "diameter");
            if (teeth < 3 || teeth > 120) {
                throw new ImpossibleGeometryException("A spline has 3 to 120 teeth, not " + teeth + ".");
            }
        }

        @Override
        public Splined withDiameter(double mm) {
            return new Splined(mm, teeth);
        }

        @Override
        public String label() {
            return teeth + "-tooth spline";
        }

        @Override
        public int waysPerTurn() {
            return teeth;
        }

        /** Over the roots: with n teeth the module is about diameter / (n + 1). */
        @Override
        public double roundNoStronger() {
            return diameter * (1 - 2 * ROOT_DEPTH / (teeth + 1));
        }
    }

    /** Two flats. @param acrossFlats less than the diameter */
    record DoubleD(double diameter, double acrossFlats) implements ShaftProfile {
        public DoubleD {
            above0(diameter, "diameter");
            if (!(acrossFlats > 0 && acrossFlats < diameter)) {
                throw new ImpossibleGeometryException(
                        "Across the flats a double-D is less than its diameter, and above 0.");
            }
        }

        @Override
        public DoubleD withDiameter(double mm) {
            return new DoubleD(mm, acrossFlats * mm / diameter);
        }

        @Override
        public String label() {
            return "double-D";
        }

        @Override
        public int waysPerTurn() {
            return 2;
        }

        /** The circle that fits between the flats. */
        @Override
        public double roundNoStronger() {
            return acrossFlats;
        }
    }

    /** One parallel key. @param keyWidth of the key, mm; half its height lies in the shaft */
    record Keyed(double diameter, double keyWidth) implements ShaftProfile {
        public Keyed {
            above0(diameter, "diameter");
            if (!(keyWidth > 0 && keyWidth < diameter)) {
                throw new ImpossibleGeometryException("A key is narrower than its shaft, and above 0.");
            }
        }

        @Override
        public Keyed withDiameter(double mm) {
            return new Keyed(mm, keyWidth * mm / diameter);
        }

        @Override
        public String label() {
            return "keyed";
        }

        @Override
        public int waysPerTurn() {
            return 1;
        }

        /** The circle that clears the keyway. */
        @Override
        public double roundNoStronger() {
            return diameter - keyWidth;
        }
    }

    private static void above0(double mm, String what) {
        if (!(mm > 0) || !Double.isFinite(mm)) {
            throw new ImpossibleGeometryException("The " + what + " of a shaft's end or bore must be above 0.");
        }
    }
}
