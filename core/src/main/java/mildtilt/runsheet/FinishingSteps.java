package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.column.Socket.Retention;
import mildtilt.geometry.Side;
import mildtilt.shop.ReachedByHeat;
import mildtilt.steer.SteerFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** The trial, welds for good, and the last looks. */
final class FinishingSteps extends Steps {

    FinishingSteps(StepList.Basis basis, List<RunStep> steps) {
        super(basis, steps);
    }

    void all() {
        trial();
        finish();
    }

    private boolean welded() {
        boolean forks = b.job().column().stream().anyMatch(c -> c.joints().stream()
                .anyMatch(j -> welded(j.wheelSide().socket().map(s -> s.hold()))
                        || welded(j.gearSide().socket().map(s -> s.hold()))));
        return forks
                || b.joins().stream().anyMatch(j -> j.join().school().welded())
                || !b.job().making().welds().isEmpty()
                || brackets()
                || !b.notches().isEmpty()
                || b.rods().stream().anyMatch(r -> r.makeUp().body().kind() == RodMakeUp.BodyKind.BUNGS);
    }

    private static boolean welded(Optional<Retention> hold) {
        return hold.filter(h -> h == Retention.WELD).isPresent();
    }

    private boolean brackets() {
        return b.job().making().pieces().stream()
                .anyMatch(p -> p instanceof Piece.BearingBracket
                        || p instanceof Piece.CopedTube
                        || p instanceof Piece.BearingHousing);
    }

    private void trial() {
        List<Phrase> m = new ArrayList<>();
        b.steer().ifPresent(s -> {
            for (Side side : Side.values()) {
                SteerFigures.Lock lock = s.locks().get(side);
                if (lock != null) {
                    m.add(Phrase.of(
                            "Full " + side.label() + " lock: inner wheel {0}, outer {1}.",
                            Quantity.angle(Math.abs(lock.turn().innerDeg())),
                            Quantity.angle(Math.abs(lock.turn().outerDeg()))));
                }
            }
        });
        b.tightest()
                .ifPresent(p -> m.add(Phrase.of(
                        "Tightest: " + Phrase.name(p.first()) + " to " + Phrase.name(p.second()) + ", {0}.",
                        Quantity.length(p.gap()))));
        m.add(Phrase.of("Steering wheel left, both road wheels left. Straight ahead it comes back even."));
        step(
                "trial",
                "Trial: lock to lock at full bump, ride height and full droop",
                2,
                0,
                "jack under each hub in turn, feeler strips, turn plates",
                List.of(
                        need("toe", "it is tried as it will run"),
                        need("stops", "the stops end the lock, not the gear"),
                        need("shafts", "the whole train is in"),
                        need("rods", "both wheels are held"),
                        need("hoses", "they must clear it, too")),
                m,
                List.of(Cautions.STANDS));
        proven(
                "one hub on a jack at a time, springs out",
                Phrase.of("Nothing binds, nothing touches, and a strip as thick as the gap wanted goes through."));
        step(
                "witness",
                "Show the trial to someone other than yourself",
                0.5,
                0,
                "",
                List.of(need("trial", "there is something to show")),
                List.of(),
                List.of());
        proven("", Phrase.of("They have turned it lock to lock themselves."));
    }

    private void finish() {
        if (welded()) {
            step(
                    "ask",
                    "Ask the authority what welds it takes, by whom, and how tested",
                    0.5,
                    3,
                    "",
                    List.of(),
                    List.of(Phrase.of("This job is judged by \""
                            + Phrase.name(b.job().rules().name()) + "\": welded shafts "
                            + b.job().rules().welding().label() + ".")),
                    List.of(Cautions.QUALIFIED));
            proven("", Phrase.of("Written down: which welds, by whom, how tested."));
            step(
                    "strip",
                    "Take bearings, joints, boots and seals off",
                    1.5,
                    0,
                    "",
                    List.of(need("witness", "what is welded can't be moved any more")),
                    heat(),
                    List.of(Cautions.HEAT));
            proven("", Phrase.of("No plastic, rubber or grease is left where a weld's heat goes."));
            step(
                    "weld",
                    "Weld for good",
                    4,
                    1,
                    "preheat, crayons or probe, record sheet",
                    List.of(
                            need("strip", "heat and current ruin them"),
                            need("ask", "some welds may not be made at all"),
                            need("trial", "full travel first: a foul found after costs the part")),
                    b.job().making().welds().stream()
                            .map(w -> Phrase.of(
                                    w.piece()
                                            + ": {0} before the arc, no more than {1} between runs, then cooling "
                                            + "by no more than "
                                            + Math.round(w.coolPerHour()) + " °C an hour.",
                                    Quantity.temperature(w.preheat()),
                                    Quantity.temperature(w.mostBetween())))
                            .toList(),
                    List.of(Cautions.QUALIFIED, Cautions.CURRENT, Cautions.SEALED, Cautions.ZINC));
            proven(
                    "tacked in place or in a jig, the train free to turn",
                    Phrase.of("Run-out, clocking and rod lengths are as before the weld."));
            step(
                    "test",
                    "Have the welds inspected or tested",
                    1,
                    5,
                    "",
                    List.of(need("weld", "cold, and not before")),
                    List.of(),
                    List.of(Cautions.QUALIFIED));
            proven("", Phrase.of("A report with a name and a day."));
        }
        step(
                "lock",
                "Put it together for good; lock every fastener and mark it with paint",
                3,
                0,
                "torque wrench, new prevailing-torque nuts, split pins, wire, compound",
                List.of(
                        need("test", "a weld that fails comes out again"),
                        need("witness", "the trial was seen"),
                        need("strip", "what came off goes on again")),
                List.of(Phrase.of(b.job().rules().locking())),
                List.of());
        proven("", Phrase.of("Every fastener is at its torque and has its paint mark."));
        step(
                "again",
                "Trial once more, full travel, both locks, engine hot and cold side",
                1,
                0,
                "",
                List.of(need("lock", "as it will be driven")),
                List.of(),
                List.of(Cautions.STANDS));
        proven("one hub on a jack at a time, springs out", Phrase.of("Locks, gaps and toe are as at the first trial."));
        step(
                "inspect",
                "Have it inspected where the law wants it, and by someone else in any case",
                1,
                3,
                "job book",
                List.of(need("again", "it is whole")),
                List.of(),
                List.of(Cautions.NOT_DRIVEN));
        proven("", Phrase.of("Their name and the day."));
        step(
                "drive",
                "First drive, slow, off the road; then check every fastener again",
                1.5,
                0,
                "",
                List.of(need("inspect", "nothing is driven until checked")),
                List.of(),
                List.of(Cautions.NOT_DRIVEN));
        proven("", Phrase.of("No paint mark has moved, and it comes back to straight ahead by itself."));
    }

    /** What forks that are welded on get too hot. */
    private List<Phrase> heat() {
        List<Phrase> all = new ArrayList<>();
        b.job().column().ifPresent(c -> {
            for (int i = 0; i < c.shafts().size(); i++) {
                for (boolean gearEnd : new boolean[] {false, true}) {
                    String where = "Fork on the " + (gearEnd ? "gear" : "wheel") + " end of "
                            + Phrase.name(c.shafts().get(i).name()) + ": ";
                    ReachedByHeat.byFork(c, i, gearEnd)
                            .forEach(h -> all.add(Phrase.of(where).then(h.sentence())));
                }
            }
        });
        return all;
    }
}
