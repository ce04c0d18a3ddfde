package mildtilt.io;

import java.util.Objects;

/** A job file that can't be read or written. The message says what, where in it, and what to do. */
public final class JobFileException extends Exception {

    private static final long serialVersionUID = 1L;

    public JobFileException(String message) {
        super(message);
    }

    /** Never null: every constructor takes a message. */
    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}
