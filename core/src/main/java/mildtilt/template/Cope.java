package mildtilt.template;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Piece.CopedTube;
import mildtilt.build.Piece.Meeting;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The ends of a tube cut to meet other tubes.
 *
 * <p>With the tube's axis along z from the other's axis, its points at radius r are (r cos φ, r sin φ, z); the other,
 * of radius R, runs along
 * (sin θ, 0, cos θ) through (0, e, 0). They meet where {@code (r sin φ − e)² + (r cos φ cos θ − z sin θ)² = R²}, on the
 * near side
 * {@code z = (r cos φ cos θ + sqrt(R² − (r sin φ − e)²)) / sin θ}; a flat is R = 0 without the root. The cut is made
 * square through the wall,
 * so of the wall's two faces the one that has to be cut back farther counts.
 */
public final class Cope {

    private static final int STEPS = 180;
    private static final double BAND = 30;
    /** Height of what is written, mm: 9 pt. */
    private static final double WORDS = 3.2;

    private final CopedTube tube;
    /** Along the axis from where the axes meet to the cut, at every step round, mm. */
    private final double[] from = new double[STEPS];

    private final double[] to = new double[STEPS];

    private Cope(CopedTube tube) {
        this.tube = tube;
        for (int i = 0; i < STEPS; i++) {
            double phi = 2 * Math.PI * i / STEPS;
            from[i] = cut(tube.from(), phi - Math.toRadians(tube.from().turnDeg()), 1);
            to[i] = cut(tube.to(), phi - Math.toRadians(tube.to().turnDeg()), -1);
        }
    }

    public static Cope of(CopedTube tube) {
        return new Cope(tube);
    }

    /** @param way −1 for the end seen against the axis, whose left and right are changed over */
    private double cut(Meeting m, double phi, int way) {
        double outer = tube.section().outside() / 2;
        return Math.max(at(m, outer, phi, way), at(m, tube.section().inside() / 2, phi, way));
    }

    static double at(Meeting m, double r, double phi, int way) {
        double theta = Math.toRadians(m.angleDeg());
        double x = r * Math.cos(phi);
        double y = way * r * Math.sin(phi) - m.offset();
        double root = m.into() == 0 ? 0 : Math.sqrt(Math.max(0, m.into() * m.into() / 4 - y * y));
        return (x * Math.cos(theta) + root) / Math.sin(theta);
    }

    /** From the farthest point of one cope to the farthest point of the other, mm: the length that is sawn. */
    public double longest() {
        return tube.length() - least(from) - least(to);
    }

    /** Along the side where the least is left, mm. */
    public double shortest() {
        double s = Double.POSITIVE_INFINITY;
        for (int i = 0; i < STEPS; i++) {
            s = Math.min(s, tube.length() - from[i] - to[i]);
        }
        return s;
    }

    private static double least(double[] cut) {
        double l = cut[0];
        for (double c : cut) {
            l = Math.min(l, c);
        }
        return l;
    }

    private static double most(double[] cut) {
        double m = cut[0];
        for (double c : cut) {
            m = Math.max(m, c);
        }
        return m;
    }

    /** A strip to wrap round each end that is not cut square. */
    List<FlatPattern> patterns() {
        List<FlatPattern> all = new ArrayList<>();
        if (!tube.from().square()) {
            all.add(strip("first end", tube.from(), from, true));
        }
        if (!tube.to().square()) {
            all.add(strip("other end", tube.to(), to, false));
        }
        return all;
    }

    private FlatPattern strip(String end, Meeting m, double[] cut, boolean first) {
        double round = Math.PI * tube.section().outside();
        double top = most(cut);
        List<PatternPoint> outline = new ArrayList<>();
        outline.add(new PatternPoint(0, -BAND));
        for (int i = 0; i <= STEPS; i++) {
            // With the end up and the print out, angles about the axis from first to other run to the left on the first
            // end.
            int at = first ? Math.floorMod(-i, STEPS) : i % STEPS;
            outline.add(new PatternPoint(round * i / STEPS, top - cut[at]));
        }
        outline.add(new PatternPoint(round, -BAND));
        List<PatternMark> inks = new ArrayList<>();
        inks.add(new PatternMark.Path(PatternMark.Layer.CUT, outline, true));
        String[] quarters = {"0", "1/4", "1/2", "3/4"};
        for (int q = 0; q < 4; q++) {
            double x = round * q / 4;
            inks.add(new PatternMark.Path(
                    PatternMark.Layer.MARK,
                    List.of(new PatternPoint(x, -BAND), new PatternPoint(x, -BAND + 12)),
                    false));
            inks.add(new PatternMark.Words(
                    new PatternPoint(x + 1, -BAND + 8),
                    WORDS,
                    false,
                    Phrase.of(first || q % 2 == 0 ? quarters[q] : quarters[4 - q])));
        }
        // Above the quarter marks, so that no word lies across one; a name longer than the strip goes below it.
        boolean below = (tube.name().length() + end.length() + 2) * WORDS / 2 > round;
        inks.add(new PatternMark.Words(
                new PatternPoint(below ? 0 : 2, below ? -BAND - 5 : -BAND + 19),
                WORDS,
                false,
                Phrase.of(Phrase.name(tube.name()) + ", " + end)));
        inks.add(new PatternMark.Words(
                new PatternPoint(2, -BAND + 14), WORDS, false, Phrase.of("this end up, print out")));
        String what = (m.into() == 0 ? "a flat" : "a tube of {0}") + " at " + LengthText.trimmed(m.angleDeg(), 2) + "°";
        return new FlatPattern(
                tube.name() + ", " + end,
                Phrase.of(
                        "Wrap round the tube of {1} with the 0 line where both ends' 0 lines are to be, and cut along the upper edge, the torch or "
                                + "saw always square to the wall. Meets " + what
                                + (m.offset() == 0
                                        ? "."
                                        : ", whose axis lies {2} to the " + (m.offset() > 0 ? "left" : "right")
                                                + ", seen along the tube toward this end with the 0 line up.")
                                + (m.angleDeg() == 90
                                        ? ""
                                        : " Unturned, the 0 line lies in the "
                                                + (m.angleDeg() < 90 ? "narrower" : "wider") + " angle."),
                        Quantity.length(m.into()),
                        Quantity.length(tube.section().outside()),
                        Quantity.length(Math.abs(m.offset()))),
                Optional.empty(),
                inks);
    }
}
