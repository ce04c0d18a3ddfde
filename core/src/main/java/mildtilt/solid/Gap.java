package mildtilt.solid;

import mildtilt.geometry.Point;

/**
 * Between two solids.
 *
 * @param mm + apart, − in each other
 * @param onFirst the place of the first solid that is nearest
 * @param onSecond the place of the second that is nearest
 */
public record Gap(double mm, Point onFirst, Point onSecond) {

    Gap turnedRound() {
        return new Gap(mm, onSecond, onFirst);
    }

    Gap smaller(Gap other) {
        return other.mm < mm ? other : this;
    }
}
