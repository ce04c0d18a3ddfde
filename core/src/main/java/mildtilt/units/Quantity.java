package mildtilt.units;

/** A value with its unit: mm for lengths, degrees for angles. */
public record Quantity(double value, Unit unit) {

    public static Quantity length(double mm) {
        return new Quantity(mm, Unit.LENGTH);
    }

    /** @param mm shown to a hundredth */
    public static Quantity fine(double mm) {
        return new Quantity(mm, Unit.FINE_LENGTH);
    }

    /** @param mm a size on a drawing, without its unit's mark */
    public static Quantity onDrawing(double mm) {
        return new Quantity(mm, Unit.ON_DRAWING);
    }

    /** @param mm a limit of such a size, shown to a thousandth */
    public static Quantity limit(double mm) {
        return new Quantity(mm, Unit.LIMIT);
    }

    public static Quantity angle(double deg) {
        return new Quantity(deg, Unit.ANGLE);
    }

    public static Quantity percent(double pct) {
        return new Quantity(pct, Unit.PERCENT);
    }

    public static Quantity force(double newton) {
        return new Quantity(newton, Unit.FORCE);
    }

    public static Quantity stress(double mpa) {
        return new Quantity(mpa, Unit.STRESS);
    }

    public static Quantity torque(double newtonMillimetres) {
        return new Quantity(newtonMillimetres, Unit.TORQUE);
    }

    public static Quantity ratio(double toOne) {
        return new Quantity(toOne, Unit.RATIO);
    }

    public static Quantity turns(double turns) {
        return new Quantity(turns, Unit.TURNS);
    }

    public static Quantity mass(double kg) {
        return new Quantity(kg, Unit.MASS);
    }

    public static Quantity temperature(double celsius) {
        return new Quantity(celsius, Unit.TEMPERATURE);
    }

    public static Quantity times(double factor) {
        return new Quantity(factor, Unit.TIMES);
    }

    public static Quantity friction(double coefficient) {
        return new Quantity(coefficient, Unit.FRICTION);
    }

    public String text(LengthUnit lengths) {
        return unit.format(value, lengths);
    }
}
