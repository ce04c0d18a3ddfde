package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A point that was measured.
 *
 * @param name as the job calls its point, or a name of its own for a mark to measure from
 */
public record SurveyPoint(String name, List<Reading> readings) {

    public SurveyPoint {
        readings = List.copyOf(readings);
        if (name.isBlank()) {
            throw new ImpossibleGeometryException("A measured point needs a name.");
        }
        for (Reading r : readings) {
            if (r.others().contains(name)) {
                throw new ImpossibleGeometryException("\"" + name + "\" can't be measured from itself.");
            }
        }
    }

    public SurveyPoint with(Reading r) {
        List<Reading> all = new ArrayList<>(readings);
        all.add(r);
        return new SurveyPoint(name, all);
    }

    public SurveyPoint with(int index, Reading r) {
        List<Reading> all = new ArrayList<>(readings);
        all.set(index, r);
        return new SurveyPoint(name, all);
    }

    public SurveyPoint without(int index) {
        List<Reading> all = new ArrayList<>(readings);
        all.remove(index);
        return new SurveyPoint(name, all);
    }
}
