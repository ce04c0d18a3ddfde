package mildtilt.app.workbench;

/** The papers of the Make stage, in the order the bench wants them. */
public enum MakeSheet {
    CUT_LIST("Cut list"),
    RODS("Rods"),
    FITS("Fits"),
    JOINS("Joins"),
    TEMPLATES("Templates"),
    RUN("Order of work"),
    BUYING("Buying"),
    HEAT("Welding heat"),
    PAPERS("Card and book");

    private final String label;

    MakeSheet(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
