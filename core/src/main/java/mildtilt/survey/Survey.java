package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * All points that were measured.
 *
 * @param stated how well all else is known
 */
@Withers
public record Survey(List<SurveyPoint> points, StatedUncertainty stated) implements SurveyBuilder.With {

    public static final Survey NONE = new Survey(List.of(), StatedUncertainty.USUAL);

    private static final int MOST = 150;

    /** @throws ImpossibleGeometryException if two points have one id, or there are too many */
    public Survey {
        points = List.copyOf(points);
        if (points.stream().map(SurveyPoint::id).distinct().count() < points.size()) {
            throw new ImpossibleGeometryException("Two measured points have the same id; give each its own.");
        }
        if (points.size() > MOST) {
            throw new ImpossibleGeometryException(
                    "Up to " + MOST + " points can be measured, not " + points.size() + ".");
        }
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

    public Survey without(Id id) {
        return withPoints(points.stream().filter(p -> !p.id().equals(id)).toList());
    }
}
