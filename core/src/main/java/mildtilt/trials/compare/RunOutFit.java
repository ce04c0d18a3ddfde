package mildtilt.trials.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.id.Id;
import mildtilt.trials.TrialReading.RunOut;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * What a dial along a shaft says. At each station the once-a-turn part of the dial is how far the shaft's middle stands
 * off the axis it turns about, and
 * which way; a straight shaft's middles lie on one straight line, however it is held, and a bent one's on two.
 *
 * @param stations from the wheel end
 * @param verdict what the stations together say
 * @param bend where the two straight halves meet, if it is bent
 * @param bearings run-out where a bearing sits, against what it stands
 */
public record RunOutFit(
        Id shaft, List<Station> stations, Verdict verdict, Optional<Bend> bend, List<AtBearing> bearings) {

    /**
     * @param along mm from the wheel end
     * @param reading largest less smallest dial reading, mm
     * @param off of the middle from the axis it turns about, mm
     * @param highDeg where it is highest, from the mark on, against the way it is turned
     * @param oval what is left of the dial reading twice a turn, peak to peak, mm: out of round, not off
     */
    public record Station(double along, double reading, double off, double highDeg, double oval) {

        double x() {
            return off * Math.cos(Math.toRadians(highDeg));
        }

        double y() {
            return off * Math.sin(Math.toRadians(highDeg));
        }
    }

    /**
     * @param along mm; @param deg by how much; @param deep how far the place is off the straight line of both ends, mm;
     * @param highDeg which way it bulges, from the mark on
     */
    public record Bend(double along, double deg, double deep, double highDeg) {

        public Phrase text() {
            return Phrase.of(
                    "Bent by {0} at {1} from its wheel end, standing out {2} there, high at {3} from the mark. Press "
                            + "it there, or make another; heat and a weld do not straighten a steering shaft.",
                    Quantity.angle(deg), Quantity.length(along), Quantity.fine(deep), Quantity.angle(highDeg));
        }
    }

    /**
     * @param reading dial reading to expect there, mm
     * @param most it may be, mm
     * @param wobbleDeg how far the shaft swings out of line with the bearing each turn
     * @param standsDeg how far the bearing lets it
     */
    public record AtBearing(
            String bearing, double along, double reading, double most, double wobbleDeg, double standsDeg) {

        public boolean tooMuch() {
            return reading > most || wobbleDeg > standsDeg;
        }

        public Phrase text() {
            return Phrase.of(
                    Phrase.name(bearing)
                            + ": the dial would read {0} there, where {1} is the most; the shaft swings {2} in it "
                            + "each turn, and it stands {3}.",
                    Quantity.fine(reading),
                    Quantity.fine(most),
                    Quantity.angle(wobbleDeg),
                    Quantity.angle(standsDeg));
        }
    }

    public enum Verdict {
        TRUE("runs true, as far as the dial can tell"),
        ECCENTRIC(
                "straight, but off the axis it turns about by the same all along: eccentric in its mounts or its forks"),
        ASKEW("straight, but held askew: more off at one end than at the other"),
        BENT("bent"),
        TOO_FEW("too few stations to tell bent from eccentric: two tell if it is off, four if it is bent");

        private final String label;

        Verdict(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * One line through all stations, or two that meet, across the shaft both ways: off = a + b along + c (along − knee
     * where beyond it).
     */
    private record Line(double[] x, double[] y, double chi2) {

        double slopeDeg() {
            return Math.toDegrees(Math.atan(Math.hypot(x[1], y[1])));
        }
    }

    private static final int KNEES = 60;
    /**
     * What each amount that is fitted must take off the sum of squares: chance alone takes off as much of two in one
     * shaft of thirty.
     */
    private static final double EARNED = 3.5;

    /** Of each shaft that was read. @param outOfLine what the rule set lets a bearing stand out of line, mm */
    public static List<RunOutFit> of(List<RunOut> all, Optional<Column> column, double outOfLine) {
        return all.stream()
                .map(RunOut::shaft)
                .distinct()
                .map(s -> of(s, all.stream().filter(r -> r.shaft().equals(s)).toList(), column, outOfLine))
                .toList();
    }

    private static RunOutFit of(Id shaft, List<RunOut> read, Optional<Column> column, double outOfLine) {
        List<RunOut> sorted =
                read.stream().sorted(Comparator.comparingDouble(RunOut::along)).toList();
        List<Station> stations = sorted.stream().map(RunOutFit::station).toList();
        // The amplitude of one harmonic of n readings is known to spread * root(2 / n), each way.
        double[] sd = sorted.stream()
                .mapToDouble(r -> r.spread() * Math.sqrt(2.0 / r.dial().size()))
                .toArray();
        double none = 0;
        for (int i = 0; i < stations.size(); i++) {
            none += square(stations.get(i).off() / sd[i]);
        }
        Line flat = line(stations, sd, Optional.empty());
        double same = chi2Same(stations, sd);
        Verdict verdict = Verdict.TRUE;
        double best = none;
        if (same + 2 * EARNED < best) {
            verdict = Verdict.ECCENTRIC;
            best = same + 2 * EARNED;
        }
        if (stations.size() > 2 && flat.chi2 + 4 * EARNED < best) {
            verdict = Verdict.ASKEW;
            best = flat.chi2 + 4 * EARNED;
        }
        Optional<Bend> bend = Optional.empty();
        if (stations.size() >= 4) {
            Knee knee = knee(stations, sd);
            if (knee.chi2 + 7 * EARNED < best) {
                verdict = Verdict.BENT;
                bend = Optional.of(knee.bend);
            }
        }
        if (stations.size() < 2 || verdict != Verdict.TRUE && verdict != Verdict.BENT && stations.size() < 4) {
            verdict = Verdict.TOO_FEW;
        }
        return new RunOutFit(shaft, stations, verdict, bend, bearings(shaft, stations, flat, column, outOfLine));
    }

    private static Station station(RunOut r) {
        int n = r.dial().size();
        double mean =
                r.dial().stream().mapToDouble(Double::doubleValue).average().orElse(0);
        double[] c = new double[2];
        double[] d = new double[2];
        for (int i = 0; i < n; i++) {
            double v = r.dial().get(i) - mean;
            for (int h = 1; h <= 2; h++) {
                c[h - 1] += 2.0 / n * v * Math.cos(2 * Math.PI * h * i / n);
                d[h - 1] += 2.0 / n * v * Math.sin(2 * Math.PI * h * i / n);
            }
        }
        double high = Math.toDegrees(Math.atan2(d[0], c[0]));
        double most = r.dial().stream().mapToDouble(Double::doubleValue).max().orElse(0);
        double least = r.dial().stream().mapToDouble(Double::doubleValue).min().orElse(0);
        // With four steps twice a turn is seen half: it is then no more than a hint.
        double oval = n > 4 ? 2 * Math.hypot(c[1], d[1]) : 0;
        return new Station(r.along(), most - least, Math.hypot(c[0], d[0]), (high + 360) % 360, oval);
    }

    private static double chi2Same(List<Station> stations, double[] sd) {
        double w = 0;
        double x = 0;
        double y = 0;
        for (int i = 0; i < sd.length; i++) {
            double q = 1 / square(sd[i]);
            w += q;
            x += q * stations.get(i).x();
            y += q * stations.get(i).y();
        }
        double chi2 = 0;
        for (int i = 0; i < sd.length; i++) {
            chi2 += (square(stations.get(i).x() - x / w)
                            + square(stations.get(i).y() - y / w))
                    / square(sd[i]);
        }
        return chi2;
    }

    private record Knee(double chi2, Bend bend) {}

    /** The knee that suits best, anywhere between the second station and the last but one. */
    private static Knee knee(List<Station> stations, double[] sd) {
        double from = stations.get(1).along();
        double to = stations.get(stations.size() - 2).along();
        Optional<Knee> best = Optional.empty();
        for (int i = 0; i <= KNEES; i++) {
            double at = from + (to - from) * i / KNEES;
            Line l = line(stations, sd, Optional.of(at));
            if (best.isEmpty() || l.chi2 < best.get().chi2) {
                double cx = l.x[2];
                double cy = l.y[2];
                double slope = Math.hypot(cx, cy);
                double first = stations.getFirst().along();
                double last = stations.getLast().along();
                double deep = slope * (at - first) * (last - at) / Math.max(1e-9, last - first);
                // It turns back the way it came out: the bulge is against the change of slope.
                double high = (Math.toDegrees(Math.atan2(-cy, -cx)) + 360) % 360;
                best = Optional.of(new Knee(l.chi2, new Bend(at, Math.toDegrees(Math.atan(slope)), deep, high)));
            }
        }
        return best.orElseThrow();
    }

    private static Line line(List<Station> stations, double[] sd, Optional<Double> knee) {
        double[] x = across(stations, sd, true, knee);
        double[] y = across(stations, sd, false, knee);
        double chi2 = 0;
        for (int i = 0; i < stations.size(); i++) {
            Station s = stations.get(i);
            double beyond = knee.map(k -> Math.max(0, s.along() - k)).orElse(0.0);
            chi2 += (square(s.x() - x[0] - x[1] * s.along() - x[2] * beyond)
                            + square(s.y() - y[0] - y[1] * s.along() - y[2] * beyond))
                    / square(sd[i]);
        }
        return new Line(x, y, chi2);
    }

    private static double[] across(List<Station> stations, double[] sd, boolean isX, Optional<Double> knee) {
        int n = stations.size();
        double[][] a = new double[n][knee.isPresent() ? 3 : 2];
        double[] b = new double[n];
        for (int i = 0; i < n; i++) {
            Station s = stations.get(i);
            a[i][0] = 1 / sd[i];
            a[i][1] = s.along() / sd[i];
            if (knee.isPresent()) {
                a[i][2] = Math.max(0, s.along() - knee.get()) / sd[i];
            }
            b[i] = (isX ? s.x() : s.y()) / sd[i];
        }
        RealVector v = new SingularValueDecomposition(new Array2DRowRealMatrix(a, false))
                .getSolver()
                .solve(new ArrayRealVector(b, false));
        return new double[] {v.getEntry(0), v.getEntry(1), knee.isPresent() ? v.getEntry(2) : 0};
    }

    /** Between the stations beside it, along a straight line; at the end station's own beyond them. */
    private static List<AtBearing> bearings(
            Id shaft, List<Station> stations, Line line, Optional<Column> column, double outOfLine) {
        List<AtBearing> all = new ArrayList<>();
        column.ifPresent(c -> {
            for (Bearing b : c.bearings()) {
                if (c.shafts().get(b.shaft()).id().equals(shaft) && stations.size() > 1) {
                    double off = offAt(stations, b.along());
                    all.add(new AtBearing(
                            b.name(),
                            b.along(),
                            2 * off,
                            outOfLine / 2,
                            Math.max(line.slopeDeg(), slopeDeg(stations, b.along())),
                            b.kind().selfAlignDeg()));
                }
            }
        });
        return List.copyOf(all);
    }

    private static double offAt(List<Station> s, double at) {
        for (int i = 1; i < s.size(); i++) {
            if (at <= s.get(i).along() || i == s.size() - 1) {
                double t = Math.clamp(
                        (at - s.get(i - 1).along())
                                / Math.max(1e-9, s.get(i).along() - s.get(i - 1).along()),
                        0,
                        1);
                return Math.hypot(
                        s.get(i - 1).x() + t * (s.get(i).x() - s.get(i - 1).x()),
                        s.get(i - 1).y() + t * (s.get(i).y() - s.get(i - 1).y()));
            }
        }
        return s.getFirst().off();
    }

    private static double slopeDeg(List<Station> s, double at) {
        for (int i = 1; i < s.size(); i++) {
            if (at <= s.get(i).along() || i == s.size() - 1) {
                double length = Math.max(1e-9, s.get(i).along() - s.get(i - 1).along());
                return Math.toDegrees(Math.atan(Math.hypot(
                                s.get(i).x() - s.get(i - 1).x(),
                                s.get(i).y() - s.get(i - 1).y())
                        / length));
            }
        }
        return 0;
    }

    private static double square(double v) {
        return v * v;
    }
}
