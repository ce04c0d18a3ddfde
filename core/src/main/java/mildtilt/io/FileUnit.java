package mildtilt.io;

/** What one unit is in a file that does not say, such as a scan or a list of points. */
public enum FileUnit {
    MM("millimetres", 1),
    CM("centimetres", 10),
    M("metres", 1000),
    INCH("inches", 25.4);

    private final String label;
    private final double mm;

    FileUnit(String label, double mm) {
        this.label = label;
        this.mm = mm;
    }

    public String label() {
        return label;
    }

    public double mm() {
        return mm;
    }
}
