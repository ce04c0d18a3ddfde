package mildtilt.solve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.job.Job;
import mildtilt.job.Targets;
import mildtilt.solve.Target.Wish;
import mildtilt.steer.QuickFigures;
import mildtilt.steer.QuickFigures.Until;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.travel.HeldTravel;

/** What can be asked. */
public enum Goal {
    LEAST_BUMP_STEER(
            "Least bump steer",
            "Place the gear so that toe changes least over the travel.",
            List.of(
                    DesignVariable.GEAR_HEIGHT,
                    DesignVariable.GEAR_FORE_AFT,
                    DesignVariable.GEAR_TILT,
                    DesignVariable.PIVOT_SPACING,
                    DesignVariable.DRAG_POINT_HEIGHT,
                    DesignVariable.TRACK_BAR_HEIGHT)),
    ARM_SHAPE(
            "Arm for lock and Ackermann",
            "Shape the steering arm for a wanted lock and Ackermann, the rest kept.",
            List.of(
                    DesignVariable.ARM_LENGTH,
                    DesignVariable.ARM_OUT,
                    DesignVariable.ARM_RAISE,
                    DesignVariable.GEAR_FORE_AFT)),
    RATIO(
            "Arm and gear for a ratio",
            "Choose arm and gear for a wanted ratio and turns.",
            List.of(
                    DesignVariable.ARM_LENGTH,
                    DesignVariable.GEAR_ARM,
                    DesignVariable.TRAVEL_PER_TURN,
                    DesignVariable.GEAR_TRAVEL)),
    FULL_TRAVEL(
            "Full travel without binding",
            "Bring every rod end within its tilt, over the whole lock and travel.",
            List.of(
                    DesignVariable.GEAR_HEIGHT,
                    DesignVariable.GEAR_FORE_AFT,
                    DesignVariable.PIVOT_SPACING,
                    DesignVariable.ARM_OUT,
                    DesignVariable.ARM_RAISE,
                    DesignVariable.DRAG_POINT_HEIGHT,
                    DesignVariable.TRACK_BAR_HEIGHT)),
    LIGHT_STEERING(
            "Rim force and kick-back",
            "Ease what the hands hold, parked and when a wheel is struck, and keep the lock.",
            List.of(
                    DesignVariable.ARM_LENGTH,
                    DesignVariable.GEAR_ARM,
                    DesignVariable.TRAVEL_PER_TURN,
                    DesignVariable.GEAR_TRAVEL,
                    DesignVariable.WHEEL_DIAMETER)),
    ARM_MATCH(
            "Match gear and knuckle arms",
            "Gear-side arm against knuckle-side arm: what brings both ends together.",
            List.of()),
    LOCK_STOPS("Lock stops", "Set the stops so that neither gear nor rods take the blow.", List.of());

    /** What a rod end keeps of its tilt unless more is asked. */
    private static final String STEERS = "Solving needs an axle that steers the right way and goes through its whole "
            + "range; the findings say what is wrong.";

    private static final double LEAST_TILT_LEFT_DEG = 2;

    private final String label;
    private final String meaning;
    private final List<DesignVariable> variables;

    Goal(String label, String meaning, List<DesignVariable> variables) {
        this.label = label;
        this.meaning = meaning;
        this.variables = variables;
    }

    public String label() {
        return label;
    }

    public String meaning() {
        return meaning;
    }

    /** Whether answers are searched for, by targets and by what may change; else they follow by rule. */
    public boolean isSearched() {
        return switch (this) {
            case LEAST_BUMP_STEER, ARM_SHAPE, RATIO, FULL_TRAVEL, LIGHT_STEERING -> true;
            case ARM_MATCH, LOCK_STOPS -> false;
        };
    }

    /** What may be changed for it in a job. */
    public List<DesignVariable> variables(Job job) {
        return variables.stream().filter(k -> k.appliesTo(job)).toList();
    }

    /** What a job needs so that it can be asked. */
    public String needs() {
        return switch (this) {
            case LEAST_BUMP_STEER, ARM_SHAPE, RATIO, ARM_MATCH, LOCK_STOPS -> STEERS;
            case FULL_TRAVEL -> STEERS + " Rod ends need the tilt they allow (Rods).";
            case LIGHT_STEERING -> STEERS + " It also needs a steering wheel, and loads (Vehicle).";
        };
    }

    /** What it asks for, with values to begin with; empty if the job can't be measured as it is. */
    public List<Target> wants(Job job) {
        Job held = HeldTravel.of(job, new SteeringTrain(job)).held(job);
        Optional<QuickFigures> measured =
                switch (this) {
                    case LEAST_BUMP_STEER, FULL_TRAVEL -> QuickFigures.of(held, Until.FIRST_STOP);
                    case LIGHT_STEERING -> QuickFigures.withForces(held, Until.FIRST_STOP);
                    case ARM_SHAPE, RATIO -> QuickFigures.of(held, Until.GEAR_END);
                    case ARM_MATCH, LOCK_STOPS -> Optional.empty();
                };
        if (measured.isEmpty()) {
            return List.of();
        }
        QuickFigures now = measured.get();
        Targets t = job.targets();
        List<Target> all = new ArrayList<>();
        switch (this) {
            case LEAST_BUMP_STEER -> {
                all.add(Target.of(Wish.NORMAL_BUMP_STEER, 0));
                all.add(Target.of(Wish.BUMP_STEER, Math.min(t.bumpSteerDeg(), now.bumpDeg())));
            }
            case ARM_SHAPE -> {
                all.add(Target.of(Wish.LOCK, t.lockDeg().orElse(Math.rint(now.lockDeg()))));
                all.add(t.outerTable()
                        .map(o -> Target.of(Wish.OUTER_TABLE, o.toleranceDeg()))
                        .orElseGet(() -> Target.of(Wish.ACKERMANN, (t.ackermannMinPct() + t.ackermannMaxPct()) / 2)));
                all.add(Target.of(Wish.NORMAL_BUMP_STEER, Math.max(t.bumpSteerDeg(), now.normalBumpDeg())));
            }
            case RATIO -> {
                all.add(Target.of(Wish.RATIO, Math.rint(now.ratio() * 10) / 10));
                all.add(Target.of(Wish.LOCK, t.lockDeg().orElse(Math.rint(now.lockDeg()))));
            }
            case FULL_TRAVEL -> {
                if (Double.isFinite(now.rodEndMarginDeg())) {
                    all.add(Target.of(Wish.ROD_END, Math.max(LEAST_TILT_LEFT_DEG, Math.rint(now.rodEndMarginDeg()))));
                    all.add(Target.of(Wish.NORMAL_BUMP_STEER, Math.max(t.bumpSteerDeg(), now.normalBumpDeg())));
                }
            }
            case LIGHT_STEERING ->
                now.forces().ifPresent(f -> {
                    all.add(Target.of(Wish.RIM_FORCE, Math.min(t.rimForce(), Math.rint(f.parked()))));
                    all.add(Target.of(Wish.KICK_BACK, Math.rint(Math.min(t.rimForce(), f.kickBack()))));
                    all.add(Target.of(Wish.LOCK, now.lockDeg()));
                });
            case ARM_MATCH, LOCK_STOPS -> {}
        }
        return all;
    }
}
