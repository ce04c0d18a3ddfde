package mildtilt.scan;

import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.solid.TriangleMesh;

/**
 * Tubes, balls, flats, holes, rims and boxes of a scan, each about a place that was pressed on it. A minority of
 * corners that belong to something else does no harm.
 */
public final class ScanMeasure {

    /** How far round a place what lies there is looked for, where nothing is said, mm. */
    public static final double USUAL_REACH = 80;

    /** The same for what is larger than a part of it: a rim, a box. */
    public static final double WIDE_REACH = 450;

    private final TriangleMesh mesh;
    private final ScanPatch patch;

    /** @param mesh in the axes and the unit in which places are given */
    public ScanMeasure(TriangleMesh mesh) {
        this.mesh = mesh;
        patch = new ScanPatch(mesh);
    }

    /** The corner of the scan that is nearest to a place. */
    public Point nearest(Point to) {
        return patch.nearest(to);
    }

    /** @param reach mm; @return empty if nothing round is there */
    public Optional<ScanShape.Tube> tube(Point pressed, double reach) {
        return TubeFit.of(patch, pressed, reach);
    }

    /** @return empty if no ball is there. @param reach mm */
    public Optional<ScanShape.Ball> ball(Point pressed, double reach) {
        return BallFit.of(patch, pressed, reach);
    }

    /** @return empty if nothing flat is there. @param reach mm */
    public Optional<ScanShape.Flat> flat(Point pressed, double reach) {
        return FlatFit.of(patch, pressed, reach);
    }

    /** What spins, such as a rim or a hub. @return empty if nothing turned is there. @param reach mm */
    public Optional<ScanShape.Rim> rim(Point pressed, double reach) {
        return RimFit.of(patch, pressed, reach);
    }

    /** @return empty if it is no side of a box. @param reach mm; all of the box lies within it */
    public Optional<ScanShape.Box> box(Point pressed, double reach) {
        return BoxFit.of(patch, pressed, reach);
    }

    /** The hole about a place within it. @return empty if the scan is closed there. @param reach mm */
    public Optional<ScanShape.Hole> hole(Point pressed, double reach) {
        return FlatFit.hole(mesh, patch, pressed, reach);
    }
}
