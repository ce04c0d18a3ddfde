package mildtilt.app.clearance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidFit;
import mildtilt.geometry.RigidMove;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.job.PointId;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.scan.ScanMeasure;
import mildtilt.scan.ScanShape;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.Quantity;

/** Puts a scan in the vehicle's axes by places on it that are known on the vehicle: three or more, not on one line. */
final class ScanPairsBox extends VBox {

    private final Workbench bench;
    private final LatestTask<Stands> search;
    private final LatestTask<Optional<Floor>> floorSearch;
    private final List<Pair> pairs = new ArrayList<>();
    private Optional<Floor> floor = Optional.empty();
    private Optional<Id> scan = Optional.empty();
    private Optional<Id> point = Optional.empty();
    private Optional<Stands> stands = Optional.empty();

    /** @param onScan in the scan's own axes */
    private record Pair(Id point, Point onScan) {}

    /** @param scan it is of; @param flat in the scan's own axes */
    private record Floor(Id scan, ScanShape.Flat flat) {}

    /** @param apart how far each pair stays apart, mm, in their order; empty of all if they settle no place */
    private record Stands(List<Pair> of, Optional<Floor> floor, Optional<RigidMove> move, List<Double> apart) {}

    ScanPairsBox(Workbench bench) {
        super(4);
        this.bench = bench;
        search = new LatestTask<>(
                s -> {
                    stands = Optional.of(s);
                    refresh();
                },
                problem -> bench.refuse("That could not be worked out: " + problem.getMessage()));
        floorSearch = new LatestTask<>(
                f -> {
                    if (f.isEmpty()) {
                        bench.refuse("Nothing flat is found there: press the floor where it is bare.");
                    }
                    floor = f.filter(x -> Optional.of(x.scan).equals(scan)).or(() -> floor);
                    refresh();
                },
                problem -> bench.refuse("The floor could not be found: " + problem.getMessage()));
    }

    private Optional<Obstacle> obstacle() {
        return scan.flatMap(id -> bench.job().surroundings().obstacles().stream()
                .filter(o -> o.id().equals(id) && o.shape() instanceof Shape.Scan)
                .findFirst());
    }

    private Optional<Point> place = Optional.empty();

    /** @param place that was pressed or typed last, in the vehicle's axes as the scan stands now */
    void show(Obstacle of, Point place) {
        if (!Optional.of(of.id()).equals(scan)) {
            scan = Optional.of(of.id());
            pairs.clear();
            floor = Optional.empty();
            stands = Optional.empty();
        }
        this.place = Optional.of(place);
        refresh();
    }

    private void refresh() {
        getChildren().clear();
        Job job = bench.job();
        Names names = Names.of(job);
        obstacle().ifPresent(o -> {
            List<Id> all = Stream.concat(
                            JobPoints.of(job).stream().map(p -> JobPoints.id(job, p)),
                            job.survey().points().stream().map(SurveyPoint::id))
                    .distinct()
                    .sorted(Comparator.comparing(names))
                    .toList();
            ChoiceBox<Id> which = Choices.of(all, names, "scan-pair-point", "That place is, on the vehicle");
            point.filter(all::contains).ifPresent(which::setValue);
            which.setMaxWidth(190);
            which.valueProperty().addListener((_, _, now) -> point = Optional.ofNullable(now));
            Button pair = new Button("Pair them");
            pair.setId("scan-pair");
            pair.setOnAction(_ -> pair(o));
            getChildren()
                    .addAll(
                            Wrap.text(
                                    "Does it stand right? Three places or more that are known on the vehicle put "
                                            + "it there, or two, such as the wheel centres, and the floor: press "
                                            + "one, and say which point it is.",
                                    "hint"),
                            new FlowPane(6, 4, which, pair, isFloor(o)));
            floor.ifPresent(f -> floorRow());
            for (int i = 0; i < pairs.size(); i++) {
                row(names, i);
            }
            if (pairs.size() >= (floor.isPresent() ? 2 : 3)) {
                Button work = new Button("Work out where it stands");
                work.setId("scan-stands");
                work.setOnAction(_ -> ask());
                FlowPane does = new FlowPane(6, 4, work);
                stands.filter(this::ofNow).ifPresent(s -> does(o, s, does));
                getChildren().add(does);
            }
        });
    }

    private boolean ofNow(Stands s) {
        return s.of.equals(pairs) && s.floor.equals(floor);
    }

    private Button isFloor(Obstacle o) {
        Button b = new Button("It is the floor");
        b.setId("scan-floor");
        b.setOnAction(_ -> place.ifPresent(p -> {
            Shape.Scan of = (Shape.Scan) o.shape();
            Point on = of.place().inverse().moved(p);
            floorSearch.ask(() ->
                    new ScanMeasure(of.mesh()).flat(on, ScanMeasure.USUAL_REACH).map(f -> new Floor(o.id(), f)));
        }));
        return b;
    }

    private void floorRow() {
        listed("The floor, at height 0", "scan-no-floor", "Do not go by the floor", () -> floor = Optional.empty());
    }

    private void row(Names names, int i) {
        String apart = stands.filter(s -> ofNow(s) && !s.apart.isEmpty())
                .map(s -> ": stays " + Quantity.length(s.apart.get(i)).text(bench.lengthUnit()) + " apart")
                .orElse("");
        listed(names.apply(pairs.get(i).point) + apart, "scan-unpair-" + i, "Delete this pair", () -> pairs.remove(i));
    }

    private void listed(String text, String id, String says, Runnable away) {
        Label l = Wrap.text(text, "hint");
        l.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(l, Priority.ALWAYS);
        Button out = new Button("×");
        out.setId(id);
        out.setAccessibleText(says);
        out.setOnAction(_ -> {
            away.run();
            refresh();
        });
        HBox row = new HBox(6, l, out);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(row);
    }

    private void does(Obstacle o, Stands s, FlowPane into) {
        if (s.move.isEmpty()) {
            getChildren()
                    .add(Wrap.text(
                            "These settle no place: they are on one line, or one of them is not measured yet.",
                            "brings"));
            return;
        }
        Button put = new Button("Put the scan there");
        put.setId("scan-put");
        put.setOnAction(_ -> {
            Shape.Scan was = (Shape.Scan) o.shape();
            RigidMove to = s.move.get();
            bench.edit(
                    "Put " + o.name() + " in its place",
                    j -> j.editSurroundings(x -> x.withObstacles(x.obstacles().stream()
                            .map(q -> q.id().equals(o.id()) ? q.withShape(was.standing(to)) : q)
                            .toList())));
        });
        into.getChildren().add(put);
    }

    private void pair(Obstacle o) {
        if (point.isEmpty() || place.isEmpty()) {
            bench.refuse("Press a place on the scan, and choose which point of the vehicle it is.");
            return;
        }
        Point on = ((Shape.Scan) o.shape()).place().inverse().moved(place.get());
        pairs.removeIf(p -> p.point.equals(point.get()));
        pairs.add(new Pair(point.get(), on));
        refresh();
    }

    private void ask() {
        List<Pair> all = List.copyOf(pairs);
        Optional<Floor> on = floor;
        Job job = bench.job();
        search.ask(() -> worked(job, all, on));
    }

    /** A measured point is where it was measured, any other where the plan has it. */
    private static Stands worked(Job job, List<Pair> all, Optional<Floor> floor) {
        Surveyed surveyed = JobPoints.surveyed(job);
        Map<Id, PointId> plan = JobPoints.byId(job);
        List<Point> on = new ArrayList<>();
        List<Point> to = new ArrayList<>();
        for (Pair p : all) {
            Optional<Point> at = Optional.ofNullable(surveyed.places().get(p.point))
                    .map(Surveyed.Place::at)
                    .or(() -> Optional.ofNullable(plan.get(p.point)).map(id -> JobPoints.position(job, id)));
            if (at.isEmpty()) {
                return new Stands(all, floor, Optional.empty(), List.of());
            }
            on.add(p.onScan);
            to.add(at.get());
        }
        Optional<RigidMove> move = floor.isPresent()
                ? RigidFit.onFloor(
                        on, to, floor.get().flat.middle(), floor.get().flat.out())
                : RigidFit.of(on, to);
        List<Double> apart = new ArrayList<>();
        for (int i = 0; move.isPresent() && i < on.size(); i++) {
            apart.add(move.get().moved(on.get(i)).distanceTo(to.get(i)));
        }
        return new Stands(all, floor, move, apart);
    }
}
