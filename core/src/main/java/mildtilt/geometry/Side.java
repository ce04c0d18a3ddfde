package mildtilt.geometry;

/** Left or right of the vehicle, as the driver sits. */
public enum Side {
    LEFT(1, "left"),
    RIGHT(-1, "right");

    private final int sign;
    private final String label;

    Side(int sign, String label) {
        this.sign = sign;
        this.label = label;
    }

    /** +1 left, −1 right: the sign of y on this side. */
    public int sign() {
        return sign;
    }

    /** In files and ids. */
    public String code() {
        return this == LEFT ? "left" : "right";
    }

    /** As people read it. */
    public String label() {
        return label;
    }

    public Side other() {
        return this == LEFT ? RIGHT : LEFT;
    }
}
