package mildtilt.linkage.beam;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * On springs that hold nothing, and links that do: three links and a track bar, four links of which two are spread, or four
 * links and a track bar. The last hold it once more than they need to; the two whose axle ends are highest then count as one
 * link between them, which is what their bushes make of them.
 *
 * @param links three or four
 * @param sideways unaided where two spread links hold it
 */
@Withers
public record Linked(List<Link> links, Sideways sideways) implements Beam, LinkedBuilder.With {

    public static final int LEAST = 3;
    public static final int MOST = 4;

    static final String FREE =
            "These links leave the axle free to move by itself, or hold it twice: three links need a track "
                    + "bar or a Watt linkage; four hold it sideways only if two of them are spread.";

    /** @throws ImpossibleGeometryException if there are more or fewer than can hold it */
    public Linked {
        links = List.copyOf(links);
        if (links.size() < LEAST
                || links.size() > MOST
                || links.size() == LEAST && sideways instanceof Sideways.Unaided) {
            throw new ImpossibleGeometryException(FREE);
        }
    }

    @Override
    public String label() {
        return "beam axle on links";
    }

    /** @throws ImpossibleGeometryException if the links do not hold it */
    @Override
    public BeamPlacer placer(Frame design, double track) {
        return new HeldBeam(
                        design,
                        track,
                        (s, beam, _) -> {
                            List<Link> hold = holding();
                            for (int i = 0; i < hold.size(); i++) {
                                HeldBeam.link(s, beam, part(i), hold.get(i));
                            }
                            if (!unaided()) {
                                sideways.hold(s, beam, design.origin());
                            }
                        },
                        (_, _) -> 0)
                .checked(FREE);
    }

    private boolean unaided() {
        return sideways instanceof Sideways.Unaided;
    }

    /** Where there is one too many, the two highest as one between them. */
    private List<Link> holding() {
        if (links.size() < MOST || unaided()) {
            return links;
        }
        List<Link> byHeight = links.stream()
                .sorted((a, b) -> Double.compare(a.axleEnd().z(), b.axleEnd().z()))
                .toList();
        Link a = byHeight.get(2);
        Link b = byHeight.get(3);
        return List.of(
                byHeight.get(0),
                byHeight.get(1),
                new Link(a.bodyEnd().midwayTo(b.bodyEnd()), a.axleEnd().midwayTo(b.axleEnd())));
    }

    private static BeamPart part(int link) {
        return switch (link) {
            case 0 -> BeamPart.AXLE_LINK_1;
            case 1 -> BeamPart.AXLE_LINK_2;
            case 2 -> BeamPart.AXLE_LINK_3;
            default -> BeamPart.AXLE_LINK_4;
        };
    }

    private static BeamPoint.Which which(int link, boolean body) {
        return BeamPoint.Which.valueOf("LINK_" + (link + 1) + (body ? "_BODY" : "_AXLE"));
    }

    @Override
    public List<BeamPoint> points() {
        List<BeamPoint> all = new ArrayList<>();
        for (int i = 0; i < links.size(); i++) {
            int link = i;
            Link l = links.get(i);
            all.add(new BeamPoint(which(i, true), l.bodyEnd(), p -> with(link, l.withBodyEnd(p))));
            all.add(new BeamPoint(which(i, false), l.axleEnd(), p -> with(link, l.withAxleEnd(p))));
        }
        all.addAll(sideways.points(this::withSideways));
        return all;
    }

    private Linked with(int link, Link l) {
        List<Link> changed = new ArrayList<>(links);
        changed.set(link, l);
        return withLinks(changed);
    }

    @Override
    public List<Bar> bars() {
        List<Bar> all = new ArrayList<>();
        for (int i = 0; i < links.size(); i++) {
            all.add(new Bar(part(i), links.get(i)));
        }
        all.addAll(sideways.bars());
        return all;
    }

    @Override
    public Linked withSideways(Sideways by) {
        return LinkedBuilder.With.super.withSideways(by);
    }
}
