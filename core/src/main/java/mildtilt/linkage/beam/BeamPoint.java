package mildtilt.linkage.beam;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;

/**
 * A point of what holds a beam axle, or of the pin it rolls on.
 *
 * @param moved the beam with it elsewhere; the right one with the left where it is the mirror image
 */
public record BeamPoint(Which which, Point at, Function<Point, Beam> moved) {

    /** Which it is. */
    public enum Which {
        TRACK_BAR_BODY("track_bar.body_end", "track bar, frame end"),
        TRACK_BAR_AXLE("track_bar.axle_end", "track bar, axle end"),
        CENTRE_PIN("centre_pin", "axle centre pin"),
        LEFT_EYE("left_spring.eye", "left spring, fixed eye"),
        LEFT_SEAT("left_spring.seat", "left spring, seat on the axle"),
        LEFT_SHACKLE("left_spring.shackle", "left spring, shackle eye"),
        RIGHT_EYE("right_spring.eye", "right spring, fixed eye"),
        RIGHT_SEAT("right_spring.seat", "right spring, seat on the axle"),
        RIGHT_SHACKLE("right_spring.shackle", "right spring, shackle eye"),
        LEFT_ARM_BODY("left_radius_arm.body_end", "left radius arm, frame end"),
        LEFT_ARM_AXLE("left_radius_arm.axle_end", "left radius arm, on the axle"),
        RIGHT_ARM_BODY("right_radius_arm.body_end", "right radius arm, frame end"),
        RIGHT_ARM_AXLE("right_radius_arm.axle_end", "right radius arm, on the axle"),
        LINK_1_BODY("axle_link_1.body_end", "axle link 1, frame end"),
        LINK_1_AXLE("axle_link_1.axle_end", "axle link 1, axle end"),
        LINK_2_BODY("axle_link_2.body_end", "axle link 2, frame end"),
        LINK_2_AXLE("axle_link_2.axle_end", "axle link 2, axle end"),
        LINK_3_BODY("axle_link_3.body_end", "axle link 3, frame end"),
        LINK_3_AXLE("axle_link_3.axle_end", "axle link 3, axle end"),
        LINK_4_BODY("axle_link_4.body_end", "axle link 4, frame end"),
        LINK_4_AXLE("axle_link_4.axle_end", "axle link 4, axle end"),
        WATT_PIN("watt.pin", "Watt crank, pin"),
        LEFT_WATT_OUTER("left_watt_rod.outer_end", "left Watt rod, outer end"),
        LEFT_WATT_CRANK("left_watt_rod.crank_end", "left Watt rod, crank end"),
        RIGHT_WATT_OUTER("right_watt_rod.outer_end", "right Watt rod, outer end"),
        RIGHT_WATT_CRANK("right_watt_rod.crank_end", "right Watt rod, crank end");

        private final String id;
        private final String label;

        Which(String id, String label) {
            this.id = id;
            this.label = label;
        }

        /** What files refer to it by. */
        public String id() {
            return id;
        }

        public String label() {
            return label;
        }

        /** In small letters and hyphens. */
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** Where it is one of a pair. */
        public Optional<Side> side() {
            return name().startsWith("LEFT_")
                    ? Optional.of(Side.LEFT)
                    : name().startsWith("RIGHT_") ? Optional.of(Side.RIGHT) : Optional.empty();
        }

        /** Its twin on a side; itself where it is none of a pair. */
        public Which on(Side side) {
            return side().map(s -> valueOf(side + name().substring(s.name().length())))
                    .orElse(this);
        }
    }
}
