package mildtilt.trials.instruments;

import java.util.Objects;

/** An instrument that can't be read, with a sentence that says which, why and what to do. */
public final class InstrumentException extends Exception {

    private static final long serialVersionUID = 1L;

    public InstrumentException(String message) {
        super(message);
    }

    /** Never null: every constructor takes a message. */
    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}
