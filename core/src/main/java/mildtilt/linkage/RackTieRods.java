package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;

/** A tie rod from each end of the rack to the steering arm on that side. */
public record RackTieRods() implements Linkage {

    @Override
    public String label() {
        return "rack and tie rods";
    }

    @Override
    public String movedWithGear() {
        return "rack";
    }

    private static RackAndPinion rackOf(Gear gear) {
        if (gear instanceof RackAndPinion r) {
            return r;
        }
        throw new ImpossibleGeometryException(
                "A gear with an arm needs a linkage of its own: say which linkage it drives.");
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        rackOf(gear);
    }

    @Override
    public Motion motion(SteeredAxle axle) {
        return new RackMotion(rackOf(axle.gear()), axle);
    }

    @Override
    public Optional<Point> inner(Gear gear, Side side) {
        return Optional.of(rackOf(gear).innerPivot(side, 0));
    }

    @Override
    public boolean innersSlide() {
        return true;
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        return List.of(
                inner(axle, LinkagePoint.Which.LEFT_INNER, Side.LEFT),
                inner(axle, LinkagePoint.Which.RIGHT_INNER, Side.RIGHT));
    }

    private static LinkagePoint inner(SteeredAxle axle, LinkagePoint.Which which, Side side) {
        RackAndPinion rack = rackOf(axle.gear());
        return new LinkagePoint(
                which,
                side.label() + " inner tie-rod pivot",
                rack.innerPivot(side, 0),
                to -> axle.withGear(withEnd(rack, side, to)));
    }

    /** Along the rack both ends go apart alike; any other way the rack goes along. */
    private static RackAndPinion withEnd(RackAndPinion rack, Side side, Point to) {
        Vector move = to.minus(rack.innerPivot(side, 0));
        double along = rack.axis().dot(move);
        return rack.withPivotSpacing(rack.pivotSpacing() + 2 * side.sign() * along)
                .withCentre(rack.centre().plus(move.minus(rack.axis().times(along))));
    }

    @Override
    public RackTieRods placed(Gear gear, Placing placing) {
        return this;
    }

    @Override
    public RackTieRods sidesApart(Gear gear) {
        return this;
    }

    @Override
    public RackTieRods sidesAlike(Linkage was) {
        return this;
    }

    @Override
    public SteeredAxle innersSpread(SteeredAxle axle, double by) {
        RackAndPinion r = rackOf(axle.gear());
        return axle.withGear(r.withPivotSpacing(r.pivotSpacing() + by));
    }
}
