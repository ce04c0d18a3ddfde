package mildtilt.app.controls;

import java.util.Locale;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * A stage that is worked through sheet by sheet: their names down the side, one of them shown, each made when it is
 * first seen.
 */
public final class SheetRail {

    private SheetRail() {}

    /** @param kind what the ids of the names begin with; @param shown which one is */
    public static <S extends Enum<S>> void fill(
            HBox stage,
            String kind,
            S[] all,
            Function<S, String> label,
            ObjectProperty<S> shown,
            Function<S, Region> make) {
        stage.getStyleClass().add("make-stage");
        stage.setMinSize(0, 0);
        VBox rail = new VBox();
        rail.getStyleClass().add("make-rail");
        StackPane sheets = new StackPane();
        sheets.setMinSize(0, 0);
        HBox.setHgrow(sheets, Priority.ALWAYS);
        for (S s : all) {
            ToggleButton b = new ToggleButton(label.apply(s));
            b.setId(kind + "-" + s.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-tab");
            b.getStyleClass().add("make-tab");
            b.setMaxWidth(Double.MAX_VALUE);
            b.setSelected(shown.get() == s);
            b.setOnAction(_ -> {
                shown.set(s);
                b.setSelected(true);
            });
            shown.addListener((_, _, now) -> b.setSelected(now == s));
            rail.getChildren().add(b);
            LazyPane.put(sheets, stage.visibleProperty().and(shown.isEqualTo(s)), () -> make.apply(s));
        }
        stage.getChildren().addAll(rail, sheets);
    }
}
