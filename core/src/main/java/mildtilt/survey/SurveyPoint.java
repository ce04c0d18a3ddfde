package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;

/**
 * A point that was measured.
 *
 * @param id of the job's point, such as {@code joint-1.centre}, or of a mark of its own to measure from
 * @param name of a mark; of a job's point what it was called when it was surveyed, shown where the job has it no more
 */
public record SurveyPoint(Id id, String name, List<Reading> readings) {

    public SurveyPoint {
        readings = List.copyOf(readings);
        if (name.isBlank()) {
            throw new ImpossibleGeometryException("A measured point needs a name.");
        }
        for (Reading r : readings) {
            if (r.others().contains(id)) {
                throw new ImpossibleGeometryException("\"" + name + "\" can't be measured from itself.");
            }
        }
    }

    /** Where it is seen in photographs. */
    public List<Reading.Sighted> sights() {
        return readings.stream()
                .filter(Reading.Sighted.class::isInstance)
                .map(Reading.Sighted.class::cast)
                .toList();
    }

    public SurveyPoint with(Reading r) {
        List<Reading> all = new ArrayList<>(readings);
        all.add(r);
        return new SurveyPoint(id, name, all);
    }

    public SurveyPoint with(int index, Reading r) {
        List<Reading> all = new ArrayList<>(readings);
        all.set(index, r);
        return new SurveyPoint(id, name, all);
    }

    public SurveyPoint without(int index) {
        List<Reading> all = new ArrayList<>(readings);
        all.remove(index);
        return new SurveyPoint(id, name, all);
    }
}
