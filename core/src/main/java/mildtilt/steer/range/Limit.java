package mildtilt.steer.range;

/** What can end the lock, or a place in the range. */
public enum Limit {
    GEAR_END("gear's end"),
    KNUCKLE_STOP("knuckle stop"),
    TYRE("tyre touches"),
    ROD_END("rod end out of angle"),
    OVER_CENTRE("near over-centre"),
    SHUTTLE_END("shuttle at its mount"),
    LINKAGE_ENDS("linkage runs out"),
    /** Of a damper, a spring, a strap, a hose, a driven shaft or a joint of the suspension. */
    PART_ENDS("damper, strap, hose or joint at its end");

    private final String label;

    Limit(String label) {
        this.label = label;
    }

    /** Whether something solid ends the lock there; the others are what must not be passed. */
    public boolean stops() {
        return switch (this) {
            case GEAR_END, KNUCKLE_STOP, TYRE, SHUTTLE_END, LINKAGE_ENDS, PART_ENDS -> true;
            case ROD_END, OVER_CENTRE -> false;
        };
    }

    public String label() {
        return label;
    }
}
