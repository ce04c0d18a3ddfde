package mildtilt.app.workbench;

/** The papers of the Make stage, in the order the bench wants them. */
public enum MakeSheet {
    FOUND("Parts as found"),
    CUT_LIST("Cut list"),
    RODS("Rods"),
    STOPS("Stops"),
    FITS("Fits"),
    JOINS("Shaft joins"),
    TEMPLATES("Templates"),
    DRAWINGS("Drawings"),
    RUN("Order of work"),
    BUYING("Buying"),
    HEAT("Heat record"),
    SET("Set and class"),
    PAPERS("Print and export");

    private final String label;

    MakeSheet(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
