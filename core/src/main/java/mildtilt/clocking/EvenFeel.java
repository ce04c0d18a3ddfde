package mildtilt.clocking;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ForkSetting;
import mildtilt.column.Transfer;
import org.hipparchus.complex.Complex;

/**
 * How the train feels about straight ahead. The ratio over a turn is {@code (1 − |t|²) / |1 + t e^(−2i in)|²}
 * ({@link Transfer}): the same to left and right where t is real; slowest straight ahead where it is above 0, quickest
 * where it is below. Turning every fork on by an angle, with wheel and gear left where they are, turns t by twice that
 * angle and leaves the ripple as it is.
 *
 * @param ratioAhead d(out)/d(in) straight ahead
 * @param leftRightPct ratio a quarter of the ripple's period to the left less that to the right, percent of the mean:
 *     0 where both ways feel alike
 * @param middle what straight ahead is like
 * @param choices ways to clock the whole train so that left and right are alike
 */
public record EvenFeel(double ratioAhead, double leftRightPct, Middle middle, List<Choice> choices) {

    /** Below this ripple nobody feels where it lies, percent. */
    private static final double FELT = 1;
    /** How far the ratio straight ahead must be from the mean to be called quick or slow, percent. */
    private static final double CLEARLY = 0.5;

    public enum Middle {
        EVEN("even"),
        SLOW("slower in the middle"),
        QUICK("quicker in the middle");

        private final String label;

        Middle(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * @param middle how straight ahead is then
     * @param firstForkDeg where the first fork is to stand
     * @param turnDeg how far every fork is to be turned on from where it stands, + clockwise seen from the wheel end
     * @param leftRightPct what difference of left and right is left, as the hub can't be set to any angle
     */
    public record Choice(Middle middle, double firstForkDeg, double turnDeg, double leftRightPct) {}

    /** Whether left and right differ so that it can be felt. */
    public boolean lopsided() {
        return Math.abs(leftRightPct) > FELT;
    }

    /** Empty where a joint is locked. */
    public static Optional<EvenFeel> of(ColumnTrain train) {
        return train.transfer()
                .map(t -> new EvenFeel(
                        t.ratioAt(0),
                        leftRight(t),
                        middle(t),
                        t.ripplePct() < FELT
                                ? List.of()
                                : Stream.of(Middle.QUICK, Middle.SLOW)
                                        .map(m -> choice(train.column(), t, m))
                                        .toList()));
    }

    private static Middle middle(Transfer t) {
        double off = 100 * (t.ratioAt(0) - 1);
        return off > CLEARLY ? Middle.QUICK : off < -CLEARLY ? Middle.SLOW : Middle.EVEN;
    }

    /** A left turn is against the sense in which the column's angles count. */
    private static double leftRight(Transfer t) {
        return 100 * (t.ratioAt(-Math.PI / 4) - t.ratioAt(Math.PI / 4));
    }

    private static Choice choice(Column c, Transfer t, Middle wanted) {
        double argument = t.t().getArgument();
        double target = wanted == Middle.QUICK ? Math.PI : 0;
        // With the first fork f further on the train sees in + f: t goes with e^(-2if).
        double turn = Math.toDegrees(Math.IEEEremainder(argument - target, 2 * Math.PI)) / 2;
        double set = c.wheel()
                .fit()
                .socket()
                .map(s -> s.waysPerTurn())
                .filter(w -> w > 0)
                .map(w -> new ForkSetting.Stepped(w).nearest(turn))
                .orElse(turn);
        double angle = -2 * Math.toRadians(set);
        Complex e = new Complex(Math.cos(angle), Math.sin(angle));
        Transfer then = new Transfer(Complex.ONE, t.t().multiply(e));
        return new Choice(wanted, ForkMark.withinHalfTurn(c.firstForkDeg() + set), set, leftRight(then));
    }
}
