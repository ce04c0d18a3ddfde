package mildtilt.report;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread;
import mildtilt.shop.CutList;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.units.Quantity;

/** The rods of a job's papers. */
final class RodTables {

    private RodTables() {}

    private static Quantity mm(double v) {
        return Quantity.length(v);
    }

    /** How long each is and how far it can be set. */
    static Table rods(List<RodFigures> rods) {
        List<List<Cell>> rows = new ArrayList<>();
        for (RodFigures r : rods) {
            boolean turns = r.perTurn() > 0;
            rows.add(List.of(
                    Cell.of(CutList.capital(r.rod().label())),
                    Cell.of(mm(r.centres())),
                    Cell.of(mm(r.body())),
                    Cell.of(r.way().label()),
                    Cell.of(mm(r.longer())),
                    Cell.of(mm(r.shorter())),
                    turns ? Cell.of(Quantity.fine(r.perTurn())) : Cell.of("none"),
                    Cell.of(turns ? Optional.of(Quantity.turns(r.turnsLonger())) : Optional.empty()),
                    Cell.of(turns ? Optional.of(Quantity.turns(r.turnsShorter())) : Optional.empty()),
                    Cell.of(r.toePerTurn().map(Quantity::angle)),
                    Cell.of(r.betweenTips().map(Quantity::length))));
        }
        return new Table(
                "rods",
                "Rods",
                List.of(
                        "rod",
                        "between_centres_mm",
                        "body_mm",
                        "can",
                        "longer_mm",
                        "shorter_mm",
                        "per_turn_mm",
                        "turns_longer",
                        "turns_shorter",
                        "toe_in_per_turn_deg",
                        "between_shanks_mm"),
                List.of(
                        "Rod",
                        "Between centres",
                        "Body",
                        "It",
                        "Longer by",
                        "Shorter by",
                        "Per turn",
                        "Turns longer",
                        "Turns shorter",
                        "Toe-in per turn",
                        "Between shanks"),
                rows);
    }

    /** How far each end is screwed in. */
    static Table ends(List<RodFigures> rods) {
        List<List<Cell>> rows = new ArrayList<>();
        for (RodFigures r : rods) {
            for (boolean outer : new boolean[] {true, false}) {
                RodFigures.EndFigures e = r.end(outer);
                RodMakeUp.End made = r.makeUp().end(outer);
                rows.add(List.of(
                        Cell.of(CutList.capital(r.rod().label())),
                        Cell.of(e.label()),
                        Cell.of(made.part().name()),
                        Cell.of(made.part().thread().label()),
                        Cell.of(mm(e.faceOut())),
                        Cell.of(mm(e.engaged())),
                        Cell.of(mm(e.engagedShort())),
                        Cell.of(mm(e.engagedLong())),
                        Cell.of(mm(e.least())),
                        Cell.of(mm(made.jamNut())),
                        Cell.of(mm(e.gapToHousing()))));
            }
        }
        return new Table(
                "rod-ends",
                "Rod ends and engagement",
                List.of(
                        "rod",
                        "end",
                        "part",
                        "thread",
                        "ball_to_face_mm",
                        "engaged_mm",
                        "engaged_shortest_mm",
                        "engaged_longest_mm",
                        "never_under_mm",
                        "jam_nut_mm",
                        "nut_to_neck_shortest_mm"),
                List.of(
                        "Rod",
                        "End",
                        "Part",
                        "Thread",
                        "Ball to face",
                        "Thread in now",
                        "At shortest",
                        "At longest",
                        "Never under",
                        "Jam nut",
                        "Nut to neck, shortest"),
                rows);
    }

    /** What is tapped into the bodies. */
    static Table taps(List<RodFigures> rods) {
        Map<ScrewThread, Boolean> all = new LinkedHashMap<>();
        rods.forEach(r -> {
            all.put(r.makeUp().tap(true), true);
            all.put(r.makeUp().tap(false), true);
        });
        return new Table(
                "taps",
                "Taps and drills",
                List.of("thread", "hand", "tap_drill_mm", "depth_of_thread_pct"),
                List.of("Thread", "Hand", "Tap drill", "Depth of thread"),
                all.keySet().stream()
                        .map(t -> List.of(
                                Cell.of(t.label()),
                                Cell.of(t.hand().label()),
                                Cell.of(Quantity.fine(t.tapDrill())),
                                Cell.of(Quantity.percent(t.depthPct(t.tapDrill())))))
                        .toList());
    }

    /** A rack's own rods, and what is taken off them. */
    static Table rackRods(List<RackRodFigures> rods) {
        List<List<Cell>> rows = new ArrayList<>();
        for (RackRodFigures r : rods) {
            rows.add(List.of(
                    Cell.of(CutList.capital(r.rod().label())),
                    Cell.of(mm(r.centres())),
                    Cell.of(r.verdict().label()),
                    Cell.of(mm(r.cut())),
                    Cell.of(mm(r.finished())),
                    Cell.of(mm(r.threadLeft())),
                    Cell.of(mm(r.engaged())),
                    Cell.of(mm(r.engagedShort())),
                    Cell.of(mm(r.least())),
                    Cell.of(mm(r.longer())),
                    Cell.of(mm(r.shorter())),
                    Cell.of(r.toePerTurn().map(Quantity::angle)),
                    r.cure().map(Cell::of).orElse(Cell.of(""))));
        }
        return new Table(
                "rack-rods",
                "The rack's own rods",
                List.of(
                        "rod",
                        "between_centres_mm",
                        "it",
                        "cut_off_mm",
                        "inner_ball_to_tip_mm",
                        "thread_left_mm",
                        "engaged_mm",
                        "engaged_shortest_mm",
                        "never_under_mm",
                        "longer_mm",
                        "shorter_mm",
                        "toe_in_per_turn_deg",
                        "cure"),
                List.of(
                        "Rod",
                        "Between centres",
                        "It",
                        "Cut off",
                        "Inner ball to tip",
                        "Thread left",
                        "Thread in now",
                        "At shortest",
                        "Never under",
                        "Longer by",
                        "Shorter by",
                        "Toe-in per turn",
                        "What makes it do"),
                rows);
    }
}
