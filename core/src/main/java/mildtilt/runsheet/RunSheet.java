package mildtilt.runsheet;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.build.WorkPlan;
import mildtilt.build.WorkPlan.OwnStep;
import mildtilt.build.WorkPlan.StepMark;
import mildtilt.runsheet.RunStep.Need;
import mildtilt.units.Phrase;

/** The steps of a job in their order, with what was written on them. */
public record RunSheet(List<Line> lines) {

    /** How a step stands. */
    public enum State {
        DONE("done"),
        /** Ticked though something that must come first is not. */
        OUT_OF_ORDER("done out of order"),
        READY("can be done"),
        WAITS("waits"),
        SKIPPED("left out");

        private final String label;

        State(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** @param open steps that must come first and are not done, with why */
    public record Line(RunStep step, StepMark mark, State state, List<Need> open) {

        public double hours() {
            return mark.hours().orElse(step.hours());
        }

        public boolean toDo() {
            return state == State.READY || state == State.WAITS;
        }
    }

    /** @param steps as generated, each after all that it needs */
    public static RunSheet of(List<RunStep> steps, WorkPlan plan) {
        List<RunStep> all = new ArrayList<>(steps);
        for (OwnStep own : plan.ownSteps()) {
            int after = index(all, own.after());
            List<Need> needs = after < 0 ? List.of() : List.of(new Need(own.after(), "it was put there by hand"));
            int at = after < 0 ? all.size() : after + 1;
            // Several after one step stay in the order they were added.
            while (at < all.size() && all.get(at).own() && all.get(at).needs().equals(needs)) {
                at++;
            }
            all.add(
                    at,
                    new RunStep(
                            own.key(), own.title(), needs, List.of(), "", 0, List.of(), 1, true, "", Phrase.of("")));
        }
        List<Line> lines = new ArrayList<>();
        for (RunStep s : all) {
            StepMark mark = plan.mark(s.key());
            List<Need> open = s.needs().stream()
                    .filter(n -> index(all, n.key()) >= 0 && !settled(plan.mark(n.key())))
                    .toList();
            State state = mark.skipped()
                    ? State.SKIPPED
                    : mark.done().isPresent()
                            ? open.isEmpty() ? State.DONE : State.OUT_OF_ORDER
                            : open.isEmpty() ? State.READY : State.WAITS;
            lines.add(new Line(s, mark, state, open));
        }
        return new RunSheet(List.copyOf(lines));
    }

    private static boolean settled(StepMark mark) {
        return mark.skipped() || mark.done().isPresent();
    }

    private static int index(List<RunStep> all, String key) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).key().equals(key)) {
                return i;
            }
        }
        return -1;
    }

    public Optional<Line> line(String key) {
        return lines.stream().filter(l -> l.step().key().equals(key)).findFirst();
    }

    /**
     * Days from the beginning of a step to the end of the work, all before it done: the hours left at the week's pace,
     * and the waits.
     */
    public int daysFrom(String key, double hoursPerWeek) {
        double hours = 0;
        double waits = 0;
        boolean on = false;
        for (Line l : lines) {
            on |= l.step().key().equals(key);
            if (on && l.toDo()) {
                hours += l.hours();
                waits += l.step().waitDays();
            }
        }
        return (int) Math.ceil(hours * 7 / hoursPerWeek + waits - 1e-9);
    }

    /** The steps that can't be done while another is not: it and all that need it, however far on. */
    public Set<String> held(Set<String> keys) {
        Set<String> held = new LinkedHashSet<>(keys);
        for (Line l : lines) {
            if (l.step().needs().stream().anyMatch(n -> held.contains(n.key()))) {
                held.add(l.step().key());
            }
        }
        return held;
    }

    /** The day the work would have to be begun for the day it is wanted. */
    public Optional<LocalDate> begin(WorkPlan plan) {
        return lines.isEmpty()
                ? Optional.empty()
                : plan.wanted()
                        .map(d -> d.minusDays(daysFrom(lines.getFirst().step().key(), plan.hoursPerWeek())));
    }
}
