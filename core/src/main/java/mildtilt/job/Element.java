package mildtilt.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.job.PointId.GearArmEnd;
import mildtilt.job.PointId.GearCentre;
import mildtilt.job.PointId.GearInput;
import mildtilt.job.PointId.Hub;
import mildtilt.job.PointId.InnerPivot;
import mildtilt.job.PointId.JointCentre;
import mildtilt.job.PointId.OnCorner;
import mildtilt.linkage.RelayPart;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.CornerPoint;

/**
 * One link of the steering train from steering wheel to tyres, or an obstacle. What is paired left and right is one
 * element.
 */
public sealed interface Element {

    record Wheel() implements Element {}

    record ShaftAt(int index) implements Element {}

    record JointAt(int index) implements Element {}

    /** The tube round the first shaft. */
    record Tube() implements Element {}

    /** @param index among the column's bearings */
    record BearingAt(int index) implements Element {}

    record GearElement() implements Element {}

    /** The arm on the gear's shaft. */
    record GearArm() implements Element {}

    /** The rod pushed by the gear's arm: drag link, drag rod, short link or centre link. */
    record DrivenRod() implements Element {}

    /** What stands between that rod and the tie rods: idler arm, bell crank or shuttle. */
    record Relay() implements Element {}

    record TieRods() implements Element {}

    record SteeringArms() implements Element {}

    record Knuckles() implements Element {}

    /** The axle beam. */
    record BeamElement() implements Element {}

    record Tyres() implements Element {}

    /** Something in the way; not of the train. @param index among the job's obstacles */
    record InTheWay(int index) implements Element {}

    /** Who sits at the wheel; not of the train. */
    record AtTheWheel() implements Element {}

    /** Whatever of a job can be selected: the train, then what is in the way. */
    static List<Element> of(Job job) {
        List<Element> all = new ArrayList<>(trainOf(job));
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            all.add(new InTheWay(i));
        }
        job.surroundings().driver().ifPresent(_ -> all.add(new AtTheWheel()));
        return all;
    }

    /** The train of a job, in order. */
    static List<Element> trainOf(Job job) {
        List<Element> train = new ArrayList<>();
        job.column().ifPresent(c -> {
            train.add(new Wheel());
            c.tube().ifPresent(_ -> train.add(new Tube()));
            for (int i = 0; i < c.shafts().size(); i++) {
                int shaft = i;
                train.add(new ShaftAt(i));
                IntStream.range(0, c.bearings().size())
                        .boxed()
                        .filter(b -> c.bearings().get(b).shaft() == shaft)
                        .sorted(Comparator.comparingDouble(
                                b -> c.bearings().get(b).along()))
                        .forEach(b -> train.add(new BearingAt(b)));
                if (i < c.joints().size()) {
                    train.add(new JointAt(i));
                }
            }
        });
        job.axle().ifPresent(a -> {
            train.add(new GearElement());
            if (a.gear() instanceof ArmGear) {
                train.add(new GearArm());
            }
            if (!a.linkage().drivenRods().isEmpty()) {
                train.add(new DrivenRod());
            }
            a.linkage().relay().ifPresent(_ -> train.add(new Relay()));
            train.addAll(List.of(new TieRods(), new SteeringArms(), new Knuckles()));
            a.beam().ifPresent(_ -> train.add(new BeamElement()));
            train.add(new Tyres());
        });
        return train;
    }

    /** Where a rod is in the train. */
    static Element of(Rod rod) {
        return switch (rod) {
            case LEFT_TIE_ROD, RIGHT_TIE_ROD, TIE_ROD -> new TieRods();
            case CENTRE_LINK, INTERMEDIATE_LINK, DRAG_LINK, DRAG_ROD, SHORT_LINK -> new DrivenRod();
        };
    }

    static String label(Job job, Element element) {
        return switch (element) {
            case Wheel _ -> capital(job.column().orElseThrow().wheel().label());
            case ShaftAt s -> job.column().orElseThrow().shafts().get(s.index()).name();
            case JointAt j -> job.column().orElseThrow().joints().get(j.index()).name();
            case Tube _ -> "Column tube";
            case BearingAt b ->
                job.column().orElseThrow().bearings().get(b.index()).name();
            case GearElement _ -> axle(job).gear().label();
            case GearArm _ -> axle(job).gear() instanceof ArmGear g ? g.armLabel() : "Arm";
            case DrivenRod _ ->
                axle(job).linkage().drivenRods().size() > 1
                        ? "Link, drag link"
                        : capital(axle(job).linkage().drivenRods().getFirst().label());
            case Relay _ ->
                axle(job)
                        .linkage()
                        .relay()
                        .map(RelayPart::label)
                        .map(Element::capital)
                        .orElse("Relay");
            case TieRods _ -> axle(job).oneTieRod() ? "Tie rod" : "Tie rods";
            case SteeringArms _ -> "Steering arms";
            case Knuckles _ -> "Knuckles";
            case BeamElement _ -> "Axle beam";
            case Tyres _ -> "Tyres";
            case InTheWay i -> job.surroundings().obstacles().get(i.index()).name();
            case AtTheWheel _ -> "Driver";
        };
    }

    /** A label as it begins a line. */
    static String capital(String label) {
        return label.substring(0, 1).toUpperCase(Locale.ROOT) + label.substring(1);
    }

    private static SteeredAxle axle(Job job) {
        return job.axle().orElseThrow(() -> new IllegalArgumentException("This job has no steered axle."));
    }

    /** The points that settle where an element is, the left side standing for both. */
    static List<PointId> points(Job job, Element element) {
        int joints = job.column().map(c -> c.joints().size()).orElse(0);
        return switch (element) {
            case Wheel _ -> List.of(new Hub());
            case ShaftAt s ->
                List.of(
                        s.index() == 0 ? new Hub() : new JointCentre(s.index() - 1),
                        s.index() == joints ? new GearInput() : new JointCentre(s.index()));
            case JointAt j -> List.of(new JointCentre(j.index()));
            case Tube _ -> List.of();
            case BearingAt b -> List.of(new PointId.BearingMiddle(b.index()));
            case GearElement _ ->
                axle(job).gear() instanceof RackAndPinion
                        ? List.of(new GearCentre(), new InnerPivot(Side.LEFT))
                        : List.of(new GearCentre());
            case GearArm _ -> List.of(new GearArmEnd(), new GearCentre());
            case DrivenRod _ ->
                Stream.concat(
                                Stream.of(new GearArmEnd()),
                                JobPoints.ofLinkage(axle(job)).stream()
                                        .filter(p -> p instanceof PointId.DrivenPoint || p instanceof PointId.IdlerEnd))
                        .toList();
            case Relay _ ->
                Stream.concat(
                                JobPoints.ofLinkage(axle(job)).stream(),
                                JobPoints.hasInnerPivots(axle(job))
                                        ? Stream.of(new InnerPivot(Side.LEFT))
                                        : Stream.of())
                        .distinct()
                        .toList();
            case TieRods _ ->
                JobPoints.hasInnerPivots(axle(job))
                        ? List.of(new InnerPivot(Side.LEFT), corner(CornerPoint.TIE_ROD_POINT))
                        : List.of(corner(CornerPoint.TIE_ROD_POINT));
            case SteeringArms _ -> List.of(corner(CornerPoint.TIE_ROD_POINT));
            case Knuckles _ ->
                axle(job).left().suspension().points().keySet().stream()
                        .map(Element::corner)
                        .toList();
            case BeamElement _ -> JobPoints.ofBeam(axle(job));
            case Tyres _ -> List.of(corner(CornerPoint.WHEEL_CENTRE));
            case InTheWay i ->
                IntStream.range(
                                0,
                                job.surroundings()
                                        .obstacles()
                                        .get(i.index())
                                        .shape()
                                        .points()
                                        .size())
                        .<PointId>mapToObj(p -> new PointId.ObstaclePoint(i.index(), p))
                        .toList();
            case AtTheWheel _ -> List.of(new PointId.DriverHip(), new PointId.DriverHeel());
        };
    }

    private static PointId corner(CornerPoint p) {
        return new OnCorner(Side.LEFT, p);
    }
}
