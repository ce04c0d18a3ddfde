package mildtilt.build;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.linkage.rods.Rod;
import mildtilt.withers.Withers;

/**
 * All that a job says of how it is made.
 *
 * @param rods how each rod is put together, as far as chosen
 * @param rackRods rods that a rack has of its own, with an end screwed on; such a rod has no other make-up
 * @param stopBolt where the knuckles' lock stops act
 * @param asFound parts that are there already
 * @param pieces made besides; names differ, so that people can tell them apart
 */
@Withers
public record Making(
        Workshop workshop,
        Map<Rod, RodMakeUp> rods,
        Map<Rod, RackRod> rackRods,
        StopBolt stopBolt,
        AsFound asFound,
        List<ShaftJoin> joins,
        List<Piece> pieces,
        WorkPlan plan,
        List<WeldRecord> welds)
        implements MakingBuilder.With {

    public static final Making NONE = new Making(
            Workshop.USUAL,
            Map.of(),
            Map.of(),
            StopBolt.USUAL,
            AsFound.NOTHING,
            List.of(),
            List.of(),
            WorkPlan.NONE,
            List.of());

    /** @throws ImpossibleGeometryException if two pieces have one name */
    public Making {
        rods = Collections.unmodifiableMap(new TreeMap<>(rods));
        rackRods = Collections.unmodifiableMap(new TreeMap<>(rackRods));
        for (Rod rod : rackRods.keySet()) {
            if (rod != Rod.LEFT_TIE_ROD && rod != Rod.RIGHT_TIE_ROD) {
                throw new ImpossibleGeometryException("A " + rod.label() + " is no rod of a rack.");
            }
            if (rods.containsKey(rod)) {
                throw new ImpossibleGeometryException("The " + rod.label()
                        + " is said to be the rack's own and to be made up of two ends: it is one or the other.");
            }
        }
        joins = List.copyOf(joins);
        pieces = List.copyOf(pieces);
        welds = List.copyOf(welds);
        if (pieces.stream().map(Piece::name).distinct().count() < pieces.size()) {
            throw new ImpossibleGeometryException("Two pieces have the same name; give each its own.");
        }
        mustDiffer("pieces", pieces.stream().map(Piece::id).toList());
        mustDiffer("joins", joins.stream().map(ShaftJoin::id).toList());
        mustDiffer("heat records", welds.stream().map(WeldRecord::id).toList());
    }

    private static void mustDiffer(String what, List<Id> ids) {
        if (ids.stream().distinct().count() < ids.size()) {
            throw new ImpossibleGeometryException("Two " + what + " have the same id; give each its own.");
        }
    }

    public Optional<RodMakeUp> rod(Rod rod) {
        return Optional.ofNullable(rods.get(rod));
    }

    public Making editWorkshop(UnaryOperator<Workshop> edit) {
        return withWorkshop(edit.apply(workshop));
    }

    public Making withRod(Rod rod, Optional<RodMakeUp> makeUp) {
        Map<Rod, RodMakeUp> all = new LinkedHashMap<>(rods);
        all.remove(rod);
        makeUp.ifPresent(m -> all.put(rod, m));
        Map<Rod, RackRod> own = new LinkedHashMap<>(rackRods);
        makeUp.ifPresent(_ -> own.remove(rod));
        return withRackRods(own).withRods(all);
    }

    public Optional<RackRod> rackRod(Rod rod) {
        return Optional.ofNullable(rackRods.get(rod));
    }

    /** With the rack's own rod, in place of one made up of two ends. */
    public Making withRackRod(Rod rod, Optional<RackRod> it) {
        Map<Rod, RackRod> all = new LinkedHashMap<>(rackRods);
        all.remove(rod);
        it.ifPresent(r -> all.put(rod, r));
        Map<Rod, RodMakeUp> made = new LinkedHashMap<>(rods);
        it.ifPresent(_ -> made.remove(rod));
        return withRods(made).withRackRods(all);
    }

    public Making editAsFound(UnaryOperator<AsFound> edit) {
        return withAsFound(edit.apply(asFound));
    }

    public Making editJoin(int index, UnaryOperator<ShaftJoin> edit) {
        return withJoins(edited(joins, index, edit));
    }

    /** With another join, under an id that no step of the run sheet was ever ticked for. */
    public Making withJoin(Id shaft, double along, ShaftJoin.School school) {
        List<ShaftJoin> all = new ArrayList<>(joins);
        Stream<Id> ticked = plan.marks().keySet().stream().map(Id::new);
        all.add(new ShaftJoin(
                Id.Kind.JOIN.next(Stream.concat(joins.stream().map(ShaftJoin::id), ticked)), shaft, along, school));
        return withJoins(all);
    }

    /** With another piece, under the next id. */
    public Making withPiece(Piece p) {
        List<Piece> all = new ArrayList<>(pieces);
        all.add(p.under(Id.Kind.PIECE.next(pieces.stream().map(Piece::id))));
        return withPieces(all);
    }

    /** With another heat record, with the temperatures usual for a metal. */
    public Making withWeld(String piece, WeldedMetal metal) {
        List<WeldRecord> all = new ArrayList<>(welds);
        all.add(WeldRecord.usual(Id.Kind.WELD.next(welds.stream().map(WeldRecord::id)), piece, metal));
        return withWelds(all);
    }

    public Making editPiece(int index, UnaryOperator<Piece> edit) {
        return withPieces(edited(pieces, index, edit));
    }

    public Making editPlan(UnaryOperator<WorkPlan> edit) {
        return withPlan(edit.apply(plan));
    }

    public Making editWeld(int index, UnaryOperator<WeldRecord> edit) {
        return withWelds(edited(welds, index, edit));
    }

    private static <T> List<T> edited(List<T> all, int index, UnaryOperator<T> edit) {
        List<T> changed = new ArrayList<>(all);
        changed.set(index, edit.apply(changed.get(index)));
        return changed;
    }
}
