package mildtilt.app.workbench;

/** What is being worked on. A stage changes what is shown, never the job. In working order. */
public enum WorkStage {
    SURVEY("Survey"),
    LINKAGE("Linkage"),
    COLUMN("Column"),
    CLEARANCE("Clearance"),
    MAKE("Make"),
    FIT("Fit");

    private final String label;

    WorkStage(String label) {
        this.label = label;
    }

    /** Whether the stage fills the middle with sheets of its own, instead of views, hands and curves. */
    public boolean ownSheets() {
        return this == MAKE || this == FIT;
    }

    public String label() {
        return label;
    }
}
