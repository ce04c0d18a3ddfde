package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import mildtilt.app.workbench.Workbench;
import mildtilt.column.Bearing;
import mildtilt.format.TemplatePdf;
import mildtilt.gear.ArmGear;
import mildtilt.job.Job;
import mildtilt.making.Metal;
import mildtilt.making.Piece;
import mildtilt.making.Piece.ArmOf;
import mildtilt.making.Piece.Meeting;
import mildtilt.making.Section;
import mildtilt.making.Workshop.Paper;
import mildtilt.obstacle.Obstacle;
import mildtilt.papers.Papers;
import mildtilt.template.FlatPattern;
import mildtilt.template.Templates;

/** The patterns at full size: what there are, one of them drawn, and the pieces they are of. */
final class TemplatesPane extends MakePane {

    private final Runnable save;
    private String looked = "";

    /** @param save asks for a folder and writes them all */
    TemplatesPane(Workbench bench, PapersDesk desk, Runnable save) {
        super(bench, desk, "make-templates");
        this.save = save;
        refresh();
    }

    @Override
    protected void show(Papers p) {
        Job job = p.analysis().job();
        Paper paper = job.making().workshop().paper();
        title("Templates at full size", "Printed on paper over as many sheets as it takes, each with a bar to measure; and as SVG and DXF for a cutting table, cut lines and marks on layers of their own.");
        var saving = small("Save all templates…", "save-templates", save);
        saving.getStyleClass().add("take-remedy");
        row(choice("Paper", "template-paper", List.of(Paper.values()), paper, Paper::label, (j, v) -> j.editMaking(m -> m.editWorkshop(w -> w.withPaper(v)))), named(" ", adding(job)), named(" ", saving));
        List<FlatPattern> all = p.templates().patterns();
        if (all.isEmpty()) {
            hint("No pattern yet: a shaft that is cut gets strips to wrap round its ends; a rail that must be notched gets its notch; add plates, brackets and stays above.");
        } else {
            FlatPattern now = all.stream().filter(x -> x.name().equals(looked)).findFirst().orElse(all.getFirst());
            int sheets = TemplatePdf.sheets(now, paper);
            row(named("Look at", choiceBox("template-look", all, Optional.of(now), FlatPattern::name, x -> {
                looked = x.name();
                showAgain();
            })));
            say(sheets + (sheets == 1 ? " sheet of " : " sheets of ") + paper.label() + ". " + now.how().text(bench.lengthUnit()));
            add(new PatternDrawing(now, bench.lengthUnit()));
        }
        for (Templates.Jig j : p.templates().jigs()) {
            say(j.name() + ", as STL with " + j.mesh().count() + " triangles. " + j.how().text(bench.lengthUnit()));
        }
        p.templates().open().forEach(o -> say("Open: " + o.text(bench.lengthUnit())));
        pieces(job);
    }

    private MenuButton adding(Job job) {
        MenuButton add = new MenuButton("Add a piece");
        add.setId("add-template");
        job.axle().ifPresent(a -> {
            add.getItems().add(item("Steering arm plate", "add-arm-plate", x -> new Piece.ArmPlate(x, ArmOf.LEFT_STEERING_ARM, 12, 30, 16, 12)));
            if (a.gear() instanceof ArmGear) {
                add.getItems().add(item("Pitman or column arm plate", "add-gear-arm-plate", x -> new Piece.ArmPlate(x, ArmOf.GEAR_ARM, 16, 30, 16, 14)));
            }
        });
        Optional<Bearing> bearing = job.column().flatMap(c -> c.bearings().stream().findFirst());
        if (bearing.isPresent() && !job.surroundings().obstacles().isEmpty()) {
            String foot = job.surroundings().obstacles().stream().filter(Obstacle::takesBearings).findFirst().orElse(job.surroundings().obstacles().getFirst()).name();
            add.getItems().add(item("Bearing bracket", "add-bracket", x -> new Piece.BearingBracket(x, bearing.get().name(), foot, 6, 60, bearing.get().bore() + 6, 2, 60, 9, 10)));
        }
        add.getItems().add(item("Stay of tube, coped", "add-stay", x -> new Piece.CopedTube(x, new Section.Tube(25, 2), Metal.STEEL, 300, new Meeting(45, 90, 0, 0), new Meeting(50, 90, 0, 0), 1, 0)));
        add.getItems().add(item("Centring jig to print", "add-jig", x -> new Piece.CentringJig(x, 19, 19, 90, 8)));
        return add;
    }

    private MenuItem item(String name, String id, Function<String, Piece> piece) {
        MenuItem i = new MenuItem(name);
        i.setId(id);
        i.setOnAction(_ -> make("Add: " + name, m -> m.withPiece(piece.apply(CutListPane.free(m, name)))));
        return i;
    }

    private void pieces(Job job) {
        List<Piece> all = job.making().pieces();
        for (int i = 0; i < all.size(); i++) {
            List<Node> fields = new ArrayList<>();
            switch (all.get(i)) {
                case Piece.Length _ -> { }
                case Piece.ArmPlate q -> fields.addAll(arm(i, q));
                case Piece.BearingBracket q -> fields.addAll(bracket(job, i, q));
                case Piece.CopedTube q -> fields.addAll(stay(i, q));
                case Piece.CentringJig q -> fields.addAll(jig(i, q));
            }
            if (!fields.isEmpty()) {
                int at = i;
                String name = all.get(i).name();
                fields.add(named(" ", small("Take out", "piece-out-" + i, () -> make("Take out " + name, m -> CutListPane.without(m, at)))));
                head(name);
                row(fields.toArray(Node[]::new));
            }
        }
    }

    private static Job set(Job j, int at, Piece p) {
        return CutListPane.set(j, at, p);
    }

    private List<Node> arm(int i, Piece.ArmPlate q) {
        return List.of(words("Name", "piece-name-" + i, q.name(), 150, (j, t) -> set(j, i, new Piece.ArmPlate(t, q.of(), q.thickness(), q.rootHole(), q.endHole(), q.margin()))),
                choice("Arm", "piece-arm-" + i, List.of(ArmOf.values()), q.of(), ArmOf::label, (j, v) -> set(j, i, new Piece.ArmPlate(q.name(), v, q.thickness(), q.rootHole(), q.endHole(), q.margin()))),
                length("Plate", "piece-thick-" + i, q.thickness(), (j, v) -> set(j, i, new Piece.ArmPlate(q.name(), q.of(), v, q.rootHole(), q.endHole(), q.margin()))),
                length("Hole at its root", "piece-root-" + i, q.rootHole(), (j, v) -> set(j, i, new Piece.ArmPlate(q.name(), q.of(), q.thickness(), v, q.endHole(), q.margin()))),
                length("Hole at its end", "piece-end-" + i, q.endHole(), (j, v) -> set(j, i, new Piece.ArmPlate(q.name(), q.of(), q.thickness(), q.rootHole(), v, q.margin()))),
                length("Metal round them", "piece-margin-" + i, q.margin(), (j, v) -> set(j, i, new Piece.ArmPlate(q.name(), q.of(), q.thickness(), q.rootHole(), q.endHole(), v))));
    }

    private List<Node> bracket(Job job, int i, Piece.BearingBracket q) {
        List<String> bearings = job.column().map(c -> c.bearings().stream().map(Bearing::name).toList()).orElse(List.of());
        List<String> feet = job.surroundings().obstacles().stream().map(Obstacle::name).toList();
        return List.of(
                choice("Bearing", "piece-bearing-" + i, bearings, q.bearing(), s -> s, (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), v, q.foot(), q.thickness(), q.footWidth(), q.hole(), q.bolts(), q.boltCircle(), q.boltHole(), q.margin()))),
                choice("Stands on", "piece-foot-" + i, feet, q.foot(), s -> s, (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), v, q.thickness(), q.footWidth(), q.hole(), q.bolts(), q.boltCircle(), q.boltHole(), q.margin()))),
                length("Plate", "piece-thick-" + i, q.thickness(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), v, q.footWidth(), q.hole(), q.bolts(), q.boltCircle(), q.boltHole(), q.margin()))),
                length("Foot's width", "piece-width-" + i, q.footWidth(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), q.thickness(), v, q.hole(), q.bolts(), q.boltCircle(), q.boltHole(), q.margin()))),
                length("Hole", "piece-hole-" + i, q.hole(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), q.thickness(), q.footWidth(), v, q.bolts(), q.boltCircle(), q.boltHole(), q.margin()))),
                number("Bolts", "piece-bolts-" + i, q.bolts(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), q.thickness(), q.footWidth(), q.hole(), (int) Math.round(v), q.boltCircle(), q.boltHole(), q.margin()))),
                length("Bolt circle", "piece-circle-" + i, q.boltCircle(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), q.thickness(), q.footWidth(), q.hole(), q.bolts(), v, q.boltHole(), q.margin()))),
                length("Bolt holes", "piece-bolt-hole-" + i, q.boltHole(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), q.thickness(), q.footWidth(), q.hole(), q.bolts(), q.boltCircle(), v, q.margin()))),
                length("Metal round them", "piece-margin-" + i, q.margin(), (j, v) -> set(j, i, new Piece.BearingBracket(q.name(), q.bearing(), q.foot(), q.thickness(), q.footWidth(), q.hole(), q.bolts(), q.boltCircle(), q.boltHole(), v))));
    }

    private List<Node> stay(int i, Piece.CopedTube q) {
        List<Node> all = new ArrayList<>(List.of(
                words("Name", "piece-name-" + i, q.name(), 150, (j, t) -> set(j, i, new Piece.CopedTube(t, q.section(), q.metal(), q.length(), q.from(), q.to(), q.left(), q.right()))),
                length("Outside", "piece-outside-" + i, q.section().outside(), (j, v) -> set(j, i, new Piece.CopedTube(q.name(), new Section.Tube(v, q.section().wall()), q.metal(), q.length(), q.from(), q.to(), q.left(), q.right()))),
                length("Wall", "piece-wall-" + i, q.section().wall(), (j, v) -> set(j, i, new Piece.CopedTube(q.name(), new Section.Tube(q.section().outside(), v), q.metal(), q.length(), q.from(), q.to(), q.left(), q.right()))),
                length("Axis to axis", "piece-length-" + i, q.length(), (j, v) -> set(j, i, new Piece.CopedTube(q.name(), q.section(), q.metal(), v, q.from(), q.to(), q.left(), q.right()))),
                number("Left", "piece-left-" + i, q.left(), (j, v) -> set(j, i, new Piece.CopedTube(q.name(), q.section(), q.metal(), q.length(), q.from(), q.to(), (int) Math.round(v), q.right()))),
                number("Right", "piece-right-" + i, q.right(), (j, v) -> set(j, i, new Piece.CopedTube(q.name(), q.section(), q.metal(), q.length(), q.from(), q.to(), q.left(), (int) Math.round(v))))));
        for (boolean first : new boolean[] {true, false}) {
            Meeting m = first ? q.from() : q.to();
            String end = first ? "First end" : "Other end";
            String id = (first ? "from-" : "to-") + i;
            BiFunction<Job, Meeting, Job> put = (j, x) -> set(j, i, new Piece.CopedTube(q.name(), q.section(), q.metal(), q.length(), first ? x : q.from(), first ? q.to() : x, q.left(), q.right()));
            all.add(length(end + " meets Ø (0 flat)", "piece-into-" + id, m.into(), (j, v) -> put.apply(j, new Meeting(v, m.angleDeg(), m.offset(), m.turnDeg()))));
            all.add(angle(end + ", at", "piece-angle-" + id, m.angleDeg(), (j, v) -> put.apply(j, new Meeting(m.into(), v, m.offset(), m.turnDeg()))));
            all.add(length(end + ", off its middle", "piece-offset-" + id, m.offset(), (j, v) -> put.apply(j, new Meeting(m.into(), m.angleDeg(), v, m.turnDeg()))));
            all.add(angle(end + ", turned", "piece-turn-" + id, m.turnDeg(), (j, v) -> put.apply(j, new Meeting(m.into(), m.angleDeg(), m.offset(), v))));
        }
        return all;
    }

    private List<Node> jig(int i, Piece.CentringJig q) {
        return List.of(words("Name", "piece-name-" + i, q.name(), 150, (j, t) -> set(j, i, new Piece.CentringJig(t, q.one(), q.other(), q.length(), q.wall()))),
                length("One shaft", "piece-one-" + i, q.one(), (j, v) -> set(j, i, new Piece.CentringJig(q.name(), v, q.other(), q.length(), q.wall()))),
                length("Other shaft", "piece-other-" + i, q.other(), (j, v) -> set(j, i, new Piece.CentringJig(q.name(), q.one(), v, q.length(), q.wall()))),
                length("Length", "piece-length-" + i, q.length(), (j, v) -> set(j, i, new Piece.CentringJig(q.name(), q.one(), q.other(), v, q.wall()))),
                length("Wall", "piece-wall-" + i, q.wall(), (j, v) -> set(j, i, new Piece.CentringJig(q.name(), q.one(), q.other(), q.length(), v))));
    }
}
