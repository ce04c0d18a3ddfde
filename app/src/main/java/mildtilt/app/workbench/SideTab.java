package mildtilt.app.workbench;

/** What the side of the window is used for: the notes in every stage, and what is the stage's own. */
public enum SideTab {
    NOTES("Notes"),
    KNUCKLE("Knuckle"),
    WORK_OUT("Work it out"),
    VARIANTS("Variants"),
    PHASING("Phasing"),
    HOLDING("Holding"),
    RANGE("Range"),
    RULES("Rules"),
    IN_THE_WAY("In the way"),
    GAPS("Gaps"),
    ROUTE("Route"),
    MEASURED("Measured"),
    SURE("How sure");

    private final String label;

    SideTab(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public boolean belongsTo(WorkStage stage) {
        return switch (this) {
            case NOTES -> true;
            case MEASURED, SURE -> stage == WorkStage.SURVEY;
            case KNUCKLE, WORK_OUT, VARIANTS -> stage == WorkStage.LINKAGE;
            case PHASING, HOLDING, RANGE, RULES -> stage == WorkStage.COLUMN;
            case IN_THE_WAY, GAPS, ROUTE -> stage == WorkStage.CLEARANCE;
        };
    }
}
