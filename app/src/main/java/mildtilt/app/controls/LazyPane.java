package mildtilt.app.controls;

import java.util.function.Supplier;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Panes that are made when they are first shown, so that a start does not wait for them. */
public final class LazyPane {

    private LazyPane() {}

    /** Puts a pane into another as soon as it is to be seen, and shows it whenever it is. */
    public static void put(Pane into, ObservableBooleanValue seen, Supplier<? extends Region> make) {
        boolean[] made = {false};
        // A binding is held by nothing it is made of: without this it may be gone before it was ever true.
        into.getProperties().put(new Object(), seen);
        Runnable look = () -> {
            if (seen.get() && !made[0]) {
                made[0] = true;
                Region pane = make.get();
                // It becomes visible as it would if it had been there: some panes fill themselves then.
                pane.setVisible(false);
                pane.visibleProperty().bind(seen);
                into.getChildren().add(pane);
            }
        };
        seen.addListener((_, _, _) -> look.run());
        look.run();
    }
}
