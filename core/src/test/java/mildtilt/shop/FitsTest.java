package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.build.EndPart;
import mildtilt.build.Hole;
import mildtilt.build.RodMakeUp;
import mildtilt.build.RodMakeUp.BodyKind;
import mildtilt.build.ScrewThread;
import mildtilt.build.ScrewThread.Hand;
import mildtilt.build.Stud;
import mildtilt.findings.Fault;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodTube;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitsTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    /** Studs of 16 to 14 over 20, 1 in 10, in arms 22 thick. */
    @ParameterizedTest
    @CsvSource({
        "15.8, 13.6, 22, FITS, 2, 18",
        "16.5, 14.3, 22, SINKS, -5, 17",
        "15.2, 13.0, 22, STANDS_PROUD, 8, 12",
        "15.8, 13.05, 22, RATTLES, 7.5, 12.5",
        "16.05, 14.95, 22, RATTLES, -0.5, 20",
        "15.9, 14.9, 10, NUT_RUNS_OUT, 1, 10",
        "13.5, 11.3, 22, TOO_LARGE, 25, 0",
        "19, 16.8, 22, SINKS, -30, 0"
    })
    void aTaperSitsAsItsSizesSay(
            double large, double small, double thick, SeatingResult sits, double proud, double contact) {
        Stud.Taper stud = new Stud.Taper(16, 14, 20);
        Hole.Tapered hole = new Hole.Tapered(large, small, thick);
        TaperFit f = TaperFit.of(stud, hole);
        assertThat(f.seating(hole)).isEqualTo(sits);
        assertThat(f.proud()).isCloseTo(proud, within(1e-9));
        assertThat(f.contact()).isCloseTo(contact, within(1e-9));
    }

    /** Where it comes to rest it touches, and is nowhere larger than the hole: found by sliding it in. */
    @Test
    void studSeatsAtFirstContact() {
        Random random = new Random(8);
        for (int n = 0; n < 1000; n++) {
            double length = 12 + 15 * random.nextDouble();
            Stud.Taper s = new Stud.Taper(16, 16 - length / (7 + 5 * random.nextDouble()), length);
            double t = 10 + 15 * random.nextDouble();
            double large = 15 + random.nextDouble();
            Hole.Tapered h = new Hole.Tapered(large, large - t / (7 + 5 * random.nextDouble()), t);
            double proud = TaperFit.of(s, h).proud();
            double tightest = Double.NEGATIVE_INFINITY;
            for (int i = 0; i <= 100; i++) {
                double z = t * i / 100;
                tightest = Math.max(tightest, s.large() - s.rate() * (proud + z) - (h.large() - h.rate() * z));
            }
            assertThat(tightest).isCloseTo(0, within(1e-9));
        }
    }

    private Job with(Rod rod, EndPart part, Hole hole) {
        return demo.editMaking(m -> m.withRod(
                rod,
                m.rod(rod).map(r -> r.withEnd(true, r.end(true).withPart(part).withHole(Optional.of(hole))))));
    }

    private static Fits.Fit outer(Job job, Fits.Kind kind) {
        return Fits.of(job, CatalogueFile.shipped()).stream()
                .filter(f -> f.kind() == kind
                        && f.rod()
                                .filter(r -> r.rod() == Rod.LEFT_TIE_ROD && r.outer())
                                .isPresent())
                .findFirst()
                .orElseThrow();
    }

    /** Every way out, whatever is wrong, ends in a stud that may be built so; and a bad stud has at least one. */
    @Test
    void everyFitRemedyWorks() {
        Random random = new Random(21);
        List<EndPart> parts = CatalogueFile.shipped().rodEnds().stream()
                .filter(p -> !(p.stud() instanceof Stud.OnGear))
                .toList();
        int bad = 0;
        for (int n = 0; n < 400; n++) {
            EndPart part = parts.get(random.nextInt(parts.size()));
            double d =
                    switch (part.stud()) {
                        case Stud.Taper t -> t.large();
                        case Stud.Bolt b -> b.diameter();
                        case Stud.OnGear _ -> throw new IllegalStateException();
                    };
            double thick = 14 + 12 * random.nextDouble();
            double mouth = Math.min(23.9, d * (0.9 + 0.2 * random.nextDouble()));
            Hole hole = random.nextInt(4) == 0
                    ? new Hole.Plain(mouth, thick)
                    : new Hole.Tapered(mouth, mouth - thick / (6 + 6 * random.nextDouble()), thick);
            Job job = with(Rod.LEFT_TIE_ROD, part, hole);
            Fits.Fit fit = outer(job, Fits.Kind.STUD);
            if (fit.seating().bad()) {
                bad++;
                boolean tapered = part.stud() instanceof Stud.Taper && hole instanceof Hole.Tapered;
                assertThat(fit.ways().isEmpty() && tapered)
                        .as("%s in %s", part, hole)
                        .isFalse();
            }
            for (Fits.FitRemedy w : fit.ways()) {
                Fits.Fit after = outer(w.edit().apply(job), Fits.Kind.STUD);
                assertThat(after.seating().bad())
                        .as("%s: %s", w.action(), after)
                        .isFalse();
            }
        }
        assertThat(bad).isGreaterThan(100);
    }

    @Test
    void reamingNeverAddsMetal() {
        Random random = new Random(5);
        for (int n = 0; n < 500; n++) {
            Hole.Tapered hole = new Hole.Tapered(15 + 2 * random.nextDouble(), 12 + 2 * random.nextDouble(), 22);
            EndPart part = CatalogueFile.shipped().rodEnds().stream()
                    .filter(p -> p.name().contains("taper 16 at 1 in 8"))
                    .findFirst()
                    .orElseThrow();
            Job job = with(Rod.LEFT_TIE_ROD, part, hole);
            for (Fits.FitRemedy w : outer(job, Fits.Kind.STUD).ways()) {
                if (w.action().pattern().startsWith("Ream")) {
                    Hole.Tapered after = (Hole.Tapered) w.edit()
                            .apply(job)
                            .making()
                            .rod(Rod.LEFT_TIE_ROD)
                            .orElseThrow()
                            .outer()
                            .hole()
                            .orElseThrow();
                    assertThat(after.large()).isGreaterThanOrEqualTo(hole.large() - 1e-6);
                    assertThat(after.small()).isGreaterThanOrEqualTo(hole.small() - 1e-6);
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "16, 1.5, RIGHT, 22, 4, TAPPED, FITS",
        "16, 1.5, LEFT, 22, 4, TAPPED, OTHER_HAND",
        "16, 2.0, RIGHT, 22, 4, TAPPED, OTHER_PITCH",
        "15.875, 1.4111111, RIGHT, 22, 4, TAPPED, LOOSE",
        "14, 1.5, RIGHT, 22, 4, TAPPED, LOOSE",
        "18, 1.5, RIGHT, 22, 4, TAPPED, TOO_LARGE",
        "16, 1.5, RIGHT, 22, 3.4, TAPPED, SHALLOW",
        "16, 1.5, RIGHT, 20, 4, TAPPED, THIN",
        "16, 1.5, RIGHT, 30, 4, BUNGS, FITS",
        "16, 1.5, RIGHT, 26, 3, BUNGS, THIN"
    })
    void aThreadIsHeldAgainstTheBodys(
            double major, double pitch, Hand hand, double outside, double wall, BodyKind kind, SeatingResult sits) {
        ScrewThread tap = new ScrewThread(16, 1.5, Hand.RIGHT);
        Job job = demo.editAxle(a -> a.withCorner(
                        Side.LEFT,
                        a.left()
                                .withRodEnds(
                                        a.left().rodEnds().withTube(Optional.of(new RodTube(outside, wall, 0, 235))))))
                .editMaking(
                        m -> m.withRod(Rod.LEFT_TIE_ROD, m.rod(Rod.LEFT_TIE_ROD).map(r -> {
                            RodMakeUp.End e = r.outer()
                                    .withPart(r.outer().part().withThread(new ScrewThread(major, pitch, hand)));
                            return r.withEnd(true, e)
                                    .withBody(r.body().withKind(kind).withTaps(Optional.of(tap), Optional.empty()));
                        })));
        SeatingResult is = outer(job, Fits.Kind.THREAD).seating();
        // A shank larger or smaller than the tap by name: larger does not go in, smaller is loose.
        assertThat(is).isEqualTo(sits);
        assertThat(Analysis.of(job).findings().stream()
                        .anyMatch(f -> (f.fault() == Fault.THREADS_DIFFER || f.fault() == Fault.BODY_TOO_WEAK)
                                && f.about().startsWith("left")))
                .isEqualTo(sits.bad());
    }

    @Test
    void singleShearIsReportedAndCured() {
        Job job = with(
                Rod.LEFT_TIE_ROD,
                CatalogueFile.shipped().rodEnds().stream()
                        .filter(p -> p.name().equals("Rod end M16"))
                        .findFirst()
                        .orElseThrow(),
                new Hole.Plain(16.1, 12));
        Fits.Fit fit = outer(job, Fits.Kind.STUD);
        assertThat(fit.seating()).isEqualTo(SeatingResult.SINGLE_SHEAR);
        assertThat(outer(fit.ways().getFirst().edit().apply(job), Fits.Kind.STUD)
                        .seating())
                .isEqualTo(SeatingResult.FITS);
    }
}
