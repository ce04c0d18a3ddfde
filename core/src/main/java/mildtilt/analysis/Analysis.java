package mildtilt.analysis;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Predicate;
import java.util.stream.Stream;
import mildtilt.catalogue.Catalogue;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.Clearances;
import mildtilt.clearance.FreeSpace;
import mildtilt.column.Column;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.findings.checks.Checks;
import mildtilt.findings.checks.NotJudged;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.PartLoad;
import mildtilt.shop.RodFigures;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap;
import mildtilt.travel.Bound;
import mildtilt.travel.Bounds;
import mildtilt.travel.HeldTravel;
import mildtilt.travel.TravelFigures;

/**
 * Everything worked out of one job. A part that fails is empty, and a finding says so.
 *
 * @param train ready to be turned to any position
 * @param column empty without a column
 * @param steer empty without an axle, or with a joint locked
 * @param match gear against knuckle arms, where anything but the gear ends the lock
 * @param clearance empty where the wheels can't be assembled anywhere
 * @param travel how far the wheels may travel and what ends it; all else is judged over what straps and bump stops
 *     leave
 * @param parts how hard what is made or bought for the linkage works
 * @param findings gravest first
 * @param notJudged and what is missing for it: what is in neither list was checked and is good
 * @param catalogue whose parts the remedies may name
 */
public record Analysis(
        Job job,
        SteeringTrain train,
        Optional<ColumnFigures> column,
        Optional<SteerFigures> steer,
        Optional<TravelMap> map,
        Optional<ArmMatch> match,
        Optional<ClearanceFigures> clearance,
        Optional<TravelFigures> travel,
        Headlines headlines,
        BenchSheet bench,
        List<PartLoad> parts,
        List<Finding> findings,
        List<NotJudged> notJudged,
        Catalogue catalogue) {

    /**
     * Where an obstacle could be put instead, over the travel that is left; takes a second or two. Empty where it is
     * not on the frame as a whole, or the wheels can't be assembled.
     */
    public Optional<FreeSpace> freeSpace(Id obstacle) {
        return FreeSpace.of(travel.map(t -> t.held().held(job)).orElse(job), obstacle);
    }

    /** With no catalogue to name parts of. */
    public static Analysis of(Job job) {
        return of(job, Grid.USUAL, Catalogue.NONE);
    }

    /** With no catalogue to name parts of. */
    public static Analysis of(Job job, Grid grid) {
        return of(job, grid, Catalogue.NONE);
    }

    /** @throws mildtilt.geometry.ImpossibleGeometryException if a rod or arm has no length */
    public static Analysis of(Job job, Grid grid, Catalogue catalogue) {
        return of(job, grid, catalogue, Optional.empty());
    }

    /** Whether another job has the same gaps: nothing is changed that they hang on. */
    public boolean sharesGaps(Job next) {
        return job.plan().equals(next.plan()) && job.surroundings().equals(next.surroundings());
    }

    /** Of another job, on the usual grid; its gaps are this one's where it shares them. */
    public Analysis ofNext(Job next) {
        return of(next, Grid.USUAL, catalogue, sharesGaps(next) ? Optional.of(this) : Optional.empty());
    }

    /** @param like whose gaps serve; empty to have them worked out */
    private static Analysis of(Job whole, Grid grid, Catalogue catalogue, Optional<Analysis> like) {
        SteeringTrain train = new SteeringTrain(whole);
        GuardedAnalysis w = new GuardedAnalysis();
        HeldTravel held = w.attempt(
                "What straps and bump stops leave of the travel",
                new Element.Knuckles(),
                () -> HeldTravel.of(whole, train),
                HeldTravel.stated(whole));
        Job job = held.held(whole);
        // Gone through beside all else: it takes as long as the rest together.
        CompletableFuture<Optional<ClearanceFigures>> room = CompletableFuture.supplyAsync(() -> w.attempt(
                "The gaps",
                new Element.Knuckles(),
                () -> like.map(Analysis::clearance).orElseGet(() -> Clearances.of(job, train)),
                Optional.empty()));
        Optional<ColumnFigures> column = w.attempt(
                "The column",
                new Element.Wheel(),
                () -> job.column().map(_ -> ColumnFigures.of(job)),
                Optional.empty());
        Optional<SteerFigures> steer = w.attempt(
                "How it steers", new Element.GearElement(), () -> SteerSweep.of(train, job, grid), Optional.empty());
        Optional<TravelMap> map = w.attempt(
                "What limits steering over the travel",
                new Element.Knuckles(),
                () -> TravelMap.of(train, job, grid, ended(job, train)),
                Optional.empty());
        Optional<ArmMatch> match = w.attempt(
                "How the gear suits the arms",
                new Element.GearElement(),
                () -> steer.flatMap(s -> ArmMatch.of(train, job, s)),
                Optional.empty());
        BenchSheet bench =
                w.attempt("The bench sheet", new Element.Wheel(), () -> BenchSheet.of(job, train), BenchSheet.EMPTY);
        List<PartLoad> parts = w.attempt(
                "The loads on the linkage's parts",
                new Element.TieRods(),
                () -> PartLoad.of(
                        job, steer.map(SteerFigures::rodLoads).orElse(List.of()), RodFigures.of(job, train.axle())),
                List.of());
        Optional<ClearanceFigures> clearance = joined(room);
        Optional<TravelFigures> travel = w.attempt(
                "How far the wheels may travel",
                new Element.Knuckles(),
                () -> TravelFigures.of(whole, train, held, clearance),
                Optional.empty());
        Headlines headlines = w.attempt(
                "The headline figures",
                new Element.GearElement(),
                () -> Headlines.of(new FigureOrigins(train.column(), steer, map, match, clearance)),
                Headlines.NONE);
        List<NotJudged> notJudged = w.attempt(
                "What was not judged",
                new Element.Wheel(),
                () -> NotJudged.of(job, column, steer, clearance),
                List.of());
        List<Finding> findings =
                Checks.of(job, train, column, steer, map, match, clearance, travel, parts, catalogue, w);
        return new Analysis(
                whole, train, column, steer, map, match, clearance, travel, headlines, bench, parts, findings,
                notJudged, catalogue);
    }

    private static Predicate<AxlePose> ended(Job job, SteeringTrain train) {
        List<Bound> bounds = Bounds.of(job, train);
        return pose -> bounds.stream().anyMatch(b -> b.ends(pose));
    }

    /**
     * Whether two jobs differ in nothing that takes up room or ends the lock: their rules may be others, or their forks
     * be clocked otherwise, which shifts a little at which turn of the wheel each gap is smallest.
     */
    private static boolean sameRoom(Job a, Job b) {
        return a.vehicle().equals(b.vehicle())
                && a.targets().equals(b.targets())
                && a.axle().equals(b.axle())
                && a.surroundings().equals(b.surroundings())
                && a.column().map(Analysis::unclocked).equals(b.column().map(Analysis::unclocked));
    }

    private static Column unclocked(Column c) {
        return c.withFirstForkDeg(0)
                .withTrain(
                        c.shafts().stream()
                                .map(s -> s.withClockingDeg(0).withIndexDeg(0))
                                .toList(),
                        c.joints(),
                        c.bearings());
    }

    private static <T> T joined(CompletableFuture<T> task) {
        try {
            return task.join();
        } catch (CompletionException e) {
            // Whatever else goes wrong there is a finding already.
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw e;
        }
    }

    /** The worst found at one element. */
    public Severity stateOf(Element element) {
        return findings.stream()
                .filter(f -> f.element().equals(element))
                .map(Finding::severity)
                .reduce(Severity.FINE, Severity::worse);
    }

    public Effect effectOf(Remedy remedy) {
        try {
            return effectOf(remedy.edit().apply(job));
        } catch (ImpossibleGeometryException e) {
            return Effect.NONE;
        }
    }

    /** What it would do to make the job so. */
    public Effect effectOf(Job changed) {
        try {
            // Gaps that serve, if not to the last hair, are left out of what changes.
            boolean gaps = !sameRoom(job, changed);
            Analysis after = of(changed, Grid.USUAL, catalogue, gaps ? Optional.empty() : Optional.of(this));
            return new Effect(
                    headlines.against(after.headlines).stream()
                            .filter(c -> gaps || c.headline() != Headline.GAP)
                            .toList(),
                    // Named after the parts of the changed job: this one may not have them.
                    after.stops()
                            .filter(f -> stops().noneMatch(f::same))
                            .map(f -> f.titled(f.headline(changed)))
                            .toList());
        } catch (ImpossibleGeometryException e) {
            return Effect.NONE;
        }
    }

    private Stream<Finding> stops() {
        return findings.stream().filter(f -> f.severity() == Severity.STOP);
    }
}
