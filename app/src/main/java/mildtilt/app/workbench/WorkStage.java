package mildtilt.app.workbench;

/** What is being worked on. A stage changes what is shown, never the job. In working order. */
public enum WorkStage {
    SURVEY("Survey"),
    LINKAGE("Linkage"),
    COLUMN("Column"),
    CLEARANCE("Clearance"),
    MAKE("Make");

    private final String label;

    WorkStage(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
