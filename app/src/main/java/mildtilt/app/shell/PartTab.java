package mildtilt.app.shell;

import java.util.List;
import java.util.Optional;
import javafx.beans.binding.BooleanBinding;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.findings.FindingList;
import mildtilt.app.part.PartPane;
import mildtilt.app.train.TrainMenu;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.Workbench;

/** The selected part: its sizes, and under them what was found at it. */
final class PartTab extends VBox {

    private final Workbench bench;
    private final BooleanBinding wanted;
    private final FindingList found;
    private final TrainMenu menu;
    private final MenuButton change = new MenuButton("Change");
    private final Label head = new Label("Findings at this part");

    PartTab(Workbench bench) {
        this.bench = bench;
        menu = new TrainMenu(bench);
        setId("piece");
        getStyleClass().add("tab-pane-body");
        wanted = bench.sideTabProperty().isEqualTo(SideTab.PART);
        found = new FindingList(
                bench, "part-finding-", f -> bench.selectionProperty().get().equals(Optional.of(f.element())));
        head.getStyleClass().add("sub-head");
        head.managedProperty().bind(head.visibleProperty());
        change.setId("part-menu");
        change.setTooltip(new Tooltip("Split, swap, add, take out"));
        change.managedProperty().bind(change.visibleProperty());
        // Filled when it is opened: the catalogue may have changed. A menu without items does not open.
        change.getItems().add(new MenuItem(""));
        change.showingProperty().addListener((_, _, showing) -> {
            if (showing) {
                change.getItems()
                        .setAll(bench.selectionProperty().get().map(menu::of).orElse(List.of()));
            }
        });
        StackPane sizes = new StackPane(new PartPane(bench, wanted, false), change);
        StackPane.setAlignment(change, Pos.TOP_RIGHT);
        VBox body = new VBox(sizes, head, found);
        body.getStyleClass().add("tab-body");
        getChildren().add(Wrap.tall(body));
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.selectionProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        wanted.addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        change.setVisible(bench.selectionProperty().get().map(TrainMenu::has).orElse(false));
        if (wanted.get()) {
            head.setVisible(bench.analysisProperty().get().map(found::show).orElse(false));
        }
    }
}
