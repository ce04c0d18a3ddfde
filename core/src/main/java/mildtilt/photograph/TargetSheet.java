package mildtilt.photograph;

import mildtilt.geometry.Point;

/**
 * The printed sheet: marks 1 to {@link #ON_SHEET} in rows of {@link #ACROSS}, and a bar that tells its scale.
 * The rest, up to {@link MarkCode#count()}, are printed one by one to be stuck on the vehicle.
 *
 * <p>The sheet's own frame has its origin in the middle of the marks, x to the right, y up the page, z out of it, mm.
 */
public final class TargetSheet {

    public static final int ACROSS = 4;
    public static final int DOWN = 6;
    public static final int ON_SHEET = ACROSS * DOWN;
    /** Between the dots of two neighbours, mm. */
    public static final double PITCH = 42;
    /** Of a mark's dot, mm. */
    public static final double DOT_RADIUS = 7;
    /** From end to end of the bar, mm. */
    public static final double BAR = 240;

    private TargetSheet() {}

    public static boolean has(int mark) {
        return mark >= 1 && mark <= ON_SHEET;
    }

    /** Where a mark of the sheet is, as it was drawn. @param mark 1 at the top left, then to the right */
    public static Point place(int mark) {
        int column = (mark - 1) % ACROSS;
        int row = (mark - 1) / ACROSS;
        return new Point((column - (ACROSS - 1) / 2.0) * PITCH, ((DOWN - 1) / 2.0 - row) * PITCH, 0);
    }
}
