package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import mildtilt.app.forms.PartFields;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.Workshop;
import mildtilt.describe.JobPlace;
import mildtilt.job.Job;
import mildtilt.parts.MakingParts;
import mildtilt.parts.RuleParts;
import mildtilt.report.Papers;
import mildtilt.report.SetTables;
import mildtilt.report.Table;
import mildtilt.rules.Rules.VehicleClass;
import mildtilt.rules.ShippedRules;
import mildtilt.trials.compare.CheckSheet;

/**
 * Several vehicles from one plan: how many, the fixture they are built on, the check sheet of each, and their class.
 */
final class SetPane extends MakePane {

    private static final JobPlace FIXTURE =
            JobPlace.WHOLE.in("making").in("workshop").in("fixture");
    private static final JobPlace CLASSES = JobPlace.WHOLE.in("rules").in("classes");

    private final Runnable save;

    /** @param save asks for a file and writes the check sheets */
    SetPane(Workbench bench, PapersDesk desk, Runnable save) {
        super(bench, desk, "make-set");
        this.save = save;
        refresh();
    }

    @Override
    protected void show(Papers p) {
        Job job = p.analysis().job();
        Workshop w = job.making().workshop();
        List<String> vehicles = SetTables.vehicles(job);
        title(
                "Several from one plan",
                "One cut list for all of them, one fixture, a check sheet for each, and the class they are "
                        + "inspected in.");
        var saving = small("Save the check sheets…", "save-check-sheets", save);
        saving.getStyleClass().add("take-remedy");
        row(
                number(
                        "Vehicles",
                        "set-count",
                        w.sets(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withSets((int) Math.round(v))))),
                named(" ", saving));
        say(
                vehicles.size() == 1
                        ? "One vehicle. Its check sheet is one page."
                        : "Check sheets for " + String.join(", ", vehicles)
                                + "; the cut list, the bars to buy and the drawings count for all of them.");
        classes(job);
        head("Fixture");
        Table fixture = SetTables.fixture(job);
        if (fixture.rows().isEmpty()) {
            hint("Nothing is on the frame yet that a fixture could hold.");
        } else {
            say("Lengths ahead of a zero, left of the middle (− to the right), above the table. Below each place, "
                    + "how far it is from the pins A, B and C, to try it with a tape.");
            List<Node> zero = new ArrayList<>();
            PartFields.of(
                            FIXTURE,
                            MakingParts.FIXTURE,
                            w.fixture(),
                            "",
                            (j, change) ->
                                    j.editMaking(m -> m.editWorkshop(x -> x.withFixture(change.apply(x.fixture())))))
                    .forEach(f -> zero.add(named(f.label(), f.control(bench, ""))));
            row(zero.toArray(Node[]::new));
            table(
                    fixture,
                    "place"
                            + fixture.keys().stream()
                                    .filter(k -> k.startsWith("from_"))
                                    .map(k -> "+" + k)
                                    .collect(Collectors.joining()),
                    "ahead_mm",
                    "left_mm",
                    "above_table_mm");
        }
        head("Check sheet for each vehicle");
        Table checks = CheckSheet.of(p.analysis());
        if (checks.rows().isEmpty()) {
            hint("Nothing to check yet.");
        } else {
            say("How far each may be off is set under Trial. What is read on a vehicle is kept there too.");
            table(checks, "what", "plan", "least", "most");
        }
    }

    private void classes(Job job) {
        head("Class");
        List<VehicleClass> all = job.rules().classes();
        if (all.isEmpty()) {
            hint("The rule set \"" + job.rules().name()
                    + "\" has no class. Add the one you are inspected in, with the limits from its own book.");
        } else {
            table(SetTables.classes(job), "limit+class", "has_mm", "least_mm", "most_mm", "verdict");
        }
        for (int i = 0; i < all.size(); i++) {
            int at = i;
            List<Node> fields = new ArrayList<>();
            fields.add(words(
                    "Class",
                    "class-name-" + i,
                    all.get(i).name(),
                    150,
                    (j, t) -> edit(j, at, Optional.of(all.get(at).withName(t)))));
            PartFields.of(
                            CLASSES.at(i),
                            RuleParts.CLASS,
                            all.get(i),
                            "",
                            (j, change) -> edit(
                                    j,
                                    at,
                                    Optional.of(change.apply(j.rules().classes().get(at)))),
                            "name")
                    .forEach(f -> {
                        Node field = f.control(bench, all.get(at).name());
                        field.setId(field.getId() + "-" + at);
                        fields.add(named(f.label(), field));
                    });
            fields.add(named(
                    " ",
                    small(
                            "Delete",
                            "class-out-" + i,
                            () -> bench.edit(
                                    "Take out class " + all.get(at).name(), j -> edit(j, at, Optional.empty())))));
            row(fields.toArray(Node[]::new));
        }
        row(small(
                "Add a class",
                "class-add",
                () -> bench.edit("Add a class", j -> {
                    List<VehicleClass> more = new ArrayList<>(j.rules().classes());
                    more.add(new VehicleClass("My class", 1000, 3000, 2000));
                    return j.withRules(ShippedRules.edited(j.rules(), j.rules().withClasses(more)));
                })));
    }

    private static Job edit(Job job, int at, Optional<VehicleClass> now) {
        List<VehicleClass> all = new ArrayList<>(job.rules().classes());
        now.ifPresentOrElse(c -> all.set(at, c), () -> all.remove(at));
        return job.withRules(ShippedRules.edited(job.rules(), job.rules().withClasses(all)));
    }
}
