package mildtilt.app.part;

import java.util.List;
import java.util.Optional;
import mildtilt.job.Job;
import mildtilt.job.OuterWheelTable;
import mildtilt.job.Targets;
import mildtilt.steer.TurnGeometry;

/** The main schools of how the outer wheel should follow the inner one, and what each costs. */
enum School {
    FULL(
            "full Ackermann",
            90,
            110,
            "Both wheels roll about one point: light and kind to tyres at walking pace. It costs the outer tyre "
                    + "some grip in fast bends, and the inner rod and arm come nearer to being in line."),
    PARALLEL(
            "parallel",
            -15,
            15,
            "Both wheels turn alike: plain arms, much lock, and the outer tyre works in fast bends. It costs scrub, "
                    + "effort and a wide circle in tight turns."),
    BAND("a band of one's own", 60, 110, "Between the two, as the sizes below say."),
    TABLE(
            "a table of one's own",
            60,
            110,
            "Wanted outer angles at given inner ones, such as turn plates or a maker's sheet give; in between "
                    + "along straight lines.");

    private final String label;
    private final double minPct;
    private final double maxPct;
    private final String cost;

    School(String label, double minPct, double maxPct, String cost) {
        this.label = label;
        this.minPct = minPct;
        this.maxPct = maxPct;
        this.cost = cost;
    }

    String label() {
        return label;
    }

    String cost() {
        return cost;
    }

    static School of(Targets t) {
        if (t.outerTable().isPresent()) {
            return TABLE;
        }
        for (School s : new School[] {FULL, PARALLEL}) {
            if (t.ackermannMinPct() == s.minPct && t.ackermannMaxPct() == s.maxPct) {
                return s;
            }
        }
        return BAND;
    }

    /** The job with this school's aims; a table starts with the true Ackermann of the job's own vehicle. */
    Job chosen(Job job, Optional<TurnGeometry> anyTurn) {
        Targets t = job.targets();
        return switch (this) {
            case FULL, PARALLEL ->
                job.withTargets(t.withOuterTable(Optional.empty()).withAckermann(minPct, maxPct));
            case BAND ->
                job.withTargets(
                        t.outerTable().isPresent()
                                ? t.withOuterTable(Optional.empty())
                                : t.withAckermann(minPct, maxPct));
            case TABLE ->
                job.withTargets(t.withOuterTable(Optional.of(
                        new OuterWheelTable(List.of(row(10, anyTurn), row(20, anyTurn), row(30, anyTurn)), 1))));
        };
    }

    private static OuterWheelTable.Row row(double inner, Optional<TurnGeometry> turn) {
        double outer = turn.map(
                        x -> new TurnGeometry(0, inner, inner, x.wheelbase(), x.rearSteer(), x.axisSpacing(), x.track())
                                .idealOuterDeg())
                .orElse(inner);
        return new OuterWheelTable.Row(inner, Math.rint(outer * 10) / 10);
    }
}
