package mildtilt.linkage;

/** What the gear, or what stands between it and the tie rods, is bolted to. */
public enum MountedOn {
    FRAME("frame"),
    AXLE("axle");

    private final String label;

    MountedOn(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
