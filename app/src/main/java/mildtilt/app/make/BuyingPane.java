package mildtilt.app.make;

import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.WordField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.WorkPlan;
import mildtilt.build.WorkPlan.Purchase;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.runsheet.Buying;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** What must be bought, when it must be ordered for the wanted day, and what can be done meanwhile. */
final class BuyingPane extends MakePane {

    private static final List<String> HEADS =
            List.of("What, and for which step", "Price", "Lead days", "Order by", "Ordered", "Arrived");

    BuyingPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-buying");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        WorkPlan plan = p.analysis().job().making().plan();
        Buying b = p.buying();
        title(
                "What to buy",
                "Prices and lead times as you type them, in whatever money you count in. The latest day to order follows from the day the job is wanted and the hours you work.");
        row(
                day(
                        "Wanted ready",
                        "buy-wanted",
                        plan.wanted(),
                        (j, d) -> j.editMaking(m -> m.editPlan(x -> x.withWanted(d)))),
                number(
                        "Hours worked a week",
                        "buy-hours",
                        plan.hoursPerWeek(),
                        (j, v) -> j.editMaking(m -> m.editPlan(x -> x.withHoursPerWeek(v)))));
        say("Priced so far: " + LengthText.decimal(b.price(), 2)
                + (b.unpriced() > 0 ? "; " + b.unpriced() + " without a price." : "."));
        if (plan.wanted().isEmpty()) {
            hint("Type when the job should be ready and each delivery time, to see the latest day to order.");
        }
        long late = b.items().stream().filter(i -> i.late() > 0).count();
        if (late > 0) {
            add(Wrap.text(
                    late + (late == 1 ? " thing is" : " things are") + " late to be ordered for that day.", "brings"));
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().addAll("facts-grid", "make-table");
        for (int c = 0; c < HEADS.size(); c++) {
            ColumnConstraints cc = new ColumnConstraints();
            cc.setHgrow(c == 0 ? Priority.ALWAYS : Priority.NEVER);
            grid.getColumnConstraints().add(cc);
            grid.add(Wrap.whole(HEADS.get(c)), c, 0);
        }
        for (int i = 0; i < b.items().size(); i++) {
            item(grid, b.items().get(i), i);
        }
        add(grid);
        WordField own = new WordField("", t -> {
            if (!t.isBlank()) {
                make("To buy: " + t.strip(), m -> m.editPlan(x -> x.withOwnPurchase(t.strip(), "lock")));
            }
        });
        own.setId("buy-add");
        own.setPromptText("boots, grease, bolts …");
        own.setPrefWidth(220);
        row(named("Put something else on the list", own));
        head("What can be done meanwhile");
        if (b.meanwhile().isEmpty()) {
            hint("Nothing: every step left waits for something that has not arrived.");
        }
        b.meanwhile().forEach(s -> say("– " + s));
    }

    private Job bought(Job j, Id key, UnaryOperator<Purchase> edit) {
        return j.editMaking(m -> m.editPlan(x -> x.withPurchase(key, edit.apply(x.purchase(key)))));
    }

    private void item(GridPane grid, Buying.Item item, int i) {
        Id key = item.wanted().key();
        String name = item.wanted().what().text(LengthUnit.MM);
        Purchase q = item.purchase();
        long n = Math.round(item.wanted().count());
        Label what = Wrap.text((n > 1 ? n + " × " : "") + item.wanted().what().text(bench.lengthUnit()), "facts-name");
        Label by = Wrap.whole(
                q.arrived().isPresent()
                        ? "here"
                        : q.ordered().isPresent()
                                ? "ordered"
                                : item.latest()
                                        .map(d -> d
                                                + (item.late() > 0
                                                        ? ", " + item.late()
                                                                + (item.late() == 1 ? " day late" : " days late")
                                                        : ""))
                                        .orElse("–"));
        by.getStyleClass().add(item.late() > 0 ? "brings" : "facts-figure");
        VBox named = new VBox(what, Wrap.text(item.stepTitle(), "hint"));
        if (item.own()) {
            named.getChildren()
                    .add(small(
                            "Delete",
                            "buy-out-" + i,
                            () -> make("Not to buy: " + name, m -> m.editPlan(x -> x.withoutOwnPurchase(key)))));
        }
        grid.addRow(
                i + 1,
                named,
                bare(maybeNumber(
                        "Price of " + name,
                        "buy-price-" + i,
                        q.price(),
                        (j, v) -> bought(j, key, x -> x.withPrice(v)))),
                bare(maybeNumber(
                        "Lead days of " + name,
                        "buy-lead-" + i,
                        q.leadDays().map(Integer::doubleValue),
                        (j, v) -> bought(j, key, x -> x.withLeadDays(v.map(d -> (int) Math.round(d)))))),
                by,
                bare(day(
                        "Ordered: " + name,
                        "buy-ordered-" + i,
                        q.ordered(),
                        (j, d) -> bought(j, key, x -> x.withOrdered(d)))),
                bare(day(
                        "Arrived: " + name,
                        "buy-arrived-" + i,
                        q.arrived(),
                        (j, d) -> bought(j, key, x -> x.withArrived(d)))));
    }

    /** The control alone: the column's head is its name. */
    private static Node bare(Node named) {
        Region control = (Region) ((VBox) named).getChildren().getLast();
        control.setMinWidth(control instanceof WordField ? 92 : 54);
        control.setPrefWidth(control.getMinWidth());
        return control;
    }
}
