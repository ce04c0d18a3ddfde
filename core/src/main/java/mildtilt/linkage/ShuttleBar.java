package mildtilt.linkage;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * How a shuttle sits on its bar: two bushes, or one long one, that rub.
 *
 * @param middle of the bushes, on the bar's line, straight ahead, mm
 * @param span between the middles of two bushes, or the length of one long one, mm
 * @param friction of bush on bar; about 0.15 greased bronze on steel, 0.1 plastic, 0.25 dry
 */
@Withers
public record ShuttleBar(Point middle, double span, double friction) implements ShuttleBarBuilder.With {

    /** Of greased bronze on steel. */
    public static final double USUAL_FRICTION = 0.15;

    /** @throws ImpossibleGeometryException naming what can't be */
    public ShuttleBar {
        if (!(span > 0)) {
            throw new ImpossibleGeometryException("The shuttle's bushes must be apart by more than 0.");
        }
        if (!(friction >= 0 && friction <= 2)) {
            throw new ImpossibleGeometryException("The friction of the shuttle's bushes must lie between 0 and 2.");
        }
    }

    ShuttleBar placed(Placing by) {
        return new ShuttleBar(by.point(middle), span, friction);
    }
}
