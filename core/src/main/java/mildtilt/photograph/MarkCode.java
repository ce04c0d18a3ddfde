package mildtilt.photograph;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * The rings by which printed marks are told apart. A mark is a black dot, a white gap, and a ring of {@link #PARTS}
 * equal parts, black or white. The code is that of the ring from any part on: turned by any number of parts it is the
 * same mark, and any two marks differ in four parts at least however they are turned, so that one part misread, or two,
 * makes no other mark of it.
 */
public final class MarkCode {

    /** How many parts a ring has. */
    public static final int PARTS = 15;

    /** The ring's inner and outer radius and the paper's white edge, in radii of the dot. */
    public static final double RING_INSIDE = 1.6;

    public static final double RING_OUTSIDE = 2.3;
    public static final double WHITE_OUTSIDE = 2.75;

    /**
     * Of each mark the parts that are black, one bit each; the least of all turns. Picked one after the other from the
     * least on, so that each keeps its distance from all before it; at least four parts are black and four white.
     */
    private static final List<Integer> RINGS = List.of(
            0x00f, 0x033, 0x055, 0x0a5, 0x0c3, 0x0ff, 0x16d, 0x249, 0x317, 0x32b, 0x3cf, 0x3f3, 0x46b, 0x489, 0x51b,
            0x527, 0x5d7, 0x67d, 0x6b7, 0x6c5, 0x7ad, 0x89d, 0x8e9, 0x947, 0x97b, 0x9b7, 0xa63, 0xaf5, 0xb5d, 0xbb9,
            0xccf, 0xdfd, 0xf77, 0xfeb, 0x125f, 0x139b, 0x14af, 0x154f, 0x1aab, 0x1bed, 0x1dbb);

    private MarkCode() {}

    /** How many marks there are; they are numbered from 1. */
    public static int count() {
        return RINGS.size();
    }

    /** Whether a part of a mark's ring is black. @param part from 0, anticlockwise as printed */
    public static boolean isBlack(int mark, int part) {
        return (RINGS.get(mark - 1) >> part & 1) == 1;
    }

    /** The mark of a ring that was read from any part on; empty if it is none. */
    static OptionalInt number(int read) {
        int least = IntStream.range(0, PARTS).map(k -> turned(read, k)).min().orElseThrow();
        int at = RINGS.indexOf(least);
        return at < 0 ? OptionalInt.empty() : OptionalInt.of(at + 1);
    }

    /** In how many parts two rings differ at least, however they are turned. */
    static int distance(int one, int other) {
        return IntStream.range(0, PARTS)
                .map(k -> Integer.bitCount(one ^ turned(other, k)))
                .min()
                .orElseThrow();
    }

    /** All rings, for tests of their distances. */
    static List<Integer> rings() {
        return RINGS;
    }

    private static int turned(int ring, int by) {
        int all = (1 << PARTS) - 1;
        return (ring << by | ring >> (PARTS - by)) & all;
    }
}
