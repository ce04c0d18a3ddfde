package mildtilt.catalogue;
import mildtilt.column.Seat;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Hold;

/** Whether a shaft's end goes into a bore and sits firm in it. */
public enum EndFit {
    FITS,
    /** The end is larger than the bore. */
    TOO_LARGE,
    /** The end is smaller than the bore by more than a slip fit. */
    TOO_SMALL,
    /** Round in a spline, and the like. */
    OTHER_FORM,
    OTHER_TEETH,
    /** Two flats, or a key, of another width. */
    OTHER_WIDTH;

    /** A slip fit at most this loose still sits firm, mm. */
    public static final double SLIP = 0.1;

    /** @param slip how much smaller than the bore an end may be, mm */
    public static EndFit between(Seat end, Socket socket, double slip) {
        if (socket.hold() == Hold.ONE_PIECE) {
            return FITS;
        }
        Seat bore = socket.seat();
        EndFit form = switch (end) {
            case Seat.Round _ -> bore instanceof Seat.Round ? FITS : OTHER_FORM;
            case Seat.Splined e -> bore instanceof Seat.Splined b ? e.teeth() == b.teeth() ? FITS : OTHER_TEETH : OTHER_FORM;
            case Seat.DoubleD e -> bore instanceof Seat.DoubleD b ? width(e.acrossFlats(), b.acrossFlats(), slip) : OTHER_FORM;
            case Seat.Keyed e -> bore instanceof Seat.Keyed b ? width(e.keyWidth(), b.keyWidth(), slip) : OTHER_FORM;
        };
        double loose = bore.diameter() - end.diameter();
        return form == OTHER_FORM || form == OTHER_TEETH ? form
                : loose < -1e-6 ? TOO_LARGE
                : loose > slip + 1e-6 ? TOO_SMALL
                : form;
    }

    private static EndFit width(double end, double bore, double slip) {
        return end > bore + 1e-6 || bore - end > slip + 1e-6 ? OTHER_WIDTH : FITS;
    }
}
