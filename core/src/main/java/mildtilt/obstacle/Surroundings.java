package mildtilt.obstacle;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * All that clearances are judged against.
 *
 * @param obstacles names differ
 * @param driver if there is one to be kept clear of
 * @param meant pairs that are meant to touch, or that the user has left out; they are not reported
 */
@Withers
public record Surroundings(List<Obstacle> obstacles, Optional<Driver> driver, OwnParts own, List<Touching> meant)
        implements SurroundingsBuilder.With {

    public static final Surroundings NONE = new Surroundings(List.of(), Optional.empty(), OwnParts.USUAL, List.of());

    public static final int MOST = 200;

    /** Of all scans of a job together: what a machine of usual memory can hold and still go through. */
    public static final int MOST_TRIANGLES = 3_000_000;

    /** Two parts, in either order. */
    public record Touching(Id first, Id second) {

        boolean has(Id part) {
            return first.equals(part) || second.equals(part);
        }

        public boolean is(Id one, Id other) {
            return first.equals(one) && second.equals(other) || first.equals(other) && second.equals(one);
        }
    }

    /** @throws ImpossibleGeometryException if two have one name, there are too many, or their scans hold too much */
    public Surroundings {
        obstacles = List.copyOf(obstacles);
        meant = meant.stream()
                .distinct()
                .sorted(Comparator.comparing(Touching::first).thenComparing(Touching::second))
                .toList();
        if (obstacles.size() > MOST) {
            throw new ImpossibleGeometryException(
                    "Up to " + MOST + " things can be in the way, not " + obstacles.size() + ".");
        }
        if (obstacles.stream().map(Obstacle::name).distinct().count() < obstacles.size()) {
            throw new ImpossibleGeometryException("Two things in the way have the same name; give each its own.");
        }
        if (obstacles.stream().map(Obstacle::id).distinct().count() < obstacles.size()) {
            throw new ImpossibleGeometryException("Two things in the way have the same id; give each its own.");
        }
        mustNotHoldTooMuch(obstacles);
    }

    /** With another thing, under the next id, its name numbered where something bears it. */
    public Surroundings with(Obstacle added) {
        List<Obstacle> all = new ArrayList<>(obstacles);
        all.add(added.withId(Id.Kind.OBSTACLE.next(Stream.concat(
                        obstacles.stream().map(Obstacle::id),
                        meant.stream().flatMap(t -> Stream.of(t.first, t.second)))))
                .withName(free(added.name())));
        return new Surroundings(all, driver, own, meant);
    }

    /** Of all tubes together: what can be gone through over the whole range in a few seconds. */
    public static final int MOST_PIECES = 10_000;

    /** What moves by itself is looked at in so many places of its way. */
    private static final int PLACES_OF_A_SWEEP = 13;

    /** @throws ImpossibleGeometryException if these hold more than can be gone through in a few seconds */
    public static void mustNotHoldTooMuch(List<Obstacle> obstacles) {
        int pieces = obstacles.stream()
                .mapToInt(o -> o.shape() instanceof Shape.Tube t
                        ? (t.line().size() - 1) * (o.sweep() instanceof Sweep.Still ? 1 : PLACES_OF_A_SWEEP)
                        : 0)
                .sum();
        if (pieces > MOST_PIECES) {
            throw new ImpossibleGeometryException("The tubes in the way may have up to " + MOST_PIECES
                    + " straight pieces together, those of one that moves counted " + PLACES_OF_A_SWEEP
                    + " times; these have " + pieces + ". Give them fewer points.");
        }
        long triangles = obstacles.stream()
                .mapToLong(o -> o.shape() instanceof Shape.Scan s ? s.mesh().count() : 0)
                .sum();
        if (triangles > MOST_TRIANGLES) {
            throw new ImpossibleGeometryException("The scans of a job may have up to " + MOST_TRIANGLES
                    + " triangles together; these have " + triangles + ". Thin them out, or take one out.");
        }
    }

    public Surroundings without(int index) {
        List<Obstacle> all = new ArrayList<>(obstacles);
        Id gone = all.remove(index).id();
        return new Surroundings(
                all, driver, own, meant.stream().filter(t -> !t.has(gone)).toList());
    }

    /** With a pair no longer reported. */
    public Surroundings leavingOut(Id first, Id second) {
        List<Touching> all = new ArrayList<>(meant);
        all.add(new Touching(first, second));
        return new Surroundings(obstacles, driver, own, all);
    }

    /** With every pair looked at again. */
    public Surroundings leavingOutNone() {
        return new Surroundings(obstacles, driver, own, List.of());
    }

    public Surroundings edit(int index, UnaryOperator<Obstacle> edit) {
        List<Obstacle> all = new ArrayList<>(obstacles);
        all.set(index, edit.apply(all.get(index)));
        return withObstacles(all);
    }

    public Optional<Obstacle> get(Id id) {
        return obstacles.stream().filter(o -> o.id().equals(id)).findFirst();
    }

    public Optional<Obstacle> named(String name) {
        return obstacles.stream().filter(o -> o.name().equals(name)).findFirst();
    }

    /** The name itself, or with the next number after it where something bears it. */
    public String free(String wanted) {
        String name = wanted;
        for (int n = 2; named(name).isPresent(); n++) {
            name = wanted + " " + n;
        }
        return name;
    }
}
