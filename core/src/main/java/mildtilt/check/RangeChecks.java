package mildtilt.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.measure.Phrase;
import mildtilt.measure.Quantity;
import mildtilt.routing.ColumnFigures;
import mildtilt.routing.ColumnRange.ShaftRange;

/** Faults over the wheel's adjustment and the frame's movement: shafts that must give and can't, overlap and stroke that run out. */
final class RangeChecks {

    /** Spare stroke given to a shaft that is made to slide, mm. */
    private static final double SPARE = 10;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;

    RangeChecks(Job job, ColumnFigures figures) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
    }

    List<Finding> findings() {
        List<Finding> all = new ArrayList<>();
        for (int i = 0; i < column.shafts().size(); i++) {
            ShaftRange range = figures.range().shafts().get(i);
            Optional<Slide> slide = column.shafts().get(i).slide();
            if (slide.isPresent()) {
                sliding(i, slide.get(), range, all);
            } else if (range.mustSlide()) {
                rigid(i, range, all);
            }
        }
        return all;
    }

    private void rigid(int index, ShaftRange range, List<Finding> all) {
        Shaft s = column.shafts().get(index);
        double longer = range.longest() - column.length(index);
        double shorter = column.length(index) - range.shortest();
        double least = job.rules().overlap();
        Slide made = new Slide(Math.ceil(least + longer + SPARE), least, Math.ceil(shorter + SPARE));
        all.add(new Finding(Fault.MUST_SLIDE, Severity.STOP, new Element.ShaftAt(index),
                Phrase.of(s.name() + " must give {0} in length and has no sliding part.", Quantity.length(range.longest() - range.shortest())),
                Phrase.of("Over the wheel's adjustment and the frame's movement its ends come as near as {0} and as far as {1}. "
                        + "A rigid shaft there loads the gear and tears at the bearings.", Quantity.length(range.shortest()), Quantity.length(range.longest())),
                List.of(new Remedy(Phrase.of("Make " + s.name() + " a sliding shaft: {0} of overlap, {1} to close", Quantity.length(made.overlap()),
                        Quantity.length(made.closes())), j -> j.editColumn(c -> c.editShaft(index, x -> x.withSlide(Optional.of(made))))))));
    }

    private void sliding(int index, Slide slide, ShaftRange range, List<Finding> all) {
        Shaft s = column.shafts().get(index);
        double wanted = Math.max(slide.leastOverlap(), job.rules().overlap());
        double least = range.leastOverlap().orElseThrow();
        if (least < wanted - 1e-6) {
            double more = Math.ceil(wanted - least);
            all.add(new Finding(Fault.SLIDE_SHORT, least <= 0 || least < slide.leastOverlap() ? Severity.STOP : Severity.LOOK, new Element.ShaftAt(index),
                    least <= 0 ? Phrase.of(s.name() + " comes apart: at its longest the two parts are {0} short of each other.", Quantity.length(-least))
                            : Phrase.of(s.name() + " overlaps {0} at its longest; the least is {1}.", Quantity.length(least), Quantity.length(wanted)),
                    "The overlap carries the whole pull of the hands; short of its least it wears, rattles, and can come apart while driving.",
                    List.of(new Remedy(Phrase.of("Make the inner part {0} longer", Quantity.length(more)),
                            j -> j.editColumn(c -> c.editShaft(index, x -> x.withSlide(Optional.of(slide.withOverlap(slide.overlap() + more)))))))));
        }
        double free = range.freeStroke().orElseThrow();
        if (free < 0) {
            double more = Math.ceil(-free + SPARE);
            all.add(new Finding(Fault.SLIDE_SHORT, Severity.STOP, new Element.ShaftAt(index),
                    Phrase.of(s.name() + " bottoms {0} before its ends are as near as they come.", Quantity.length(-free)),
                    "Bottomed, it pushes the gear and the wheel apart: bearings and bracket take it until something bends.",
                    List.of(new Remedy(Phrase.of("Give it {0} more to close", Quantity.length(more)),
                            j -> j.editColumn(c -> c.editShaft(index, x -> x.withSlide(Optional.of(slide.withCloses(slide.closes() + more)))))))));
        }
    }
}
