package mildtilt.describe;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What is wrong with a job, as far as it is worth gathering. */
public final class JobFaults {

    /** So many are gathered; of a list with thousands of the same the first tell all. */
    private static final int MOST = 300;

    private static final int MOST_SHOWN = 3;
    private static final int LONGEST = 250;

    private final Set<String> misspelt = new LinkedHashSet<>();
    private final Set<String> wrong = new LinkedHashSet<>();
    private final Set<String> missing = new LinkedHashSet<>();
    private boolean more;

    /** That there are so many already that the rest need not be looked at. */
    public static final class TooManyFaults extends RuntimeException {
        private static final long serialVersionUID = 1L;

        TooManyFaults() {
            super(null, null, false, false);
        }
    }

    /** A value that can't be. @throws TooManyFaults when there are many */
    public void wrong(String sentence) {
        add(wrong, sentence);
    }

    /** A key that nothing has: it explains one that is missing. @throws TooManyFaults when there are many */
    public void misspelt(String sentence) {
        add(misspelt, sentence);
    }

    /** @throws TooManyFaults when there are many */
    public void missing(String sentence) {
        add(missing, sentence);
    }

    private void add(Set<String> kind, String sentence) {
        kind.add(sentence);
        if (misspelt.size() + wrong.size() + missing.size() >= MOST) {
            more = true;
            throw new TooManyFaults();
        }
    }

    public boolean isEmpty() {
        return misspelt.isEmpty() && wrong.isEmpty() && missing.isEmpty();
    }

    /** The first few of them, and how many more there are. */
    public String text() {
        List<String> all = new ArrayList<>(misspelt);
        all.addAll(wrong);
        all.addAll(missing);
        StringBuilder said = new StringBuilder();
        int shown = 0;
        while (shown < Math.min(MOST_SHOWN, all.size())
                && (shown == 0 || said.length() + all.get(shown).length() < LONGEST)) {
            said.append(shown == 0 ? "" : " ").append(all.get(shown++));
        }
        int left = all.size() - shown;
        return said + (more ? " And many more." : left > 0 ? " And " + left + " more." : "");
    }
}
