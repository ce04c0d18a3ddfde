package mildtilt.geometry;

/** Geometry that can't exist, such as a shaft without length. The message is for the user. */
public final class ImpossibleGeometryException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    public ImpossibleGeometryException(String message) {
        super(message);
    }
}
