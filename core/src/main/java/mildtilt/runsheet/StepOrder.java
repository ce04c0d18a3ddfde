package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mildtilt.build.WorkPlan.Located;
import mildtilt.runsheet.RunStep.Need;

/** Puts steps into an order in which one thing locates the next. */
final class StepOrder {

    private static final String SAID = "you said that it is located by that";

    private final Map<String, List<Need>> before = new LinkedHashMap<>();

    private StepOrder() {}

    /**
     * Each after all that it needs, else in the order given. What the user says of what locates what comes first: of
     * the needs as made, those that would then go round in a circle are left out. Needs of steps that are not there are
     * left out, too.
     */
    static List<RunStep> sorted(List<RunStep> steps, List<Located> said) {
        StepOrder order = new StepOrder();
        steps.forEach(s -> order.before.put(s.key(), new ArrayList<>()));
        for (Located l : said) {
            order.add(l.step().key(), new Need(l.by().key(), SAID));
        }
        steps.forEach(s -> s.needs().forEach(n -> order.add(s.key(), n)));
        List<RunStep> left = new ArrayList<>(steps);
        List<RunStep> sorted = new ArrayList<>();
        while (!left.isEmpty()) {
            RunStep next = left.stream()
                    .filter(s -> order.needs(s.key()).stream()
                            .allMatch(n -> sorted.stream().anyMatch(d -> d.key().equals(n.key()))))
                    .findFirst()
                    .orElseThrow();
            left.remove(next);
            sorted.add(next.withNeeds(order.needs(next.key())));
        }
        return List.copyOf(sorted);
    }

    private void add(String step, Need need) {
        boolean known = before.containsKey(step) && before.containsKey(need.key());
        if (known && needs(step).stream().noneMatch(n -> n.key().equals(need.key())) && !comesAfter(need.key(), step)) {
            needs(step).add(need);
        }
    }

    private List<Need> needs(String step) {
        return before.computeIfAbsent(step, _ -> new ArrayList<>());
    }

    /** Whether a step needs another, however far back. */
    private boolean comesAfter(String step, String other) {
        return step.equals(other) || needs(step).stream().anyMatch(n -> comesAfter(n.key(), other));
    }
}
