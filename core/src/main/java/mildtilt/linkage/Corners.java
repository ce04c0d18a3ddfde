package mildtilt.linkage;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.CornerSolver;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KingpinSolver;
import mildtilt.suspension.LinkPinSolver;
import mildtilt.suspension.SplitLinkSolver;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.SwingBeamSolver;
import mildtilt.suspension.TrailingArms;
import mildtilt.suspension.TravellingCorner;

/** Both corners of an axle made ready, each steered by a rod whose other end the linkage moves. */
sealed interface Corners {

    /**
     * The rod that steers a knuckle, straight ahead.
     *
     * @param onKnuckle where it meets the knuckle
     * @param rod what it is called
     */
    record RodAt(Point onKnuckle, Point otherEnd, String rod) {}

    /** Each on suspension arms of its own. */
    record OnArms(TravellingCorner left, TravellingCorner right) implements Corners {

        TravellingCorner of(Side side) {
            return side == Side.LEFT ? left : right;
        }

        @Override
        public double rodLength(Side side) {
            return of(side).rodLength();
        }
    }

    /** Both on kingpins, on a beam or on the frame. */
    record OnKingpins(KingpinSolver left, KingpinSolver right) implements Corners {

        KingpinSolver of(Side side) {
            return side == Side.LEFT ? left : right;
        }

        @Override
        public double rodLength(Side side) {
            return of(side).rodLength();
        }
    }

    /** Of the rod that steers this side's knuckle, centre to centre, mm. */
    double rodLength(Side side);

    /** @throws mildtilt.geometry.ImpossibleGeometryException if a steering arm or a rod has no length */
    static Corners of(SteeredAxle axle, RodAt left, RodAt right) {
        return axle.left().suspension() instanceof Kingpin
                ? new OnKingpins(kingpin(axle, Side.LEFT, left), kingpin(axle, Side.RIGHT, right))
                : new OnArms(arms(axle, Side.LEFT, left), arms(axle, Side.RIGHT, right));
    }

    /** Both steered by tie rods of their own, from where the linkage has their inner ends straight ahead. */
    static Corners onTieRods(SteeredAxle axle, Point leftInner, Point rightInner) {
        return of(
                axle,
                new RodAt(axle.corner(Side.LEFT).knuckle().tieRodPoint(), leftInner, Rod.LEFT_TIE_ROD.label()),
                new RodAt(axle.corner(Side.RIGHT).knuckle().tieRodPoint(), rightInner, Rod.RIGHT_TIE_ROD.label()));
    }

    private static TravellingCorner arms(SteeredAxle axle, Side side, RodAt rod) {
        Corner c = axle.corner(side);
        return switch (c.suspension()) {
            case SplitLinks l -> new SplitLinkSolver(side, l, c.knuckle(), rod.onKnuckle, rod.otherEnd, rod.rod);
            case SwingBeam b -> new SwingBeamSolver(side, b, c.knuckle(), rod.onKnuckle, rod.otherEnd, rod.rod);
            case TrailingArms t
            when t.kingpin().isPresent() ->
                new LinkPinSolver(side, t, c.knuckle(), rod.onKnuckle, rod.otherEnd, rod.rod);
            case Suspension other -> new CornerSolver(side, other, c.knuckle(), rod.onKnuckle, rod.otherEnd, rod.rod);
        };
    }

    private static KingpinSolver kingpin(SteeredAxle axle, Side side, RodAt rod) {
        Corner c = axle.corner(side);
        if (c.suspension() instanceof Kingpin k) {
            return new KingpinSolver(side, k, c.knuckle(), rod.onKnuckle, rod.otherEnd, rod.rod, axle.beamDesign());
        }
        throw new ImpossibleGeometryException(SteeredAxle.ONE_KINGPIN);
    }
}
