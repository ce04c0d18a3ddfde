package mildtilt.solve;

import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleEdits;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** One thing a fabricator can change. Amounts are mm, or degrees where {@link #inDegrees()}, from the job as it is. */
public enum DesignVariable {
    GEAR_HEIGHT("Gear height", 25),
    GEAR_FORE_AFT("Gear fore and aft", 25),
    GEAR_TILT("Gear shaft's tilt", 5),
    PIVOT_SPACING("Inner pivot spacing", 40),
    ARM_LENGTH("Arm length", 40),
    ARM_OUT("Arm end in or out", 40),
    ARM_RAISE("Arm end up or down", 25),
    GEAR_ARM("Gear arm's length", 40),
    TRAVEL_PER_TURN("Rack travel per turn", 20),
    GEAR_TRAVEL("Gear's travel each way", 25),
    DRAG_ARM_LENGTH("Drag-link arm's length", 40),
    DRAG_POINT_HEIGHT("Drag link's end on the knuckle, up or down", 40),
    TRACK_BAR_HEIGHT("Track bar's frame end, up or down", 60),
    WHEEL_DIAMETER("Steering wheel's diameter", 60);

    private static final double MOSTLY_ACROSS = 0.9;

    private final String label;
    private final double usual;

    DesignVariable(String label, double usual) {
        this.label = label;
        this.usual = usual;
    }

    public String label() {
        return label;
    }

    /** How far it may go either way where nothing else is said, mm or degrees. */
    public double usualReach() {
        return usual;
    }

    public boolean inDegrees() {
        return this == GEAR_TILT;
    }

    /** Whether a job has such a thing. */
    public boolean appliesTo(Job job) {
        if (job.axle().isEmpty()) {
            return false;
        }
        SteeredAxle a = job.axle().get();
        return switch (this) {
            case GEAR_HEIGHT, GEAR_FORE_AFT, ARM_LENGTH, ARM_OUT, ARM_RAISE, GEAR_TRAVEL -> true;
            // A rack turned about itself leaves its pivots where they are.
            case GEAR_ARM -> a.gear() instanceof ArmGear;
            // A shaft across the vehicle does not lean as it is turned about the vehicle's left.
            case GEAR_TILT ->
                a.gear() instanceof ArmGear g && Math.abs(g.axis().direction().y()) < MOSTLY_ACROSS;
            case PIVOT_SPACING -> !a.oneTieRod();
            case TRAVEL_PER_TURN -> a.gear() instanceof RackAndPinion;
            case DRAG_ARM_LENGTH, DRAG_POINT_HEIGHT -> a.dragLinkSide().isPresent();
            case TRACK_BAR_HEIGHT -> a.beam().flatMap(Beam::trackBar).isPresent();
            // How far out the hands hold a bar is several places, not one size.
            case WHEEL_DIAMETER ->
                job.column().filter(c -> c.wheel().bar().isEmpty()).isPresent();
        };
    }

    /**
     * The job with it changed; amounts that can't be are refused by the records.
     *
     * @throws mildtilt.geometry.ImpossibleGeometryException if the parts can't be so
     */
    public Job turned(Job job, double amount) {
        return amount == 0
                ? job
                : switch (this) {
                    case GEAR_HEIGHT -> job.editAxle(a -> a.withGearMoved(new Vector(0, 0, amount)));
                    case GEAR_FORE_AFT -> job.editAxle(a -> a.withGearMoved(new Vector(amount, 0, 0)));
                    case GEAR_TILT -> job.editAxle(a -> tilted(a, amount));
                    case PIVOT_SPACING -> job.editAxle(a -> a.linkage().innersSpread(a, amount));
                    case ARM_LENGTH -> KnuckleEdits.changedBoth(job, new KnuckleChange(amount, 0, 0, 0, 0));
                    case ARM_OUT -> KnuckleEdits.changedBoth(job, new KnuckleChange(0, amount, 0, 0, 0));
                    case ARM_RAISE -> KnuckleEdits.changedBoth(job, new KnuckleChange(0, 0, amount, 0, 0));
                    case GEAR_ARM ->
                        job.axle()
                                .flatMap(SteeredAxle::armGear)
                                .map(ArmGear::armLength)
                                .map(now -> KnuckleEdits.scaledGearArm(job, (now + amount) / now))
                                .orElse(job);
                    case TRAVEL_PER_TURN ->
                        job.editAxle(a -> a.editRack(r -> r.withTravelPerLeftTurn(
                                r.travelPerLeftTurn() + Math.signum(r.travelPerLeftTurn()) * amount)));
                    case GEAR_TRAVEL ->
                        job.editAxle(a -> a.withGear(
                                switch (a.gear()) {
                                    case RackAndPinion r -> r.withTravelEachWay(r.travelEachWay() + amount);
                                    // Told as mm at the arm's end, so that one reach serves both kinds.
                                    case ArmGear g ->
                                        g.withSweepEachWay(
                                                g.sweepEachWayDeg() + Math.toDegrees(amount / g.armLength()));
                                }));
                    case DRAG_ARM_LENGTH ->
                        KnuckleEdits.changed(job, KnuckleArm.DRAG_LINK, new KnuckleChange(amount, 0, 0, 0, 0));
                    case DRAG_POINT_HEIGHT -> job.editAxle(a -> a.withDrivenEndRaised(amount));
                    case TRACK_BAR_HEIGHT ->
                        job.editAxle(a -> a.beam()
                                .flatMap(b -> b.trackBar()
                                        .map(t -> a.withBeam(b.withSideways(new TrackBar(
                                                t.bodyEnd().plus(new Vector(0, 0, amount)), t.axleEnd())))))
                                .orElse(a));
                    case WHEEL_DIAMETER ->
                        job.editColumn(c ->
                                c.withWheel(c.wheel().withDiameter(c.wheel().diameter() + amount)));
                };
    }

    /** The gear's shaft, and a bell crank's pivot, leaned back about their arms' level, so that the arms' ends stay. */
    private static SteeredAxle tilted(SteeredAxle a, double deg) {
        SteeredAxle changed = a.editArmGear(g -> g.withAxis(leanedBack(g.axis(), g.armEnd(), deg)));
        return a.linkage() instanceof BellCrank b
                ? changed.withLinkage(b.withPivot(leanedBack(b.pivot(), b.dragRodPoint(), deg)))
                : changed;
    }

    private static Axis leanedBack(Axis axis, Point level, double deg) {
        Axis across = new Axis(axis.footOf(level), Vector.Y.direction());
        return new Axis(
                across.turned(axis.origin(), Math.toRadians(-deg)),
                Vector.Y
                        .direction()
                        .turn(axis.direction().vector(), Math.toRadians(-deg))
                        .direction());
    }

    /** The change as an order to the bench. */
    public Phrase order(Job job, double amount) {
        boolean more = amount > 0;
        Quantity by = inDegrees() ? Quantity.angle(Math.abs(amount)) : Quantity.length(Math.abs(amount));
        String gear = job.axle().map(a -> a.linkage().movedWithGear()).orElse("gear");
        return switch (this) {
            case GEAR_HEIGHT -> Phrase.of((more ? "Raise" : "Lower") + " the " + gear + " {0}", by);
            case GEAR_FORE_AFT -> Phrase.of("Move the " + gear + " {0} " + (more ? "forward" : "back"), by);
            case GEAR_TILT ->
                Phrase.of("Lean the " + shaft(job) + " {0} " + (more ? "back" : "forward") + " at its top", by);
            case PIVOT_SPACING ->
                Phrase.of("Put the inner pivots {0} " + (more ? "further apart" : "closer together"), by);
            case ARM_LENGTH -> Phrase.of((more ? "Lengthen" : "Shorten") + " both steering arms {0}", by);
            case DRAG_ARM_LENGTH -> Phrase.of((more ? "Lengthen" : "Shorten") + " the drag-link arm {0}", by);
            case ARM_OUT -> Phrase.of("Move both arms' ends {0} " + (more ? "outboard" : "inboard"), by);
            case ARM_RAISE -> Phrase.of((more ? "Raise" : "Drop") + " both arms' ends {0}", by);
            case GEAR_ARM -> Phrase.of("Use a gear arm {0} " + (more ? "longer" : "shorter"), by);
            case TRAVEL_PER_TURN ->
                Phrase.of("Use a rack that travels {0} " + (more ? "more" : "less") + " for each turn", by);
            case GEAR_TRAVEL ->
                job.axle()
                        .map(a -> a.gear() instanceof ArmGear g
                                ? Phrase.of(
                                        "Let the gear's arm swing {0} " + (more ? "further" : "less") + " each way",
                                        Quantity.angle(Math.toDegrees(Math.abs(amount) / g.armLength())))
                                : Phrase.of("Let the rack travel {0} " + (more ? "further" : "less") + " each way", by))
                        .orElseThrow();
            case DRAG_POINT_HEIGHT ->
                Phrase.of((more ? "Raise" : "Lower") + " the drag link's end on the knuckle {0}", by);
            case WHEEL_DIAMETER -> Phrase.of("Use a steering wheel {0} " + (more ? "larger" : "smaller"), by);
            case TRACK_BAR_HEIGHT -> Phrase.of((more ? "Raise" : "Lower") + " the track bar's frame end {0}", by);
        };
    }

    private static String shaft(Job job) {
        return switch (job.axle().orElseThrow().gear()) {
            case ArmGear g -> g.shaftLabel();
            case RackAndPinion _ -> "rack";
        };
    }
}
