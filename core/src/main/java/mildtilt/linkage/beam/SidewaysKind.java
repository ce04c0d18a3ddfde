package mildtilt.linkage.beam;

import java.util.Arrays;
import java.util.List;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Vector;

/** What a beam axle can be held sideways by. */
public enum SidewaysKind {
    UNAIDED("nothing of its own"),
    TRACK_BAR("a track bar"),
    WATT_ON_AXLE("a Watt linkage, crank on the axle"),
    WATT_ON_FRAME("a Watt linkage, crank on the frame");

    private final String label;

    SidewaysKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public static SidewaysKind of(Sideways by) {
        return switch (by) {
            case Sideways.Unaided _ -> UNAIDED;
            case TrackBar _ -> TRACK_BAR;
            case WattLinkage w -> w.pinOnFrame() ? WATT_ON_FRAME : WATT_ON_AXLE;
        };
    }

    /**
     * One to begin with, of usual sizes for an axle as wide.
     *
     * @param design the beam's frame in the design position
     * @param track between the wheel centres, mm
     */
    public Sideways usual(Frame design, double track) {
        UsualSizes s = new UsualSizes(design.origin(), track);
        return switch (this) {
            case UNAIDED -> Sideways.UNAIDED;
            case TRACK_BAR -> new TrackBar(s.at(-0.09, 0.28, 0.05), s.at(-0.09, -0.3, 0.02));
            case WATT_ON_AXLE, WATT_ON_FRAME ->
                new WattLinkage(
                        new Axis(s.at(0.09, 0, 0.06), Vector.X.direction()),
                        new WattLinkage.Rod(s.at(0.09, 0.24, 0.11), s.at(0.09, 0, 0.11)),
                        new WattLinkage.Rod(s.at(0.09, -0.24, 0.01), s.at(0.09, 0, 0.01)),
                        this == WATT_ON_FRAME);
        };
    }

    /** Those that can hold a beam; none where it has no room for any. Design and track as for {@link #usual}. */
    public static List<SidewaysKind> thatHold(Beam beam, Frame design, double track) {
        return beam instanceof Beam.CentrePin
                ? List.of()
                : Arrays.stream(values())
                        .filter(k -> k == of(beam.sideways()) || k.holds(beam, design, track))
                        .toList();
    }

    private boolean holds(Beam beam, Frame design, double track) {
        try {
            beam.withSideways(usual(design, track)).placer(design, track);
            return true;
        } catch (ImpossibleGeometryException e) {
            return false;
        }
    }
}
