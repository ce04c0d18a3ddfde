package mildtilt.suspension;

import mildtilt.geometry.RigidMove;

/** Where a corner stands, or why it can't. */
public sealed interface CornerPose permits KnucklePose, CannotAssemble {

    /** The same with all of it carried along with the axle. */
    CornerPose carried(RigidMove by);
}
