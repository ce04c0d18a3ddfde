package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.AsFound;
import mildtilt.build.PartAsFound;
import mildtilt.build.ShroudAsFound;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.geometry.Point;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.report.Papers;
import mildtilt.shop.CutList;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.FoundFigures.Which;

/** Parts that are on the bench already: how long they are, what is taken off which, and what is cut and moved. */
final class FoundPane extends MakePane {

    FoundPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-found");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        title(
                "Parts as found",
                "Parts that you have already. Give how long each is, and the shortest it can be made: up to a bearing "
                        + "seat, a bracket or a collapse section. What comes off it follows from the plan. The blue "
                        + "mark on a part is the shortest it can be.");
        Optional<Column> column = p.analysis().job().column();
        if (column.isEmpty()) {
            hint("This job has no column yet.");
            arms(p);
            return;
        }
        Column c = column.get();
        AsFound found = p.analysis().job().making().asFound();
        List<Node> more = new ArrayList<>();
        for (int i = 0; i < c.shafts().size(); i++) {
            int at = i;
            Shaft s = c.shafts().get(i);
            List<FoundFigures> here =
                    p.found().stream().filter(f -> f.shaft() == at).toList();
            if (!here.isEmpty()) {
                head(s.name() + (i == 0 && c.tube().isPresent() ? ", tube and shroud" : ""));
                add(new FoundDrawing(
                        here.stream()
                                .map(f -> new FoundDrawing.Bar(start(c, found, f), f))
                                .toList(),
                        c.length(i),
                        here.getFirst().which() == Which.SHROUD
                                ? ""
                                : here.getFirst().next(),
                        bench.lengthUnit()));
                here.forEach(f -> part(c, found, f));
            }
            if (found.shaft(s.id()).isEmpty()) {
                more.add(small(
                        "I have " + s.name(),
                        "found-add-" + s.id(),
                        () -> edit(
                                s.name() + " as found",
                                f -> f.withShaft(
                                        s.id(), Optional.of(PartAsFound.usual(Math.max(1, c.cutLength(at))))))));
            }
        }
        c.tube()
                .filter(_ -> found.tube().isEmpty())
                .ifPresent(t -> more.add(small(
                        "I have the column tube",
                        "found-add-tube",
                        () -> edit("Tube as found", f -> f.withTube(Optional.of(PartAsFound.usual(t.length())))))));
        if (found.shroud().isEmpty()) {
            more.add(small(
                    "I have a shroud",
                    "found-add-shroud",
                    () -> edit(
                            "Shroud as found",
                            f -> f.withShroud(Optional.of(
                                    new ShroudAsFound(0, PartAsFound.usual(Math.max(1, c.length(0) / 2))))))));
        }
        if (!more.isEmpty()) {
            head("On the bench besides");
            row(more.toArray(Node[]::new));
        }
        arms(p);
        if (p.found().isEmpty()) {
            hint("Nothing is said of any yet: then shafts are cut from bar, and the tube is bought.");
        }
    }

    /** Arms of used knuckles, by where their ends are. */
    private void arms(Papers p) {
        Optional<SteeredAxle> axle = p.analysis().job().axle();
        if (axle.isEmpty()) {
            return;
        }
        head("Arms of used knuckles");
        List<Node> more = new ArrayList<>();
        for (KnuckleArm arm : KnuckleArm.of(axle.get())) {
            Optional<Point> end = Optional.ofNullable(
                            p.analysis().job().making().asFound().arms().get(arm))
                    .map(AsFound.ArmAsFound::end);
            String id = arm.name().toLowerCase(Locale.ROOT).replace('_', '-');
            String name = arm.label(axle.get());
            if (end.isEmpty()) {
                more.add(small(
                        "I have the " + name,
                        "found-add-" + id,
                        () -> edit(
                                CutList.capital(name) + " as found",
                                x -> x.withArm(arm, Optional.of(arm.end(axle.get()))))));
                continue;
            }
            p.arms().stream()
                    .filter(a -> a.arm() == arm)
                    .flatMap(a -> a.steps().stream())
                    .forEach(s -> say(s.text(bench.lengthUnit())));
            Point e = end.get();
            row(
                    named("End as found", Wrap.whole(CutList.capital(name))),
                    at(arm, "x", id, e.x(), x -> new Point(x, e.y(), e.z())),
                    at(arm, "y", id, e.y(), y -> new Point(e.x(), y, e.z())),
                    at(arm, "z", id, e.z(), z -> new Point(e.x(), e.y(), z)),
                    named(
                            " ",
                            small(
                                    "I don't have it",
                                    "found-drop-" + id,
                                    () -> edit(
                                            CutList.capital(name) + " is not there",
                                            x -> x.withArm(arm, Optional.empty())))));
        }
        if (!more.isEmpty()) {
            hint("Put the knuckle in place, straight ahead, and measure where the joint at the arm's end is.");
            row(more.toArray(Node[]::new));
        }
    }

    private Node at(KnuckleArm arm, String axis, String id, double mm, DoubleFunction<Point> to) {
        return length(
                axis,
                "found-" + axis + "-" + id,
                mm,
                (j, v) -> j.editMaking(m -> m.editAsFound(x -> x.withArm(arm, Optional.of(to.apply(v))))));
    }

    private static double start(Column c, AsFound found, FoundFigures f) {
        return switch (f.which()) {
            case SHAFT -> c.wheelEndFit(f.shaft()).shortening();
            case TUBE -> c.tube().map(t -> t.from() - t.beyond()).orElse(0.0);
            case SHROUD -> found.shroud().map(ShroudAsFound::from).orElse(0.0);
        };
    }

    private void part(Column c, AsFound found, FoundFigures f) {
        String id =
                switch (f.which()) {
                    case SHAFT -> c.shafts().get(f.shaft()).id().text();
                    case TUBE -> "tube";
                    case SHROUD -> "shroud";
                };
        if (f.found().equals(PartAsFound.usual(f.wanted()))) {
            hint("These are the plan's lengths. Measure your part, and put its own in.");
        }
        say(f.name() + " " + f.verdict().label() + ". " + f.order().text(bench.lengthUnit()));
        f.cure().ifPresent(x -> add(Wrap.text("! " + x.text(bench.lengthUnit()), "brings")));
        Function<UnaryOperator<PartAsFound>, UnaryOperator<AsFound>> edit =
                switch (f.which()) {
                    case SHAFT -> {
                        var shaft = c.shafts().get(f.shaft()).id();
                        yield e -> x -> x.withShaft(shaft, x.shaft(shaft).map(e));
                    }
                    case TUBE -> e -> x -> x.withTube(x.tube().map(e));
                    case SHROUD -> e -> x -> x.withShroud(x.shroud().map(s -> s.withPart(e.apply(s.part()))));
                };
        List<Node> fields = new ArrayList<>();
        if (f.which() == Which.SHROUD) {
            fields.add(length(
                    "Hub to its edge",
                    "found-from-" + id,
                    found.shroud().orElseThrow().from(),
                    (j, v) -> j.editMaking(
                            m -> m.editAsFound(x -> x.withShroud(x.shroud().map(s -> s.withFrom(v)))))));
        }
        fields.addAll(List.of(
                length(
                        "Length as found",
                        "found-length-" + id,
                        f.found().length(),
                        (j, v) -> j.editMaking(m -> m.editAsFound(edit.apply(
                                x -> x.withLeast(Math.min(v, x.least())).withLength(v))))),
                length(
                        "Can be cut to",
                        "found-least-" + id,
                        f.found().least(),
                        (j, v) -> j.editMaking(m -> m.editAsFound(edit.apply(x -> x.withLeast(v))))),
                choice(
                        "Ended by",
                        "found-limit-" + id,
                        List.of(PartAsFound.Limit.values()),
                        f.found().limit(),
                        PartAsFound.Limit::label,
                        (j, v) -> j.editMaking(m -> m.editAsFound(edit.apply(x -> x.withLimit(v))))),
                named(
                        " ",
                        small(
                                "I don't have it",
                                "found-drop-" + id,
                                () -> edit(f.name() + " is not there", x -> switch (f.which()) {
                                    case SHAFT ->
                                        x.withShaft(c.shafts().get(f.shaft()).id(), Optional.empty());
                                    case TUBE -> x.withTube(Optional.empty());
                                    case SHROUD -> x.withShroud(Optional.empty());
                                })))));
        row(fields.toArray(Node[]::new));
    }

    private void edit(String change, UnaryOperator<AsFound> edit) {
        make(change, m -> m.editAsFound(edit));
    }
}
