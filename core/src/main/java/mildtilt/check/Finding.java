package mildtilt.check;

import java.util.List;
import mildtilt.job.Element;
import mildtilt.measure.Phrase;

/**
 * One thing found.
 *
 * @param element where in the train
 * @param what what is wrong and by how much
 * @param why why it matters
 */
public record Finding(
        Fault fault, Severity severity, Element element, Phrase what, Phrase why, List<Remedy> remedies) {

    public Finding(Fault fault, Severity severity, Element element, Phrase what, String why, List<Remedy> remedies) {
        this(fault, severity, element, what, Phrase.of(why), remedies);
    }

    public Finding {
        remedies = List.copyOf(remedies);
    }
}
