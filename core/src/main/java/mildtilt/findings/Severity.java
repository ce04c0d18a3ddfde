package mildtilt.findings;

/** How grave a finding is; shown by shape and word as well as colour. */
public enum Severity {
    FINE("fine", "OK"),
    LOOK("look", "Check"),
    STOP("stop", "Stop");

    private final String word;
    private final String label;

    Severity(String word, String label) {
        this.word = word;
        this.label = label;
    }

    /** As the user reads it. */
    public String label() {
        return label;
    }

    /** As published files name it. */
    public String word() {
        return word;
    }

    public Severity worse(Severity other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
