package mildtilt.io.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.build.Piece;
import mildtilt.build.WeldedMetal;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.columnrange.TrainEdits;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.FixedPart;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.linkage.rods.Rod;
import mildtilt.parts.JobParts;
import mildtilt.survey.Reading;
import mildtilt.trials.Inspection;
import mildtilt.trials.Measurand;
import mildtilt.trials.TrialReading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Files that the releases of each version wrote, with the figures that the last release before ids had of them. */
class OldFilesTest {

    private static final JsonNode FIGURES = figures();
    /** mm */
    private static final double SEARCHED = 1e-4;

    private static String text(String file) {
        try (var in = OldFilesTest.class.getResourceAsStream("/jobs/" + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static JsonNode figures() {
        try {
            return new ObjectMapper().readTree(text("figures.json"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    static Stream<String> files() {
        return FIGURES.properties().stream().map(Map.Entry::getKey);
    }

    @ParameterizedTest
    @MethodSource("files")
    void oldFilesGiveIdenticalFigures(String file) throws Exception {
        Job job = JobReader.read(text(file));
        Analysis a = Analysis.of(job);
        Map<String, Double> expected = new HashMap<>();
        FIGURES.path(file)
                .path("headlines")
                .properties()
                .forEach(e -> expected.put(e.getKey(), e.getValue().asDouble()));
        Map<String, Double> now = new HashMap<>();
        a.headlines().values().forEach((h, v) -> now.put(h.name(), v));
        // The deepest place is searched for: a search that goes on for longer may find it by a hair deeper.
        Double gap = expected.remove(Headline.GAP.name());
        if (gap != null) {
            assertThat(now.get(Headline.GAP.name())).isBetween(gap - SEARCHED, gap + 1e-9);
        }
        assertThat(now).as("figures that came later may be there besides").containsAllEntriesOf(expected);
        List<String> findings = FIGURES.path(file)
                .path("findings")
                .valueStream()
                .map(JsonNode::asText)
                .toList();
        assertThat(a.findings())
                .extracting(f -> f.severity().name() + " " + f.fault().name())
                .isEqualTo(findings);
        // Saved by this version it is the same job.
        String saved = JobWriter.write(job);
        assertThat(JobReader.read(saved)).isEqualTo(job);
        assertThat(saved).contains("\"version\" : " + JobParts.VERSION);
    }

    @Test
    void migrationReplacesNamesByIds() throws Exception {
        for (int version : new int[] {6, 7}) {
            Job job = JobReader.read(text("version-" + version + "/marsh-carrier.tilt"));
            Names names = Names.of(job);
            Column c = job.column().orElseThrow();
            assertThat(job.surroundings().meant())
                    .anyMatch(t ->
                            t.is(Id.of(Rod.LEFT_TIE_ROD), c.joints().getFirst().id()))
                    .anyMatch(t -> t.is(
                            FixedPart.WHEEL_INSIDE.called(Side.LEFT).id(),
                            FixedPart.LOWER_ARM.called(Side.LEFT).id()))
                    .allSatisfy(t -> assertThat(names.apply(t.first()) + names.apply(t.second()))
                            .doesNotContain("taken out"));
            assertThat(job.survey().points())
                    .allSatisfy(p -> assertThat(names.apply(p.id())).isEqualTo(p.name()))
                    .flatMap(p -> p.readings())
                    .flatExtracting(Reading::others)
                    .allMatch(o -> job.survey().point(o).isPresent());
            assertThat(job.survey().point(c.joints().getFirst().id().part("centre")))
                    .isPresent();
            assertThat(job.making().joins())
                    .extracting(j -> names.apply(j.shaft()))
                    .containsExactly("Lower shaft");
            Piece.BearingBracket bracket =
                    (Piece.BearingBracket) job.making().pieces().getLast();
            assertThat(names.apply(bracket.bearing())).isEqualTo("Support on the rail");
            assertThat(job.surroundings().get(bracket.foot())).isPresent();
            assertThat(job.making().plan().purchases().keySet())
                    .extracting(Id::text)
                    .containsExactlyInAnyOrder("joint-1", "joint-2", "shaft-2.pair", "left_tie_rod.outer");
            assertThat(job.log().vehicles().getFirst().trials())
                    .flatMap(t -> t.sheet().readings())
                    .flatExtracting(TrialReading::parts)
                    .allSatisfy(p -> assertThat(names.apply(p)).doesNotContain("taken out"));
            assertThat(job.log().vehicles().getFirst().inspection().ticks())
                    .containsKey(c.joints().getFirst().id());
            // A part of one name is one part, in a variant and in the plan of a trial too.
            assertThat(job.variants()
                            .all()
                            .getFirst()
                            .plan()
                            .column()
                            .orElseThrow()
                            .shafts())
                    .extracting(Shaft::id)
                    .startsWith(c.shafts().get(0).id(), c.shafts().get(1).id());
            assertThat(job.log().vehicles().getFirst().trials())
                    .allSatisfy(t -> assertThat(t.plan().column().orElseThrow().shafts())
                            .extracting(Shaft::id)
                            .isEqualTo(c.shafts().stream().map(Shaft::id).toList()));
        }
    }

    @Test
    void renamedPartKeepsReferences() throws Exception {
        Job job = JobReader.read(text("version-7/marsh-carrier.tilt"));
        Job renamed = job.editColumn(c -> c.editShaft(1, s -> s.withName("Long shaft"))
                        .editJoint(0, j -> j.withName("Top joint"))
                        .editBearing(0, b -> b.withName("Hanger")))
                .editSurroundings(s -> s.edit(0, o -> o.withName("Girder")));
        assertThat(renamed.making()).isEqualTo(job.making());
        assertThat(renamed.log()).isEqualTo(job.log());
        assertThat(renamed.survey()).isEqualTo(job.survey());
        assertThat(Analysis.of(renamed).findings())
                .extracting(f -> f.fault())
                .isEqualTo(
                        Analysis.of(job).findings().stream().map(f -> f.fault()).toList());
        Names names = Names.of(renamed);
        assertThat(renamed.making().joins())
                .extracting(j -> names.apply(j.shaft()))
                .containsExactly("Long shaft");
        assertThat(names.apply(new Id("joint-1.centre"))).isEqualTo("Top joint, centre");
        assertThat(new Measurand.ShaftLength(new Id("shaft-2")).label(names)).isEqualTo("length of Long shaft");
    }

    /** What is taken out and what is put in after it are two things, whatever still speaks of the first. */
    @Test
    void idsAreUnique() throws Exception {
        Job job = JobReader.read(text("version-7/marsh-carrier.tilt"));
        Id bearing = job.column().orElseThrow().bearings().getFirst().id();
        Job without = job.editColumn(c -> c.withBearings(List.of()));
        Job again = without.editColumn(c -> TrainEdits.withBearing(
                c, 1, job.column().orElseThrow().bearings().getFirst()));
        assertThat(again.column().orElseThrow().bearings().getFirst().id())
                .as("the bracket is the old one's")
                .isNotEqualTo(bearing);
        Id gone = job.surroundings().obstacles().getFirst().id();
        Job other = job.editSurroundings(s -> s.without(0))
                .editSurroundings(s -> s.with(job.surroundings().obstacles().getFirst()));
        assertThat(other.surroundings().obstacles()).noneMatch(o -> o.id().equals(gone));
        Id weld = job.making().welds().getFirst().id();
        Job welds = job.editLog(l -> l.edit(
                        l.vehicles().getFirst().id(),
                        v -> v.editInspection(i ->
                                i.withTick(weld, Optional.of(new Inspection.Tick(true, "x", LocalDate.EPOCH, ""))))))
                .editMaking(m -> m.withWelds(List.of()))
                .editMaking(m -> m.withWeld("another", WeldedMetal.UNKNOWN));
        assertThat(welds.making().welds().getFirst().id())
                .as("the tick is the old one's")
                .isNotEqualTo(weld);
    }
}
