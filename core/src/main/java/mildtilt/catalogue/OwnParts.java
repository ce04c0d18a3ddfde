package mildtilt.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import mildtilt.build.AsFound;
import mildtilt.build.EndPart;
import mildtilt.build.PartAsFound;
import mildtilt.catalogue.Catalogue.NamedTube;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.describe.Kind.Text;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;

/**
 * Parts of one's own, kept between jobs: a catalogue that parts of jobs are put into, under their own name and the
 * job's.
 */
public final class OwnParts {

    private OwnParts() {}

    /** The part of a job's column of an id; {@code tube} for its tube. Empty if there is none. */
    public static Optional<Element> part(Job job, String id) {
        return job.column().flatMap(c -> {
            if (id.equals("tube")) {
                return c.tube().map(_ -> new Element.Tube());
            }
            Optional<Id> known = c.partIds().filter(p -> p.text().equals(id)).findFirst();
            Optional<Element> shaft = known.flatMap(c::shaft).map(Element.ShaftAt::new);
            Optional<Element> joint = known.flatMap(c::joint).map(Element.JointAt::new);
            return shaft.or(() -> joint).or(() -> known.flatMap(c::bearing)
                    .map(b -> new Element.BearingAt(c.bearings().indexOf(b))));
        });
    }

    /** What a part of a job is called among one's own; empty for what can't be kept. */
    public static Optional<String> name(Job job, Element part) {
        boolean kept = part instanceof Element.ShaftAt
                || part instanceof Element.JointAt
                || part instanceof Element.BearingAt
                || part instanceof Element.Tube;
        String name = Element.label(job, part) + ", " + job.title();
        return kept ? Optional.of(name.substring(0, Math.min(name.length(), Text.NAME.most()))) : Optional.empty();
    }

    /**
     * With a part of a job as it is there, its lengths as found too; in place of one of the same name. Unchanged for
     * what can't be kept.
     */
    public static Catalogue with(Catalogue mine, Job job, Element part) {
        return name(job, part)
                .flatMap(n -> job.column()
                        .map(c -> with(without(mine, n), job.making().asFound(), c, part, n)))
                .orElse(mine);
    }

    /** An end of a job's rod, called by both: {@code left_tie_rod.outer}. Empty where that is not made up. */
    public static Optional<EndPart> rodEnd(Job job, String id) {
        return Stream.of(Rod.values())
                .flatMap(rod -> Stream.of(true, false)
                        .filter(outer -> id.equals(
                                Id.of(rod).part(outer ? "outer" : "inner").text()))
                        .flatMap(outer -> job.making().rod(rod).stream()
                                .map(made -> rodEnd(job, made.end(outer).part()))))
                .findFirst();
    }

    /** An end as it is kept: under its own name and the job's. */
    public static EndPart rodEnd(Job job, EndPart end) {
        String name = end.name() + ", " + job.title();
        return end.withName(name.substring(0, Math.min(name.length(), Text.NAME.most())));
    }

    /** With a rod's end as it is there, in place of one of the same name. */
    public static Catalogue with(Catalogue mine, EndPart kept) {
        Catalogue rest = without(mine, kept.name());
        return rest.withRodEnds(add(rest.rodEnds(), kept));
    }

    private static Catalogue with(Catalogue mine, AsFound asFound, Column c, Element part, String name) {
        if (part instanceof Element.ShaftAt s) {
            Shaft shaft = c.shafts().get(s.index());
            Shaft kept = shaft.withId(Id.Kind.SHAFT.first())
                    .withName(name)
                    .withClockingDeg(0)
                    .withTypical(false);
            return found(mine.withShafts(add(mine.shafts(), kept)), name, asFound.shaft(shaft.id()));
        }
        if (part instanceof Element.JointAt j) {
            Joint kept = c.joints()
                    .get(j.index())
                    .withId(Id.Kind.JOINT.first())
                    .withName(name)
                    .withCentre(Point.ORIGIN)
                    .withTypical(false);
            return mine.withJoints(add(mine.joints(), kept));
        }
        if (part instanceof Element.BearingAt b) {
            Bearing kept = c.bearings()
                    .get(b.index())
                    .withId(Id.Kind.BEARING.first())
                    .withName(name)
                    .on(0, 0)
                    .withOff(0, 0)
                    .withTypical(false);
            return mine.withBearings(add(mine.bearings(), kept));
        }
        return c.tube()
                .map(t -> found(mine.withTubes(add(mine.tubes(), new NamedTube(name, t))), name, asFound.tube()))
                .orElse(mine);
    }

    /** A job whose shaft or tube is now the one of that name, with its lengths as found, if those are known. */
    public static Job found(Job job, Element part, Catalogue parts, String name) {
        Optional<PartAsFound> known = Optional.ofNullable(parts.asFound().get(name));
        if (known.isEmpty()) {
            return job;
        }
        return job.editMaking(m -> m.editAsFound(f -> part instanceof Element.ShaftAt s
                ? f.withShaft(job.column().orElseThrow().shafts().get(s.index()).id(), known)
                : f.withTube(known)));
    }

    private static Catalogue found(Catalogue mine, String name, Optional<PartAsFound> part) {
        Map<String, PartAsFound> all = new TreeMap<>(mine.asFound());
        part.ifPresent(p -> all.put(name, p));
        return mine.withAsFound(all);
    }

    /** Without the parts of a name. */
    public static Catalogue without(Catalogue mine, String name) {
        Map<String, PartAsFound> found = new TreeMap<>(mine.asFound());
        found.remove(name);
        return new Catalogue(
                but(mine.joints(), Joint::name, name),
                but(mine.shafts(), Shaft::name, name),
                mine.ends(),
                but(mine.bearings(), Bearing::name, name),
                but(mine.tubes(), NamedTube::name, name),
                but(mine.rodEnds(), EndPart::name, name),
                found);
    }

    private static <T> List<T> but(List<T> all, Function<T, String> name, String gone) {
        return all.stream().filter(t -> !name.apply(t).equals(gone)).toList();
    }

    private static <T> List<T> add(List<T> all, T part) {
        return Stream.concat(all.stream(), Stream.of(part)).toList();
    }
}
