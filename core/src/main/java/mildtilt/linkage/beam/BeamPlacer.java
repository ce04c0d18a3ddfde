package mildtilt.linkage.beam;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;

/** A beam made ready to be put where its wheels' travel has it. */
public interface BeamPlacer {

    /**
     * Where the beam has gone.
     *
     * @param now empty if it can't be there
     * @param no why it can't; empty if it can
     */
    record Place(Optional<Frame> now, Optional<CannotAssemble> no) {

        public static Place at(Frame now) {
            return new Place(Optional.of(now), Optional.empty());
        }

        /** @param missing how much longer (+) or shorter (−) a part that holds it would have to be, mm */
        static Place held(String part, double missing) {
            return new Place(Optional.empty(), Optional.of(new CannotAssemble(part, missing, Reason.LINK)));
        }

        /** @param missing how far the axle would have to rise that can't, mm */
        public static Place outOfReach(double missing) {
            return new Place(Optional.empty(), Optional.of(new CannotAssemble("axle", missing, Reason.WHEEL_TRAVEL)));
        }
    }

    /** @param left rise of the left wheel centre from the design position, mm; @param right of the right one */
    Place place(double left, double right);
}
