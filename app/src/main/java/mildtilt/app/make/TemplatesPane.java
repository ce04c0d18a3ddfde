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
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.Piece.ArmOf;
import mildtilt.build.Piece.Meeting;
import mildtilt.build.Section;
import mildtilt.build.Workshop.Paper;
import mildtilt.column.Bearing;
import mildtilt.gear.ArmGear;
import mildtilt.id.Id;
import mildtilt.io.pdf.TemplatePdf;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.obstacle.Obstacle;
import mildtilt.report.Papers;
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
        title(
                "Templates at full size",
                "Printed on paper over as many sheets as it takes, each with a bar to measure; and as SVG and DXF for a cutting table, cut lines and marks on layers of their own.");
        var saving = small("Save all templates…", "save-templates", save);
        saving.getStyleClass().add("take-remedy");
        row(
                choice(
                        "Paper",
                        "template-paper",
                        List.of(Paper.values()),
                        paper,
                        Paper::label,
                        (j, v) -> j.editMaking(m -> m.editWorkshop(w -> w.withPaper(v)))),
                named(" ", adding(job)),
                named(" ", saving));
        List<FlatPattern> all = p.templates().patterns();
        if (all.isEmpty()) {
            hint(
                    "No pattern yet: a shaft that is cut gets strips to wrap round its ends; a rail that must be notched gets its notch; add plates, brackets and stays above.");
        } else {
            FlatPattern now = all.stream()
                    .filter(x -> x.name().equals(looked))
                    .findFirst()
                    .orElse(all.getFirst());
            int sheets = TemplatePdf.sheets(now, paper);
            row(named("Look at", choiceBox("template-look", all, Optional.of(now), FlatPattern::name, x -> {
                looked = x.name();
                showAgain();
            })));
            say(sheets + (sheets == 1 ? " sheet of " : " sheets of ") + paper.label() + ". "
                    + now.how().text(bench.lengthUnit()));
            add(new PatternDrawing(now, bench.lengthUnit()));
        }
        for (Templates.Jig j : p.templates().jigs()) {
            say(j.name() + ", as STL with " + j.mesh().count() + " triangles. "
                    + j.how().text(bench.lengthUnit()));
        }
        p.templates().open().forEach(o -> say("Open: " + o.text(bench.lengthUnit())));
        pieces(job);
    }

    private MenuButton adding(Job job) {
        MenuButton add = new MenuButton("Add a piece");
        add.setId("add-template");
        job.axle().ifPresent(a -> {
            add.getItems()
                    .add(item(
                            "Steering arm plate",
                            "add-arm-plate",
                            x -> new Piece.ArmPlate(
                                    Id.Kind.PIECE.first(), x, ArmOf.LEFT_STEERING_ARM, 12, 30, 16, 12)));
            if (a.gear() instanceof ArmGear) {
                add.getItems()
                        .add(item(
                                "Pitman or column arm plate",
                                "add-gear-arm-plate",
                                x -> new Piece.ArmPlate(Id.Kind.PIECE.first(), x, ArmOf.GEAR_ARM, 16, 30, 16, 14)));
            }
        });
        Optional<Bearing> bearing =
                job.column().flatMap(c -> c.bearings().stream().findFirst());
        if (bearing.isPresent() && !job.surroundings().obstacles().isEmpty()) {
            Id foot = job.surroundings().obstacles().stream()
                    .filter(Obstacle::takesBearings)
                    .findFirst()
                    .orElse(job.surroundings().obstacles().getFirst())
                    .id();
            add.getItems()
                    .add(item(
                            "Bearing bracket",
                            "add-bracket",
                            x -> new Piece.BearingBracket(
                                    Id.Kind.PIECE.first(),
                                    x,
                                    bearing.get().id(),
                                    foot,
                                    6,
                                    60,
                                    bearing.get().bore() + 6,
                                    2,
                                    60,
                                    9,
                                    10)));
        }
        add.getItems()
                .add(item(
                        "Stay of tube, coped",
                        "add-stay",
                        x -> new Piece.CopedTube(
                                Id.Kind.PIECE.first(),
                                x,
                                new Section.Tube(25, 2),
                                Metal.STEEL,
                                300,
                                new Meeting(45, 90, 0, 0),
                                new Meeting(50, 90, 0, 0),
                                1,
                                0)));
        add.getItems()
                .add(item(
                        "Centring jig to print",
                        "add-jig",
                        x -> new Piece.CentringJig(Id.Kind.PIECE.first(), x, 19, 19, 90, 8)));
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
                case Piece.Length _,
                        Piece.TurnedShaft _,
                        Piece.BearingHousing _,
                        Piece.AdapterPlate _,
                        Piece.SteadyPost _ -> {}
                case Piece.ArmPlate q -> fields.addAll(arm(i, q));
                case Piece.BearingBracket q -> fields.addAll(bracket(job, i, q));
                case Piece.CopedTube q -> fields.addAll(stay(i, q));
                case Piece.CentringJig q -> fields.addAll(jig(i, q));
            }
            if (!fields.isEmpty()) {
                int at = i;
                String name = all.get(i).name();
                fields.add(named(
                        " ",
                        small(
                                "Delete",
                                "piece-out-" + i,
                                () -> make("Take out " + name, m -> CutListPane.without(m, at)))));
                head(name);
                row(fields.toArray(Node[]::new));
            }
        }
    }

    private static Job set(Job j, int at, Piece p) {
        return CutListPane.set(j, at, p);
    }

    private List<Node> arm(int i, Piece.ArmPlate q) {
        return List.of(
                words("Name", "piece-name-" + i, q.name(), 150, (j, t) -> set(j, i, q.withName(t))),
                choice(
                        "Arm",
                        "piece-arm-" + i,
                        List.of(ArmOf.values()),
                        q.of(),
                        ArmOf::label,
                        (j, v) -> set(j, i, q.withOf(v))),
                length("Plate", "piece-thick-" + i, q.thickness(), (j, v) -> set(j, i, q.withThickness(v))),
                length("Hole at its root", "piece-root-" + i, q.rootHole(), (j, v) -> set(j, i, q.withRootHole(v))),
                length("Hole at its end", "piece-end-" + i, q.endHole(), (j, v) -> set(j, i, q.withEndHole(v))),
                length("Metal round them", "piece-margin-" + i, q.margin(), (j, v) -> set(j, i, q.withMargin(v))));
    }

    private List<Node> bracket(Job job, int i, Piece.BearingBracket q) {
        Names names = Names.of(job);
        List<Id> bearings = job.column()
                .map(c -> c.bearings().stream().map(Bearing::id).toList())
                .orElse(List.of());
        List<Id> feet =
                job.surroundings().obstacles().stream().map(Obstacle::id).toList();
        return List.of(
                choice(
                        "Bearing",
                        "piece-bearing-" + i,
                        bearings,
                        q.bearing(),
                        names,
                        (j, v) -> set(j, i, q.withBearing(v))),
                choice("Stands on", "piece-foot-" + i, feet, q.foot(), names, (j, v) -> set(j, i, q.withFoot(v))),
                length("Plate", "piece-thick-" + i, q.thickness(), (j, v) -> set(j, i, q.withThickness(v))),
                length("Foot's width", "piece-width-" + i, q.footWidth(), (j, v) -> set(j, i, q.withFootWidth(v))),
                length("Hole", "piece-hole-" + i, q.hole(), (j, v) -> set(j, i, q.withHole(v))),
                number("Bolts", "piece-bolts-" + i, q.bolts(), (j, v) -> set(j, i, q.withBolts((int) Math.round(v)))),
                length("Bolt circle", "piece-circle-" + i, q.boltCircle(), (j, v) -> set(j, i, q.withBoltCircle(v))),
                length("Bolt holes", "piece-bolt-hole-" + i, q.boltHole(), (j, v) -> set(j, i, q.withBoltHole(v))),
                length("Metal round them", "piece-margin-" + i, q.margin(), (j, v) -> set(j, i, q.withMargin(v))));
    }

    private List<Node> stay(int i, Piece.CopedTube q) {
        List<Node> all = new ArrayList<>(List.of(
                words("Name", "piece-name-" + i, q.name(), 150, (j, t) -> set(j, i, q.withName(t))),
                length(
                        "Outside",
                        "piece-outside-" + i,
                        q.section().outside(),
                        (j, v) -> set(
                                j,
                                i,
                                q.withSection(new Section.Tube(v, q.section().wall())))),
                length(
                        "Wall",
                        "piece-wall-" + i,
                        q.section().wall(),
                        (j, v) -> set(
                                j, i, q.withSection(new Section.Tube(q.section().outside(), v)))),
                length("Axis to axis", "piece-length-" + i, q.length(), (j, v) -> set(j, i, q.withLength(v))),
                number("Left", "piece-left-" + i, q.left(), (j, v) -> set(j, i, q.withLeft((int) Math.round(v)))),
                number("Right", "piece-right-" + i, q.right(), (j, v) -> set(j, i, q.withRight((int) Math.round(v))))));
        for (boolean first : new boolean[] {true, false}) {
            Meeting m = first ? q.from() : q.to();
            String end = first ? "First end" : "Other end";
            String id = (first ? "from-" : "to-") + i;
            BiFunction<Job, Meeting, Job> put =
                    (j, x) -> set(j, i, q.withFrom(first ? x : q.from()).withTo(first ? q.to() : x));
            all.add(length(
                    end + " meets Ø (0 flat)",
                    "piece-into-" + id,
                    m.into(),
                    (j, v) -> put.apply(j, new Meeting(v, m.angleDeg(), m.offset(), m.turnDeg()))));
            all.add(angle(
                    end + ", at",
                    "piece-angle-" + id,
                    m.angleDeg(),
                    (j, v) -> put.apply(j, new Meeting(m.into(), v, m.offset(), m.turnDeg()))));
            all.add(length(
                    end + ", off its middle",
                    "piece-offset-" + id,
                    m.offset(),
                    (j, v) -> put.apply(j, new Meeting(m.into(), m.angleDeg(), v, m.turnDeg()))));
            all.add(angle(
                    end + ", turned",
                    "piece-turn-" + id,
                    m.turnDeg(),
                    (j, v) -> put.apply(j, new Meeting(m.into(), m.angleDeg(), m.offset(), v))));
        }
        return all;
    }

    private List<Node> jig(int i, Piece.CentringJig q) {
        return List.of(
                words("Name", "piece-name-" + i, q.name(), 150, (j, t) -> set(j, i, q.withName(t))),
                length("One shaft", "piece-one-" + i, q.one(), (j, v) -> set(j, i, q.withOne(v))),
                length("Other shaft", "piece-other-" + i, q.other(), (j, v) -> set(j, i, q.withOther(v))),
                length("Length", "piece-length-" + i, q.length(), (j, v) -> set(j, i, q.withLength(v))),
                length("Wall", "piece-wall-" + i, q.wall(), (j, v) -> set(j, i, q.withWall(v))));
    }
}
