package mildtilt.linkage;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;

/**
 * A drag link from the gear's arm, and one tie rod from knuckle to knuckle.
 *
 * @param ends the drag link's joints: outer where it drives, inner at the gear's arm
 */
public record DragLink(Attachment attachment, RodEnds ends) implements Linkage {

    /** What the drag link drives. */
    public sealed interface Attachment {

        /** @param point where the drag link meets the knuckle of that side, where it really is, mm */
        record OnKnuckle(Side side, Point point) implements Attachment {}

        /** @param fraction along the tie rod from its left end to its right end */
        record OnTieRod(double fraction) implements Attachment {

            /** @throws ImpossibleGeometryException if that lies off the rod */
            public OnTieRod {
                if (!(fraction >= 0 && fraction <= 1)) {
                    throw new ImpossibleGeometryException(
                            "The drag link must meet the tie rod between its ends: a part from 0 to 1.");
                }
            }
        }
    }

    public DragLink withAttachment(Attachment a) {
        return new DragLink(a, ends);
    }
}
