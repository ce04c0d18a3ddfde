package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import mildtilt.analysis.Analysis;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin.School;
import mildtilt.column.Bearing;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.rules.Rules.Welding;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class JoinFiguresTest {

    private final Job tender = DemoJob.BOG_TENDER.job();

    private Job joined(School school, double along) {
        return tender.editMaking(m -> m.withJoins(List.of()).withJoin(new Id("shaft-2"), along, school));
    }

    private static double polar(double outside, double inside) {
        return Math.PI * (Math.pow(outside, 4) - Math.pow(inside, 4)) / 16 / outside;
    }

    @ParameterizedTest
    @CsvSource({"0, 420", "0, 235", "12, 420", "15, 600"})
    void joinStrengthMatchesShaft(double bore, double yield) {
        Job job = joined(School.SLEEVE, 120)
                .editColumn(c -> c.editShaft(1, s -> s.withBore(bore).withYieldMpa(yield)));
        double shaft = polar(19, bore) * yield;
        JoinFigures sleeve =
                JoinFigures.of(job, job.making().joins().getFirst()).orElseThrow();
        Section.Tube t = (Section.Tube) sleeve.parts().getFirst().section();
        // Both the sleeve and the fillet on its end carry it, and half a millimetre less of wall would leave one of
        // them short.
        double leg = Math.ceil(2 * Math.sqrt(2) * shaft / (2 * Math.PI * 9.5 * 9.5 * 235)) / 2;
        assertThat(polar(t.outside(), t.inside()) * 235).isGreaterThan(shaft);
        assertThat(t.wall()).isGreaterThanOrEqualTo(leg - 1e-9);
        assertThat(polar(t.outside() - 1, t.inside()) * 235 < shaft || t.wall() - 0.5 < leg)
                .isTrue();
        assertThat(sleeve.carries()).isGreaterThanOrEqualTo(1);
        assertThat(t.inside()).isCloseTo(19.1, within(1e-9));
        // Bolts: two each side, each in two planes, at the shaft's surface.
        JoinFigures bolted = JoinFigures.of(job, job.making().joins().getFirst().withSchool(School.COUPLING))
                .orElseThrow();
        String words = bolted.dimensions().get(1).pattern();
        double m = Double.parseDouble(words.replaceAll(".*bolts M(\\d+).*", "$1"));
        assertThat(2 * 2 * Math.PI * m * m / 4 * 0.577 * 640 * 9.5).isGreaterThan(0.577 * shaft);
        assertThat(((Section.Tube) bolted.parts().getFirst().section()).inside())
                .isCloseTo(19.03, within(1e-9));
    }

    /** The pieces and gaps of a joined shaft are together as long as the shaft, by every school. */
    @ParameterizedTest
    @EnumSource(School.class)
    void joinPiecesAddUpToShaft(School school) {
        Job job = joined(school, 120);
        double whole = job.column().orElseThrow().cutLength(1);
        CutList cuts = Papers.of(Analysis.of(job), LocalDate.EPOCH).cuts();
        List<CutList.CutLine> pieces = cuts.lines().stream()
                .filter(l -> l.name().startsWith("Lower shaft") && !l.name().matches(".*(sleeve|plug|coupler)"))
                .toList();
        double sum = pieces.stream().mapToDouble(CutList.CutLine::finished).sum();
        switch (school) {
            case SLEEVE -> assertThat(sum + 1.5).isCloseTo(whole, within(1e-9));
            case COUPLING -> assertThat(sum).isCloseTo(whole, within(1e-9));
            case ONE_PIECE ->
                assertThat(pieces).singleElement().satisfies(p -> assertThat(p.finished())
                        .isCloseTo(whole, within(1e-9)));
            // The spigot lies inside the other piece, past the root gap, and has room there for two pairs of plug
            // welds.
            case PLUG -> {
                JoinFigures f =
                        JoinFigures.of(job, job.making().joins().getFirst()).orElseThrow();
                double spigot = f.gearSideExtra() - f.rootGap() / 2;
                assertThat(spigot).isBetween(1.2 * 19, 2.5 * 19);
                assertThat(sum - spigot).isCloseTo(whole, within(1e-9));
            }
        }
        assertThat(cuts.open()).isEmpty();
    }

    @Test
    void forbiddenWeldsRuleOutWeldedJoins() {
        for (School s : School.values()) {
            for (Welding w : Welding.values()) {
                Job job = joined(s, 120).withRules(tender.rules().withWelding(w));
                List<Finding> found = Analysis.of(job).findings().stream()
                        .filter(f -> f.fault() == Fault.JOIN_FORBIDDEN || f.fault() == Fault.JOIN_TO_BE_TESTED)
                        .toList();
                if (!s.welded() || w == Welding.ALLOWED) {
                    assertThat(found).isEmpty();
                } else {
                    assertThat(found).singleElement().satisfies(f -> {
                        assertThat(f.severity()).isEqualTo(w == Welding.FORBIDDEN ? Severity.STOP : Severity.LOOK);
                        assertThat(f.remedies()).hasSize(2).allSatisfy(r -> assertThat(
                                        Analysis.of(r.edit().apply(job)).findings())
                                .noneMatch(x -> x.fault() == f.fault()));
                    });
                }
            }
        }
    }

    @Test
    void orphanedJoinIsReported() {
        Job gone = joined(School.SLEEVE, 120).editColumn(c -> c.editShaft(1, s -> s.withId(Id.Kind.SHAFT.number(9))));
        for (Job job : List.of(gone, joined(School.SLEEVE, 4000), joined(School.SLEEVE, 5))) {
            Finding lost = Analysis.of(job).findings().stream()
                    .filter(f -> f.fault() == Fault.JOIN_LOST)
                    .findFirst()
                    .orElseThrow();
            assertThat(lost.severity()).isEqualTo(Severity.STOP);
            assertThat(Papers.of(Analysis.of(job), LocalDate.EPOCH).cuts().open())
                    .isNotEmpty();
            assertThat(lost.remedies().getFirst().edit().apply(job).making().joins())
                    .isEmpty();
        }
    }

    @Test
    void sleeveNeedsRoomFromForksAndBearings() {
        Job tight = joined(School.SLEEVE, 180);
        Finding f = Analysis.of(tight).findings().stream()
                .filter(x -> x.fault() == Fault.JOIN_LOST)
                .findFirst()
                .orElseThrow();
        assertThat(f.severity()).isEqualTo(Severity.STOP);
        assertThat(f.remedies()).isNotEmpty().allSatisfy(r -> assertThat(
                        Analysis.of(r.edit().apply(tight)).findings())
                .noneMatch(x -> x.fault() == Fault.JOIN_LOST));
        // By hand: cut 200.5 long, 26 of it in the lower joint; the sleeve takes 28.5 and its fillet.
        JoinFigures at =
                JoinFigures.of(tight, tight.making().joins().getFirst()).orElseThrow();
        double left = tight.column().orElseThrow().cutLength(1)
                - at.along()
                - tight.column().orElseThrow().gearEndFit(1).engagement();
        assertThat(at.noRoom().orElseThrow().measures().get(2).value())
                .isCloseTo(left, within(1e-9))
                .isLessThan(28.5);
        Job held = joined(School.COUPLING, 115)
                .editColumn(c -> c.withBearings(List.of(Bearing.planned(
                        Id.Kind.BEARING.first(), "Steady", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 1, 130, 19))));
        assertThat(JoinFigures.of(held, held.making().joins().getFirst())
                        .orElseThrow()
                        .noRoom()
                        .orElseThrow()
                        .pattern())
                .contains("Steady");
        assertThat(JoinFigures.of(
                                joined(School.SLEEVE, 115),
                                joined(School.SLEEVE, 115).making().joins().getFirst())
                        .orElseThrow()
                        .noRoom())
                .isEmpty();
    }

    @Test
    void heatedPartsAreNamedWithDistance() {
        JoinFigures f = JoinFigures.of(
                        joined(School.SLEEVE, 60),
                        joined(School.SLEEVE, 60).making().joins().getFirst())
                .orElseThrow();
        assertThat(f.near()).extracting(ReachedByHeat::name).contains("Upper joint");
        assertThat(f.near().getFirst().away()).isCloseTo(60, within(1e-9));
    }

    /** The shaft of the case: 22 outside, bore 16, its plug sheared at the bore's radius by the welds of one side. */
    @Test
    void plugWeldsOfOneSideCarryAllShear() {
        Job job = joined(School.PLUG, 120)
                .editColumn(c -> c.editShaft(
                        1, s -> s.withBore(0).withDiameter(22).withBore(16).withYieldMpa(420)));
        JoinFigures f = JoinFigures.of(job, job.making().joins().getFirst()).orElseThrow();
        double twist = Math.PI * (Math.pow(22, 4) - Math.pow(16, 4)) / 16 / 22 * 420;
        assertThat(f.carries()).isLessThan(1);
        String words = f.dimensions().stream()
                .map(p -> p.text(mildtilt.units.LengthUnit.MM))
                .reduce("", (a, b) -> a + b + "\n");
        java.util.regex.Matcher m = java.util.regex.Pattern.compile("(\\d+) plug welds of ([0-9.]+) mm")
                .matcher(words);
        assertThat(m.find()).as(words).isTrue();
        double h = Double.parseDouble(m.group(2));
        // In plain steel, of one side: n π h²/4 at radius 8.
        double one = Integer.parseInt(m.group(1)) * Math.PI * h * h / 4 * 8 * 235;
        double plug = Math.PI * Math.pow(16, 3) / 16 * 235;
        assertThat(f.carries()).as(words).isCloseTo(Math.min(one, plug) / twist, within(0.02));
        // With the butt weld the ring is whole in plain steel.
        assertThat(f.withButt()).isGreaterThan(f.carries());
    }
}
