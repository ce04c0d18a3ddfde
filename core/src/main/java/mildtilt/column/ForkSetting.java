package mildtilt.column;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.units.LengthText;

/** At which clock angles the gear-end fork of a shaft can be set against its wheel-end fork. */
public sealed interface ForkSetting {

    /** Welded or clamped on a plain shaft: any angle. */
    record AnyAngle() implements ForkSetting {}

    /**
     * On splines or flats: whole steps only.
     *
     * @param ways settings in a whole turn: 36 for 36 teeth, 2 for two flats
     * @param indexDeg one clocking that the parts allow, as made; degrees
     */
    record Stepped(int ways, double indexDeg) implements ForkSetting {
        public Stepped {
            if (ways < 1) {
                throw new ImpossibleGeometryException("A stepped fork has at least one setting in a turn.");
            }
        }

        public Stepped(int ways) {
            this(ways, 0);
        }

        public double stepDeg() {
            return 360.0 / ways;
        }

        /**
         * The settings that differ, degrees from the index up to but not including 180 more. Half a turn brings a
         * fork's pin back into line: with an even number of ways half of them are the same as the other half; with
         * an odd number none are, and they come to lie half a step apart.
         */
        public double[] settings() {
            int n = ways % 2 == 0 ? ways / 2 : ways;
            return IntStream.range(0, n)
                    .mapToDouble(i -> indexDeg + 180.0 * i / n)
                    .toArray();
        }

        /** The setting nearest to a clocking, degrees, within half a turn of it. */
        public double nearest(double deg) {
            double step = 180.0 / settings().length;
            return indexDeg + step * Math.rint((deg - indexDeg) / step);
        }
    }

    /** Already made for good: stays as it is. */
    record Fixed() implements ForkSetting {}

    /** The setting nearest to a clocking that is wanted, degrees; empty where the forks can't be set any more. */
    default Optional<Double> nearestTo(double deg) {
        return switch (this) {
            case AnyAngle _ -> Optional.of(deg);
            case Stepped s -> Optional.of(s.nearest(deg));
            case Fixed _ -> Optional.empty();
        };
    }

    /** What the bench has to know of it. */
    default String label() {
        return switch (this) {
            case AnyAngle _ -> "any angle";
            case Stepped s ->
                s.settings().length == 1
                        ? "one way and half a turn from it only"
                        : LengthText.trimmed(180.0 / s.settings().length, 2) + "° at a time";
            case Fixed _ -> "fixed";
        };
    }

    /**
     * What the ends of a shaft allow together. An end whose form is not known asks nothing; where neither is, or one
     * is plain, any angle will do. Two splines of different numbers of teeth make a vernier: 36 and 48 teeth
     * together step by 2.5 degrees.
     *
     * @param waysAtEnds in a whole turn, at each end that is known; 0 for any angle
     */
    static ForkSetting of(List<Integer> waysAtEnds, double indexDeg) {
        if (waysAtEnds.isEmpty() || waysAtEnds.contains(0)) {
            return new AnyAngle();
        }
        int ways = waysAtEnds.stream().reduce(1, (a, b) -> a / gcd(a, b) * b);
        return new Stepped(ways, indexDeg);
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
