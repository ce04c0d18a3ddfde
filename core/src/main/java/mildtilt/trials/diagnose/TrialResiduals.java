package mildtilt.trials.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.Measurand;
import mildtilt.trials.TrialReading.Figure;
import mildtilt.trials.TrialReading.PlatePair;
import mildtilt.trials.TrialReading.WallDot;
import mildtilt.trials.TrialSheet;
import mildtilt.trials.compare.Laser;
import mildtilt.trials.compare.PlateAngles;

/** The readings that say something of where gear and arms are, and how far a job is from them. */
final class TrialResiduals {

    /** What a reading is said to be off by where a job can't even be put there, in its own ±. */
    private static final double HOPELESS = 40;

    private final List<WallDot> dots;
    private final List<PlatePair> plates;
    private final List<Figure> rods;
    private final double wall;

    TrialResiduals(TrialSheet sheet, Job plan) {
        boolean travels =
                plan.axle().map(a -> a.wheelTravel() != WheelTravel.NONE).orElse(false);
        dots = travels ? sheet.dots() : List.of();
        plates = sheet.plates();
        rods = sheet.figures().stream()
                .filter(f -> f.what() instanceof Measurand.RodLength)
                .toList();
        wall = sheet.setup().wall();
    }

    static boolean hopeless(double residual) {
        return residual == HOPELESS;
    }

    int size() {
        return dots.size() + plates.size() + rods.size();
    }

    /** How many marks on the wall were made by eye, each of them a little off itself. */
    int traces() {
        return (int)
                dots.stream().map(d -> List.of(d.wheel(), d.rodOn())).distinct().count();
    }

    /** What is said of them, counted. */
    String basis() {
        List<String> all = new ArrayList<>();
        if (!dots.isEmpty()) {
            all.add(dots.size() + " dots on the wall");
        }
        if (!plates.isEmpty()) {
            all.add(plates.size() + (plates.size() == 1 ? " pair" : " pairs") + " on turn plates");
        }
        if (!rods.isEmpty()) {
            all.add(rods.size() + (rods.size() == 1 ? " rod length" : " rod lengths"));
        }
        return String.join(", ", all);
    }

    /** What a job says less what was read, each over its ±; the mark of each trace counts for nothing. */
    double[] residuals(Job job) {
        double[] r = new double[size()];
        SteeringTrain train;
        try {
            train = new SteeringTrain(job);
        } catch (ImpossibleGeometryException e) {
            Arrays.fill(r, HOPELESS);
            return r;
        }
        int k = 0;
        for (WallDot d : dots) {
            Optional<Laser.Dot> there = Laser.dot(train, d.wheel(), d.travel(), d.rodOn(), wall);
            r[k++] = there.map(t -> (t.left() - d.left()) / d.spread()).orElse(HOPELESS);
        }
        for (Side side : Side.values()) {
            withoutMark(r, side, true);
            withoutMark(r, side, false);
        }
        for (PlatePair p : plates) {
            // The inner angle is read no better than the outer one.
            r[k++] = PlateAngles.outerAt(train, p.way(), p.inner())
                    .map(o -> (o - p.outer()) / (p.spread() * Math.sqrt(2)))
                    .orElse(HOPELESS);
        }
        Map<Rod, Double> lengths = train.axle().orElseThrow().lengths();
        for (Figure f : rods) {
            Double length = lengths.get(((Measurand.RodLength) f.what()).rod());
            r[k++] = length == null ? 0 : (length - f.value()) / f.spread();
        }
        return r;
    }

    /**
     * A trace shifted as a whole says that its mark was made beside the place: what all its dots share is taken out.
     */
    private void withoutMark(double[] r, Side side, boolean rodOn) {
        double along = 0;
        double norm = 0;
        for (int i = 0; i < dots.size(); i++) {
            WallDot d = dots.get(i);
            if (d.wheel() == side && d.rodOn() == rodOn) {
                along += r[i] / d.spread();
                norm += 1 / (d.spread() * d.spread());
            }
        }
        if (norm == 0) {
            return;
        }
        for (int i = 0; i < dots.size(); i++) {
            WallDot d = dots.get(i);
            if (d.wheel() == side && d.rodOn() == rodOn) {
                r[i] -= along / norm / d.spread();
            }
        }
    }
}
