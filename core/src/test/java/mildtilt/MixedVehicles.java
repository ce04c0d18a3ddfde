package mildtilt;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import mildtilt.column.HandBar;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.VehicleScale;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.beam.BeamKind;
import mildtilt.linkage.beam.SidewaysKind;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.linkage.rods.Rod;
import mildtilt.obstacle.Obstacle;
import mildtilt.start.AxleChoice;
import mildtilt.start.GearChoice;
import mildtilt.start.StartingVehicle;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.TrailingArms;
import mildtilt.travel.CarriedStart;

/**
 * Vehicles begun on the start page and changed by what the panels offer, so that kinds meet that no demo has together.
 */
public enum MixedVehicles {
    HANDLEBAR_ON_LINKS(
            AxleChoice.WISHBONES, GearChoice.HANDLEBAR, 960, 1290, 560, j -> j.editAxle(MixedVehicles::onLinks)),
    TILLER_ON_STRUTS(
            AxleChoice.STRUTS,
            GearChoice.BOX_BOTH_RODS,
            1340,
            2200,
            600,
            j -> j.editColumn(c -> c.withWheel(c.wheel().withBar(Optional.of(HandBar.Kind.TILLER.usual()))))),
    RACK_ON_STRUTS_AND_LINKS(
            AxleChoice.STRUTS,
            GearChoice.RACK_AHEAD,
            1500,
            2600,
            640,
            j -> jointed(j.editAxle(MixedVehicles::onLinks))),
    TRAILING_ARMS_ON_BALL_JOINTS(
            AxleChoice.TRAILING_ARMS,
            GearChoice.BOX_BOTH_RODS,
            1280,
            2000,
            630,
            j -> j.editAxle(a -> a.withLeft(
                    a.left().withSuspension(((TrailingArms) a.left().suspension()).withKingpin(Optional.empty()))))),
    LEAVES_AND_RELAY_ARM(
            AxleChoice.LEAF_BEAM,
            GearChoice.BOX_ALONG_SPRING,
            1600,
            3000,
            820,
            j -> j.editAxle(a -> sideways(relayed(a), SidewaysKind.WATT_ON_AXLE)
                    .editRodEnds(Rod.DRAG_LINK, e -> e.withPlay(Optional.of(3.0))))),
    SWING_BEAMS_AND_RELAY_ARM(
            AxleChoice.SWING_BEAMS,
            GearChoice.BOX_TO_SWING_BEAM,
            1640,
            2700,
            790,
            j -> j.editAxle(MixedVehicles::relayed)),
    RELAY_ARM_ON_A_PINNED_BEAM(
            AxleChoice.PINNED_BEAM,
            GearChoice.BOX_TO_TIE_ROD,
            1250,
            2100,
            690,
            j -> j.editAxle(a -> relayed(a).withStatedRelayOn(Optional.of(MountedOn.AXLE)))),
    RACK_ON_RADIUS_ARMS(
            AxleChoice.SPRUNG_BEAM,
            GearChoice.RACK_ON_AXLE,
            1450,
            2400,
            700,
            j -> withAllThatIsCarried(j.editAxle(a -> sideways(
                    a.withBeam(BeamKind.RADIUS_ARMS.usual(
                            a.beamDesign(), a.track(), a.beam().orElseThrow().sideways())),
                    SidewaysKind.WATT_ON_FRAME))));

    private static final Map<MixedVehicles, Job> JOBS = new ConcurrentHashMap<>();

    private final StartingVehicle begun;
    private final UnaryOperator<Job> changed;

    MixedVehicles(
            AxleChoice axle, GearChoice gear, double track, double wheelbase, double tyre, UnaryOperator<Job> changed) {
        begun = new StartingVehicle(axle, gear, new VehicleScale(track, wheelbase, tyre), Set.of());
        this.changed = changed;
    }

    /** Worked out once. */
    public Job job() {
        return JOBS.computeIfAbsent(this, v -> v.changed.apply(v.begun.job(LocalDate.of(2026, 4, 20))));
    }

    private static SteeredAxle sideways(SteeredAxle a, SidewaysKind by) {
        return a.withBeam(a.beam().orElseThrow().withSideways(by.usual(a.beamDesign(), a.track())));
    }

    /** Each lower arm as two links, their joints at the knuckle a little apart. */
    private static SteeredAxle onLinks(SteeredAxle a) {
        SplitLinks links =
                switch (a.left().suspension()) {
                    case DoubleWishbone w -> SplitLinks.of(w);
                    case Strut s -> SplitLinks.of(s);
                    default -> throw new IllegalStateException();
                };
        return a.withLeft(a.left()
                .withSuspension(links.withLowerFront(links.lowerFront()
                                .withOuter(links.lowerFront().outer().plus(new Vector(12, -4, 1))))
                        .withLowerRear(links.lowerRear()
                                .withOuter(links.lowerRear().outer().plus(new Vector(-12, -5, 0))))));
    }

    /** With the tilt of every joint of the suspension given. */
    private static Job jointed(Job job) {
        return job.editAxle(a -> {
            Corner left = a.left();
            for (CornerPoint at : JointTilt.joints(left.suspension())) {
                left = left.withJoint(at, Optional.of(JointTilt.square(left, at, 22)));
            }
            return a.withLeft(left);
        });
    }

    /** With the tilt of every end of the beam's bars given. */
    private static SteeredAxle barred(SteeredAxle a) {
        SteeredAxle with = a;
        for (Bar bar : a.beam().orElseThrow().bars()) {
            for (boolean onAxle : new boolean[] {false, true}) {
                if (BarTilt.tilts(bar.part(), onAxle)) {
                    with = with.withBarTilt(bar.part(), onAxle, Optional.of(BarTilt.square(bar, onAxle, 25)));
                }
            }
        }
        return with;
    }

    /** With dampers, straps, hoses, an anti-roll bar. */
    private static Job withAllThatIsCarried(Job job) {
        Job with = job.editAxle(MixedVehicles::barred);
        for (CarriedStart start : CarriedStart.values()) {
            Obstacle o = start.on(with).orElseThrow();
            with = with.editSurroundings(s -> s.with(o));
        }
        return with;
    }

    private static SteeredAxle relayed(SteeredAxle a) {
        return a.withLinkage(((DragLink) a.linkage()).withUsualRelayArm(a));
    }
}
