package mildtilt.machined;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mildtilt.build.Piece;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.units.Phrase;

/**
 * The drawings of a job.
 *
 * @param notDrawn what can't be drawn, by the piece's id, and why
 */
public record MachinedParts(List<PartDrawing> drawings, Map<Id, Phrase> notDrawn) {

    public MachinedParts {
        drawings = List.copyOf(drawings);
        notDrawn = Collections.unmodifiableMap(new LinkedHashMap<>(notDrawn));
    }

    /** Why there is no drawing, of each piece without one. */
    public List<Phrase> open() {
        return List.copyOf(notDrawn.values());
    }

    /** A drawing, or why there is none. */
    sealed interface Outcome {
        record Drawn(PartDrawing drawing) implements Outcome {}

        record Open(Phrase why) implements Outcome {}
    }

    public static MachinedParts of(Job job) {
        List<PartDrawing> drawings = new ArrayList<>();
        Map<Id, Phrase> open = new LinkedHashMap<>();
        for (Piece piece : job.making().pieces()) {
            switch (piece) {
                case Piece.TurnedShaft p -> sort(p, TurnedShaftDrawing.of(job, p), drawings, open);
                case Piece.BearingHousing p -> sort(p, BearingHousingDrawing.of(job, p), drawings, open);
                case Piece.AdapterPlate p -> sort(p, AdapterPlateDrawing.of(job, p), drawings, open);
                case Piece.SteadyPost p -> sort(p, SteadyPostDrawing.of(job, p), drawings, open);
                case Piece.Length _,
                        Piece.ArmPlate _,
                        Piece.BearingBracket _,
                        Piece.CopedTube _,
                        Piece.CentringJig _ -> {}
            }
        }
        return new MachinedParts(drawings, open);
    }

    private static void sort(Piece p, Outcome outcome, List<PartDrawing> drawings, Map<Id, Phrase> open) {
        switch (outcome) {
            case Outcome.Drawn d -> drawings.add(d.drawing());
            case Outcome.Open o ->
                open.put(
                        p.id(), Phrase.of("\"" + Phrase.name(p.name()) + "\": ").then(o.why()));
        }
    }

    /** Cautions of all drawings, each with the name of its part. */
    public List<Phrase> cautions() {
        return drawings.stream()
                .flatMap(d -> d.cautions().stream().map(c -> Phrase.of("\"" + Phrase.name(d.name()) + "\": ")
                        .then(c)))
                .toList();
    }
}
