package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.suspension.CornerPose;

/**
 * Where a whole steered axle stands.
 *
 * @param mechanism empty if the gear itself can't go there
 * @param beam the beam axle's frame as it stands, if there is one and it can
 */
public record AxleConfiguration(
        CornerPose left, CornerPose right, Optional<Mechanism> mechanism, Optional<Frame> beam) {}
