package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * All points that were measured; names differ.
 *
 * @param stated how well all else is known
 */
@Withers
public record Survey(List<SurveyPoint> points, Stated stated) implements SurveyBuilder.With {

    public static final Survey NONE = new Survey(List.of(), Stated.USUAL);

    private static final int MOST = 150;

    /** @throws ImpossibleGeometryException if two points have one name, or there are too many */
    public Survey {
        points = List.copyOf(points);
        if (points.stream().map(SurveyPoint::name).distinct().count() < points.size()) {
            throw new ImpossibleGeometryException("Two measured points have the same name.");
        }
        if (points.size() > MOST) {
            throw new ImpossibleGeometryException("Up to " + MOST + " points can be measured, not " + points.size() + ".");
        }
    }

    public Optional<SurveyPoint> point(String name) {
        return points.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** A point changed, or put in if it is not there yet. */
    public Survey edit(String name, UnaryOperator<SurveyPoint> edit) {
        List<SurveyPoint> all = new ArrayList<>();
        boolean found = false;
        for (SurveyPoint p : points) {
            found |= p.name().equals(name);
            all.add(p.name().equals(name) ? edit.apply(p) : p);
        }
        if (!found) {
            all.add(edit.apply(new SurveyPoint(name, List.of())));
        }
        return new Survey(all, stated);
    }

    public Survey without(String name) {
        return new Survey(points.stream().filter(p -> !p.name().equals(name)).toList(), stated);
    }
}
