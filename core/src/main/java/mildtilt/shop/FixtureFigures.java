package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Workshop.FixtureDatum;
import mildtilt.column.Bearing;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.WattLinkage;
import mildtilt.linkage.corner.WheelTravel;

/**
 * What a fixture holds so that several vehicles come out alike: every place on the frame, from its table, from its zero
 * and from the middle, and with three distances to check it by.
 *
 * @param pins the three places that distances are taken from, the widest triangle there is; fewer where there are not
 *     so
 *     many places
 */
public record FixtureFigures(List<Place> places, List<Integer> pins) {

    /**
     * @param ahead of the fixture's zero, mm, − behind it
     * @param left of the middle, mm, − to the right
     * @param above its table, mm
     * @param fromPins distances from the three pins, mm
     */
    public record Place(Id id, String name, double ahead, double left, double above, List<Double> fromPins) {}

    /** Empty where a job has no place on the frame. */
    public static FixtureFigures of(Job job) {
        FixtureDatum datum = job.making().workshop().fixture();
        List<PointId> held =
                JobPoints.of(job).stream().filter(p -> held(job, p)).toList();
        List<Point> at = held.stream().map(p -> JobPoints.position(job, p)).toList();
        List<Integer> pins = pins(at);
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < held.size(); i++) {
            Point p = at.get(i);
            places.add(new Place(
                    JobPoints.id(job, held.get(i)),
                    JobPoints.label(job, held.get(i)),
                    p.x() - datum.x(),
                    p.y(),
                    p.z() - datum.tableZ(),
                    pins.stream().map(k -> at.get(k).distanceTo(p)).toList()));
        }
        return new FixtureFigures(List.copyOf(places), pins);
    }

    /** A letter for a pin. @param pin 0 the first */
    public static String letter(int pin) {
        return Character.toString('A' + pin);
    }

    private static List<Integer> pins(List<Point> at) {
        double most = -1;
        List<Integer> best = new ArrayList<>();
        for (int i = 0; i < Math.min(3, at.size()); i++) {
            best.add(i);
        }
        for (int i = 0; i < at.size(); i++) {
            for (int j = i + 1; j < at.size(); j++) {
                for (int k = j + 1; k < at.size(); k++) {
                    double area = at.get(j)
                            .minus(at.get(i))
                            .cross(at.get(k).minus(at.get(i)))
                            .norm();
                    if (area > most + 1e-6) {
                        most = area;
                        best = List.of(i, j, k);
                    }
                }
            }
        }
        return List.copyOf(best);
    }

    private static boolean crankOnFrame(Optional<SteeredAxle> axle) {
        return axle.flatMap(SteeredAxle::beam)
                .filter(b -> b.sideways() instanceof WattLinkage w && w.pinOnFrame())
                .isPresent();
    }

    /** Whether it is on the frame, so that a fixture can hold it. */
    private static boolean held(Job job, PointId point) {
        Optional<SteeredAxle> axle = job.axle();
        boolean gearOnFrame = axle.map(a -> !a.gearOnAxle()).orElse(true);
        return switch (point) {
            case PointId.Hub _ -> true;
            case PointId.BearingMiddle b ->
                job.column().orElseThrow().bearings().get(b.index()).mount() != Bearing.Mount.AXLE;
            case PointId.GearInput _, PointId.GearCentre _ -> gearOnFrame;
            // A rack's rods begin on its own line; of other linkages they are on what moves.
            case PointId.InnerPivot _ ->
                gearOnFrame
                        && axle.filter(a -> a.gear() instanceof RackAndPinion).isPresent();
            case PointId.IdlerPivot _, PointId.CrankPivot _, PointId.RelayPivot _ -> true;
            case PointId.OnBeam b ->
                switch (b.which()) {
                    case TRACK_BAR_BODY,
                            CENTRE_PIN,
                            LEFT_EYE,
                            RIGHT_EYE,
                            LEFT_ARM_BODY,
                            RIGHT_ARM_BODY,
                            LINK_1_BODY,
                            LINK_2_BODY,
                            LINK_3_BODY,
                            LINK_4_BODY -> true;
                    case WATT_PIN -> crankOnFrame(axle);
                    case LEFT_WATT_OUTER, RIGHT_WATT_OUTER -> !crankOnFrame(axle);
                    case TRACK_BAR_AXLE,
                            LEFT_SEAT,
                            LEFT_SHACKLE,
                            RIGHT_SEAT,
                            RIGHT_SHACKLE,
                            LEFT_ARM_AXLE,
                            RIGHT_ARM_AXLE,
                            LINK_1_AXLE,
                            LINK_2_AXLE,
                            LINK_3_AXLE,
                            LINK_4_AXLE,
                            LEFT_WATT_CRANK,
                            RIGHT_WATT_CRANK -> false;
                };
            case PointId.OnCorner c ->
                switch (c.which()) {
                    case LOWER_INNER_FRONT,
                            LOWER_INNER_REAR,
                            UPPER_INNER_FRONT,
                            UPPER_INNER_REAR,
                            STRUT_TOP,
                            LOWER_ARM_PIVOT,
                            UPPER_ARM_PIVOT,
                            BEAM_PIVOT,
                            BEAM_ARM -> true;
                    case KINGPIN_LOWER, KINGPIN_UPPER ->
                        axle.filter(a -> a.wheelTravel() == WheelTravel.NONE).isPresent();
                    case LOWER_BALL_JOINT,
                            UPPER_BALL_JOINT,
                            LOWER_FRONT_OUTER,
                            LOWER_REAR_OUTER,
                            UPPER_FRONT_OUTER,
                            UPPER_REAR_OUTER,
                            STRUT_LOWER,
                            LOWER_ARM_END,
                            UPPER_ARM_END,
                            WHEEL_CENTRE,
                            TIE_ROD_POINT -> false;
                };
            case PointId.JointCentre _,
                    PointId.GearArmEnd _,
                    PointId.IdlerEnd _,
                    PointId.RelayLinkPoint _,
                    PointId.RelayDragLinkPoint _,
                    PointId.DrivenPoint _,
                    PointId.ShuttleBushes _,
                    PointId.ObstaclePoint _,
                    PointId.DriverHip _,
                    PointId.DriverHeel _ -> false;
        };
    }
}
