package mildtilt.job;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;

/** The other plans of a job, in the order they were kept. Names differ, so that people can tell them apart. */
public record Variants(List<Variant> all) {

    public static final Variants NONE = new Variants(List.of());

    /** @throws ImpossibleGeometryException if two have one name or one id */
    public Variants {
        all = List.copyOf(all);
        if (all.stream().map(Variant::name).distinct().count() < all.size()) {
            throw new ImpossibleGeometryException("Two variants have the same name; give each its own.");
        }
        if (all.stream().map(Variant::id).distinct().count() < all.size()) {
            throw new ImpossibleGeometryException("Two variants have the same id; give each its own.");
        }
    }

    public Optional<Variant> get(Id id) {
        return all.stream().filter(v -> v.id().equals(id)).findFirst();
    }

    public Optional<Variant> named(String name) {
        return all.stream().filter(v -> v.name().equals(name)).findFirst();
    }

    /** A plan kept under a name, in place of the one that had it. */
    public Variants keeping(String name, Plan plan) {
        return keeping(name, plan, next());
    }

    /** One taken out and another plan kept in its stead, under an id of its own. */
    Variants exchanging(Id gone, String name, Plan plan) {
        return without(gone).keeping(name, plan, next());
    }

    private Variants keeping(String name, Plan plan, Id fresh) {
        Optional<Variant> before = named(name);
        Variants others = before.map(v -> without(v.id())).orElse(this);
        return new Variants(Stream.concat(
                        others.all.stream(),
                        Stream.of(new Variant(before.map(Variant::id).orElse(fresh), name, plan)))
                .toList());
    }

    private Id next() {
        return Id.Kind.VARIANT.next(all.stream().map(Variant::id));
    }

    public Variants without(Id id) {
        return new Variants(all.stream().filter(v -> !v.id().equals(id)).toList());
    }

    /** The name itself, or with the next number after it where a variant has it already. */
    public String free(String wanted) {
        String name = wanted;
        for (int n = 2; named(name).isPresent(); n++) {
            name = wanted + " " + n;
        }
        return name;
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }
}
