package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Side;
import mildtilt.job.PointId.GearInput;
import mildtilt.job.PointId.Hub;
import mildtilt.job.PointId.JointCentre;
import mildtilt.job.PointId.OnCorner;
import mildtilt.job.PointId.RackCentre;
import mildtilt.job.PointId.RackEnd;

/** One link of the steering train from hands to tyres. What is paired left and right is one element. */
public sealed interface Element {

    record Wheel() implements Element {}

    record ShaftAt(int index) implements Element {}

    record JointAt(int index) implements Element {}

    record GearElement() implements Element {}

    record TieRods() implements Element {}

    record SteeringArms() implements Element {}

    record Knuckles() implements Element {}

    record Tyres() implements Element {}

    /** The train of a job, in order. */
    static List<Element> trainOf(Job job) {
        List<Element> train = new ArrayList<>();
        job.column().ifPresent(c -> {
            train.add(new Wheel());
            for (int i = 0; i < c.joints().size(); i++) {
                train.add(new ShaftAt(i));
                train.add(new JointAt(i));
            }
            train.add(new ShaftAt(c.joints().size()));
        });
        job.axle().ifPresent(_ ->
                train.addAll(List.of(new GearElement(), new TieRods(), new SteeringArms(), new Knuckles(), new Tyres())));
        return train;
    }

    static String label(Job job, Element element) {
        return switch (element) {
            case Wheel _ -> "Steering wheel";
            case ShaftAt s -> job.column().orElseThrow().shafts().get(s.index()).name();
            case JointAt j -> job.column().orElseThrow().joints().get(j.index()).name();
            case GearElement _ -> "Rack";
            case TieRods _ -> "Tie rods";
            case SteeringArms _ -> "Steering arms";
            case Knuckles _ -> "Knuckles";
            case Tyres _ -> "Tyres";
        };
    }

    /** The points that settle where an element is, the left side standing for both. */
    static List<PointId> points(Job job, Element element) {
        int joints = job.column().map(c -> c.joints().size()).orElse(0);
        return switch (element) {
            case Wheel _ -> List.of(new Hub());
            case ShaftAt s -> List.of(
                    s.index() == 0 ? new Hub() : new JointCentre(s.index() - 1),
                    s.index() == joints ? new GearInput() : new JointCentre(s.index()));
            case JointAt j -> List.of(new JointCentre(j.index()));
            case GearElement _ -> List.of(new RackCentre(), new RackEnd(Side.LEFT));
            case TieRods _ -> List.of(new RackEnd(Side.LEFT), corner(CornerPoint.TIE_ROD_POINT));
            case SteeringArms _ -> List.of(corner(CornerPoint.TIE_ROD_POINT));
            case Knuckles _ -> List.of(
                    corner(CornerPoint.LOWER_BALL_JOINT), corner(CornerPoint.UPPER_BALL_JOINT),
                    corner(CornerPoint.LOWER_INNER_FRONT), corner(CornerPoint.LOWER_INNER_REAR),
                    corner(CornerPoint.UPPER_INNER_FRONT), corner(CornerPoint.UPPER_INNER_REAR));
            case Tyres _ -> List.of(corner(CornerPoint.WHEEL_CENTRE));
        };
    }

    private static PointId corner(CornerPoint p) {
        return new OnCorner(Side.LEFT, p);
    }
}
