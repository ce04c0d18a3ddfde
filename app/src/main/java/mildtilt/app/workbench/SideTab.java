package mildtilt.app.workbench;

/** What the side panel shows: findings or the selected part in every stage, and the tools of the stage. */
public enum SideTab {
    FINDINGS("Findings"),
    PART("Part"),
    ARMS("Arms"),
    SOLVE("Solve for …"),
    VARIANTS("Variants"),
    PHASING("Phasing"),
    SUPPORTS("Supports"),
    RANGE("Range"),
    RULES("Rules"),
    OBSTACLES("Obstacles"),
    GAPS("Gaps"),
    TRAVEL("Travel"),
    ROUTES("Route"),
    READINGS("Readings"),
    PHOTOGRAPHS("Photos"),
    UNCERTAINTY("Uncertainty");

    private final String label;

    SideTab(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public boolean belongsTo(WorkStage stage) {
        return switch (this) {
            case FINDINGS -> true;
            case PART -> !stage.ownSheets();
            case READINGS, PHOTOGRAPHS, UNCERTAINTY -> stage == WorkStage.SURVEY;
            case ARMS, SOLVE, VARIANTS -> stage == WorkStage.LINKAGE;
            case PHASING, SUPPORTS, RANGE, RULES -> stage == WorkStage.COLUMN;
            case OBSTACLES, GAPS, TRAVEL, ROUTES -> stage == WorkStage.CLEARANCE;
        };
    }
}
