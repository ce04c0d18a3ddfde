package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.TargetSheet;
import mildtilt.withers.Withers;

/**
 * All points that were measured.
 *
 * @param stated how well all else is known
 * @param photographs that points are seen in
 * @param sheet the printed sheet that is seen in them
 */
@Withers
public record Survey(
        List<SurveyPoint> points, StatedUncertainty stated, List<Photograph> photographs, PlacedSheet sheet)
        implements SurveyBuilder.With {

    public static final Survey NONE = new Survey(List.of(), StatedUncertainty.USUAL, List.of(), PlacedSheet.AS_PRINTED);

    private static final int MOST = 150;

    /** So many photographs at most. */
    public static final int MOST_PHOTOGRAPHS = 40;

    /** @throws ImpossibleGeometryException if two points have one id, or there are too many */
    public Survey {
        points = List.copyOf(points);
        photographs = List.copyOf(photographs);
        if (points.stream().map(SurveyPoint::id).distinct().count() < points.size()) {
            throw new ImpossibleGeometryException("Two measured points have the same id; give each its own.");
        }
        if (points.size() > MOST) {
            throw new ImpossibleGeometryException(
                    "Up to " + MOST + " points can be measured, not " + points.size() + ".");
        }
        if (photographs.stream().map(Photograph::id).distinct().count() < photographs.size()) {
            throw new ImpossibleGeometryException("Two photographs have the same id; give each its own.");
        }
        if (photographs.size() > MOST_PHOTOGRAPHS) {
            throw new ImpossibleGeometryException(
                    "Up to " + MOST_PHOTOGRAPHS + " photographs can be taken, not " + photographs.size() + ".");
        }
    }

    /** Without photographs. */
    public static Survey of(List<SurveyPoint> points, StatedUncertainty stated) {
        return new Survey(points, stated, List.of(), PlacedSheet.AS_PRINTED);
    }

    public Optional<SurveyPoint> point(Id id) {
        return points.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** A point changed; what is not there stays so. */
    public Survey edit(Id id, UnaryOperator<SurveyPoint> edit) {
        return withPoints(
                points.stream().map(p -> p.id().equals(id) ? edit.apply(p) : p).toList());
    }

    /** With one point more, or in place of the one of its id. */
    public Survey with(SurveyPoint point) {
        List<SurveyPoint> all = new ArrayList<>(points);
        int there = points.indexOf(point(point.id()).orElse(point));
        if (there < 0) {
            all.add(point);
        } else {
            all.set(there, point);
        }
        return withPoints(all);
    }

    /** The id that the next mark gets. */
    public Id nextMark() {
        return Id.Kind.MARK.next(points.stream()
                .flatMap(p ->
                        Stream.concat(Stream.of(p.id()), p.readings().stream().flatMap(r -> r.others().stream()))));
    }

    public Optional<Photograph> photograph(Id id) {
        return photographs.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** A photograph changed; what is not there stays so. */
    public Survey editPhotograph(Id id, UnaryOperator<Photograph> edit) {
        return withPhotographs(photographs.stream()
                .map(p -> p.id().equals(id) ? edit.apply(p) : p)
                .toList());
    }

    /**
     * With one photograph more and what was found in it: marks of the sheet stay with it, a mark that is stuck on the
     * vehicle becomes a point of its own, called by its number.
     *
     * @param found all marks that were found in it
     */
    public Survey with(Photograph photograph, List<MarkSeen> found) {
        List<Photograph> all = new ArrayList<>(photographs);
        all.add(photograph.withMarks(
                found.stream().filter(m -> TargetSheet.has(m.mark())).toList()));
        Survey to = withPhotographs(all);
        for (MarkSeen m : found) {
            if (!TargetSheet.has(m.mark())) {
                Id id = Id.Kind.TARGET.number(m.mark());
                SurveyPoint point = to.point(id).orElse(new SurveyPoint(id, "Mark " + m.mark(), List.of()));
                to = to.with(point.with(new Reading.Sighted(photograph.id(), m.across(), m.down(), MarkSeen.SPREAD)));
            }
        }
        return to;
    }

    /**
     * A point seen in a photograph; where it was seen there before is replaced. It is put into the survey if it is not
     * in it.
     */
    public Survey sighted(Id id, String name, Reading.Sighted at) {
        SurveyPoint p = point(id).orElse(new SurveyPoint(id, name, List.of()));
        for (int i = 0; i < p.readings().size(); i++) {
            if (p.readings().get(i) instanceof Reading.Sighted s
                    && s.photograph().equals(at.photograph())) {
                return with(p.with(i, at));
            }
        }
        return with(p.with(at));
    }

    /** Without a photograph, and without what was seen in it; a point that has no other reading goes too. */
    public Survey withoutPhotograph(Id id) {
        List<SurveyPoint> left = new ArrayList<>();
        for (SurveyPoint p : points) {
            List<Reading> readings = p.readings().stream()
                    .filter(r ->
                            !(r instanceof Reading.Sighted s && s.photograph().equals(id)))
                    .toList();
            if (!readings.isEmpty() || p.readings().isEmpty()) {
                left.add(new SurveyPoint(p.id(), p.name(), readings));
            }
        }
        return new Survey(
                left,
                stated,
                photographs.stream().filter(p -> !p.id().equals(id)).toList(),
                sheet);
    }

    /** The id that the next photograph gets. */
    public Id nextPhotograph() {
        return Id.Kind.PHOTO.next(Stream.concat(
                photographs.stream().map(Photograph::id),
                points.stream()
                        .flatMap(p -> p.readings().stream())
                        .filter(Reading.Sighted.class::isInstance)
                        .map(r -> ((Reading.Sighted) r).photograph())));
    }

    public Survey without(Id id) {
        return withPoints(points.stream().filter(p -> !p.id().equals(id)).toList());
    }
}
