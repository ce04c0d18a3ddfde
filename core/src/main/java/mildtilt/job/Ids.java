package mildtilt.job;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.build.Making;
import mildtilt.build.Piece;
import mildtilt.build.ShaftJoin;
import mildtilt.build.WeldRecord;
import mildtilt.column.Column;
import mildtilt.id.Id;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Surroundings;
import mildtilt.survey.Reading;

/**
 * Keeps ids from being given twice. An edit of a column, of what is in the way or of how it is made sees only that, and
 * takes the next number there; a
 * reading, a tick, a join, a trial's plan or a variant may still refer to a part of that number that was taken out.
 * Such a new part gets a number
 * that nothing in the job refers to, so that it inherits nothing.
 */
final class Ids {

    private Ids() {}

    static Column fresh(Job job, Column now) {
        Set<Id> before = job.column().stream().flatMap(Column::partIds).collect(Collectors.toSet());
        Map<Id, Id> to = fresh(job, before, now.partIds().toList());
        return to.isEmpty() ? now : now.renamed(id -> to.getOrDefault(id, id));
    }

    static Surroundings fresh(Job job, Surroundings now) {
        Set<Id> before =
                job.surroundings().obstacles().stream().map(Obstacle::id).collect(Collectors.toSet());
        Map<Id, Id> to =
                fresh(job, before, now.obstacles().stream().map(Obstacle::id).toList());
        return to.isEmpty()
                ? now
                : now.withObstacles(now.obstacles().stream()
                        .map(o -> o.withId(to.getOrDefault(o.id(), o.id())))
                        .toList());
    }

    static Making fresh(Job job, Making now) {
        Set<Id> before = Stream.concat(
                        job.making().joins().stream().map(ShaftJoin::id),
                        job.making().welds().stream().map(WeldRecord::id))
                .collect(Collectors.toSet());
        Map<Id, Id> to = fresh(
                job,
                before,
                Stream.concat(
                                now.joins().stream().map(ShaftJoin::id),
                                now.welds().stream().map(WeldRecord::id))
                        .toList());
        return to.isEmpty()
                ? now
                : now.withJoins(now.joins().stream()
                                .map(j -> j.withId(to.getOrDefault(j.id(), j.id())))
                                .toList())
                        .withWelds(now.welds().stream()
                                .map(w -> w.withId(to.getOrDefault(w.id(), w.id())))
                                .toList());
    }

    /** New ids that are already in use, and what each becomes. */
    private static Map<Id, Id> fresh(Job job, Set<Id> before, Collection<Id> now) {
        if (before.containsAll(now)) {
            return Map.of();
        }
        Set<Id> taken = referredTo(job);
        Map<Id, Id> to = new HashMap<>();
        Set<Id> all = new HashSet<>(taken);
        all.addAll(now);
        for (Id id : now) {
            if (!before.contains(id) && taken.contains(id)) {
                Id next = kind(id).next(all);
                all.add(next);
                to.put(id, next);
            }
        }
        return to;
    }

    private static Id.Kind kind(Id id) {
        return Stream.of(Id.Kind.values())
                .filter(id::is)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(id + " has no number"));
    }

    /** Every part that anything in the job refers to. */
    private static Set<Id> referredTo(Job job) {
        Set<Id> all = new HashSet<>();
        job.survey().points().forEach(p -> {
            all.add(p.id().whole());
            p.readings().forEach(r -> {
                r.others().forEach(o -> all.add(o.whole()));
                if (r instanceof Reading.Sighted s) {
                    all.add(s.photograph());
                }
            });
        });
        job.survey().photographs().forEach(p -> all.add(p.id()));
        job.making().joins().forEach(j -> all.add(j.shaft()));
        all.addAll(job.making().asFound().shafts().keySet());
        job.making().pieces().forEach(p -> {
            if (p instanceof Piece.BearingBracket b) {
                all.add(b.bearing());
                all.add(b.foot());
            }
        });
        job.making().plan().purchases().keySet().forEach(p -> all.add(p.whole()));
        job.surroundings().meant().forEach(t -> {
            all.add(t.first());
            all.add(t.second());
        });
        Stream.concat(job.variants().all().stream().map(Variant::plan), Stream.of(job.plan()))
                .forEach(p -> p.column().ifPresent(c -> c.partIds().forEach(all::add)));
        job.log().vehicles().forEach(v -> {
            v.inspection().ticks().keySet().forEach(k -> all.add(k.whole()));
            v.trials().forEach(t -> {
                t.plan().column().ifPresent(c -> c.partIds().forEach(all::add));
                t.sheet().readings().forEach(r -> all.addAll(r.parts()));
            });
        });
        return all;
    }
}
