package mildtilt.units;

import java.util.Objects;

/** A length, angle or number that could not be read. The message is for the user. */
public final class UnreadableMeasureException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    public UnreadableMeasureException(String message) {
        super(message);
    }

    /** Never null: every constructor takes a message. */
    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}
