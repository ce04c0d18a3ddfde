package mildtilt.findings.checks;

import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnRange;
import mildtilt.columnrange.ColumnRange.ShaftRange;
import mildtilt.columnrange.TrainEdits;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Faults over the wheel's adjustment and the frame's movement: shafts that must give and can't, overlap and stroke that
 * run out.
 */
final class RangeChecks {

    /** Spare stroke given to a shaft that is made to slide, mm. */
    private static final double SPARE = 10;
    /** Shorter than this a shaft has no room for a second joint and a slide, mm. */
    private static final double ROOM_FOR_TWO = 250;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;

    RangeChecks(Job job, ColumnFigures figures) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        boolean follows = figures.range().offGear() <= ColumnRange.GIVES;
        if (!follows) {
            w.check(
                    "Whether the column follows the frame",
                    new Element.Wheel(),
                    all -> canNotFollow(figures.range().offGear(), all));
        }
        for (int i = 0; i < column.shafts().size(); i++) {
            int shaft = i;
            ShaftRange range = figures.range().shafts().get(i);
            Optional<Slide> slide = column.shafts().get(i).slide();
            w.check("How far " + column.shafts().get(i).name() + " slides", new Element.ShaftAt(i), all -> {
                if (slide.isPresent()) {
                    sliding(shaft, slide.get(), range, all);
                } else if (range.mustSlide() && follows) {
                    rigid(shaft, range, all);
                }
            });
        }
    }

    /** The gear holds its input in line, and so few joints can't take up a sideways offset. */
    private void canNotFollow(double off, List<Finding> all) {
        boolean onAxle = job.axle().filter(SteeredAxle::gearOnAxle).isPresent();
        int last = column.joints().size();
        String carried = last == 0 ? "the wheel" : column.joints().getFirst().name();
        List<Remedy> remedies = last == 1 && column.length(1) > ROOM_FOR_TWO
                ? List.of(new Remedy(
                        Phrase.of("Put a second joint in "
                                + Phrase.name(column.shafts().get(1).name()) + " and let the part between slide"),
                        RangeChecks::twoJoints))
                : List.of();
        all.add(new Finding(
                Fault.CAN_NOT_FOLLOW,
                Severity.STOP,
                new Element.ShaftAt(last),
                Phrase.of(
                        onAxle
                                ? "The axle's travel carries the gear's input {0} off the line of its shaft."
                                : "The wheel's adjustment and the frame's movement carry " + carried
                                        + " {0} off the line of the gear's input.",
                        Quantity.length(off)),
                "The gear holds its input in line. With " + (last == 0 ? "no joint" : "one joint")
                        + " nothing takes that up but the gear's bearings and the column's bracket. "
                        + (onAxle
                                ? "Use two joints with a sliding shaft between them, the first held on the frame: the second goes with the axle."
                                : "Use two joints with a sliding shaft between them, or fix the column to what carries the gear."),
                remedies));
    }

    private static Job twoJoints(Job job) {
        double overlap = job.rules().overlap();
        Job parted = job.editColumn(c -> TrainEdits.split(c, 1, c.joints().getFirst()));
        Column split = parted.column().orElseThrow();
        ShaftRange range = ColumnRange.of(parted).shafts().get(1);
        Slide made = new Slide(
                Math.ceil(overlap + range.longest() - split.length(1) + SPARE),
                overlap,
                Math.ceil(split.length(1) - range.shortest() + SPARE));
        return parted.withColumn(split.editShaft(1, s -> s.withSlide(Optional.of(made))));
    }

    private String range() {
        return job.axle().filter(SteeredAxle::gearOnAxle).isPresent()
                ? "the wheel's adjustment and the axle's travel"
                : "the wheel's adjustment and the frame's movement";
    }

    private void rigid(int index, ShaftRange range, List<Finding> all) {
        Shaft s = column.shafts().get(index);
        double longer = range.longest() - column.length(index);
        double shorter = column.length(index) - range.shortest();
        double least = job.rules().overlap();
        Slide made = new Slide(Math.ceil(least + longer + SPARE), least, Math.ceil(shorter + SPARE));
        all.add(new Finding(
                Fault.MUST_SLIDE,
                Severity.STOP,
                new Element.ShaftAt(index),
                Phrase.of(
                        Phrase.name(s.name()) + " must change length by {0} and has no sliding part.",
                        Quantity.length(range.longest() - range.shortest())),
                Phrase.of(
                        "Over " + range() + " its ends come as near as {0} and as far as {1}. "
                                + "A rigid shaft there loads the gear and tears at the bearings.",
                        Quantity.length(range.shortest()),
                        Quantity.length(range.longest())),
                List.of(new Remedy(
                        Phrase.of(
                                "Make " + Phrase.name(s.name()) + " a sliding shaft: {0} of overlap, {1} to close",
                                Quantity.length(made.overlap()),
                                Quantity.length(made.closes())),
                        j -> j.editColumn(c -> c.editShaft(index, x -> x.withSlide(Optional.of(made))))))));
    }

    private void sliding(int index, Slide slide, ShaftRange range, List<Finding> all) {
        Shaft s = column.shafts().get(index);
        double wanted = Math.max(slide.leastOverlap(), job.rules().overlap());
        double least = range.leastOverlap().orElseThrow();
        if (least < wanted - 1e-6) {
            double more = Math.ceil(wanted - least);
            all.add(new Finding(
                    Fault.SLIDE_SHORT,
                    least <= 0 || least < slide.leastOverlap() ? Severity.STOP : Severity.LOOK,
                    new Element.ShaftAt(index),
                    least <= 0
                            ? Phrase.of(
                                    Phrase.name(s.name())
                                            + " comes apart: at its longest the two parts are {0} short of each other.",
                                    Quantity.length(-least))
                            : Phrase.of(
                                    Phrase.name(s.name()) + " overlaps {0} at its longest; the least is {1}.",
                                    Quantity.length(least),
                                    Quantity.length(wanted)),
                    "The overlap carries the driver's whole pull; below its least it wears, rattles, and can come apart while driving.",
                    List.of(new Remedy(
                            Phrase.of("Make the inner part {0} longer", Quantity.length(more)),
                            j -> j.editColumn(c -> c.editShaft(
                                    index,
                                    x -> x.withSlide(Optional.of(slide.withOverlap(slide.overlap() + more)))))))));
        }
        double free = range.freeStroke().orElseThrow();
        if (free < -1e-6) {
            double more = Math.ceil(-free + SPARE);
            boolean meetsFork = column.freeToClose(index) < slide.closes() - 1e-6;
            Column longer =
                    column.editShaft(index, x -> x.withSlide(Optional.of(slide.withCloses(slide.closes() + more))));
            all.add(new Finding(
                    Fault.SLIDE_BOTTOMS,
                    Severity.STOP,
                    new Element.ShaftAt(index),
                    Phrase.of(
                            Phrase.name(s.name())
                                    + (meetsFork
                                            ? "'s outer half meets the fork {0} before its ends are as near as they come."
                                            : " bottoms {0} before its ends are as near as they come."),
                            Quantity.length(-free)),
                    "Bottomed, it pushes the gear and the wheel apart: bearings and bracket take it until something bends."
                            + (meetsFork ? " Less overlap, or joints farther apart, give it room." : ""),
                    longer.freeToClose(index) > column.freeToClose(index) + more - 1e-6
                            ? List.of(new Remedy(
                                    Phrase.of("Give it {0} more to close", Quantity.length(more)),
                                    j -> j.editColumn(c -> c.editShaft(
                                            index,
                                            x -> x.withSlide(Optional.of(slide.withCloses(slide.closes() + more)))))))
                            : List.of()));
        }
    }
}
