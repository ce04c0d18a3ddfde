package mildtilt.catalogue;

import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import mildtilt.build.EndPart;
import mildtilt.build.PartAsFound;
import mildtilt.column.Bearing;
import mildtilt.column.ColumnTube;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.withers.Withers;

/**
 * Generic parts with typical sizes, to be put into a column and then measured. A part's id and place mean nothing here.
 *
 * @param joints single, double and couplings
 * @param shafts whole shafts, sliding ones too
 * @param ends forks, hubs and gear inputs: what a shaft's end can sit in
 * @param tubes column tubes
 * @param rodEnds rod ends with a bore and tie-rod ends with a taper
 * @param asFound how long a shaft or a tube of one's own is and how short it can be made, by its name
 */
@Withers
public record Catalogue(
        List<Joint> joints,
        List<Shaft> shafts,
        List<NamedEnd> ends,
        List<Bearing> bearings,
        List<NamedTube> tubes,
        List<EndPart> rodEnds,
        Map<String, PartAsFound> asFound)
        implements CatalogueBuilder.With {

    public static final Catalogue NONE =
            new Catalogue(List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), Map.of());

    public record NamedEnd(String name, Socket socket) {}

    public record NamedTube(String name, ColumnTube tube) {}

    public Catalogue {
        joints = List.copyOf(joints);
        shafts = List.copyOf(shafts);
        ends = List.copyOf(ends);
        bearings = List.copyOf(bearings);
        tubes = List.copyOf(tubes);
        rodEnds = List.copyOf(rodEnds);
        asFound = Collections.unmodifiableMap(new TreeMap<>(asFound));
    }

    /** These parts, and after them those of another catalogue. */
    public Catalogue and(Catalogue more) {
        if (equals(NONE)) {
            return more;
        }
        Map<String, PartAsFound> found = new TreeMap<>(more.asFound);
        found.putAll(asFound);
        return new Catalogue(
                both(joints, more.joints),
                both(shafts, more.shafts),
                both(ends, more.ends),
                both(bearings, more.bearings),
                both(tubes, more.tubes),
                both(rodEnds, more.rodEnds),
                found);
    }

    private static <T> List<T> both(List<T> first, List<T> then) {
        return Stream.concat(first.stream(), then.stream()).toList();
    }

    /** All bores that bearings can be had with, rising, mm. */
    public DoubleStream bores() {
        return bearings.stream().mapToDouble(Bearing::bore).sorted().distinct();
    }

    /** The largest bore that is smaller than a shaft by more than the tolerance, mm. */
    public Optional<Double> boreBelow(double shaft, double tolerance) {
        return bores().filter(b -> b < shaft - tolerance).boxed().max(Comparator.naturalOrder());
    }

    /** The smallest bore that is larger than a shaft by more than the tolerance, mm. */
    public Optional<Double> boreAbove(double shaft, double tolerance) {
        return bores().filter(b -> b > shaft + tolerance).boxed().min(Comparator.naturalOrder());
    }

    /** A joint of the same kind with other bores, if there is one; the nearest in angle allowed first. */
    public Optional<Joint> jointLike(Joint joint, ShaftProfile wheelShaft, ShaftProfile gearShaft, double tolerance) {
        return joints.stream()
                .filter(j -> j.kind().equals(joint.kind()))
                .filter(j -> takes(j.wheelSide().socket(), wheelShaft, tolerance)
                        && takes(j.gearSide().socket(), gearShaft, tolerance))
                .min(Comparator.comparingDouble(j -> Math.abs(j.maxAngleDeg() - joint.maxAngleDeg())));
    }

    private static boolean takes(Optional<Socket> socket, ShaftProfile shaft, double tolerance) {
        return socket.map(s -> EndFit.between(shaft, s, tolerance) == EndFit.FITS)
                .orElse(false);
    }

    /** Everything by name, for a search. */
    public Stream<String> names() {
        return Stream.of(
                        joints.stream().map(Joint::name),
                        shafts.stream().map(Shaft::name),
                        ends.stream().map(NamedEnd::name),
                        bearings.stream().map(Bearing::name),
                        tubes.stream().map(NamedTube::name),
                        rodEnds.stream().map(EndPart::name))
                .flatMap(s -> s);
    }
}
