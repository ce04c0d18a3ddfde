package mildtilt.app.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import mildtilt.app.workbench.Workbench;
import mildtilt.catalogue.Catalogue;
import mildtilt.catalogue.Catalogue.NamedTube;
import mildtilt.catalogue.OwnParts;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.columnrange.TrainEdits;
import mildtilt.job.Element;
import mildtilt.job.Job;

/**
 * What can be done to an element on the train strip: parts put in, split, swapped for others of the catalogue, taken
 * out.
 */
public final class TrainMenu {

    private final Workbench bench;

    public TrainMenu(Workbench bench) {
        this.bench = bench;
    }

    /** Empty for an element that stays what it is. Read anew each time, as the catalogue may change. */
    public List<MenuItem> of(Element element) {
        Catalogue parts = bench.catalogueProperty().get();
        return switch (element) {
            case Element.ShaftAt s -> withOwn(element, shaft(s.index(), parts));
            case Element.JointAt j -> withOwn(element, joint(j.index(), parts));
            case Element.Tube _ -> withOwn(element, tube(parts));
            case Element.BearingAt b -> withOwn(element, bearing(b.index(), parts));
            case Element.Wheel _,
                    Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _,
                    Element.InTheWay _,
                    Element.AtTheWheel _ -> List.of();
        };
    }

    /** And what can be done with the user's own parts. */
    private List<MenuItem> withOwn(Element element, List<MenuItem> items) {
        List<MenuItem> all = new ArrayList<>(items);
        all.add(new SeparatorMenuItem());
        String kept = OwnParts.name(bench.job(), element).orElseThrow();
        MenuItem keep = new MenuItem("Keep it in my parts");
        keep.setId("keep");
        keep.setOnAction(_ -> {
            if (bench.editOwnParts(mine -> OwnParts.with(mine, bench.job(), element))) {
                bench.say("Kept in my parts: " + kept + ". Find it under Swap it for.");
            }
        });
        all.add(keep);
        Menu delete = new Menu("Delete from my parts");
        delete.setId("delete-own");
        bench.ownPartsProperty().get().names().forEach(n -> {
            MenuItem item = new MenuItem(n);
            item.setMnemonicParsing(false);
            item.setOnAction(_ -> {
                if (bench.editOwnParts(mine -> OwnParts.without(mine, n))) {
                    bench.say("Deleted from my parts: " + n + ".");
                }
            });
            delete.getItems().add(item);
        });
        delete.setDisable(delete.getItems().isEmpty());
        all.add(delete);
        return all;
    }

    public static boolean has(Element element) {
        return element instanceof Element.ShaftAt
                || element instanceof Element.JointAt
                || element instanceof Element.Tube
                || element instanceof Element.BearingAt;
    }

    private String name(Element e) {
        return Element.label(bench.job(), e);
    }

    private List<MenuItem> shaft(int index, Catalogue parts) {
        String name = name(new Element.ShaftAt(index));
        List<MenuItem> all = new ArrayList<>();
        Menu split = menu(
                "split",
                "Split it with a joint",
                parts.joints(),
                Joint::name,
                "Split " + name + " with a joint",
                Optional.of(new Element.JointAt(index)),
                Optional.empty(),
                (c, part) -> TrainEdits.split(c, index, part));
        split.setDisable(bench.job()
                .column()
                .map(c -> c.joints().size() >= Column.MOST_JOINTS)
                .orElse(true));
        all.add(split);
        Menu hold = new Menu("Put a bearing on it");
        hold.setId("bearing");
        for (Bearing.Kind kind : Bearing.Kind.values()) {
            List<Bearing> ofKind =
                    parts.bearings().stream().filter(b -> b.kind() == kind).toList();
            hold.getItems()
                    .add(menu(
                            kind.name(),
                            kind.label(),
                            ofKind,
                            Bearing::name,
                            "Put a bearing on " + name,
                            Optional.empty(),
                            Optional.empty(),
                            (c, part) -> TrainEdits.withBearing(c, index, part)));
        }
        all.add(hold);
        if (index == 0 && bench.job().column().flatMap(Column::tube).isEmpty()) {
            all.add(menu(
                    "tube",
                    "Put it in a column tube",
                    parts.tubes(),
                    NamedTube::name,
                    "Put " + name + " in a column tube",
                    Optional.of(new Element.Tube()),
                    Optional.of(new Element.Tube()),
                    (c, part) -> TrainEdits.withTube(
                            c, part.tube().outside(), part.tube().collapse())));
        }
        all.add(menu(
                "swap",
                "Swap it for",
                parts.shafts(),
                Shaft::name,
                "Swap " + name + " for another",
                Optional.empty(),
                Optional.of(new Element.ShaftAt(index)),
                (c, part) -> TrainEdits.swapped(c, index, part)));
        return all;
    }

    private List<MenuItem> joint(int index, Catalogue parts) {
        String name = name(new Element.JointAt(index));
        return List.of(
                menu(
                        "swap",
                        "Swap it for",
                        parts.joints(),
                        Joint::name,
                        "Swap " + name + " for another",
                        Optional.empty(),
                        Optional.empty(),
                        (c, part) -> TrainEdits.swapped(c, index, part)),
                new SeparatorMenuItem(),
                item(
                        "delete",
                        "Delete it: its two shafts become one",
                        "Take out " + name,
                        c -> TrainEdits.withoutJoint(c, index)));
    }

    private List<MenuItem> tube(Catalogue parts) {
        return List.of(
                menu(
                        "swap",
                        "Swap it for",
                        parts.tubes(),
                        NamedTube::name,
                        "Swap the column tube for another",
                        Optional.empty(),
                        Optional.of(new Element.Tube()),
                        (c, part) -> c.withTube(
                                c.tube().map(t -> t.withOutside(part.tube().outside())
                                        .withCollapse(part.tube().collapse())
                                        .withBeyond(part.tube().beyond())))),
                new SeparatorMenuItem(),
                item(
                        "delete",
                        "Delete it: a bare shaft",
                        "Take the column tube away",
                        c -> c.withTube(Optional.empty())));
    }

    private List<MenuItem> bearing(int index, Catalogue parts) {
        String name = name(new Element.BearingAt(index));
        List<MenuItem> all = new ArrayList<>();
        Menu swap = new Menu("Swap it for");
        swap.setId("swap");
        for (Bearing.Kind kind : Bearing.Kind.values()) {
            List<Bearing> ofKind =
                    parts.bearings().stream().filter(b -> b.kind() == kind).toList();
            swap.getItems()
                    .add(menu(
                            kind.name(),
                            kind.label(),
                            ofKind,
                            Bearing::name,
                            "Swap " + name + " for another",
                            Optional.empty(),
                            Optional.empty(),
                            (c, part) -> TrainEdits.swappedBearing(c, index, part)));
        }
        all.add(swap);
        all.add(new SeparatorMenuItem());
        all.add(item("delete", "Delete it", "Take " + name + " away", c -> TrainEdits.withoutBearing(c, index)));
        return all;
    }

    private MenuItem item(String id, String text, String change, UnaryOperator<Column> edit) {
        MenuItem item = new MenuItem(text);
        item.setId(id);
        item.setOnAction(_ -> bench.edit(change, j -> j.editColumn(edit)));
        return item;
    }

    private interface Put<T> {
        Column into(Column c, T part);
    }

    private <T> Menu menu(
            String id,
            String text,
            List<T> parts,
            Function<T, String> name,
            String change,
            Optional<Element> then,
            Optional<Element> found,
            Put<T> into) {
        Menu menu = new Menu(text);
        menu.setId(id);
        for (T part : parts) {
            MenuItem item = new MenuItem(name.apply(part));
            item.setMnemonicParsing(false);
            item.setOnAction(_ -> {
                Catalogue all = bench.catalogueProperty().get();
                if (bench.edit(change + ": " + name.apply(part), j -> {
                    Job put = j.editColumn(c -> into.into(c, part));
                    return found.map(e -> OwnParts.found(put, e, all, name.apply(part)))
                            .orElse(put);
                })) {
                    then.ifPresent(e -> bench.selectionProperty().set(Optional.of(e)));
                }
            });
            menu.getItems().add(item);
        }
        menu.setDisable(parts.isEmpty());
        return menu;
    }
}
