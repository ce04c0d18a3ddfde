package mildtilt.linkage;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.beam.BeamPlacer;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.CannotAssemble;

/**
 * Poses of a steered axle for a turn of the gear's input and a travel of each wheel. Each member of the
 * linkage follows from the one before in closed form; only a drag link taken from the tie rod needs a root
 * in one variable.
 */
public final class AxleSolver {

    private static final double NO_TRAVEL = 1e-9;
    private static final Optional<RigidMove> STAYS = Optional.of(RigidMove.NONE);

    private final SteeredAxle axle;
    private final Motion motion;
    private final Map<Rod, Double> lengths = new EnumMap<>(Rod.class);
    private final Frame beamDesign;
    private final BeamPlacer placer;
    private final RodEndAngles rodEnds;

    /** @throws ImpossibleGeometryException if a rod or arm has no length */
    public AxleSolver(SteeredAxle axle) {
        this(
                axle,
                axle.beam()
                        .map(b -> b.placer(axle.beamDesign(), axle.track()))
                        .orElseGet(() -> fixed(axle.beamDesign())));
    }

    private AxleSolver(SteeredAxle axle, BeamPlacer placer) {
        this.axle = axle;
        this.placer = placer;
        beamDesign = axle.beamDesign();
        motion = axle.linkage().motion(axle);
        lengths.putAll(motion.lengths());
        if (!axle.oneTieRod()) {
            lengths.put(Rod.LEFT_TIE_ROD, motion.corners().rodLength(Side.LEFT));
            lengths.put(Rod.RIGHT_TIE_ROD, motion.corners().rodLength(Side.RIGHT));
        }
        rodEnds = new RodEndAngles(axle);
    }

    /**
     * The same with a beam axle wound up on its springs; empty where it is no beam, or held against that. @param
     * noseUp rad
     */
    public static Optional<AxleSolver> woundUp(SteeredAxle axle, double noseUp) {
        return axle.beam()
                .flatMap(b -> b.woundUp(axle.beamDesign(), axle.track(), noseUp))
                .map(placer -> new AxleSolver(axle, placer));
    }

    public SteeredAxle axle() {
        return axle;
    }

    /** Every rod's length between centres, mm. */
    public Map<Rod, Double> lengths() {
        return Collections.unmodifiableMap(new TreeMap<>(lengths));
    }

    /** The tie rod that ends at this side's steering arm, centre to centre, mm. */
    public double tieRodLength(Side side) {
        Rod own = axle.oneTieRod() ? Rod.TIE_ROD : side == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD;
        return lengths.getOrDefault(own, 0.0);
    }

    /** Rotation of the gear's input from straight ahead to either end, rad. */
    public double gearInputStop() {
        return axle.gear().inputStop();
    }

    /**
     * @param gearInputLeft rotation of the gear's input to the left, rad
     * @param travelLeft rise of the left wheel, or of the axle beam there, mm
     * @param travelRight the same on the right
     */
    public AxleConfiguration pose(double gearInputLeft, double travelLeft, double travelRight) {
        return switch (motion.corners()) {
            case Corners.OnArms c ->
                pose(gearInputLeft, new CornerPair.OnArms(c, travelLeft, travelRight), RigidMove.NONE);
            case Corners.OnKingpins c -> {
                BeamPlacer.Place place = place(travelLeft, travelRight);
                yield place.now().map(at -> onBeam(gearInputLeft, c, at)).orElseGet(() -> {
                    CannotAssemble no = place.no().orElseThrow();
                    return new AxleConfiguration(no, no, motion.gearAlone(gearInputLeft), Optional.empty());
                });
            }
        };
    }

    /**
     * What is bolted to the axle keeps its place to the kingpins, so it is solved with the beam as designed, what is on
     * the frame moved the other way; then all of it is carried to where the beam stands.
     */
    private AxleConfiguration onBeam(double gearInputLeft, Corners.OnKingpins corners, Frame at) {
        RigidMove beam = RigidMove.between(beamDesign, at);
        RigidMove gear = axle.gearOnAxle() ? beam : RigidMove.NONE;
        return switch (axle.relayOn()) {
            case FRAME ->
                pose(gearInputLeft, new CornerPair.OnKingpins(corners, at), gear)
                        .withMoves(gear, RigidMove.NONE);
            case AXLE -> {
                RigidMove gearToBeam = axle.gearOnAxle() ? RigidMove.NONE : beam.inverse();
                yield pose(gearInputLeft, new CornerPair.OnKingpins(corners, beamDesign), gearToBeam)
                        .carried(beam)
                        .withMoves(gear, beam);
            }
        };
    }

    private AxleConfiguration pose(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        return Motion.pastEnd(axle.gear(), gearInputLeft)
                .map(no -> new AxleConfiguration(no, no, Optional.empty(), footing.beam()))
                .orElseGet(() -> motion.stance(gearInputLeft, footing, gearMove));
    }

    /**
     * Where the gear's housing goes with the axle. Travel as for {@link #pose}; empty where the beam can't go there.
     */
    public Optional<RigidMove> gearMove(double travelLeft, double travelRight) {
        return axle.gearOnAxle()
                ? place(travelLeft, travelRight).now().map(at -> RigidMove.between(beamDesign, at))
                : STAYS;
    }

    private BeamPlacer.Place place(double travelLeft, double travelRight) {
        return placer.place(travelLeft, travelRight);
    }

    /** Kingpins on the frame itself do not travel. */
    private static BeamPlacer fixed(Frame at) {
        return (left, right) -> {
            double most = Math.abs(left) > Math.abs(right) ? left : right;
            return Math.abs(most) > NO_TRAVEL ? BeamPlacer.Place.outOfReach(most) : BeamPlacer.Place.at(at);
        };
    }

    /** Goes through the rod ends of an axle that stands. */
    public void atRodEnds(AxleConfiguration stance, RodEndAngles.Visitor visitor) {
        rodEnds.visit(stance, visitor);
    }
}
