package mildtilt.survey;

import java.util.List;
import mildtilt.id.Id;

/**
 * How sure all settled points are together: points measured from one mark share its error.
 *
 * @param points in the order of the rows, three rows a point
 * @param mm2 the joint covariance of x, y and z of all of them, mm²
 */
public record Covariance(List<Id> points, double[][] mm2) {

    public static final Covariance NONE = new Covariance(List.of(), new double[0][0]);

    /**
     * Covariance of one coordinate of a point with one of another, mm²; 0 if either is not settled. @param axis 0 x, 1
     * y, 2 z
     */
    public double of(Id a, int axis, Id b, int otherAxis) {
        int i = points.indexOf(a);
        int j = points.indexOf(b);
        return i < 0 || j < 0 ? 0 : mm2[3 * i + axis][3 * j + otherAxis];
    }
}
