package mildtilt.trials.instruments;

/** An instrument that can't be read, with a sentence that says which, why and what to do. */
public final class InstrumentException extends Exception {

    private static final long serialVersionUID = 1L;

    public InstrumentException(String message) {
        super(message);
    }
}
