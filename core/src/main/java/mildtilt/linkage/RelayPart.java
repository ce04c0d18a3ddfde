package mildtilt.linkage;

/** What passes the gear's movement on between its arm and the tie rods. */
public enum RelayPart {
    IDLER_ARM("idler arm"),
    RELAY_ARM("relay arm"),
    BELL_CRANK("bell crank"),
    SHUTTLE("shuttle");

    private final String label;

    RelayPart(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
