package mildtilt.app.survey;

import java.util.ArrayList;
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

    /** What a point can be measured from. */
    static List<Id> others(Job job, SurveyPoint p) {
        return job.survey().points().stream()
                .map(SurveyPoint::id)
                .filter(id -> !id.equals(p.id()))
                .toList();
    }
}
