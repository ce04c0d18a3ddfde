package mildtilt.shop;

/** How one part sits in another. */
public enum SeatingResult {
    FITS("fits", 0),
    NOT_MEASURED("not measured", 1),
    SINGLE_SHEAR("fits, in single shear", 1),
    NUT_RUNS_OUT("taper comes through", 1),
    STANDS_PROUD("stands proud", 2),
    SINKS("sinks", 2),
    RATTLES("rattles", 2),
    TOO_LARGE("does not go in", 2),
    LOOSE("is loose", 2),
    OTHER_FORM("is of another form", 2),
    OTHER_HAND("turns the other way", 2),
    OTHER_PITCH("has another pitch", 2),
    SHALLOW("has too little thread to hold", 2),
    THIN("leaves too thin a wall", 2);

    private final String label;
    private final int gravity;

    SeatingResult(String label, int gravity) {
        this.label = label;
        this.gravity = gravity;
    }

    public String label() {
        return label;
    }

    /** Whether it may be built so. */
    public boolean good() {
        return gravity == 0;
    }

    /** Whether it must not be built so. */
    public boolean bad() {
        return gravity == 2;
    }
}
