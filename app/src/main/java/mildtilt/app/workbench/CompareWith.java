package mildtilt.app.workbench;

/** What "before" means in the comparison. */
public enum CompareWith {
    LAST_CHANGE("last change"),
    OPENED("as opened"),
    PINNED("my mark");

    private final String label;

    CompareWith(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
