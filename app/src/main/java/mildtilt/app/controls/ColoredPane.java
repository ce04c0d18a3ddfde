package mildtilt.app.controls;

import java.util.List;
import javafx.css.CssMetaData;
import javafx.css.SimpleStyleableObjectProperty;
import javafx.css.Styleable;
import javafx.css.StyleablePropertyFactory;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;

/**
 * A pane that draws with code and takes its inks from the style sheet, so that colours are said in one
 * place only. Drawn again whenever an ink or its size changes.
 */
public abstract class ColoredPane extends Pane {

    private static final StyleablePropertyFactory<ColoredPane> FACTORY =
            new StyleablePropertyFactory<>(Pane.getClassCssMetaData());

    static {
        for (ColorToken ink : ColorToken.values()) {
            FACTORY.createColorCssMetaData("-mt-" + ink.token(), p -> p.inks[ink.ordinal()], Color.BLACK);
        }
    }

    private final InkProperty[] inks = new InkProperty[ColorToken.values().length];

    private static final class InkProperty extends SimpleStyleableObjectProperty<Color> {
        private final ColoredPane pane;

        InkProperty(CssMetaData<ColoredPane, Color> meta, ColoredPane pane) {
            super(meta, pane, meta.getProperty(), Color.BLACK);
            this.pane = pane;
        }

        @Override
        protected void invalidated() {
            pane.redraw();
        }
    }

    @SuppressWarnings("unchecked")
    protected ColoredPane() {
        getStyleClass().add("inked");
        for (ColorToken ink : ColorToken.values()) {
            inks[ink.ordinal()] = new InkProperty(
                    (CssMetaData<ColoredPane, Color>) FACTORY.getCssMetaData().stream()
                            .filter(m -> m.getProperty().equals("-mt-" + ink.token()))
                            .findFirst()
                            .orElseThrow(),
                    this);
        }
        widthProperty().addListener((_, _, _) -> redraw());
        heightProperty().addListener((_, _, _) -> redraw());
    }

    protected final Color ink(ColorToken ink) {
        Color c = inks[ink.ordinal()].get();
        return c == null ? Color.BLACK : c;
    }

    /** Draws everything anew. Called often; may be called before the pane has a size. */
    protected abstract void redraw();

    @Override
    public List<CssMetaData<? extends Styleable, ?>> getCssMetaData() {
        return FACTORY.getCssMetaData();
    }
}
