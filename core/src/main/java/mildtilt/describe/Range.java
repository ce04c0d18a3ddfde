package mildtilt.describe;

/**
 * What one kind of size can be: far wider than any vehicle needs, so that what lies outside is a slip. The unit is that
 * of the key.
 *
 * @param name of the kind, as in the table of docs/job-format.md
 * @param least included
 * @param most included
 * @param nearest to 0 that it may come; 0 where it may be 0
 * @param help what it is a size of
 */
public record Range(String name, double least, double most, double nearest, String help) {

    static Range of(String name, double least, double most, String help) {
        return new Range(name, least, most, 0, help);
    }

    public boolean holds(double v) {
        return v >= least && v <= most && !tooNear(v);
    }

    /** Whether it is nearer to 0 than it may be, though within the range. */
    public boolean tooNear(double v) {
        return v >= least && v <= most && Math.abs(v) < nearest;
    }
}
