package mildtilt.app.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import javafx.scene.Node;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.FormPane;
import mildtilt.app.workbench.Workbench;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.survey.Reading;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** A pane in which the readings of a survey can be typed. */
abstract class ReadingPane extends FormPane {

    ReadingPane(Workbench bench, String id) {
        super(bench, id);
    }

    /** The fields of one reading. @param i among its point's; @param id for the ids of its controls */
    final List<Node> readingFields(Job job, SurveyPoint p, int i, String id, Names names) {
        List<Node> fields = new ArrayList<>();
        Reading r = p.readings().get(i);
        switch (r) {
            case Reading.Plumb q -> {
                fields.add(length(
                        "x, forward",
                        "survey-x-" + id,
                        q.x(),
                        (j, v) -> put(j, p, i, new Reading.Plumb(v, q.y(), q.spread()))));
                fields.add(length(
                        "y, left",
                        "survey-y-" + id,
                        q.y(),
                        (j, v) -> put(j, p, i, new Reading.Plumb(q.x(), v, q.spread()))));
                fields.add(length(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.Plumb(q.x(), q.y(), v))));
            }
            case Reading.Height q -> {
                fields.add(length(
                        "Height", "survey-z-" + id, q.z(), (j, v) -> put(j, p, i, new Reading.Height(v, q.spread()))));
                fields.add(length(
                        "±", "survey-spread-" + id, q.spread(), (j, v) -> put(j, p, i, new Reading.Height(q.z(), v))));
            }
            case Reading.Tape q -> {
                fields.add(other(
                        job,
                        p,
                        names,
                        "From",
                        "survey-from-" + id,
                        q.from(),
                        (j, n) -> put(j, p, i, new Reading.Tape(n, q.length(), q.spread()))));
                fields.add(length(
                        "Length",
                        "survey-length-" + id,
                        q.length(),
                        (j, v) -> put(j, p, i, new Reading.Tape(q.from(), v, q.spread()))));
                fields.add(length(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.Tape(q.from(), q.length(), v))));
            }
            case Reading.Along q -> {
                fields.add(other(
                        job,
                        p,
                        names,
                        "From",
                        "survey-from-" + id,
                        q.from(),
                        (j, n) -> put(j, p, i, new Reading.Along(n, q.toward(), q.length(), q.spread()))));
                fields.add(other(
                        job,
                        p,
                        names,
                        "Toward",
                        "survey-toward-" + id,
                        q.toward(),
                        (j, n) -> put(j, p, i, new Reading.Along(q.from(), n, q.length(), q.spread()))));
                fields.add(length(
                        "Along",
                        "survey-length-" + id,
                        q.length(),
                        (j, v) -> put(j, p, i, new Reading.Along(q.from(), q.toward(), v, q.spread()))));
                fields.add(length(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.Along(q.from(), q.toward(), q.length(), v))));
            }
            case Reading.Slope q -> {
                fields.add(other(
                        job,
                        p,
                        names,
                        "From",
                        "survey-from-" + id,
                        q.from(),
                        (j, n) -> put(j, p, i, new Reading.Slope(n, q.downDeg(), q.leftDeg(), q.spread()))));
                fields.add(angle(
                        "Below level",
                        "survey-down-" + id,
                        q.downDeg(),
                        (j, v) -> put(j, p, i, new Reading.Slope(q.from(), v, q.leftDeg(), q.spread()))));
                fields.add(angle(
                        "To the left",
                        "survey-left-" + id,
                        q.leftDeg(),
                        (j, v) -> put(j, p, i, new Reading.Slope(q.from(), q.downDeg(), v, q.spread()))));
                fields.add(angle(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.Slope(q.from(), q.downDeg(), q.leftDeg(), v))));
            }
            case Reading.PhoneSlope q -> {
                fields.add(other(
                        job,
                        p,
                        names,
                        "From",
                        "survey-from-" + id,
                        q.from(),
                        (j, n) -> put(j, p, i, new Reading.PhoneSlope(n, q.firstDeg(), q.turnedDeg(), q.spread()))));
                fields.add(angle(
                        "Phone shows",
                        "survey-first-" + id,
                        q.firstDeg(),
                        (j, v) -> put(j, p, i, new Reading.PhoneSlope(q.from(), v, q.turnedDeg(), q.spread()))));
                fields.add(angle(
                        "Turned round",
                        "survey-turned-" + id,
                        q.turnedDeg(),
                        (j, v) -> put(j, p, i, new Reading.PhoneSlope(q.from(), q.firstDeg(), v, q.spread()))));
                fields.add(angle(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.PhoneSlope(q.from(), q.firstDeg(), q.turnedDeg(), v))));
            }
            case Reading.AboveSheet q -> {
                fields.add(length(
                        "Above the sheet",
                        "survey-above-" + id,
                        q.height(),
                        (j, v) -> put(j, p, i, new Reading.AboveSheet(v, q.spread()))));
                fields.add(length(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.AboveSheet(q.height(), v))));
            }
            case Reading.Sighted q -> {
                fields.add(number(
                        "Across, px",
                        "survey-across-" + id,
                        q.across(),
                        (j, v) -> put(j, p, i, new Reading.Sighted(q.photograph(), v, q.down(), q.spread()))));
                fields.add(number(
                        "Down, px",
                        "survey-down-px-" + id,
                        q.down(),
                        (j, v) -> put(j, p, i, new Reading.Sighted(q.photograph(), q.across(), v, q.spread()))));
                fields.add(number(
                        "± px",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.Sighted(q.photograph(), q.across(), q.down(), v))));
            }
            case Reading.Middle q -> {
                fields.add(other(
                        job,
                        p,
                        names,
                        "One",
                        "survey-from-" + id,
                        q.one(),
                        (j, n) -> put(j, p, i, new Reading.Middle(n, q.other(), q.spread()))));
                fields.add(other(
                        job,
                        p,
                        names,
                        "Other",
                        "survey-toward-" + id,
                        q.other(),
                        (j, n) -> put(j, p, i, new Reading.Middle(q.one(), n, q.spread()))));
                fields.add(length(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.Middle(q.one(), q.other(), v))));
            }
            case Reading.MirrorOf q -> {
                fields.add(other(
                        job,
                        p,
                        names,
                        "Of",
                        "survey-from-" + id,
                        q.of(),
                        (j, n) -> put(j, p, i, new Reading.MirrorOf(n, q.spread()))));
                fields.add(length(
                        "±",
                        "survey-spread-" + id,
                        q.spread(),
                        (j, v) -> put(j, p, i, new Reading.MirrorOf(q.of(), v))));
            }
        }
        return fields;
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

    private static Job put(Job j, SurveyPoint p, int i, Reading r) {
        return j.editSurvey(x -> x.edit(p.id(), q -> q.with(i, r)));
    }

    private Node other(
            Job job, SurveyPoint p, Names names, String label, String id, Id now, BiFunction<Job, Id, Job> set) {
        return choice(label, id, others(job, p), now, names, set);
    }

    /** What a point can be measured from. */
    static List<Id> others(Job job, SurveyPoint p) {
        return job.survey().points().stream()
                .map(SurveyPoint::id)
                .filter(id -> !id.equals(p.id()))
                .toList();
    }
}
