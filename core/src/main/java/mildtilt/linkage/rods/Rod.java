package mildtilt.linkage.rods;

/** The rods of a steering linkage. */
public enum Rod {
    LEFT_TIE_ROD("left tie rod", "tie_rod_left_mm"),
    RIGHT_TIE_ROD("right tie rod", "tie_rod_right_mm"),
    TIE_ROD("tie rod", "tie_rod_mm"),
    CENTRE_LINK("centre link", "centre_link_mm"),
    INTERMEDIATE_LINK("intermediate link", "intermediate_link_mm"),
    DRAG_LINK("drag link", "drag_link_mm"),
    DRAG_ROD("drag rod", "drag_rod_mm"),
    SHORT_LINK("short link", "pitman_link_mm");

    private final String label;
    private final String key;

    Rod(String label, String key) {
        this.label = label;
        this.key = key;
    }

    public String label() {
        return label;
    }

    /** Its length's name in the analysis file. */
    public String key() {
        return key;
    }
}
