package mildtilt.app.workbench;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import mildtilt.catalogue.Catalogue;
import mildtilt.clearance.FreeSpace;
import mildtilt.clearance.PairGap;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.column.ColumnTrain;
import mildtilt.describe.RangeCheck;
import mildtilt.drawing.Sketch;
import mildtilt.findings.Finding;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.job.Change;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.obstacle.Obstacle;
import mildtilt.parts.JobParts;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.LengthUnit;
import org.jspecify.annotations.Nullable;

/**
 * What is open and how it is looked at: the one thing every view reads and every command changes. Used on
 * the interface thread only.
 */
public final class Workbench implements AutoCloseable {

    /** A sentence for the user, and whether it reports a refusal. */
    public record Message(String text, boolean refusal) {}

    private final ReadOnlyObjectWrapper<Job> job;
    private final ReadOnlyObjectWrapper<Optional<AnalysisUpdate>> worked =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper working = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<Optional<Path>> file = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<SteeringInput> hands =
            new ReadOnlyObjectWrapper<>(SteeringInput.STRAIGHT_AHEAD);
    private static final int MOST_LOOKED_AT = 2;

    private final ObjectProperty<Optional<Element>> selection = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Point>> pressedPlace = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<LengthUnit> lengthUnit = new SimpleObjectProperty<>(LengthUnit.MM);
    private final ObjectProperty<WorkStage> stage = new SimpleObjectProperty<>(WorkStage.COLUMN);
    private final ObjectProperty<ViewChoice> view = new SimpleObjectProperty<>(ViewChoice.SIDE);
    private final BooleanProperty travelTogether = new SimpleBooleanProperty();
    private final BooleanProperty dockFolded = new SimpleBooleanProperty();
    private final ObjectProperty<Optional<Finding>> askedFinding = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Spotlight>> spotlight = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<CompareWith> compared = new SimpleObjectProperty<>(CompareWith.LAST_CHANGE);
    private final ObjectProperty<Catalogue> ownParts = new SimpleObjectProperty<>(Catalogue.NONE);
    private Predicate<UnaryOperator<Catalogue>> partsKeeper = edit -> {
        ownParts.set(edit.apply(ownParts.get()));
        return true;
    };
    private final ObjectProperty<Catalogue> catalogue = new SimpleObjectProperty<>(CatalogueFile.shipped());
    private final ObjectProperty<SideTab> sideTab = new SimpleObjectProperty<>(SideTab.FINDINGS);
    private final ObjectProperty<Optional<Ghost>> ghost = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<PictureBehind>> pictureBehind = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Room>> room = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<PairGap>> shownGap = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Message> message = new SimpleObjectProperty<>(new Message("", false));
    private final ObjectProperty<MakeSheet> makeSheet = new SimpleObjectProperty<>(MakeSheet.CUT_LIST);
    private final ObjectProperty<TrialSheetChoice> fitSheet = new SimpleObjectProperty<>(TrialSheetChoice.BENCH);
    private final ReadOnlyObjectWrapper<Integer> openings = new ReadOnlyObjectWrapper<>(0);
    private final ObjectProperty<Optional<String>> asked = new SimpleObjectProperty<>(Optional.empty());
    private final History history = new History();
    private final Clock clock;
    private final AnalysisRunner runner;
    private SteeringTrain train;
    private @Nullable PosedJob posed;
    private Job opened;
    private Optional<Job> saved;
    private Optional<Job> pinned = Optional.empty();
    private Optional<Job> dragStart = Optional.empty();
    /** Whose remedies are looked at, the latest last; two lists of findings may each have a row open. */
    private final List<Finding> looked = new ArrayList<>();

    /** Whether the last analysis was to include the remedies' effects. */
    private boolean effectsAsked;

    public Workbench(Job first) {
        this(first, Clock.systemDefaultZone());
    }

    /** @param clock that changes are dated by */
    public Workbench(Job first, Clock clock) {
        this.clock = clock;
        job = new ReadOnlyObjectWrapper<>(first);
        train = new SteeringTrain(first);
        opened = first;
        saved = Optional.of(first);
        runner = new AnalysisRunner(w -> worked.set(Optional.of(w)), this::analysisFailed, working::set);
        compared.addListener((_, _, _) -> requestAnalysis());
        catalogue.addListener((_, _, _) -> requestAnalysis());
        stage.addListener((_, _, now) -> {
            if (now == WorkStage.SURVEY
                    && sideTab.get() != SideTab.UNCERTAINTY
                    && sideTab.get() != SideTab.PHOTOGRAPHS) {
                sideTab.set(SideTab.READINGS);
            } else if (!sideTab.get().belongsTo(now)) {
                sideTab.set(SideTab.FINDINGS);
            }
            findingsShown();
        });
        sideTab.addListener((_, _, _) -> findingsShown());
        requestAnalysis();
    }

    /** Changes whenever another document is put on the bench. */
    public ReadOnlyObjectProperty<Integer> openedProperty() {
        return openings.getReadOnlyProperty();
    }

    /** The term or figure to show in the glossary; empty text for all terms. Cleared once shown. */
    public ObjectProperty<Optional<String>> glossaryTermProperty() {
        return asked;
    }

    public ReadOnlyObjectProperty<Job> jobProperty() {
        return job.getReadOnlyProperty();
    }

    public Job job() {
        return job.get();
    }

    /** What the background last worked out; while a point is dragged it may lag a moment behind the job. */
    public ReadOnlyObjectProperty<Optional<AnalysisUpdate>> analysisProperty() {
        return worked.getReadOnlyProperty();
    }

    /** Whether figures are being worked out. */
    public ReadOnlyBooleanProperty analysingProperty() {
        return working.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Optional<Path>> fileProperty() {
        return file.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<SteeringInput> steeringInputProperty() {
        return hands.getReadOnlyProperty();
    }

    public SteeringInput steeringInput() {
        return hands.get();
    }

    public ObjectProperty<Optional<Element>> selectionProperty() {
        return selection;
    }

    /** The place on a solid that was pressed last, in the vehicle's axes. */
    public ObjectProperty<Optional<Point>> pressedPlaceProperty() {
        return pressedPlace;
    }

    public ObjectProperty<LengthUnit> lengthUnitProperty() {
        return lengthUnit;
    }

    public LengthUnit lengthUnit() {
        return lengthUnit.get();
    }

    public ObjectProperty<WorkStage> stageProperty() {
        return stage;
    }

    /** Whether both wheels travel together when either lever is moved. */
    public BooleanProperty travelTogetherProperty() {
        return travelTogether;
    }

    /** Which drawing fills the view. */
    public ObjectProperty<ViewChoice> viewProperty() {
        return view;
    }

    /** Whether the dock with the steering wheel and the curves is folded to one line. */
    public BooleanProperty dockFoldedProperty() {
        return dockFolded;
    }

    /** A place the drawing is to zoom to. @param around points that are to be in sight */
    public record Spotlight(List<Point> around) {}

    /** Set to send the drawing to a place; a new one each time, so that the same place works again. */
    public ObjectProperty<Optional<Spotlight>> spotlightProperty() {
        return spotlight;
    }

    /** A finding to open in the list; set again at each request. */
    public ObjectProperty<Optional<Finding>> requestedFindingProperty() {
        return askedFinding;
    }

    /** Selects a part and shows its sizes in the side panel; nothing selected shows those of the vehicle. */
    public void showPart(Optional<Element> part) {
        selection.set(part);
        boolean listed =
                part.orElse(null) instanceof Element.InTheWay || part.orElse(null) instanceof Element.AtTheWheel;
        if (SideTab.PART.belongsTo(stage.get())
                && !(listed && sideTab.get() == SideTab.OBSTACLES)
                && part.isPresent()) {
            sideTab.set(SideTab.PART);
        }
    }

    /** Which of the papers the Make stage shows. */
    public ObjectProperty<MakeSheet> makeSheetProperty() {
        return makeSheet;
    }

    /** Which of its sheets the Fit stage shows. */
    public ObjectProperty<TrialSheetChoice> trialSheetProperty() {
        return fitSheet;
    }

    /** What stands at the side. */
    public ObjectProperty<SideTab> sideTabProperty() {
        return sideTab;
    }

    /** Parts of the user's own; they are in the catalogue too. */
    public ObjectProperty<Catalogue> ownPartsProperty() {
        return ownParts;
    }

    /** Who keeps the user's own parts and says whether it did; until then they last as long as the window. */
    public void keepPartsBy(Predicate<UnaryOperator<Catalogue>> keeper) {
        partsKeeper = keeper;
    }

    /** Changes the user's own parts, which stay between jobs. @return false if they could not be kept, which is said */
    public boolean editOwnParts(UnaryOperator<Catalogue> edit) {
        return partsKeeper.test(edit);
    }

    /**
     * The generic parts that elements are swapped for and that remedies draw on: the shipped ones, or the user's own.
     */
    public ObjectProperty<Catalogue> catalogueProperty() {
        return catalogue;
    }

    /** A route that is looked at and not taken. @param of the job it was found for */
    public record Ghost(Job of, List<Point> points) {}

    public ObjectProperty<Optional<Ghost>> ghostProperty() {
        return ghost;
    }

    /** The ghost, as long as the job is the one it was found for. */
    public Optional<List<Point>> ghost() {
        return ghost.get().filter(g -> g.of == job()).map(Ghost::points);
    }

    /** The photograph that lies behind one of the elevations; empty if none does. */
    public ObjectProperty<Optional<PictureBehind>> pictureBehindProperty() {
        return pictureBehind;
    }

    /** How far an obstacle may go, as found. @param of the job it was found for */
    public record Room(Job of, Obstacle thing, FreeSpace space) {}

    public ObjectProperty<Optional<Room>> roomProperty() {
        return room;
    }

    /** The room of the selected obstacle, as long as the job is the one it was found for. */
    public Optional<Room> room() {
        return room.get()
                .filter(r -> r.of == job()
                        && selection
                                .get()
                                .equals(Optional.of(new Element.InTheWay(
                                        job().surroundings().obstacles().indexOf(r.thing)))));
    }

    /** A pair whose smallest gap is being looked at. */
    public ObjectProperty<Optional<PairGap>> shownGapProperty() {
        return shownGap;
    }

    /** The pair shown, while the steering is where its gap is smallest. */
    public Optional<PairGap> shownGap() {
        return shownGap.get().filter(p -> hands.get()
                .equals(within(new SteeringInput(
                        p.where().steeringWheelDeg(),
                        p.where().travelLeft(),
                        p.where().travelRight()))));
    }

    /** Moves the steering to where a pair is closest. */
    public void lookAt(PairGap pair) {
        shownGap.set(Optional.empty());
        steerTo(new SteeringInput(
                pair.where().steeringWheelDeg(),
                pair.where().travelLeft(),
                pair.where().travelRight()));
        shownGap.set(Optional.of(pair));
    }

    public ObjectProperty<CompareWith> comparedProperty() {
        return compared;
    }

    public ObjectProperty<Message> messageProperty() {
        return message;
    }

    public void say(String text) {
        message.set(new Message(text, false));
    }

    public void refuse(String text) {
        message.set(new Message(text, true));
    }

    /** The present job made ready to be turned. */
    public SteeringTrain train() {
        return train;
    }

    /** The column as it stands now: one whose gear is on the axle follows it. */
    public Optional<ColumnTrain> columnNow() {
        return posed().column();
    }

    /** The axle at the current position, if the job has one. */
    public Optional<AxlePose> pose() {
        return posed().pose();
    }

    /** The job as lines in space at the current position: worked out once for all views. */
    public Sketch sketch() {
        return posed().sketch();
    }

    /** The parts as solids at the current position. */
    public List<VehicleSolids.Part> parts() {
        return posed().parts();
    }

    private PosedJob posed() {
        if (posed == null || !posed.isOf(train, hands.get())) {
            posed = PosedJob.of(job(), train, hands.get(), Optional.ofNullable(posed));
        }
        return posed;
    }

    /** Puts another document on the bench, and forgets the history of the one before. */
    public void open(Job job, Optional<Path> from) {
        history.clear();
        pinned = Optional.empty();
        dragStart = Optional.empty();
        opened = job;
        saved = Optional.of(job);
        file.set(from);
        hands.set(SteeringInput.STRAIGHT_AHEAD);
        selection.set(Optional.empty());
        compared.set(CompareWith.LAST_CHANGE);
        say("");
        put(job);
        openings.set(openings.get() + 1);
    }

    /** Marks the document on the bench as not saved anywhere, as one that was recovered is. */
    public void markUnsaved() {
        saved = Optional.empty();
    }

    public void savedAs(Path path) {
        saved = Optional.of(job());
        file.set(Optional.of(path));
    }

    public boolean unsaved() {
        return saved.isEmpty() || !saved.get().equals(job());
    }

    /**
     * Changes the job. If the result is impossible, the job stays as it is and the reason is shown.
     *
     * @return whether it was changed
     */
    public boolean edit(String change, UnaryOperator<Job> edit) {
        return edit(change, "", edit);
    }

    /** @param why it is changed, for the log */
    public boolean edit(String change, String why, UnaryOperator<Job> edit) {
        Job before = job();
        Optional<Job> after = attempt(edit);
        if (after.isEmpty() || after.get().equals(before) || !fitsFile(after.get())) {
            return false;
        }
        history.did(before, change);
        put(logged(before, after.get(), change, why));
        say(change);
        return true;
    }

    /**
     * With the change written into the job, unless it is itself something written down: a step ticked, a reading taken,
     * a reason given.
     */
    private Job logged(Job before, Job after, String change, String why) {
        Job apart = after.editMaking(m -> m.withPlan(before.making().plan())
                        .withWelds(before.making().welds()))
                .withLog(before.log())
                .withChanges(before.changes());
        return apart.equals(before)
                ? after
                : after.after(
                        new Change(LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS), cut(change), cut(why)));
    }

    private static String cut(String text) {
        return text.substring(0, Math.min(text.length(), 500));
    }

    /** A size no job file may hold, such as a joint that allows 400 degrees, is refused when it is typed. */
    private boolean fitsFile(Job after) {
        Optional<String> fault = RangeCheck.fault(JobParts.JOB, after);
        fault.ifPresent(f -> refuse("That is not possible. " + f + " Nothing was changed."));
        return fault.isEmpty();
    }

    private Optional<Job> attempt(UnaryOperator<Job> edit) {
        try {
            Job after = edit.apply(job());
            new SteeringTrain(after);
            return Optional.of(after);
        } catch (ImpossibleGeometryException e) {
            refuse("That is not possible. " + e.getMessage() + " Nothing was changed.");
            return Optional.empty();
        }
    }

    /** Starts a drag: what follows until {@link #endDrag} is one change. */
    public void beginDrag() {
        dragStart = Optional.of(job());
    }

    /** One step of a drag, from the job it started with. */
    public void drag(UnaryOperator<Job> fromStart) {
        dragStart.flatMap(start -> attempt(_ -> fromStart.apply(start))).ifPresent(this::put);
    }

    public void endDrag(String change) {
        Optional<Job> start = dragStart;
        dragStart = Optional.empty();
        if (start.isPresent() && !start.get().equals(job())) {
            if (!fitsFile(job())) {
                put(start.get());
                return;
            }
            history.did(start.get(), change);
            put(logged(start.get(), job(), change, ""));
            say(change);
        } else {
            // What the remedies would do was not worked out on the way.
            start.ifPresent(this::put);
        }
    }

    /** Gives a drag up: the job is as it was before. */
    public void cancelDrag() {
        dragStart.ifPresent(start -> {
            dragStart = Optional.empty();
            put(start);
        });
    }

    public boolean dragging() {
        return dragStart.isPresent();
    }

    public Optional<String> undoable() {
        return history.lastChange().map(History.Step::change);
    }

    public Optional<String> redoable() {
        return history.nextChange().map(History.Step::change);
    }

    public void undo() {
        Optional<String> change = undoable();
        history.back(job()).ifPresent(j -> {
            put(j);
            say("Undone: " + change.orElse(""));
        });
    }

    public void redo() {
        Optional<String> change = redoable();
        history.forward(job()).ifPresent(j -> {
            put(j);
            say("Done again: " + change.orElse(""));
        });
    }

    /** Keeps the present job to compare with. */
    public void pin() {
        pinned = Optional.of(job());
        compared.set(CompareWith.PINNED);
        requestAnalysis();
        say("Marked. Changes from here on are compared with the job as it is now.");
    }

    /** The job that changes are compared with: the saved mark, else as opened. */
    public Job editedPart() {
        return pinned.orElse(opened);
    }

    private Optional<Job> before() {
        return switch (compared.get()) {
            case LAST_CHANGE -> dragStart.or(() -> history.lastChange().map(History.Step::job));
            case OPENED -> Optional.of(opened);
            case PINNED -> pinned.or(() -> Optional.of(opened));
        };
    }

    /** Figures of another job must not stand beside this one. */
    private void analysisFailed(String why) {
        worked.set(Optional.empty());
        refuse(why);
    }

    private void put(Job j) {
        // What is drawn anew for that is still the job before: its parts must not be kept as this one's.
        shownGap.set(Optional.empty());
        train = new SteeringTrain(j);
        job.set(j);
        hands.set(within(hands.get()));
        requestAnalysis();
    }

    private void requestAnalysis() {
        effectsAsked = dragStart.isEmpty() && findingsSeen();
        runner.request(
                job(), before(), catalogue.get(), effectsAsked ? looked : List.of(), sideTab.get() == SideTab.RANGE);
    }

    /** What a finding's remedies would do is wanted from now on, until others are looked at. */
    public void lookAtRemedies(Finding finding) {
        boolean known = looked.removeIf(f -> f.same(finding) && f.element().equals(finding.element()));
        looked.add(finding);
        if (looked.size() > MOST_LOOKED_AT) {
            looked.removeFirst();
        }
        if (!known || !effectsAsked) {
            requestAnalysis();
        }
    }

    /** Whether remedy effects are visible: they take many times as long as the rest, so they are computed only then. */
    public boolean findingsSeen() {
        return (sideTab.get() == SideTab.FINDINGS || sideTab.get() == SideTab.PART) && stage.get() != WorkStage.TRIAL;
    }

    private void findingsShown() {
        // What stands in the notes now may be of another job, and what is under way may leave the effects out.
        if (findingsSeen() && !effectsAsked) {
            requestAnalysis();
        }
    }

    /** Moves the steering and the wheels, no further than the gear and the travel allow. */
    public void steerTo(SteeringInput to) {
        hands.set(within(to));
    }

    private SteeringInput within(SteeringInput h) {
        return h.within(train, job().vehicle(), wheelTravel(), hands.get());
    }

    /** How the wheels of the job on the bench can travel. */
    public WheelTravel wheelTravel() {
        return job().axle().map(SteeredAxle::wheelTravel).orElse(WheelTravel.FREE);
    }

    @Override
    public void close() {
        runner.close();
    }
}
