package mildtilt.clearance;

import java.util.ArrayList;
import java.util.List;
import mildtilt.clearance.bodies.Configuration;

/**
 * The position in which something was found.
 *
 * @param steeringWheelDeg + left
 * @param travelLeft mm, + bump
 * @param travelRight mm, + bump
 * @param column how the steering wheel is set, in words; empty as planned
 * @param part how far what moves by itself has gone, 0 to 1, if it counts
 */
public record FoundAt(double steeringWheelDeg, double travelLeft, double travelRight, String column, double part) {

    static FoundAt of(Configuration s) {
        return new FoundAt(
                s.pose().map(p -> p.steeringWheelDeg()).orElse(0.0),
                s.travelLeft(),
                s.travelRight(),
                s.column().words(),
                s.part());
    }

    /** In a few words, without figures: what of it is not as at rest. */
    public String words() {
        List<String> all = new ArrayList<>();
        if (Math.abs(steeringWheelDeg) > 0.5) {
            all.add("turned " + (steeringWheelDeg > 0 ? "left" : "right"));
        }
        if (Math.abs(travelLeft - travelRight) > 1) {
            all.add("rolled");
        } else if (Math.abs(travelLeft) > 1) {
            all.add(travelLeft > 0 ? "in bump" : "in droop");
        }
        if (!column.isEmpty()) {
            all.add(column);
        }
        return all.isEmpty() ? "straight ahead at rest" : String.join(", ", all);
    }
}
