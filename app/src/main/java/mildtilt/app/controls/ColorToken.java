package mildtilt.app.controls;

import java.util.Locale;
import mildtilt.findings.Severity;

/** The inks of a drawing. Each is the style sheet's {@code -mt-} token of the same name. */
public enum ColorToken {
    PAPER,
    LINE,
    FAINT,
    GRID,
    ACCENT,
    BEFORE,
    FINE,
    LOOK,
    STOP,
    /** Fills of parts, from the strongest to the lightest. */
    TRAIN,
    YOKE,
    METAL,
    SUSPENSION,
    OBSTACLE,
    HOT,
    TYRE,
    DRIVER;

    String token() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static ColorToken of(Severity severity) {
        return switch (severity) {
            case FINE -> FINE;
            case LOOK -> LOOK;
            case STOP -> STOP;
        };
    }
}
