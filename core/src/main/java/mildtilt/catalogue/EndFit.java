package mildtilt.catalogue;

import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;

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
    public static EndFit between(ShaftProfile end, Socket socket, double slip) {
        if (socket.hold() == Retention.ONE_PIECE) {
            return FITS;
        }
        ShaftProfile bore = socket.seat();
        EndFit form =
                switch (end) {
                    case ShaftProfile.Round _ -> bore instanceof ShaftProfile.Round ? FITS : OTHER_FORM;
                    case ShaftProfile.Splined e ->
                        bore instanceof ShaftProfile.Splined b
                                ? e.teeth() == b.teeth() ? FITS : OTHER_TEETH
                                : OTHER_FORM;
                    case ShaftProfile.DoubleD e ->
                        bore instanceof ShaftProfile.DoubleD b
                                ? width(e.acrossFlats(), b.acrossFlats(), slip)
                                : OTHER_FORM;
                    case ShaftProfile.Keyed e ->
                        bore instanceof ShaftProfile.Keyed b ? width(e.keyWidth(), b.keyWidth(), slip) : OTHER_FORM;
                };
        double loose = bore.diameter() - end.diameter();
        return form == OTHER_FORM || form == OTHER_TEETH
                ? form
                : loose < -1e-6 ? TOO_LARGE : loose > slip + 1e-6 ? TOO_SMALL : form;
    }

    private static EndFit width(double end, double bore, double slip) {
        return end > bore + 1e-6 || bore - end > slip + 1e-6 ? OTHER_WIDTH : FITS;
    }
}
