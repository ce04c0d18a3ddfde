package mildtilt.obstacle;

import java.util.Optional;
import mildtilt.geometry.Side;

/** What something is fixed to. */
public enum Carrier {
    FRAME("frame or body", Optional.empty()),
    AXLE("axle beam", Optional.empty()),
    LEFT_KNUCKLE("left knuckle", Optional.of(Side.LEFT)),
    RIGHT_KNUCKLE("right knuckle", Optional.of(Side.RIGHT)),
    LEFT_LOWER_ARM("left lower arm", Optional.of(Side.LEFT)),
    RIGHT_LOWER_ARM("right lower arm", Optional.of(Side.RIGHT)),
    LEFT_UPPER_ARM("left upper arm", Optional.of(Side.LEFT)),
    RIGHT_UPPER_ARM("right upper arm", Optional.of(Side.RIGHT)),
    LEFT_TIE_ROD("left tie rod", Optional.of(Side.LEFT)),
    RIGHT_TIE_ROD("right tie rod", Optional.of(Side.RIGHT)),
    TIE_ROD("tie rod", Optional.empty()),
    CENTRE_LINK("centre link", Optional.empty()),
    DRAG_LINK("drag link", Optional.empty()),
    GEAR_ARM("gear's arm", Optional.empty()),
    RACK_BAR("rack bar", Optional.empty());

    private final String label;
    private final Optional<Side> side;

    Carrier(String label, Optional<Side> side) {
        this.label = label;
        this.side = side;
    }

    public String label() {
        return label;
    }

    public Optional<Side> side() {
        return side;
    }

    public Carrier mirrored() {
        return switch (this) {
            case FRAME, AXLE, TIE_ROD, CENTRE_LINK, DRAG_LINK, GEAR_ARM, RACK_BAR -> this;
            case LEFT_KNUCKLE -> RIGHT_KNUCKLE;
            case RIGHT_KNUCKLE -> LEFT_KNUCKLE;
            case LEFT_LOWER_ARM -> RIGHT_LOWER_ARM;
            case RIGHT_LOWER_ARM -> LEFT_LOWER_ARM;
            case LEFT_UPPER_ARM -> RIGHT_UPPER_ARM;
            case RIGHT_UPPER_ARM -> LEFT_UPPER_ARM;
            case LEFT_TIE_ROD -> RIGHT_TIE_ROD;
            case RIGHT_TIE_ROD -> LEFT_TIE_ROD;
        };
    }
}
