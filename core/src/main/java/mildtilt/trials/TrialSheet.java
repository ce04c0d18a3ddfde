package mildtilt.trials;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.photograph.PhotoName;
import mildtilt.withers.Withers;

/**
 * What was written down at one trial.
 *
 * @param name of the trial
 * @param by who: a role or initials
 * @param changed what was changed since the one before
 * @param photos beside the job, by names relative to its folder
 */
@Withers
public record TrialSheet(
        String name,
        LocalDateTime at,
        String by,
        String changed,
        Setup setup,
        List<TrialReading> readings,
        List<String> photos,
        String remarks)
        implements TrialSheetBuilder.With {

    private static final int MOST = 1000;

    public TrialSheet {
        readings = List.copyOf(readings);
        photos = List.copyOf(photos);
        if (name.isBlank()) {
            throw new ImpossibleGeometryException("A trial needs a name.");
        }
        if (readings.size() > MOST) {
            throw new ImpossibleGeometryException("A trial holds up to " + MOST + " readings: begin another trial.");
        }
        photos.forEach(PhotoName::check);
    }

    public TrialSheet withWords(String who, String what, String said) {
        return new TrialSheet(name, at, who, what, setup, readings, photos, said);
    }

    /** A reading added; one of the very same thing is replaced, since it was read again. */
    public TrialSheet with(TrialReading r) {
        List<TrialReading> all =
                new ArrayList<>(readings.stream().filter(o -> !sameThing(o, r)).toList());
        all.add(r);
        return withReadings(all);
    }

    private static boolean sameThing(TrialReading a, TrialReading b) {
        return switch (a) {
            case TrialReading.Figure f ->
                b instanceof TrialReading.Figure g && f.what().equals(g.what());
            case TrialReading.WallDot d ->
                b instanceof TrialReading.WallDot e
                        && d.wheel() == e.wheel()
                        && d.rodOn() == e.rodOn()
                        && Math.abs(d.travel() - e.travel()) < 0.5;
            case TrialReading.PlatePair p ->
                b instanceof TrialReading.PlatePair q && p.way() == q.way() && Math.abs(p.inner() - q.inner()) < 0.5;
            case TrialReading.RunOut o ->
                b instanceof TrialReading.RunOut q
                        && o.shaft().equals(q.shaft())
                        && Math.abs(o.along() - q.along()) < 0.5;
        };
    }

    public List<TrialReading.Figure> figures() {
        return of(TrialReading.Figure.class);
    }

    public List<TrialReading.WallDot> dots() {
        return of(TrialReading.WallDot.class);
    }

    public List<TrialReading.PlatePair> plates() {
        return of(TrialReading.PlatePair.class);
    }

    public List<TrialReading.RunOut> runOuts() {
        return of(TrialReading.RunOut.class);
    }

    private <T extends TrialReading> List<T> of(Class<T> kind) {
        return readings.stream().filter(kind::isInstance).map(kind::cast).toList();
    }
}
