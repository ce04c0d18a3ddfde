package mildtilt.curve;

import java.util.List;
import java.util.stream.Stream;
import mildtilt.curve.Curve.Run;

/** From values to pixels along one axis, with round marks. */
public record Scale(double low, double high, double from, double to, double step) {

    /** A curve that hardly changes is not blown up to look as if it did. */
    private static final double NARROWEST = 0.1;

    public static Scale over(
            List<Run> now, List<Run> before, int which, double shown, double from, double to, double marks) {
        double[] all = Stream.concat(now.stream(), before.stream())
                .flatMap(r -> r.points().stream())
                .mapToDouble(p -> p[which] * shown)
                .toArray();
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (double v : all) {
            low = Math.min(low, v);
            high = Math.max(high, v);
        }
        if (which == 1) {
            double pad = Math.max((high - low) * 0.06, (NARROWEST - (high - low)) / 2);
            low -= Math.max(0, pad);
            high += Math.max(0, pad);
        }
        return new Scale(low, high, from, to, roundStep((high - low) / Math.max(2, marks)));
    }

    private static double roundStep(double rough) {
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double part = rough / power;
        return power * (part <= 1 ? 1 : part <= 2 ? 2 : part <= 5 ? 5 : 10);
    }

    public double at(double value) {
        return from + (value - low) / (high - low) * (to - from);
    }

    /** The value at a pixel. */
    public double valueAt(double pixel) {
        return low + (pixel - from) / (to - from) * (high - low);
    }

    public double first() {
        return Math.ceil(low / step - 1e-9) * step;
    }

    public double last() {
        return Math.floor(high / step + 1e-9) * step;
    }

    /** Decimals needed to tell the marks apart. */
    public int decimals() {
        return Math.max(0, (int) -Math.floor(Math.log10(step) + 1e-9));
    }
}
