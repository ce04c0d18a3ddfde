package mildtilt.app.controls;

import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import mildtilt.findings.Severity;

/** A state shown three ways: by shape, word and colour. */
public final class StateMark extends Label {

    private static final String CIRCLE = "M0,5 A5,5 0 1,1 10,5 A5,5 0 1,1 0,5 Z";
    private static final String WEDGE = "M0,10 L5,0 L10,10 Z";
    private static final String SQUARE = "M0,0 L10,0 L10,10 L0,10 Z";

    private final Region shape = new Region();

    private final boolean bare;

    public StateMark(Severity severity) {
        this(severity, false);
    }

    /** The shape alone, where its word is shown elsewhere or has no room. */
    public static StateMark bare(Severity severity) {
        return new StateMark(severity, true);
    }

    private StateMark(Severity severity, boolean bare) {
        this.bare = bare;
        getStyleClass().add("state-mark");
        shape.getStyleClass().add("state-shape");
        shape.setMinSize(10, 10);
        shape.setMaxSize(10, 10);
        setGraphic(shape);
        setMinWidth(USE_PREF_SIZE);
        show(severity);
    }

    public void show(Severity severity) {
        setText(bare ? "" : severity.label());
        shape.setStyle("-fx-shape: \""
                + switch (severity) {
                    case FINE -> CIRCLE;
                    case LOOK -> WEDGE;
                    case STOP -> SQUARE;
                }
                + "\";");
        for (Severity s : Severity.values()) {
            pseudoClassStateChanged(PseudoClass.getPseudoClass(s.name().toLowerCase(Locale.ROOT)), s == severity);
        }
    }
}
