package mildtilt.check;

/** How grave a finding is; told on screen by shape and word as well as colour. */
public enum Severity {
    FINE("fine"),
    LOOK("look"),
    STOP("stop");

    private final String word;

    Severity(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public Severity worse(Severity other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
