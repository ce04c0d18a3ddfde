package mildtilt.app.workbench;

/** The sheets of the Fit stage, in the order a trial goes. */
public enum TrialSheetChoice {
    BENCH("Measure"),
    TRIALS("Trials"),
    WALL("Wall trace"),
    PLATES("Turn plates"),
    RUN_OUT("Run-out"),
    DIAGNOSIS("Diagnosis"),
    LOG("Log"),
    INSPECTION("Inspection");

    private final String label;

    TrialSheetChoice(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
