package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.PartFields;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.Piece;
import mildtilt.build.Piece.Groove;
import mildtilt.build.Piece.PlateHole;
import mildtilt.build.Piece.TurnedEnd;
import mildtilt.build.Piece.TurnedFit;
import mildtilt.build.ScrewThread;
import mildtilt.build.Section;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Socket;
import mildtilt.column.YokeDimensions;
import mildtilt.describe.JobPlace;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.machined.PartDrawing;
import mildtilt.obstacle.Obstacle;
import mildtilt.parts.PieceParts;
import mildtilt.parts.StockParts;
import mildtilt.report.DrawingTable;
import mildtilt.report.Papers;
import mildtilt.template.FlatPattern;

/** Drawings for the machinist: which there are, one of them drawn with its sizes, and what it is made by. */
final class DrawingsPane extends MakePane {

    /** Paper that a drawing is laid out for on screen, mm: about three dots for one of them. */
    private static final double SCREEN_WIDE = 235;

    private static final double SCREEN_HIGH = 105;
    private static final double DRAWN_HIGH = 360;

    private static final JobPlace PIECES = JobPlace.WHOLE.in("making").in("pieces");

    private final Runnable save;
    private Optional<Id> looked = Optional.empty();

    /** @param save asks for a folder and writes them all */
    DrawingsPane(Workbench bench, PapersDesk desk, Runnable save) {
        super(bench, desk, "make-drawings");
        this.save = save;
        refresh();
    }

    private static boolean drawn(Piece p) {
        return switch (p) {
            case Piece.TurnedShaft _, Piece.BearingHousing _, Piece.AdapterPlate _, Piece.SteadyPost _ -> true;
            case Piece.Length _, Piece.ArmPlate _, Piece.BearingBracket _, Piece.CopedTube _, Piece.CentringJig _ ->
                false;
        };
    }

    @Override
    protected void show(Papers p) {
        Job job = p.analysis().job();
        title(
                "Drawings for the machinist",
                "A shaft in one piece, a bearing's housing, a plate, a steady's post: with sizes, limits, hand "
                        + "and count, as PDF and as DXF at full size.");
        var saving = small("Save all drawings…", "save-drawings", save);
        saving.getStyleClass().add("take-remedy");
        List<Piece> pieces = job.making().pieces();
        List<Integer> mine = IntStream.range(0, pieces.size())
                .filter(i -> drawn(pieces.get(i)))
                .boxed()
                .toList();
        Optional<Integer> now = mine.stream()
                .filter(i -> looked.filter(pieces.get(i).id()::equals).isPresent())
                .findFirst()
                .or(() -> mine.stream().findFirst());
        List<Node> top = new ArrayList<>(List.of(named(" ", adding(job))));
        if (now.isPresent()) {
            top.add(named(
                    "Look at",
                    choiceBox("drawing-look", mine, now, i -> pieces.get(i).name(), i -> {
                        looked = Optional.of(pieces.get(i).id());
                        showAgain();
                    })));
            top.add(named(" ", saving));
        }
        row(top.toArray(Node[]::new));
        if (now.isEmpty()) {
            hint("No drawing yet. Add one above: its sizes come from the job as far as the job knows them.");
            return;
        }
        piece(p, job, now.get());
    }

    private void piece(Papers p, Job job, int at) {
        Piece piece = job.making().pieces().get(at);
        Optional<PartDrawing> drawing = p.machined().drawings().stream()
                .filter(d -> d.piece().equals(piece.id()))
                .findFirst();
        drawing.ifPresentOrElse(
                d -> {
                    say(d.howMany().text(bench.lengthUnit()) + " From "
                            + d.from().text(bench.lengthUnit()) + ".");
                    FlatPattern flat = d.at(d.scaleFor(SCREEN_WIDE, SCREEN_HIGH));
                    add(new PatternDrawing(flat, PartDrawing.round(flat), bench.lengthUnit(), DRAWN_HIGH));
                    d.cautions().forEach(c -> add(Wrap.text("! " + c.text(bench.lengthUnit()), "brings")));
                    d.notes().forEach(n -> say(n.text(bench.lengthUnit())));
                },
                () -> Optional.ofNullable(p.machined().notDrawn().get(piece.id()))
                        .ifPresent(o -> add(Wrap.text("! Not drawn: " + o.text(bench.lengthUnit()), "brings"))));
        head("What it is made by");
        fields(job, at, piece);
        drawing.ifPresent(d -> {
            head("Its sizes");
            table(DrawingTable.of(d), "size", "drawn", "most_mm", "least_mm");
        });
    }

    private void fields(Job job, int at, Piece piece) {
        JobPlace place = PIECES.at(at);
        List<Node> first = new ArrayList<>();
        first.add(words("Name", "drawing-name", piece.name(), 170, (j, t) -> CutListPane.set(j, at, piece.called(t))));
        PartFields.Edit<Piece> edit = (j, change) -> j.editMaking(m -> m.editPiece(at, change));
        switch (piece) {
            case Piece.TurnedShaft q -> {
                first.add(reference(
                        job,
                        "Shaft",
                        "drawing-shaft",
                        job.column()
                                .map(c -> c.shafts().stream().map(s -> s.id()).toList())
                                .orElse(List.of()),
                        q.shaft(),
                        (j, id) -> CutListPane.set(j, at, q.withShaft(id))));
                first.add(choice(
                        "Diameters to",
                        "drawing-fit",
                        List.of(TurnedFit.values()),
                        q.fit(),
                        TurnedFit::label,
                        (j, v) -> CutListPane.set(j, at, q.withFit(v))));
                first.add(choice(
                        "Centres",
                        "drawing-centres",
                        List.of(true, false),
                        q.centres(),
                        v -> v ? "drilled" : "none",
                        (j, v) -> CutListPane.set(j, at, q.withCentres(v))));
            }
            case Piece.BearingHousing q ->
                first.add(bearing(job, q.bearing(), (j, id) -> CutListPane.set(j, at, q.withBearing(id))));
            case Piece.SteadyPost q -> {
                first.add(bearing(job, q.bearing(), (j, id) -> CutListPane.set(j, at, q.withBearing(id))));
                first.add(reference(
                        job,
                        "Tab is fixed to",
                        "drawing-foot",
                        job.surroundings().obstacles().stream()
                                .map(Obstacle::id)
                                .toList(),
                        q.foot(),
                        (j, id) -> CutListPane.set(j, at, q.withFoot(id))));
            }
            case Piece.AdapterPlate _,
                    Piece.Length _,
                    Piece.ArmPlate _,
                    Piece.BearingBracket _,
                    Piece.CopedTube _,
                    Piece.CentringJig _ -> {}
        }
        PartFields.of(place, PieceParts.PIECE, piece, "", edit, "name")
                .forEach(f -> first.add(named(f.label(), f.control(bench, piece.name()))));
        if (piece instanceof Piece.BearingHousing q) {
            PartFields.of(
                            place.in("section"),
                            StockParts.TUBE,
                            q.section(),
                            " of the tube",
                            (j, change) -> CutListPane.set(j, at, q.withSection(change.apply(q.section()))))
                    .forEach(f -> first.add(named(f.label(), f.control(bench, piece.name()))));
        }
        first.add(named(
                " ",
                small(
                        "Delete this drawing",
                        "drawing-delete",
                        () -> make("Take out " + piece.name(), m -> CutListPane.without(m, at)))));
        row(first.toArray(Node[]::new));
        if (piece instanceof Piece.TurnedShaft q) {
            end("Wheel end", place.in("wheel_end"), at, q, q.wheelEnd(), q::withWheelEnd);
            end("Gear end", place.in("gear_end"), at, q, q.gearEnd(), q::withGearEnd);
        }
        if (piece instanceof Piece.AdapterPlate q) {
            holes(place, at, q);
        }
    }

    private void end(
            String title,
            JobPlace place,
            int at,
            Piece.TurnedShaft q,
            TurnedEnd now,
            Function<TurnedEnd, Piece.TurnedShaft> with) {
        head(title);
        List<Node> row = new ArrayList<>();
        PartFields.of(
                        place,
                        PieceParts.TURNED_END,
                        now,
                        "",
                        (j, change) -> CutListPane.set(j, at, with.apply(change.apply(now))))
                .forEach(f -> row.add(named(f.label(), f.control(bench, title + " of " + q.name()))));
        String id = place.key().toString().replace('_', '-');
        if (now.groove().isPresent()) {
            Groove g = now.groove().get();
            PartFields.of(
                            place.in("groove"),
                            PieceParts.GROOVE,
                            g,
                            "",
                            (j, change) ->
                                    CutListPane.set(j, at, with.apply(now.withGroove(Optional.of(change.apply(g))))))
                    .forEach(f -> row.add(named(f.label(), f.control(bench, title + " of " + q.name()))));
            row.add(named(
                    " ",
                    small(
                            "No groove",
                            "drawing-no-groove-" + id,
                            () -> bench.edit(
                                    "No groove at " + title,
                                    j -> CutListPane.set(j, at, with.apply(now.withGroove(Optional.empty())))))));
        } else {
            row.add(named(
                    " ",
                    small(
                            "Groove for a pinch bolt",
                            "drawing-groove-" + id,
                            () -> bench.edit(
                                    "Groove at " + title,
                                    j -> CutListPane.set(
                                            j, at, with.apply(now.withGroove(Optional.of(groove(now.length())))))))));
        }
        row(row.toArray(Node[]::new));
    }

    private void holes(JobPlace place, int at, Piece.AdapterPlate q) {
        head("Holes, from the lower left corner");
        row(
                small(
                        "Add a hole",
                        "drawing-add-hole",
                        () -> with(at, q, List.of(new PlateHole(q.width() / 2, q.height() / 2, 8)))),
                small("Add four on a circle", "drawing-add-circle", () -> with(at, q, circle(q))));
        for (int i = 0; i < q.holes().size(); i++) {
            int hole = i;
            List<Node> row = new ArrayList<>();
            PartFields.of(
                            place.in("holes").at(i),
                            PieceParts.PLATE_HOLE,
                            q.holes().get(i),
                            "",
                            (j, change) -> {
                                List<PlateHole> all = new ArrayList<>(q.holes());
                                all.set(hole, change.apply(all.get(hole)));
                                return CutListPane.set(j, at, q.withHoles(all));
                            })
                    .forEach(f -> {
                        Node field = f.control(bench, "hole " + (hole + 1));
                        field.setId(field.getId() + "-" + hole);
                        row.add(named(f.label(), field));
                    });
            row.add(named(" ", small("Delete", "drawing-hole-out-" + i, () -> {
                List<PlateHole> all = new ArrayList<>(q.holes());
                all.remove(hole);
                bench.edit("Take out a hole", j -> CutListPane.set(j, at, q.withHoles(all)));
            })));
            row(row.toArray(Node[]::new));
        }
    }

    private void with(int at, Piece.AdapterPlate q, List<PlateHole> more) {
        List<PlateHole> all = new ArrayList<>(q.holes());
        all.addAll(more);
        bench.edit("More holes in " + q.name(), j -> CutListPane.set(j, at, q.withHoles(all)));
    }

    /** Between its middle and its nearer edges. */
    private static List<PlateHole> circle(Piece.AdapterPlate q) {
        double r = Math.min(q.width(), q.height()) * 0.3;
        return IntStream.range(0, 4)
                .mapToObj(i -> new PlateHole(
                        q.width() / 2 + r * Math.cos(Math.toRadians(45 + 90.0 * i)),
                        q.height() / 2 + r * Math.sin(Math.toRadians(45 + 90.0 * i)),
                        8))
                .toList();
    }

    private Node bearing(Job job, Id now, BiFunction<Job, Id, Job> set) {
        return reference(
                job,
                "Bearing",
                "drawing-bearing",
                job.column()
                        .map(c -> c.bearings().stream().map(Bearing::id).toList())
                        .orElse(List.of()),
                now,
                set);
    }

    private Node reference(Job job, String label, String id, List<Id> all, Id now, BiFunction<Job, Id, Job> set) {
        return choice(label, id, all, now, Names.of(job), set);
    }

    private MenuButton adding(Job job) {
        MenuButton add = new MenuButton("Add a drawing");
        add.setId("add-drawing");
        job.column().ifPresent(c -> {
            for (int i = 0; i < c.shafts().size(); i++) {
                if (c.shafts().get(i).toCut() && c.shafts().get(i).slide().isEmpty()) {
                    int at = i;
                    add.getItems()
                            .add(item(
                                    c.shafts().get(i).name() + " in one piece",
                                    "add-turned-" + c.shafts().get(i).id(),
                                    name -> turned(c, at, name)));
                }
            }
            c.bearings().stream().findFirst().ifPresent(b -> add.getItems()
                    .add(item("Bearing housing from tube", "add-housing", name -> housing(b, name))));
        });
        add.getItems()
                .add(item(
                        "Adapter plate",
                        "add-adapter",
                        name -> new Piece.AdapterPlate(Id.Kind.PIECE.first(), name, 120, 90, 8, 6, List.of(), 1, 0)));
        Optional<Bearing> bearing =
                job.column().flatMap(c -> c.bearings().stream().findFirst());
        job.surroundings().obstacles().stream()
                .filter(Obstacle::takesBearings)
                .findFirst()
                .or(() -> job.surroundings().obstacles().stream().findFirst())
                .ifPresent(foot -> bearing.ifPresent(b -> add.getItems()
                        .add(item(
                                "Steady post",
                                "add-post",
                                name -> new Piece.SteadyPost(
                                        Id.Kind.PIECE.first(),
                                        name,
                                        b.id(),
                                        foot.id(),
                                        new ScrewThread(12, 1.75, ScrewThread.Hand.RIGHT),
                                        22,
                                        20,
                                        6,
                                        40,
                                        12,
                                        5)))));
        return add;
    }

    private MenuItem item(String name, String id, Function<String, Piece> piece) {
        MenuItem i = new MenuItem(name);
        i.setId(id);
        i.setOnAction(_ -> {
            looked = Optional.of(
                    Id.Kind.PIECE.next(bench.job().making().pieces().stream().map(Piece::id)));
            make("Add: " + name, m -> m.withPiece(piece.apply(CutListPane.free(m, name))));
        });
        return i;
    }

    /** As its forks take it: as long as they are deep, with a groove where a pinch bolt holds it. */
    private static Piece turned(Column c, int shaft, String name) {
        return new Piece.TurnedShaft(
                Id.Kind.PIECE.first(),
                name,
                c.shafts().get(shaft).id(),
                end(c.wheelEndFit(shaft)),
                end(c.gearEndFit(shaft)),
                TurnedFit.H7,
                true,
                0.1);
    }

    private static TurnedEnd end(YokeDimensions fit) {
        double length = Math.max(10, fit.engagement() + 2);
        return new TurnedEnd(
                length,
                0,
                fit.socket()
                        .filter(s -> s.hold() == Socket.Retention.PINCH_BOLT && fit.engagement() >= 12)
                        .map(_ -> groove(fit.engagement())));
    }

    /** For a usual pinch bolt, in the middle. */
    private static Groove groove(double engaged) {
        return new Groove(engaged / 2, Math.min(8, engaged / 2), 2);
    }

    /** Of a tube that is bored for a usual bearing of this bore. */
    private static Piece housing(Bearing b, String name) {
        double outside = Math.rint(b.bore() * 2 + 4);
        return new Piece.BearingHousing(
                Id.Kind.PIECE.first(),
                name,
                b.id(),
                outside,
                Math.rint(b.bore() * 0.7),
                new Section.Tube(outside + 10, 6),
                Math.rint(b.bore() * 0.7) + 6,
                3,
                8,
                24,
                1,
                8.5,
                1,
                0);
    }
}
