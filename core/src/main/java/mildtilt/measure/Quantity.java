package mildtilt.measure;

/** A value with its unit: mm for lengths, degrees for angles. */
public record Quantity(double value, Unit unit) {

    public static Quantity length(double mm) {
        return new Quantity(mm, Unit.LENGTH);
    }

    public static Quantity angle(double deg) {
        return new Quantity(deg, Unit.ANGLE);
    }

    public static Quantity percent(double pct) {
        return new Quantity(pct, Unit.PERCENT);
    }

    public String text(LengthUnit lengths) {
        return unit.format(value, lengths);
    }
}
