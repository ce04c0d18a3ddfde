package mildtilt.app.workbench;

/** What "before" means in the comparison. */
public enum Compared {
    LAST_CHANGE("last change"),
    OPENED("as opened"),
    PINNED("my mark");

    private final String label;

    Compared(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
