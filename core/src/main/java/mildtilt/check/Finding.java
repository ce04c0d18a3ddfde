package mildtilt.check;

import java.util.List;
import mildtilt.job.Element;
import mildtilt.measure.Phrase;

/**
 * One thing found.
 *
 * @param element where in the train
 * @param about which of several of its kind at one element; empty where there can be but one
 * @param what what is wrong and by how much
 * @param why why it matters
 */
public record Finding(
        Fault fault, Severity severity, Element element, String about, Phrase what, Phrase why, List<Remedy> remedies) {

    public Finding(Fault fault, Severity severity, Element element, Phrase what, Phrase why, List<Remedy> remedies) {
        this(fault, severity, element, "", what, why, remedies);
    }

    public Finding(Fault fault, Severity severity, Element element, Phrase what, String why, List<Remedy> remedies) {
        this(fault, severity, element, what, Phrase.of(why), remedies);
    }

    /** Whether another finding tells of the same thing, whatever its figures. */
    public boolean same(Finding o) {
        return fault == o.fault && about.equals(o.about);
    }

    public Finding {
        remedies = List.copyOf(remedies);
    }
}
