package mildtilt.app.forms;

import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.scene.control.ChoiceBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;

/**
 * One property of a part that is chosen from a few.
 *
 * @param id what it is found by, whatever it is called: one for each choice of a part
 * @param meaning what it is about, where the label alone does not say; may be empty
 * @param options in words
 * @param chosen which of them holds
 * @param set the job with another chosen, by its place in the list
 */
public record ChoiceField(
        String id, String label, String meaning, List<String> options, int chosen, BiFunction<Job, Integer, Job> set) {

    /** @param all that can be chosen here, not always all there are */
    public static <T extends Enum<T>> ChoiceField of(
            String id, String label, T[] all, Function<T, String> words, T chosen, BiFunction<Job, T, Job> set) {
        return new ChoiceField(
                id,
                label,
                "",
                Arrays.stream(all).map(words).toList(),
                Arrays.asList(all).indexOf(chosen),
                (j, i) -> set.apply(j, all[i]));
    }

    public static ChoiceField yesNo(
            String id, String label, String yes, String no, boolean is, BiFunction<Job, Boolean, Job> set) {
        return new ChoiceField(id, label, "", List.of(yes, no), is ? 0 : 1, (j, i) -> set.apply(j, i == 0));
    }

    public ChoiceField meaning(String text) {
        return new ChoiceField(id, label, text, options, chosen, set);
    }

    /**
     * The control to choose with, found by this choice's id; what is chosen changes the job.
     *
     * @param whose name of the part, for the list of changes; empty where the label says it
     * @param refused shows what holds again
     */
    public ChoiceBox<Integer> control(Workbench bench, String whose, Runnable refused) {
        ChoiceBox<Integer> box =
                Choices.of(IntStream.range(0, options.size()).boxed().toList(), options::get, id, label);
        box.setValue(chosen);
        box.valueProperty().addListener((_, _, now) -> {
            if (now != null && now != chosen) {
                String what = whose.isEmpty() ? label : label + " of " + whose;
                if (!bench.edit(what + ": " + options.get(now), j -> set.apply(j, now))) {
                    Platform.runLater(refused);
                }
            }
        });
        return box;
    }
}
