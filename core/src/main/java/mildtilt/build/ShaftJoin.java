package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * A place where a shaft is made of two.
 *
 * @param id a join's
 * @param shaft the id of the shaft: should it be taken out, the join is missed rather than found on another
 * @param along from the shaft's wheel-end centre (hub or joint), mm
 */
@Withers
public record ShaftJoin(Id id, Id shaft, double along, School school) implements ShaftJoinBuilder.With {

    /** How it may be done; where authorities differ. */
    public enum School {
        SLEEVE("sleeve and weld"),
        PLUG("press fit and plug weld"),
        ONE_PIECE("machined from one piece"),
        COUPLING("bolted coupling");

        private final String label;

        School(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        public boolean welded() {
            return switch (this) {
                case SLEEVE, PLUG -> true;
                case ONE_PIECE, COUPLING -> false;
            };
        }
    }

    public ShaftJoin {
        if (!(along > 0)) {
            throw new ImpossibleGeometryException("A join lies on a shaft, past its wheel end.");
        }
    }
}
