package mildtilt.findings;

import java.util.List;
import java.util.Optional;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * One thing found.
 *
 * @param element where in the train
 * @param about which of several of its kind at one element; empty where there can be but one
 * @param what what is wrong and by how much
 * @param why why it matters
 * @param brief what a row of a list says, where the fault's own words and the first figure of {@code what} do not do
 */
public record Finding(
        Fault fault,
        Severity severity,
        Element element,
        String about,
        Phrase what,
        Phrase why,
        List<Remedy> remedies,
        Brief brief) {

    /**
     * What is shown of a finding in one line.
     *
     * @param headline the part and the fault
     * @param figure by how much
     * @param at where in the range it is worst
     */
    public record Brief(Optional<String> headline, Optional<Quantity> figure, Optional<At> at) {
        static final Brief USUAL = new Brief(Optional.empty(), Optional.empty(), Optional.empty());
    }

    /**
     * A place in the range of the steering.
     *
     * @param steeringWheelDeg + left
     * @param travelLeft mm, + bump
     * @param travelRight mm, + bump
     */
    public record At(double steeringWheelDeg, double travelLeft, double travelRight) {}

    public Finding(
            Fault fault,
            Severity severity,
            Element element,
            String about,
            Phrase what,
            Phrase why,
            List<Remedy> remedies) {
        this(fault, severity, element, about, what, why, remedies, Brief.USUAL);
    }

    public Finding(Fault fault, Severity severity, Element element, Phrase what, Phrase why, List<Remedy> remedies) {
        this(fault, severity, element, "", what, why, remedies);
    }

    public Finding(Fault fault, Severity severity, Element element, Phrase what, String why, List<Remedy> remedies) {
        this(fault, severity, element, what, Phrase.of(why), remedies);
    }

    public Finding {
        remedies = List.copyOf(remedies);
    }

    /** Whether another finding is about the same thing, whatever its figures. */
    public boolean same(Finding o) {
        return fault == o.fault && about.equals(o.about);
    }

    /** With a headline of its own. */
    public Finding titled(String headline) {
        return brief(new Brief(Optional.of(headline), brief.figure, brief.at));
    }

    /** With the figure that says how bad it is. */
    public Finding by(Quantity figure) {
        return brief(new Brief(brief.headline, Optional.of(figure), brief.at));
    }

    /** With the place in the range where it is worst. */
    public Finding at(double steeringWheelDeg, double travelLeft, double travelRight) {
        return brief(new Brief(
                brief.headline, brief.figure, Optional.of(new At(steeringWheelDeg, travelLeft, travelRight))));
    }

    private Finding brief(Brief b) {
        return new Finding(fault, severity, element, about, what, why, remedies, b);
    }

    /** The part and the fault, in one line. @param job it is of, for the names of its parts */
    public String headline(Job job) {
        return brief.headline.orElseGet(() -> fault.headline(Element.label(job, element)));
    }

    /** How bad it is, if one figure says it. */
    public Optional<Quantity> figure() {
        return brief.figure.or(() -> what.measures().stream().findFirst());
    }

    /** Where in the range it is worst, if it is not everywhere alike. */
    public Optional<At> at() {
        return brief.at;
    }
}
