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
    ARM_MATCH(
            "Match gear and knuckle arms",
            "Gear-side arm against knuckle-side arm: what brings both ends together.",
            List.of()),
    LOCK_STOPS("Lock stops", "Set the stops so that neither gear nor rods take the blow.", List.of());

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

    /** What may be changed for it in a job. */
    public List<DesignVariable> variables(Job job) {
        return variables.stream().filter(k -> k.appliesTo(job)).toList();
    }

    /** What it asks for, with values to begin with; empty if the job can't be measured as it is. */
    public List<Target> wants(Job job) {
        Optional<QuickFigures> measured = QuickFigures.of(
                HeldTravel.of(job, new SteeringTrain(job)).held(job),
                this == LEAST_BUMP_STEER ? Until.FIRST_STOP : Until.GEAR_END);
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
            case ARM_MATCH, LOCK_STOPS -> {}
        }
        return all;
    }
}
