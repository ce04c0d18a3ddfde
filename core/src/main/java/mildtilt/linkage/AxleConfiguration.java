package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.RigidMove;
import mildtilt.suspension.CornerPose;

/**
 * Where a whole steered axle stands.
 *
 * @param mechanism empty if the gear itself can't go there
 * @param beam the beam axle's frame as it stands, if there is one and it can
 * @param gearMove where the gear's housing has gone with what it is bolted to
 * @param relayMove the same for the pivot of a bell crank or the bar of a shuttle
 */
public record AxleConfiguration(
        CornerPose left,
        CornerPose right,
        Optional<Mechanism> mechanism,
        Optional<Frame> beam,
        RigidMove gearMove,
        RigidMove relayMove) {

    /** With everything on the frame. */
    public AxleConfiguration(CornerPose left, CornerPose right, Optional<Mechanism> mechanism, Optional<Frame> beam) {
        this(left, right, mechanism, beam, RigidMove.NONE, RigidMove.NONE);
    }

    AxleConfiguration withMoves(RigidMove gear, RigidMove relay) {
        return new AxleConfiguration(left, right, mechanism, beam, gear, relay);
    }

    /** All of it carried along with the beam. */
    AxleConfiguration carried(RigidMove by) {
        return new AxleConfiguration(
                left.carried(by),
                right.carried(by),
                mechanism.map(m -> m.placed(by)),
                beam.map(by::frame),
                gearMove,
                relayMove);
    }
}
