package mildtilt.linkage.beam;

/** What stands between the frame and a beam axle. */
public enum BeamPart {
    TRACK_BAR("track bar"),
    LEFT_SPRING("left leaf spring"),
    RIGHT_SPRING("right leaf spring"),
    LEFT_RADIUS_ARM("left radius arm"),
    RIGHT_RADIUS_ARM("right radius arm"),
    AXLE_LINK_1("axle link 1"),
    AXLE_LINK_2("axle link 2"),
    AXLE_LINK_3("axle link 3"),
    AXLE_LINK_4("axle link 4"),
    WATT_CRANK("Watt crank"),
    LEFT_WATT_ROD("left Watt rod"),
    RIGHT_WATT_ROD("right Watt rod");

    private final String label;

    BeamPart(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
