package mildtilt.trials.instruments;

import java.util.Arrays;
import java.util.Optional;

/** What can be read. */
public enum InstrumentKind {
    /** Operating angle of the joint it is held to. */
    ANGLE_FINDER("angle-finder", "angle finder", "deg", 1, 0.1, 0.05),
    /** Dial on a shaft, + pushed in. */
    DIAL("dial", "dial indicator", "mm", 1, 0.01, 0.01),
    /** Left and right wheel, + to the left, from where they were zeroed. */
    TURN_PLATES("turn-plates", "turn plates", "deg", 2, 0.1, 0.1),
    /** Dot on the wall, to the left and up, from its mark. */
    LASER("laser", "laser on the hub", "mm", 2, 0.5, 0.7),
    /** Pull at the rim. */
    PULL_SCALE("pull-scale", "pull scale", "N", 1, 1, 3),
    /** A phone that lies along a shaft: how far that slopes below level the way the phone points, and its own fault. */
    PHONE("phone", "phone", "deg", 1, 0.1, 0.2);

    private final String key;
    private final String label;
    private final String unit;
    private final int figures;
    private final double step;
    private final double spread;

    InstrumentKind(String key, String label, String unit, int figures, double step, double spread) {
        this.key = key;
        this.label = label;
        this.unit = unit;
        this.figures = figures;
        this.step = step;
        this.spread = spread;
    }

    /** Its name in the protocol. */
    public String key() {
        return key;
    }

    public String label() {
        return label;
    }

    /** As the protocol writes it. */
    public String unit() {
        return unit;
    }

    /** How many figures one reading has. */
    public int figures() {
        return figures;
    }

    /** The last figure that a stand-in shows. */
    double step() {
        return step;
    }

    /** ± of a stand-in, one standard deviation. */
    double spread() {
        return spread;
    }

    public static Optional<InstrumentKind> of(String key) {
        return Arrays.stream(values()).filter(k -> k.key.equals(key)).findFirst();
    }
}
