package mildtilt.photograph;

import mildtilt.geometry.Frame;
import mildtilt.geometry.Vector;

/** Small movements of what is fitted: exact at any size, and smooth at none. */
public final class Turn {

    private Turn() {}

    /** A vector turned about another by as much as that is long, rad; by O. Rodrigues' formula. */
    public static Vector by(Vector turn, Vector v) {
        double angle = turn.norm();
        if (angle < 1e-12) {
            return v.plus(turn.cross(v));
        }
        Vector k = turn.times(1 / angle);
        double cos = Math.cos(angle);
        return v.times(cos).plus(k.cross(v).times(Math.sin(angle))).plus(k.times(k.dot(v) * (1 - cos)));
    }

    /** A frame shifted, mm, and turned about its own origin, rad. */
    public static Frame by(Vector shift, Vector turn, Frame f) {
        return new Frame(f.origin().plus(shift), by(turn, f.e()), by(turn, f.f()), by(turn, f.g()));
    }

    /** The turn that carries one frame's directions to another's nearby, rad; right to the second order. */
    public static Vector between(Frame from, Frame to) {
        return from.e()
                .cross(to.e())
                .plus(from.f().cross(to.f()))
                .plus(from.g().cross(to.g()))
                .times(0.5);
    }
}
