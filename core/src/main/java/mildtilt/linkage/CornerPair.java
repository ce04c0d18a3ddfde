package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.suspension.CornerPose;

/** Both corners where their wheels' travel has them; how each is steered from there. */
sealed interface CornerPair {

    /**
     * @param anchor other end of the rod that steers this knuckle
     * @param tieRodInner inner end of its tie rod; the same unless another rod steers it
     */
    CornerPose corner(Side side, Point anchor, Point tieRodInner);

    /** Where a beam, or the frame that holds the kingpins, stands. */
    Optional<Frame> beam();

    record OnArms(Corners.OnArms corners, double travelLeft, double travelRight) implements CornerPair {

        @Override
        public CornerPose corner(Side side, Point anchor, Point tieRodInner) {
            return corners.of(side).solve(anchor, tieRodInner, side == Side.LEFT ? travelLeft : travelRight);
        }

        @Override
        public Optional<Frame> beam() {
            return Optional.empty();
        }
    }

    record OnKingpins(Corners.OnKingpins corners, Frame at) implements CornerPair {

        @Override
        public CornerPose corner(Side side, Point anchor, Point tieRodInner) {
            return corners.of(side).solve(at, anchor, tieRodInner);
        }

        @Override
        public Optional<Frame> beam() {
            return Optional.of(at);
        }
    }
}
