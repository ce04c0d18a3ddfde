package mildtilt.bearings;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.id.Id;

/**
 * Which shafts are held and which float.
 *
 * <p>A shaft is held when two places along it are: by a bearing, or by a joint whose other shaft is held. The gear's
 * own
 * bearings hold the last shaft. Every free shaft in a row between two held ones needs one bearing less than there are
 * of them: one alone is held by its two joints, two fold about their joint and need one. A double joint that does not
 * centre itself holds nothing.
 *
 * @param held for each shaft
 * @param steady for each joint: whether it is held in place without counting on itself
 * @param missing how many bearings more are needed
 */
public record Supports(List<Boolean> held, List<Boolean> steady, int missing) {

    public static Supports of(Column c) {
        boolean[] held = settle(c, new int[c.shafts().size()]);
        List<Boolean> steady = new ArrayList<>();
        for (int j = 0; j < c.joints().size(); j++) {
            steady.add(c.joints().get(j).kind().locates() || held[j] && held[j + 1]);
        }
        List<Boolean> all = new ArrayList<>();
        for (boolean h : held) {
            all.add(h);
        }
        return new Supports(List.copyOf(all), List.copyOf(steady), missing(c));
    }

    public boolean allHeld() {
        return !held.contains(false);
    }

    /** Shafts that follow from the bearings there are, and so many more on each. */
    private static boolean[] settle(Column c, int[] extra) {
        int n = c.shafts().size();
        boolean[] held = new boolean[n];
        for (boolean more = true; more; ) {
            more = false;
            for (int i = 0; i < n; i++) {
                if (!held[i] && places(c, i, held, extra[i]) >= 2) {
                    held[i] = true;
                    more = true;
                }
            }
        }
        return held;
    }

    private static int places(Column c, int shaft, boolean[] held, int extra) {
        int last = c.joints().size();
        ClearShaft clear = ClearShaft.of(c, shaft);
        // What sits on a fork or past the end holds nothing.
        int n = (int) c.supportsOn(shaft).stream()
                        .filter(clear::holds)
                        .distinct()
                        .count()
                + extra
                + (shaft == last ? 2 : 0);
        n += shaft > 0 && held[shaft - 1] && c.joints().get(shaft - 1).kind().locates() ? 1 : 0;
        n += shaft < last && held[shaft + 1] && c.joints().get(shaft).kind().locates() ? 1 : 0;
        return n;
    }

    /** One bearing after another is put on a floating shaft, where it settles most, until nothing floats. */
    private static int missing(Column c) {
        int[] extra = new int[c.shafts().size()];
        for (int added = 0; ; added++) {
            boolean[] held = settle(c, extra);
            int best = -1;
            int most = -1;
            for (int i = 0; i < extra.length; i++) {
                if (!held[i]) {
                    extra[i]++;
                    int settled = count(settle(c, extra));
                    if (settled > most) {
                        most = settled;
                        best = i;
                    }
                    extra[i]--;
                }
            }
            if (best < 0) {
                return added;
            }
            extra[best]++;
        }
    }

    private static int count(boolean[] held) {
        int n = 0;
        for (boolean h : held) {
            n += h ? 1 : 0;
        }
        return n;
    }

    /** Whether one more bearing on a shaft would leave fewer afloat, and how many would then still be missing. */
    static int missingWith(Column c, int shaft, double along, double bore) {
        List<Bearing> all = new ArrayList<>(c.bearings());
        all.add(Bearing.planned(
                Id.Kind.BEARING.next(c.partIds()),
                "tried",
                Bearing.Kind.ROD_END,
                Bearing.Mount.FRAME,
                shaft,
                along,
                bore));
        return missing(c.withBearings(all));
    }
}
