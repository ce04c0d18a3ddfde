package mildtilt.linkage.beam;

import java.util.Optional;
import mildtilt.geometry.Frame;

/** A beam made ready to be put where its wheels' travel has it. */
public interface BeamPlacer {

    /**
     * Where the beam has gone.
     *
     * @param now empty if it can't be there
     * @param part what is in the way then
     * @param missing how much longer (+) or shorter (−) that would have to be, or how far the axle would have to rise that
     *     can't, mm
     */
    record Place(Optional<Frame> now, String part, double missing) {

        public static Place at(Frame now) {
            return new Place(Optional.of(now), "", 0);
        }

        public static Place not(String part, double missing) {
            return new Place(Optional.empty(), part, missing);
        }
    }

    /** @param left rise of the left wheel centre from the design position, mm; @param right of the right one */
    Place place(double left, double right);
}
