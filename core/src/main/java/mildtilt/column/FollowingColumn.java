package mildtilt.column;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Direction;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;

/**
 * A column whose gear is bolted to something that moves: the axle, under the frame that holds the wheel. The gear's input
 * and the last joint go with the gear, and so does every joint of a shaft that a bearing on the axle holds, and all that
 * follows; the joints before stay. What lies between is longer or shorter than planned, so that shaft has to slide.
 *
 * <p>Forks keep their clock on their own shaft, and the first fork the place it has on the wheel's shaft. So the gear's
 * input turns against its housing as the axle moves, with the steering wheel held.
 */
public final class FollowingColumn {

    /** Fewer joints than this can't follow: the shaft that the gear holds and the one that the frame holds are one. */
    public static final int LEAST_JOINTS = 2;

    private final ColumnTrain planned;
    private final Transfer transfer;
    private final int from;

    /** @throws IllegalArgumentException if {@link #canFollow} is false */
    public FollowingColumn(ColumnTrain planned) {
        if (!canFollow(planned.column())) {
            throw new IllegalArgumentException("This column can't follow.");
        }
        this.planned = planned;
        transfer = planned.transfer().orElse(Transfer.EVEN);
        from = firstToFollow(planned.column());
    }

    /** Whether some shaft hangs free between what the frame holds and what the axle holds. */
    public static boolean canFollow(Column c) {
        return c.joints().size() >= LEAST_JOINTS && firstToFollow(c) > 0;
    }

    /** The first joint that goes with the gear. */
    public static int firstToFollow(Column c) {
        return c.bearings().stream()
                .filter(b -> b.mount() == Bearing.Mount.AXLE)
                .mapToInt(b -> b.shaft() - 1)
                .reduce(c.joints().size() - 1, Math::min);
    }

    /** The shaft that has to slide. */
    public static int slidingShaft(Column c) {
        return firstToFollow(c);
    }

    /** The column with the gear gone somewhere. */
    public Column at(RigidMove gear) {
        Column c = planned.column();
        if (gear.stays()) {
            return c;
        }
        List<Joint> joints = new ArrayList<>(c.joints());
        for (int i = from; i < joints.size(); i++) {
            joints.set(i, joints.get(i).withCentre(gear.point(joints.get(i).centre())));
        }
        Column moved = c.withJoints(joints)
                .withGear(c.gear()
                        .withPoint(gear.point(c.gearInput()))
                        .withAxis(c.gear().axis().map(gear::direction)));
        // The first fork is fixed to the wheel's shaft, but measured from a plane that has turned.
        Vector was = planned.normal(0);
        Vector now = new ColumnTrain(moved).normal(0);
        double turned = ColumnTrain.turnAbout(c.axis(0).vector(), now, was);
        return turned == 0 ? moved : moved.withFirstForkDeg(c.firstForkDeg() + Math.toDegrees(turned));
    }

    /**
     * How the gear's input turns with the gear somewhere.
     *
     * @param transfer of the column as it stands then
     * @param offset by how much the input is turned with the wheel straight ahead, rad, in the sense of the column
     */
    public record Turning(Transfer transfer, double offset) {

        /** Rotation of the input against the gear's housing, rad, from where it is straight ahead as planned. */
        public double outputAt(double input) {
            return transfer.outputAt(input) + offset;
        }

        public double inputFor(double output) {
            return transfer.inputFor(output - offset);
        }
    }

    /** @param now the column as {@link #at} makes it of the same move; none of its joints locked */
    public Turning turning(ColumnTrain now, RigidMove gear) {
        if (gear.stays()) {
            return new Turning(transfer, 0);
        }
        Transfer t = now.transfer().orElse(Transfer.EVEN);
        int last = planned.column().joints().size() - 1;
        Direction input = now.column().axis(last + 1);
        double housing = ColumnTrain.turnAbout(input.vector(), gear.turned(planned.normal(last)), now.normal(last));
        double turned = t.angleAtRest() - transfer.angleAtRest() + housing;
        return new Turning(t, turned - 2 * Math.PI * Math.rint(turned / (2 * Math.PI)));
    }
}
