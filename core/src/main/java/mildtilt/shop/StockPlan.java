package mildtilt.shop;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mildtilt.build.Metal;
import mildtilt.build.Section;
import mildtilt.build.Workshop;

/**
 * Which piece is sawn from which bar, the least length of bar used. On hand bars cost nothing and are used first where
 * they
 * serve; what is still wanted is bought in the usual length.
 *
 * <p>A cutting-stock solve by branch and bound: the longest piece left is put into each bar begun that has room and
 * into each
 * kind of bar not begun, and a branch is left when what it has bought and what it must still buy is no less than the
 * best so far. It
 * begins with the best of a few quick layouts (longest piece first into the fullest bar), so that what it returns is
 * never
 * worse than those, and stops at a set number of branches: then it says that it may not be the least.
 *
 * @param bars in the order they are sawn
 * @param tooLong pieces for which no bar is long enough, or none that is long enough is left
 */
public record StockPlan(List<Bar> bars, List<Cut> tooLong) {

    private static final int MOST_BRANCHES = 200_000;
    /** With more pieces than this the quick layouts are used; with so many they are as good. */
    private static final int MOST_SEARCHED = 600;

    private static final double EXACT = 1e-6;

    /** One piece off a bar. @param saw length, mm */
    public record Cut(String name, double saw) {}

    /**
     * @param onHand whether it is there already; else it is bought
     * @param length of the bar, mm
     * @param kerf lost to the saw, mm
     * @param rest left over, mm
     * @param least whether the bars of this section are proved to be the least bought
     */
    public record Bar(
            Section section,
            Metal metal,
            boolean onHand,
            double length,
            List<Cut> cuts,
            double kerf,
            double rest,
            boolean least) {

        /**
         * Of the bar that becomes neither a piece nor a rest worth keeping, with what is left over: part of its length.
         */
        public double lostPart() {
            return (kerf + rest) / length;
        }
    }

    private record Kind(Section section, Metal metal) {}

    public static StockPlan of(CutList list, Workshop shop) {
        Map<Kind, List<Cut>> wanted = new LinkedHashMap<>();
        for (CutList.CutLine line : list.lines()) {
            line.section().ifPresent(s -> {
                List<Cut> cuts = wanted.computeIfAbsent(new Kind(s, line.metal()), _ -> new ArrayList<>());
                for (int i = 0; i < line.count(); i++) {
                    cuts.add(new Cut(line.name(), line.saw()));
                }
            });
        }
        List<Bar> bars = new ArrayList<>();
        List<Cut> tooLong = new ArrayList<>();
        wanted.forEach((kind, cuts) -> solve(kind, cuts, shop, bars, tooLong));
        return new StockPlan(List.copyOf(bars), List.copyOf(tooLong));
    }

    private static void solve(Kind kind, List<Cut> cuts, Workshop shop, List<Bar> bars, List<Cut> tooLong) {
        List<Double> onHand = new ArrayList<>();
        for (Workshop.StockBar b : shop.stock()) {
            for (int i = 0; i < b.count() && b.section().equals(kind.section) && b.metal() == kind.metal; i++) {
                onHand.add(b.length());
            }
        }
        List<Cut> fit = new ArrayList<>();
        // What only a bar on hand is long enough for goes there first, each where it leaves least.
        double[] room =
                onHand.stream().mapToDouble(l -> l + shop.kerf()).sorted().toArray();
        for (Cut c : cuts.stream()
                .sorted(Comparator.comparingDouble(Cut::saw).reversed())
                .toList()) {
            if (c.saw <= shop.usualBar() + EXACT) {
                fit.add(c);
                continue;
            }
            int at = -1;
            for (int i = 0; i < room.length; i++) {
                if (room[i] >= c.saw + shop.kerf() - EXACT && (at < 0 || room[i] < room[at])) {
                    at = i;
                }
            }
            if (at < 0) {
                tooLong.add(c);
            } else {
                room[at] -= c.saw + shop.kerf();
                fit.add(c);
            }
        }
        if (fit.isEmpty()) {
            return;
        }
        Search search = new Search(
                fit.stream().mapToDouble(Cut::saw).toArray(),
                onHand.stream().mapToDouble(Double::doubleValue).sorted().toArray(),
                shop.usualBar(),
                shop.kerf());
        int[] place = search.best();
        Map<Integer, List<Cut>> byBar = new TreeMap<>();
        for (int i = 0; i < place.length; i++) {
            byBar.computeIfAbsent(place[i], _ -> new ArrayList<>()).add(fit.get(i));
        }
        byBar.forEach((bar, in) -> {
            double length = search.length(bar);
            double sum = in.stream().mapToDouble(Cut::saw).sum();
            // The last cut is not needed where the piece ends with the bar.
            double kerf = Math.min(in.size() * shop.kerf(), length - sum);
            bars.add(new Bar(
                    kind.section,
                    kind.metal,
                    bar < onHand.size(),
                    length,
                    List.copyOf(in),
                    kerf,
                    Math.max(0, length - sum - kerf),
                    search.proved()));
        });
    }

    /**
     * Bars on hand are numbered first, shortest first; bars bought follow. A bar and every piece count a kerf longer,
     * which counts every cut but one that ends with the bar.
     */
    private static final class Search {
        private final double[] pieces;
        private final double[] onHand;
        private final double usual;
        private final double kerf;
        private final double[] suffix;
        private int[] best;
        private int bought;
        private double usedOnHand;
        private int branches;
        private final boolean proved;

        Search(double[] pieces, double[] onHand, double usual, double kerf) {
            this.pieces = pieces;
            this.onHand = onHand;
            this.usual = usual;
            this.kerf = kerf;
            suffix = new double[pieces.length + 1];
            for (int i = pieces.length - 1; i >= 0; i--) {
                suffix[i] = suffix[i + 1] + pieces[i] + kerf;
            }
            best = new int[0];
            bought = Integer.MAX_VALUE;
            quick(true);
            quick(false);
            if (pieces.length <= MOST_SEARCHED) {
                place(0, new int[pieces.length], room(), 0);
                proved = branches < MOST_BRANCHES;
            } else {
                proved = bought
                        == least(0, 0, Arrays.stream(onHand).map(l -> l + kerf).sum());
            }
        }

        int[] best() {
            return best;
        }

        boolean proved() {
            return proved;
        }

        double length(int bar) {
            return bar < onHand.length ? onHand[bar] : usual;
        }

        private double[] room() {
            double[] room = new double[onHand.length + pieces.length];
            for (int i = 0; i < room.length; i++) {
                room[i] = length(i) + kerf;
            }
            return room;
        }

        /**
         * The longest first, into the bar that it fills best. @param handFirst whether a bar on hand is begun before a
         * bought one
         */
        private void quick(boolean handFirst) {
            // By the room they have left, the bars that may be used.
            TreeMap<Double, ArrayDeque<Integer>> open = new TreeMap<>();
            BitSet begun = new BitSet();
            for (int b = 0; b < onHand.length && handFirst; b++) {
                put(open, onHand[b] + kerf, b);
            }
            int[] at = new int[pieces.length];
            int count = 0;
            for (int i = 0; i < pieces.length; i++) {
                double need = pieces[i] + kerf;
                Map.Entry<Double, ArrayDeque<Integer>> fits = open.ceilingEntry(need - EXACT);
                double room;
                if (fits != null) {
                    room = fits.getKey();
                    at[i] = fits.getValue().pop();
                    if (fits.getValue().isEmpty()) {
                        open.remove(room);
                    }
                } else if (usual + EXACT >= pieces[i]) {
                    room = usual + kerf;
                    at[i] = onHand.length + count++;
                } else {
                    int b = 0;
                    while (b < onHand.length && (begun.get(b) || onHand[b] + kerf < need - EXACT)) {
                        b++;
                    }
                    if (b == onHand.length) {
                        return;
                    }
                    room = onHand[b] + kerf;
                    at[i] = b;
                }
                begun.set(at[i]);
                put(open, room - need, at[i]);
            }
            keep(at, count);
        }

        private static void put(TreeMap<Double, ArrayDeque<Integer>> open, double room, int bar) {
            open.computeIfAbsent(room, _ -> new ArrayDeque<>()).push(bar);
        }

        /** How many bars are bought at least, with what is left to place and so much room in what there is. */
        private int least(int piece, int count, double free) {
            return count + (int) Math.ceil(Math.max(0, suffix[piece] - free) / (usual + kerf) - EXACT);
        }

        private void keep(int[] at, int count) {
            double hand = Arrays.stream(at)
                    .filter(b -> b < onHand.length)
                    .distinct()
                    .mapToDouble(b -> onHand[b])
                    .sum();
            if (count < bought || count == bought && hand < usedOnHand - EXACT) {
                bought = count;
                usedOnHand = hand;
                best = at.clone();
            }
        }

        private void place(int piece, int[] at, double[] room, int count) {
            if (piece == pieces.length) {
                keep(at, count);
                return;
            }
            if (++branches >= MOST_BRANCHES) {
                return;
            }
            double free = 0;
            for (int b = 0; b < onHand.length + count; b++) {
                free += room[b];
            }
            int least = least(piece, count, free);
            // Nothing bought can't be bettered in what is bought; how much on hand is begun is then all there is to
            // gain.
            if (least > bought || least == bought && onHand.length == 0) {
                return;
            }
            double need = pieces[piece] + kerf;
            int from = piece > 0 && pieces[piece] == pieces[piece - 1] ? at[piece - 1] : 0;
            for (int b = 0; b < onHand.length + count; b++) {
                // Like pieces go in rising order of bars, else every order of them would be tried.
                if (b < from || room[b] < need - EXACT || seen(room, b, from)) {
                    continue;
                }
                room[b] -= need;
                at[piece] = b;
                place(piece + 1, at, room, count);
                room[b] += need;
            }
            if (usual + EXACT >= pieces[piece] && count + 1 <= bought) {
                int b = onHand.length + count;
                room[b] -= need;
                at[piece] = b;
                place(piece + 1, at, room, count + 1);
                room[b] += need;
            }
        }

        /** Whether a bar with the very same room was tried before. */
        private boolean seen(double[] room, int bar, int from) {
            for (int b = from; b < bar; b++) {
                if (room[b] == room[bar] && (b < onHand.length) == (bar < onHand.length)) {
                    return true;
                }
            }
            return false;
        }
    }

    /** Bars sawn alike, with how many of each. */
    public Map<Bar, Long> alike() {
        return bars.stream().collect(Collectors.groupingBy(b -> b, LinkedHashMap::new, Collectors.counting()));
    }

    /** How many bars of a section are bought. */
    public int bought(Section section, Metal metal) {
        return (int) bars.stream()
                .filter(b -> !b.onHand && b.section.equals(section) && b.metal == metal)
                .count();
    }

    /** Of all bars, the part that becomes neither pieces nor is there after: kerf and rests. Empty without bars. */
    public Optional<Double> lostPart() {
        double all = bars.stream().mapToDouble(Bar::length).sum();
        return all > 0
                ? Optional.of(bars.stream().mapToDouble(b -> b.kerf + b.rest).sum() / all)
                : Optional.empty();
    }
}
