package mildtilt.template;

/** A place on a flat sheet, mm. */
public record PatternPoint(double x, double y) {

    public PatternPoint plus(double dx, double dy) {
        return new PatternPoint(x + dx, y + dy);
    }

    public double distanceTo(PatternPoint o) {
        return Math.hypot(o.x - x, o.y - y);
    }
}
