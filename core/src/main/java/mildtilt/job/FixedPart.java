package mildtilt.job;

import java.util.Map;
import java.util.TreeMap;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.id.NamedPart;
import mildtilt.linkage.RelayPart;
import mildtilt.linkage.beam.BeamPart;
import mildtilt.linkage.rods.Rod;

/**
 * The parts that a vehicle has one of, or one on each side, and that can be near something. Rods are {@link Rod}, what
 * they push {@link RelayPart}.
 */
public enum FixedPart {
    TYRE(true, "tyre"),
    /** Rim and tyre from inside, for what reaches into the wheel. */
    WHEEL_INSIDE(true, "wheel, inside"),
    LOWER_ARM(true, "lower arm"),
    UPPER_ARM(true, "upper arm"),
    LOWER_FRONT_LINK(true, "lower front link"),
    LOWER_REAR_LINK(true, "lower rear link"),
    UPPER_FRONT_LINK(true, "upper front link"),
    UPPER_REAR_LINK(true, "upper rear link"),
    STRUT(true, "strut"),
    SWING_BEAM(true, "swing beam"),
    RADIUS_ARM(true, "radius arm"),
    STEERING_ARM(true, "steering arm"),
    LEG(true, "leg"),
    RACK_HOUSING(false, "rack housing"),
    RACK_BAR(false, "rack bar"),
    STEERING_BOX(false, "steering box"),
    COLUMN_ARM(false, "column arm"),
    PITMAN_ARM(false, "pitman arm"),
    AXLE_BEAM(false, "axle beam"),
    STEERING_WHEEL(false, "steering wheel"),
    HANDS(false, "knuckles of the hands"),
    COLUMN_TUBE(false, "column tube");

    private static final String LEFT = "left_";
    private static final String RIGHT = "right_";

    private final boolean sided;
    private final String label;

    FixedPart(boolean sided, String label) {
        this.sided = sided;
        this.label = label;
    }

    /** A rod. */
    public static NamedPart called(Rod rod) {
        return new NamedPart(Id.of(rod), rod.label());
    }

    /** What stands between the gear and the tie rods. */
    public static NamedPart called(RelayPart part) {
        return new NamedPart(Id.of(part), part.label());
    }

    /** What holds a beam axle. */
    public static NamedPart called(BeamPart part) {
        return new NamedPart(Id.of(part), part.label());
    }

    /** @throws IllegalArgumentException if there is one on each side */
    public NamedPart called() {
        if (sided) {
            throw new IllegalArgumentException(this + " is on both sides");
        }
        return new NamedPart(Id.of(this), label);
    }

    /** The one on a side. */
    public NamedPart called(Side side) {
        return new NamedPart(
                new Id(side.code() + "_" + Id.of(this)), (this == LEG ? "driver's " : "") + side.label() + " " + label);
    }

    /** What all of them, and the rods, are called. */
    static Map<Id, String> names() {
        Map<Id, String> all = new TreeMap<>();
        for (FixedPart p : values()) {
            if (p.sided) {
                for (Side side : Side.values()) {
                    all.put(p.called(side).id(), p.called(side).name());
                }
            } else {
                all.put(p.called().id(), p.called().name());
            }
        }
        for (RelayPart part : RelayPart.values()) {
            all.put(Id.of(part), part.label());
        }
        for (BeamPart part : BeamPart.values()) {
            all.put(Id.of(part), part.label());
        }
        for (Rod rod : Rod.values()) {
            all.put(Id.of(rod), rod.label());
        }
        return all;
    }

    /** Of a part that is on one side its twin; any other itself. */
    public static Id otherSide(Id part) {
        return part.text().startsWith(LEFT)
                ? new Id(RIGHT + part.text().substring(LEFT.length()))
                : part.text().startsWith(RIGHT) ? new Id(LEFT + part.text().substring(RIGHT.length())) : part;
    }
}
