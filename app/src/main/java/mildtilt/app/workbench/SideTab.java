package mildtilt.app.workbench;

/** What the side panel shows: findings or the selected part in every stage, and the tools of the stage. */
public enum SideTab {
    NOTES("Findings"),
    PART("Part"),
    KNUCKLE("Arms"),
    WORK_OUT("Solve for …"),
    VARIANTS("Variants"),
    PHASING("Phasing"),
    HOLDING("Supports"),
    RANGE("Range"),
    RULES("Rules"),
    IN_THE_WAY("Obstacles"),
    GAPS("Gaps"),
    ROUTE("Route"),
    MEASURED("Readings"),
    SURE("Uncertainty");

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
            case PART -> !stage.ownSheets();
            case MEASURED, SURE -> stage == WorkStage.SURVEY;
            case KNUCKLE, WORK_OUT, VARIANTS -> stage == WorkStage.LINKAGE;
            case PHASING, HOLDING, RANGE, RULES -> stage == WorkStage.COLUMN;
            case IN_THE_WAY, GAPS, ROUTE -> stage == WorkStage.CLEARANCE;
        };
    }
}
