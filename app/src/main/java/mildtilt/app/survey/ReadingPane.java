package mildtilt.app.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.scene.Node;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.FormPane;
import mildtilt.app.workbench.Workbench;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.parts.SurveyParts;
import mildtilt.photograph.Photograph;
import mildtilt.survey.BetweenPoints;
import mildtilt.survey.Reading;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** A pane in which the readings of a survey can be typed. */
abstract class ReadingPane extends FormPane {

    ReadingPane(Workbench bench, String id) {
        super(bench, id);
    }

    /** The fields of one reading. @param i among its point's; @param id for the ids of its controls */
    final List<Node> readingFields(Job job, SurveyPoint p, int i, String id, Names names) {
        return fields(SurveyParts.READING, p.readings().get(i), new Where(job, p, i, id, names));
    }

    /** A reading's place, and what its controls are called. */
    private record Where(Job job, SurveyPoint point, int index, String id, Names names) {

        /** Of the control for one of its values. @param key in the file */
        String control(String key) {
            return "survey-" + key.replaceAll("_(mm|deg|px)$", "").replace('_', '-') + "-" + id;
        }

        Job put(Job j, Reading r) {
            return j.editSurvey(x -> x.edit(point.id(), q -> q.with(index, r)));
        }
    }

    @SuppressWarnings("unchecked")
    private <T extends Reading> List<Node> fields(Form<T> form, T reading, Where at) {
        return switch (form) {
            case Form.Kinds<T> k ->
                fields((Form<T>) Objects.requireNonNull(k.kinds().get(k.word(reading))), reading, at);
            case Part<T> part -> {
                List<Node> all = new ArrayList<>();
                part.fields().forEach(f -> field(part, f, reading, at).ifPresent(all::add));
                yield all;
            }
            default -> throw new IllegalStateException("no fields for " + form.help());
        };
    }

    private <T extends Reading, V> Optional<Node> field(Part<T> part, Field<T, V> f, T reading, Where at) {
        if (!(f.shape() instanceof Shape.Keyed<V> keyed) || f.label().isEmpty()) {
            return Optional.empty();
        }
        BiFunction<Job, Object, Job> set = (j, v) -> at.put(j, part.with(reading, f, Optional.of(v)));
        Object now = Objects.requireNonNull(f.of(reading));
        String control = at.control(keyed.key());
        return switch (keyed.kind()) {
            case Kind.Size _ -> Optional.of(size(f.label(), control, keyed.key(), reading, (Double) now, set));
            case Kind.Reference r ->
                Optional.of(choice(f.label(), control, choices(r, at), (Id) now, at.names, set::apply));
            default -> throw new IllegalStateException("a label on " + keyed.key());
        };
    }

    private Node size(
            String label, String id, String key, Reading reading, double now, BiFunction<Job, Object, Job> set) {
        // What a ± is in, its reading says; of all else the key does.
        Unit unit = key.endsWith("_mm")
                ? Unit.LENGTH
                : key.endsWith("_deg") ? Unit.ANGLE : key.endsWith("_px") ? Unit.PIXEL : reading.unit();
        return switch (unit) {
            case LENGTH -> length(label, id, now, set::apply);
            case ANGLE -> angle(label, id, now, set::apply);
            default -> number(label + ", px", id, now, set::apply);
        };
    }

    /** A photograph that has a rectangle, or what a point can be measured from. */
    private static List<Id> choices(Kind.Reference kind, Where at) {
        return kind.kind().filter(Id.Kind.PHOTO::equals).isPresent()
                ? at.job.survey().photographs().stream().map(Photograph::id).toList()
                : others(at.job, at.point);
    }

    /** Where a point is, with its ±. */
    final void where(Surveyed.Place at) {
        add(Wrap.text(
                Phrase.of(
                                "x {0}, y {1}, z {2}; ± {3}, {4}, {5}",
                                Quantity.length(at.at().x()),
                                Quantity.length(at.at().y()),
                                Quantity.length(at.at().z()),
                                Quantity.length(at.sdX()),
                                Quantity.length(at.sdY()),
                                Quantity.length(at.sdZ()))
                        .text(bench.lengthUnit()),
                "facts-figure"));
    }

    /** How far two settled points are apart, how their line runs, and the angle to another line, each with its ±. */
    final void between(Surveyed s, SurveyDesk desk, Names names) {
        List<Id> settled =
                s.places().keySet().stream().sorted(Comparator.comparing(names)).toList();
        if (settled.size() < 2) {
            return;
        }
        head("Between points");
        List<Optional<Id>> ends = desk.endsProperty().get();
        row(end("From", 0, settled, desk, names), end("to", 1, settled, desk, names));
        BetweenPoints between = new BetweenPoints(s);
        Optional<Id> a = ends.get(0);
        Optional<Id> b = ends.get(1);
        if (a.isEmpty() || b.isEmpty() || a.equals(b)) {
            hint("Choose two points: how far they are apart and how the line slopes stands here.");
            return;
        }
        measured("Apart", between.distance(a.get(), b.get()), Unit.LENGTH);
        measured("Below level", between.belowLevel(a.get(), b.get()), Unit.ANGLE);
        measured("To the left of forward, in plan", between.leftOfForward(a.get(), b.get()), Unit.ANGLE);
        row(end("Against the line from", 2, settled, desk, names), end("to", 3, settled, desk, names));
        Optional<Id> c = ends.get(2);
        Optional<Id> d = ends.get(3);
        if (c.isPresent() && d.isPresent() && !c.equals(d)) {
            measured("Angle between the lines", between.angle(a.get(), b.get(), c.get(), d.get()), Unit.ANGLE);
        }
    }

    private Node end(String label, int which, List<Id> from, SurveyDesk desk, Names names) {
        List<Optional<Id>> now = desk.endsProperty().get();
        return named(
                label,
                choiceBox("survey-end-" + (which + 1), from, now.get(which).filter(from::contains), names, id -> {
                    List<Optional<Id>> all = new ArrayList<>(now);
                    all.set(which, Optional.of(id));
                    desk.endsProperty().set(List.copyOf(all));
                }));
    }

    private void measured(String what, Optional<BetweenPoints.Measured> m, Unit unit) {
        m.ifPresent(v -> say(what + ": {0} ± {1}", new Quantity(v.value(), unit), new Quantity(v.sd(), unit)));
    }

    /** What a point can be measured from. */
    static List<Id> others(Job job, SurveyPoint p) {
        return job.survey().points().stream()
                .map(SurveyPoint::id)
                .filter(id -> !id.equals(p.id()))
                .toList();
    }
}
