package mildtilt.making;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A place where a shaft is made of two.
 *
 * @param shaft its name: should the train be changed, a join is missed rather than found on another shaft
 * @param along from the shaft's wheel-end centre (hub or joint), mm
 */
public record ShaftJoin(String shaft, double along, School school) {

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

    public ShaftJoin withSchool(School s) {
        return new ShaftJoin(shaft, along, s);
    }

    public ShaftJoin at(double mm) {
        return new ShaftJoin(shaft, mm, school);
    }
}
