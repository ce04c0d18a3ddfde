package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import mildtilt.arms.ArmFigures;
import mildtilt.shop.CutList;
import mildtilt.shop.FoundFigures;
import mildtilt.units.Quantity;

/** Parts as they were found. */
public final class FoundTable {

    private FoundTable() {}

    /** What is cut and moved on the arms of used knuckles. */
    public static Table arms(List<ArmFigures> arms) {
        List<List<Cell>> rows = new ArrayList<>();
        for (ArmFigures a : arms) {
            for (int i = 0; i < a.steps().size(); i++) {
                rows.add(List.of(
                        Cell.of(CutList.capital(a.name())),
                        Cell.of(i + 1),
                        Cell.of(a.steps().get(i))));
            }
        }
        return new Table(
                "cut-and-move", "Cut and move", List.of("arm", "step", "do"), List.of("Arm", "Step", "Do"), rows);
    }

    /** What is taken off the parts of the column that are there. */
    public static Table of(List<FoundFigures> found) {
        return new Table(
                "parts-as-found",
                "Parts as found",
                List.of(
                        "part",
                        "it",
                        "found_mm",
                        "wanted_mm",
                        "take_off_mm",
                        "left_mm",
                        "least_mm",
                        "limit",
                        "over_mm",
                        "to_joint_mm",
                        "do",
                        "what_would_free_it"),
                List.of(
                        "Part",
                        "It",
                        "As found",
                        "Wanted",
                        "Take off",
                        "Left",
                        "Least",
                        "What ends it",
                        "Too long by",
                        "Then to the joint",
                        "Do",
                        "What would free it"),
                found.stream()
                        .map(f -> List.of(
                                Cell.of(f.name()),
                                Cell.of(f.verdict().label()),
                                Cell.of(Quantity.length(f.found().length())),
                                Cell.of(Quantity.length(f.wanted())),
                                Cell.of(Quantity.length(f.off())),
                                Cell.of(Quantity.length(f.left())),
                                Cell.of(Quantity.length(f.found().least())),
                                Cell.of(f.found().limit().label()),
                                Cell.of(Quantity.length(f.over())),
                                Cell.of(f.toJoint().map(Quantity::length)),
                                Cell.of(f.order()),
                                f.cure().map(Cell::of).orElse(Cell.of(""))))
                        .toList());
    }
}
