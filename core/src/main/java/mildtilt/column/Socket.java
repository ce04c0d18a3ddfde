package mildtilt.column;

import mildtilt.withers.Withers;

/**
 * What a fork, hub or gear has for a shaft's end.
 *
 * @param seat the form and size of its bore
 * @param hold what keeps the end in it
 */
@Withers
public record Socket(ShaftProfile seat, Retention hold) implements SocketBuilder.With {

    /** What keeps a shaft's end in a fork. */
    public enum Retention {
        WELD("welded on"),
        PINCH_BOLT("pinch bolt in a groove"),
        SET_SCREW("set screw in a dimple"),
        NUT("nut on the end"),
        ONE_PIECE("one piece with the shaft");

        private final String label;

        Retention(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether a bolt, screw or nut can come loose. */
        public boolean threaded() {
            return switch (this) {
                case PINCH_BOLT, SET_SCREW, NUT -> true;
                case WELD, ONE_PIECE -> false;
            };
        }
    }

    /** In how many ways in a whole turn a shaft's end can be put in; 0 for any angle. */
    public int waysPerTurn() {
        return hold == Retention.ONE_PIECE ? 1 : seat.waysPerTurn();
    }
}
