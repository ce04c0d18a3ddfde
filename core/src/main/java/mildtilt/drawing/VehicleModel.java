package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.clearance.bodies.VehicleSolids.Kind;
import mildtilt.column.ColumnTrain;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.solid.Facets;
import mildtilt.solid.Solid;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.position.SteeringTrain;

/**
 * The steering and what is in its way as named skins of triangles, to be looked at elsewhere: the parts that the gaps
 * are worked out between, the joints with their forks and crosses.
 */
public final class VehicleModel {

    /** From one lock to the other: so many positions. */
    public static final int POSITIONS = 25;

    private static final int ROUND = 24;
    private static final int RING_ROUND = 48;
    /** Where a gear has no stop of its own, degrees of the steering wheel. */
    private static final double WITHOUT_STOP = 360;

    private final Job job;
    private final SteeringTrain train;
    private final VehicleSolids solids;
    private final Names names;

    /** @param skin of one colour */
    public record Part(String name, Kind kind, Facets skin) {}

    public VehicleModel(Job job) {
        this.job = job;
        train = new SteeringTrain(job);
        solids = VehicleSolids.of(job);
        names = Names.of(job);
    }

    /** Every part at a position. */
    public List<Part> at(SteeringInput input) {
        Optional<AxlePose> pose =
                train.axle().map(_ -> train.pose(input.steeringWheelDeg(), input.travelLeft(), input.travelRight()));
        List<Part> all = new ArrayList<>();
        for (VehicleSolids.Part p : solids.at(pose, input.travelLeft(), input.travelRight())) {
            // What a joint sweeps out and a tyre without its hole are for gaps; forks and rings are to be seen.
            if (p.kind() != Kind.JOINT_SWEEP && p.kind() != Kind.TYRE) {
                Facets skin = new Facets();
                switch (p.solid()) {
                    case Solid.Parts parts -> parts.parts().forEach(c -> skin.add(c, VehicleModel::round));
                    case Solid.Ring r -> skin.ring(r, RING_ROUND);
                    case Solid.Skin s -> skin.skin(s);
                }
                if (!skin.isEmpty()) {
                    all.add(new Part(name(p), p.kind(), skin));
                }
            }
        }
        Optional<ColumnTrain> column =
                train.columnAt(pose.map(p -> p.stance().gearMove()).orElse(RigidMove.NONE));
        for (Yokes.Yoke y :
                column.map(c -> Yokes.of(c, input.steeringWheelDeg())).orElse(List.of())) {
            Facets skin = new Facets();
            y.wheelSide().forEach(c -> skin.add(c, VehicleModel::round));
            y.gearSide().forEach(c -> skin.add(c, VehicleModel::round));
            y.cross().forEach(c -> skin.add(c, VehicleModel::round));
            String name = job.column()
                    .map(c -> c.joints().get(y.joint().index()).name())
                    .orElse("Joint");
            all.add(new Part(name, Kind.GEAR, skin));
        }
        return all;
    }

    /** From lock to lock, evenly by the steering wheel, + left last. */
    public List<List<Part>> lockToLock() {
        double left = train.stopDeg(Side.LEFT).orElse(WITHOUT_STOP);
        double right = train.stopDeg(Side.RIGHT).orElse(-WITHOUT_STOP);
        List<List<Part>> all = new ArrayList<>();
        for (int i = 0; i < POSITIONS; i++) {
            all.add(at(new SteeringInput(right + (left - right) * i / (POSITIONS - 1), 0, 0)));
        }
        return all;
    }

    private String name(VehicleSolids.Part p) {
        String name = names.apply(p.id());
        String side = p.side().map(s -> s.code() + " ").orElse("");
        return name.startsWith(side) || name.toLowerCase(Locale.ROOT).startsWith(side) ? name : side + name;
    }

    private static int round(double radius) {
        return (int) Math.clamp(10 + radius / 5, 12, ROUND);
    }
}
