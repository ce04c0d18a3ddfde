package mildtilt.geometry;

import java.util.Objects;

/** Geometry that can't exist, such as a shaft without length. The message is for the user. */
public final class ImpossibleGeometryException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    public ImpossibleGeometryException(String message) {
        super(message);
    }

    /** Never null: every constructor takes a message. */
    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}
