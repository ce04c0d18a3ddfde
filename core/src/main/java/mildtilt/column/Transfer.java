package mildtilt.column;

import org.hipparchus.complex.Complex;

/**
 * How a train of joints passes rotation on, over the whole turn, in closed form.
 *
 * <p>A single joint maps the tangent of its fork angle by {@code tan(out) = cos(b) tan(in)}, which is
 * the linear map {@code z -> a z + b conj(z)} of the plane with {@code b/a = tan²(angle/2)}. Such maps
 * compose to another of the kind, so any train is one: {@code out = in + arg(1 + t e^(-2i in)) + const}
 * with {@code t = b/a} complex and |t| < 1. Everything below follows: the train behaves as one joint
 * with {@code tan²(equivalent angle / 2) = |t|}.
 *
 * @param conformal a
 * @param flip b
 */
public record Transfer(Complex conformal, Complex flip) {

    public static final Transfer EVEN = new Transfer(Complex.ONE, Complex.ZERO);

    /** What one joint adds, its fork angle measured from the normal to both shafts. */
    public static Transfer ofUnevenness(double unevenness) {
        return new Transfer(Complex.ONE, new Complex(unevenness));
    }

    /** This train, then a turn of the frame by an angle in rad. */
    public Transfer thenTurn(double angle) {
        Complex e = new Complex(Math.cos(angle), Math.sin(angle));
        return new Transfer(conformal.multiply(e), flip.multiply(e));
    }

    /** This train, then another. */
    public Transfer then(Transfer next) {
        return new Transfer(
                next.conformal.multiply(conformal).add(next.flip.multiply(flip.conjugate())),
                next.conformal.multiply(flip).add(next.flip.multiply(conformal.conjugate())));
    }

    /** What makes the train uneven: b/a. Real where the train turns alike to left and right of straight ahead. */
    public Complex t() {
        return flip.divide(conformal);
    }

    /** 0 for an even train, towards 1 for one about to lock up. */
    public double unevenness() {
        return flip.norm() / conformal.norm();
    }

    /**
     * How far it stretches along one line: {@code ln((1 + u) / (1 - u))}, which adds up along a line in the hyperbolic
     * plane.
     */
    public double stretch() {
        double u = unevenness();
        return Math.log((1 + u) / (1 - u));
    }

    /** A transfer is a turn, a stretch along the first axis, and a turn; this is the first turn, rad. */
    public double turnBefore() {
        return flip.norm() == 0 ? 0 : (conformal.getArgument() - flip.getArgument()) / 2;
    }

    /** The turn after the stretch, rad. */
    public double turnAfter() {
        return flip.norm() == 0 ? conformal.getArgument() : (conformal.getArgument() + flip.getArgument()) / 2;
    }

    /** Where the output stands straight ahead, from what the last joint's angles are measured from, rad. */
    double angleAtRest() {
        return conformal.add(flip).getArgument();
    }

    /** Rotation of the output, rad, for a rotation of the input, rad; both 0 straight ahead. */
    public double outputAt(double input) {
        Complex t = t();
        return input + lead(t, input) - lead(t, 0);
    }

    private static double lead(Complex t, double input) {
        double c = Math.cos(2 * input);
        double s = Math.sin(2 * input);
        double re = 1 + t.getRealPart() * c + t.getImaginaryPart() * s;
        double im = t.getImaginaryPart() * c - t.getRealPart() * s;
        return Math.atan2(im, re);
    }

    /** Rotation of the input, rad, that gives a rotation of the output, rad: the inverse map. */
    public double inputFor(double output) {
        Complex w = new Complex(Math.cos(output), Math.sin(output)).multiply(conformal.add(flip));
        Complex z = conformal.conjugate().multiply(w).subtract(flip.multiply(w.conjugate()));
        double off = z.getArgument() - output;
        return output + off - 2 * Math.PI * Math.rint(off / (2 * Math.PI));
    }

    /** d(out)/d(in) at an input rotation, rad. */
    public double ratioAt(double input) {
        Complex t = t();
        double c = Math.cos(2 * input);
        double s = Math.sin(2 * input);
        double re = 1 + t.getRealPart() * c + t.getImaginaryPart() * s;
        double im = t.getImaginaryPart() * c - t.getRealPart() * s;
        double m = t.norm();
        return (1 - m * m) / (re * re + im * im);
    }

    public double ratioMin() {
        double m = unevenness();
        return (1 - m) / (1 + m);
    }

    public double ratioMax() {
        double m = unevenness();
        return (1 + m) / (1 - m);
    }

    /** Peak to peak of d(out)/d(in), percent of the mean. */
    public double ripplePct() {
        return rippleOf(unevenness());
    }

    /** Peak to peak of out − in over a turn, degrees. */
    public double positionErrorDeg() {
        return Math.toDegrees(2 * Math.asin(Math.min(1, unevenness())));
    }

    /** Ripple, percent, of a train with this unevenness. */
    public static double rippleOf(double unevenness) {
        return 400 * unevenness / ((1 - unevenness) * (1 + unevenness));
    }
}
