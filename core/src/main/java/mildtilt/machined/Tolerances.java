package mildtilt.machined;

import mildtilt.build.Piece.TurnedFit;

/** Limits of sizes, mm: of lengths by ISO 2768-1, class m; of diameters by ISO 286-1. */
public final class Tolerances {

    /** Sizes above the first up to the next have the tolerance beside it, plus or minus (ISO 2768-1, table 1, m). */
    private static final double[][] GENERAL = {
        {6, 0.1}, {30, 0.2}, {120, 0.3}, {400, 0.5}, {1000, 0.8}, {2000, 1.2}, {4000, 2}
    };

    /** Up to a size: IT6, IT7 and IT9, µm (ISO 286-1, table 1). */
    private static final double[][] GRADES = {
        {3, 6, 10, 25},
        {6, 8, 12, 30},
        {10, 9, 15, 36},
        {18, 11, 18, 43},
        {30, 13, 21, 52},
        {50, 16, 25, 62},
        {80, 19, 30, 74},
        {120, 22, 35, 87},
        {180, 25, 40, 100},
        {250, 29, 46, 115},
        {315, 32, 52, 130},
        {400, 36, 57, 140},
        {500, 40, 63, 155}
    };

    private Tolerances() {}

    /** Of a length that no fit hangs on, either way; of the largest the table knows for what is longer. */
    public static double general(double mm) {
        return row(GENERAL, mm)[1];
    }

    /** How far below its nominal size a shaft of this fit may be. */
    public static double below(double mm, TurnedFit fit) {
        double[] row = row(GRADES, mm);
        return 0.001
                * switch (fit) {
                    case H6 -> row[1];
                    case H7 -> row[2];
                    case H9 -> row[3];
                };
    }

    /** How far above its nominal size a bore H7 may be. */
    public static double boreAbove(double mm) {
        return 0.001 * row(GRADES, mm)[2];
    }

    private static double[] row(double[][] table, double mm) {
        for (double[] row : table) {
            if (mm <= row[0]) {
                return row;
            }
        }
        return table[table.length - 1];
    }
}
