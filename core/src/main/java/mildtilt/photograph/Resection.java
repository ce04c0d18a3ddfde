package mildtilt.photograph;

import boofcv.factory.geo.EnumPNP;
import boofcv.factory.geo.FactoryMultiView;
import boofcv.struct.geo.Point2D3D;
import georegression.struct.se.Se3_F64;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * Where a camera stood, by places that are known and where they are drawn: a start for the fit of all together. A
 * camera's frame has its directions to the right and down in the picture, and ahead.
 */
public final class Resection {

    /** So many places on one plane, or in space, are needed. */
    public static final int LEAST_IN_PLANE = 4;

    public static final int LEAST_IN_SPACE = 6;

    private Resection() {}

    /** A known place and where it is drawn. */
    public record Drawn(Point place, Lens.Pixel at) {}

    /** By marks of the sheet, in the sheet's own frame; empty with fewer than four, or if they allow none. */
    public static Optional<Frame> ofSheet(Lens lens, List<MarkSeen> marks) {
        List<Drawn> drawn = marks.stream()
                .filter(m -> TargetSheet.has(m.mark()))
                .map(m -> new Drawn(TargetSheet.place(m.mark()), new Lens.Pixel(m.across(), m.down())))
                .toList();
        return inPlane(lens, drawn);
    }

    /** By four or more places in one plane; empty with fewer, or if they allow none. */
    public static Optional<Frame> inPlane(Lens lens, List<Drawn> drawn) {
        return drawn.size() < LEAST_IN_PLANE ? Optional.empty() : pose(lens, drawn, EnumPNP.IPPE);
    }

    /** By places in space; empty with fewer than six, or if they allow none. */
    public static Optional<Frame> inSpace(Lens lens, List<Drawn> drawn) {
        return drawn.size() < LEAST_IN_SPACE ? Optional.empty() : pose(lens, drawn, EnumPNP.EPNP);
    }

    private static Optional<Frame> pose(Lens lens, List<Drawn> drawn, EnumPNP way) {
        List<Point2D3D> all = new ArrayList<>();
        for (Drawn d : drawn) {
            Vector sight = lens.sight(d.at());
            Point2D3D p = new Point2D3D();
            p.setTo(
                    sight.x(),
                    sight.y(),
                    d.place().x(),
                    d.place().y(),
                    d.place().z());
            all.add(p);
        }
        Se3_F64 to = new Se3_F64();
        if (!FactoryMultiView.pnp_1(way, 10, 0).process(all, to)) {
            return Optional.empty();
        }
        double[] r = to.R.data;
        Vector t = new Vector(to.T.x, to.T.y, to.T.z);
        Vector right = new Vector(r[0], r[1], r[2]);
        Vector down = new Vector(r[3], r[4], r[5]);
        Vector ahead = new Vector(r[6], r[7], r[8]);
        if (!Double.isFinite(right.dot(down) + t.norm())) {
            return Optional.empty();
        }
        Vector back = right.times(-t.x()).plus(down.times(-t.y())).plus(ahead.times(-t.z()));
        return Optional.of(new Frame(Point.ORIGIN.plus(back), right, down, ahead));
    }
}
