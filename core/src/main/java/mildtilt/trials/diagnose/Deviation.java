package mildtilt.trials.diagnose;

import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.AsBuiltJob;
import mildtilt.job.Job;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.SwingArm;
import mildtilt.suspension.Knuckle;

/** One way in which a vehicle can differ from its plan, by so many mm. */
public enum Deviation {
    GEAR_UP(Part.GEAR, "high", "low"),
    GEAR_LEFT(Part.GEAR, "to the left", "to the right"),
    GEAR_FORWARD(Part.GEAR, "forward", "back"),
    GEAR_TILT(Part.GEAR, "higher at its left end than at its right", "lower at its left end than at its right"),
    LEFT_ARM_UP(Part.LEFT_ARM, "high", "low"),
    LEFT_ARM_OUT(Part.LEFT_ARM, "outward", "inward"),
    LEFT_ARM_LONG(Part.LEFT_ARM, "long", "short"),
    RIGHT_ARM_UP(Part.RIGHT_ARM, "high", "low"),
    RIGHT_ARM_OUT(Part.RIGHT_ARM, "outward", "inward"),
    RIGHT_ARM_LONG(Part.RIGHT_ARM, "long", "short"),
    BOTH_ARMS_UP(Part.BOTH_ARMS, "high", "low"),
    BOTH_ARMS_OUT(Part.BOTH_ARMS, "outward", "inward"),
    BOTH_ARMS_LONG(Part.BOTH_ARMS, "long", "short");

    /** What stands or is made wrong. */
    public enum Part {
        GEAR("gear"),
        LEFT_ARM("left steering arm's tie-rod point"),
        RIGHT_ARM("right steering arm's tie-rod point"),
        BOTH_ARMS("tie-rod points of both steering arms");

        private final String label;

        Part(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** What the bench calls it in this job. */
        public String label(Job job) {
            return this == GEAR
                            && job.axle()
                                    .map(a -> a.gear() instanceof RackAndPinion)
                                    .orElse(false)
                    ? "rack"
                    : label;
        }
    }

    private final Part part;
    private final String more;
    private final String less;

    Deviation(Part part, String more, String less) {
        this.part = part;
        this.more = more;
        this.less = less;
    }

    public Part part() {
        return part;
    }

    /** Which way an amount is, in a word. */
    public String way(double mm) {
        return mm >= 0 ? more : less;
    }

    /** Whether a job has what this is about. */
    public boolean applies(Job job) {
        return job.axle()
                .map(a -> this != GEAR_TILT || a.gear() instanceof RackAndPinion || a.linkage() instanceof CentreLink)
                .orElse(false);
    }

    /**
     * The job with this so far off.
     *
     * @throws mildtilt.geometry.ImpossibleGeometryException if the parts can't be so
     */
    public Job apply(Job job, double mm) {
        Job apart = AsBuiltJob.sidesApart(job);
        return switch (this) {
            case GEAR_UP -> apart.editAxle(a -> a.withGearMoved(new Vector(0, 0, mm)));
            case GEAR_LEFT -> apart.editAxle(a -> a.withGearMoved(new Vector(0, mm, 0)));
            case GEAR_FORWARD -> apart.editAxle(a -> a.withGearMoved(new Vector(mm, 0, 0)));
            case GEAR_TILT -> apart.editAxle(a -> tilted(a, mm));
            case LEFT_ARM_UP, LEFT_ARM_OUT, LEFT_ARM_LONG -> arm(apart, Side.LEFT, mm);
            case RIGHT_ARM_UP, RIGHT_ARM_OUT, RIGHT_ARM_LONG -> arm(apart, Side.RIGHT, mm);
            case BOTH_ARMS_UP, BOTH_ARMS_OUT, BOTH_ARMS_LONG -> arm(arm(apart, Side.LEFT, mm), Side.RIGHT, mm);
        };
    }

    private static SteeredAxle tilted(SteeredAxle a, double mm) {
        if (a.gear() instanceof RackAndPinion r) {
            Vector along = r.axis().times(r.pivotSpacing()).plus(new Vector(0, 0, mm));
            return a.withGear(r.withAxis(Direction.along(along.x(), along.y(), along.z())));
        }
        if (a.linkage() instanceof CentreLink c && a.gear() instanceof ArmGear g) {
            SwingArm idler = c.idler(g);
            // The end that stands on the left is high: the idler itself, or all but the idler.
            double up = idler.axis().origin().y() > g.axis().origin().y() ? mm : -mm;
            return a.withLinkage(c.withIdler(idler.moved(new Vector(0, 0, up))));
        }
        return a;
    }

    private Job arm(Job job, Side side, double mm) {
        return job.editAxle(a -> {
            Knuckle k = a.corner(side).knuckle();
            Point p = k.tieRodPoint();
            Vector by =
                    switch (this) {
                        case LEFT_ARM_UP, RIGHT_ARM_UP, BOTH_ARMS_UP -> new Vector(0, 0, mm);
                        case LEFT_ARM_OUT, RIGHT_ARM_OUT, BOTH_ARMS_OUT -> new Vector(0, side.sign() * mm, 0);
                        // Away from the steer axis, fore or aft as the arm goes.
                        default ->
                            new Vector(
                                    Math.signum(p.x()
                                                    - a.corner(side)
                                                            .suspension()
                                                            .steerAxis()
                                                            .footOf(p)
                                                            .x())
                                            * mm,
                                    0,
                                    0);
                    };
            return a.withCorner(side, a.corner(side).withKnuckle(k.withTieRodPoint(p.plus(by))));
        });
    }

    /**
     * Each steering arm on the other side's knuckle, bolted on as it was made: how far it stands in or out is then the
     * wrong way about.
     */
    public static Job armsSwapped(Job job) {
        Job apart = AsBuiltJob.sidesApart(job);
        return apart.editAxle(a -> {
            Point left = swapped(a, Side.LEFT);
            Point right = swapped(a, Side.RIGHT);
            SteeredAxle l = a.withCorner(
                    Side.LEFT, a.left().withKnuckle(a.left().knuckle().withTieRodPoint(left)));
            return l.withCorner(
                    Side.RIGHT,
                    l.corner(Side.RIGHT)
                            .withKnuckle(l.corner(Side.RIGHT).knuckle().withTieRodPoint(right)));
        });
    }

    private static Point swapped(SteeredAxle a, Side side) {
        Point other = a.corner(side.other()).knuckle().tieRodPoint();
        return a.corner(side).suspension().steerAxis().atHeight(other.z()).plus(other.minus(foot(a, side.other())));
    }

    /**
     * The steer axis at the height of the tie-rod point: an arm is bolted on level, so that swapped twice it is as it
     * was.
     */
    private static Point foot(SteeredAxle a, Side side) {
        return a.corner(side)
                .suspension()
                .steerAxis()
                .atHeight(a.corner(side).knuckle().tieRodPoint().z());
    }
}
