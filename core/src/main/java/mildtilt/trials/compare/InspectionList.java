package mildtilt.trials.compare;

import java.util.ArrayList;
import java.util.List;
import mildtilt.analysis.Analysis;
import mildtilt.build.ShaftJoin;
import mildtilt.column.Socket;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.shop.RodFigures;
import mildtilt.steer.SteerFigures;
import mildtilt.trials.Inspection;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * What is looked at before a vehicle is driven, and after it was driven first; made from what the job has. A builder's
 * record, not an approval.
 */
public final class InspectionList {

    /** Said on screen and paper wherever the list stands. */
    public static final String CAUTION =
            "This is a builder's record, not an approval. Whether the vehicle may be driven on a road, and who has to look at it before, is for local rules and those licensed to say so.";

    /** @param key the same in every job, so that what was ticked stays with its item */
    public record Item(Id id, Group group, Phrase what) {}

    /** Parts of the list, in order. */
    public enum Group {
        WELDS("Welds"),
        FASTENERS("Fasteners and engagement"),
        TRAVEL("Full travel at full lock, both ways"),
        CLEAR("Hoses, wires and room"),
        CENTRE("Straight ahead and direction"),
        AGAIN("After the first drive");

        private final String label;

        Group(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final Analysis analysis;
    private final Names names;
    private final List<Item> items = new ArrayList<>();

    private InspectionList(Analysis analysis) {
        this.analysis = analysis;
        names = Names.of(analysis.job());
    }

    public static List<Item> of(Analysis analysis, Inspection own) {
        InspectionList l = new InspectionList(analysis);
        Job job = analysis.job();
        l.welds(job);
        l.fasteners(job);
        l.travel(job);
        l.add(
                new Id("hoses"),
                Group.CLEAR,
                Phrase.of(
                        "Brake hoses and lines: no pull, no rub, no twist at full lock both ways, each wheel up and down."));
        l.add(
                new Id("wires"),
                Group.CLEAR,
                Phrase.of("Wires and earth straps: tied back, none can reach a shaft, a joint or the linkage."));
        l.gaps();
        l.centre(job);
        for (Inspection.Own o : own.own()) {
            l.add(o.id(), Group.CLEAR, Phrase.of(Phrase.name(o.what())));
        }
        l.again(job);
        return List.copyOf(l.items);
    }

    private void add(Id id, Group group, Phrase what) {
        items.add(new Item(id, group, what));
    }

    private void welds(Job job) {
        job.making()
                .welds()
                .forEach(
                        w -> add(
                                w.id(),
                                Group.WELDS,
                                Phrase.of(
                                        Phrase.name(w.piece())
                                                + ": full size all round, no undercut, no crack by dye or magnet; heat record signed.")));
        for (ShaftJoin j : job.making().joins()) {
            if (j.school().welded()) {
                add(
                        j.id(),
                        Group.WELDS,
                        Phrase.of("Join in " + Phrase.name(names.apply(j.shaft()))
                                + ": looked at all round, run-out read again when cold."));
            }
        }
        job.column().ifPresent(c -> c.joints().forEach(x -> {
            if (List.of(x.wheelSide(), x.gearSide()).stream().anyMatch(f -> f.socket()
                    .filter(s -> s.hold() == Socket.Retention.WELD)
                    .isPresent())) {
                add(
                        x.id().part("weld"),
                        Group.WELDS,
                        Phrase.of(
                                Phrase.name(x.name())
                                        + ": welded fork looked at all round; the cross turns freely and without notches after the heat."));
            }
        }));
        if (items.isEmpty()) {
            add(
                    new Id("no_welds"),
                    Group.WELDS,
                    Phrase.of(
                            "No weld is written down for this job: look whether there is one all the same, brackets and notches too."));
        }
    }

    private void fasteners(Job job) {
        job.column().ifPresent(c -> {
            c.joints()
                    .forEach(x -> add(
                            x.id(),
                            Group.FASTENERS,
                            Phrase.of(Phrase.name(x.name())
                                    + ": both ends fully in their forks, pinch bolt through the groove or flat, locked. "
                                    + job.rules().locking())));
            c.bearings()
                    .forEach(
                            b -> add(
                                    b.id(),
                                    Group.FASTENERS,
                                    Phrase.of(
                                            Phrase.name(b.name())
                                                    + ": bracket bolts tight and locked, collar or circlip holds the shaft from sliding.")));
            add(
                    new Id("wheel_nut"),
                    Group.FASTENERS,
                    Phrase.of("Steering wheel nut tight and locked; the wheel can't be pulled off."));
        });
        if (job.axle().isPresent()) {
            add(
                    new Id("gear_bolts"),
                    Group.FASTENERS,
                    Phrase.of(
                            "Gear to its mount: every bolt tight and locked, no movement when the wheel is turned against the tyres."));
            List<RodFigures> rods = RodFigures.of(job, analysis.train().axle());
            for (RodFigures r : rods) {
                add(
                        Id.of(r.rod()),
                        Group.FASTENERS,
                        Phrase.of(
                                "The " + r.rod().label()
                                        + ": at least {0} of thread in the body at each end (planned {1} and {2}), jam nuts tight, castle nuts pinned, rod turns free by hand within its tilt.",
                                Quantity.length(
                                        Math.max(r.outer().least(), r.inner().least())),
                                Quantity.length(r.outer().engaged()),
                                Quantity.length(r.inner().engaged())));
            }
            if (rods.isEmpty()) {
                add(
                        new Id("rods"),
                        Group.FASTENERS,
                        Phrase.of(
                                "Rods: thread engaged at each end at least one and a half times its diameter, jam nuts tight, castle nuts pinned."));
            }
            add(
                    new Id("arms"),
                    Group.FASTENERS,
                    Phrase.of(
                            "Steering arms to knuckles: bolts tight and locked; studs seat in their tapers without a rattle."));
        }
    }

    private void travel(Job job) {
        if (analysis.steer().isEmpty()) {
            return;
        }
        SteerFigures s = analysis.steer().get();
        for (Side way : Side.values()) {
            add(
                    new Id("lock_" + way.label()),
                    Group.TRAVEL,
                    Phrase.of(
                            "Full " + way.label()
                                    + " lock, each wheel through its whole travel ({0} up, {1} down): nothing touches, nothing binds, nothing goes over centre; planned {2} of inner wheel.",
                            Quantity.length(job.vehicle().bump()),
                            Quantity.length(job.vehicle().droop()),
                            Quantity.angle(s.lock(way).turn().innerDeg())));
        }
        add(
                new Id("stops"),
                Group.TRAVEL,
                Phrase.of(
                        "Both locks end at the stops that are meant to end them, not in a rod end, a hose or the end of the gear."));
        add(
                new Id("bind"),
                Group.TRAVEL,
                Phrase.of(
                        "Lock to lock by a finger on the rim, raised: no tight place, no notch; rod ends tilt free at both ends."));
    }

    private void gaps() {
        analysis.clearance()
                .flatMap(c -> c.tightest())
                .ifPresent(p -> add(
                        new Id("gap"),
                        Group.CLEAR,
                        Phrase.of(
                                "Tightest of the plan: " + Phrase.name(p.label()) + ", {0} where {1} is wanted.",
                                Quantity.length(p.gap()),
                                Quantity.length(p.need()))));
        add(
                new Id("heat"),
                Group.CLEAR,
                Phrase.of("No boot, joint or bearing near the exhaust without a shield; nothing drips on it."));
    }

    private void centre(Job job) {
        add(
                new Id("direction"),
                Group.CENTRE,
                Phrase.of(
                        "Steering wheel turned to the left: the front of both road wheels goes to the left. Try it; don't assume it."));
        add(
                new Id("centre"),
                Group.CENTRE,
                Phrase.of(
                        "Road wheels straight ahead, gear in the middle of its travel and spokes level, all three at once."));
        add(
                new Id("toe"),
                Group.CENTRE,
                Phrase.of("Toe set and read on the vehicle's own weight; jam nuts tightened after."));
        if (job.column().isPresent()) {
            add(
                    new Id("collapse"),
                    Group.CENTRE,
                    Phrase.of(
                            "The column can still give way as it was made to: nothing stiffens, bridges or welds what is meant to fold or slide."));
        }
    }

    private void again(Job job) {
        add(
                new Id("again_fasteners"),
                Group.AGAIN,
                Phrase.of(
                        "Every fastener of the steering tried again with the wrench; none has moved from its paint mark."));
        add(new Id("again_play"), Group.AGAIN, Phrase.of("Play at the rim no more than it was."));
        add(new Id("again_marks"), Group.AGAIN, Phrase.of("No fresh rub mark on shafts, tyres, hoses or rails."));
        add(
                new Id("again_welds"),
                Group.AGAIN,
                Phrase.of("Welds looked at again: no crack, no flaked paint beside them."));
        if (job.axle().isPresent()) {
            add(new Id("again_toe"), Group.AGAIN, Phrase.of("Toe read again; straight ahead is still straight ahead."));
        }
    }
}
