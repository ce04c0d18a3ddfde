package mildtilt.linkage.beam;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;

/** What a beam axle can be held by. */
public enum BeamKind {
    SPRINGS("springs, straight up and down"),
    LEAF_SPRINGS("leaf springs"),
    RADIUS_ARMS("radius arms"),
    THREE_LINKS("three links"),
    SPREAD_LINKS("four links, two spread"),
    FOUR_LINKS("four links"),
    CENTRE_PIN("a centre pin, no springs");

    private final String label;

    BeamKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public static BeamKind of(Beam beam) {
        return switch (beam) {
            case Beam.Sprung _ -> SPRINGS;
            case LeafSprung _ -> LEAF_SPRINGS;
            case RadiusArms _ -> RADIUS_ARMS;
            case Linked l ->
                l.links().size() < Linked.MOST
                        ? THREE_LINKS
                        : l.sideways() instanceof Sideways.Unaided ? SPREAD_LINKS : FOUR_LINKS;
            case Beam.CentrePin _ -> CENTRE_PIN;
        };
    }

    /**
     * One to begin with, of usual sizes for an axle as wide; what holds it sideways stays where the kind has it.
     *
     * @param design the beam's frame in the design position
     * @param track between the wheel centres, mm
     */
    public Beam usual(Frame design, double track, Sideways now) {
        UsualSizes s = new UsualSizes(design.origin(), track);
        Sideways across = now instanceof Sideways.Unaided ? SidewaysKind.TRACK_BAR.usual(design, track) : now;
        Link low = s.link(-0.42, 0.26, -0.01, 0.29, -0.04);
        Link high = s.link(-0.38, 0.2, 0.11, 0.2, 0.1);
        return switch (this) {
            case SPRINGS -> new Beam.Sprung(now);
            case LEAF_SPRINGS ->
                new LeafSprung(
                        new Leaf(s.at(-0.38, 0.28, 0.06), s.at(0, 0.28, 0.05), s.at(0.4, 0.28, 0.06)),
                        Optional.empty(),
                        Sideways.UNAIDED);
            case RADIUS_ARMS -> new RadiusArms(s.link(-0.5, 0.22, 0.01, 0.27, 0), Optional.empty(), across);
            case THREE_LINKS -> new Linked(List.of(low, low.mirrored(), s.link(-0.38, 0.05, 0.11, 0.06, 0.1)), across);
            case SPREAD_LINKS -> {
                Link spread = s.link(-0.38, 0.26, 0.11, 0.04, 0.1);
                yield new Linked(List.of(low, low.mirrored(), spread, spread.mirrored()), Sideways.UNAIDED);
            }
            case FOUR_LINKS -> new Linked(List.of(low, low.mirrored(), high, high.mirrored()), across);
            case CENTRE_PIN -> new Beam.CentrePin(new Axis(s.at(0, 0, 0.05), new Direction(1, 0, 0)));
        };
    }
}
