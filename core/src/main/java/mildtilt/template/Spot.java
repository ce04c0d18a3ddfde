package mildtilt.template;

/** A place on a flat sheet, mm. */
public record Spot(double x, double y) {

    public Spot plus(double dx, double dy) {
        return new Spot(x + dx, y + dy);
    }

    public double distanceTo(Spot o) {
        return Math.hypot(o.x - x, o.y - y);
    }
}
