package mildtilt.app.workbench;

/** What the side of the window is used for in the linkage stage; elsewhere it holds the notes. */
public enum SideTab {
    NOTES("Notes"),
    KNUCKLE("Knuckle"),
    WORK_OUT("Work it out"),
    VARIANTS("Variants");

    private final String label;

    SideTab(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
