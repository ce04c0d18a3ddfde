package mildtilt.app.part;

import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
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
record PartChoice(
        String id, String label, String meaning, List<String> options, int chosen, BiFunction<Job, Integer, Job> set) {

    static <T extends Enum<T>> PartChoice of(
            String id, String label, T[] all, Function<T, String> words, T chosen, BiFunction<Job, T, Job> set) {
        return new PartChoice(
                id,
                label,
                "",
                Arrays.stream(all).map(words).toList(),
                chosen.ordinal(),
                (j, i) -> set.apply(j, all[i]));
    }

    static PartChoice yesNo(
            String id, String label, String yes, String no, boolean is, BiFunction<Job, Boolean, Job> set) {
        return new PartChoice(id, label, "", List.of(yes, no), is ? 0 : 1, (j, i) -> set.apply(j, i == 0));
    }

    PartChoice meaning(String text) {
        return new PartChoice(id, label, text, options, chosen, set);
    }
}
