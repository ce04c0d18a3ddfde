package mildtilt.io.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.catalogue.Catalogue;
import mildtilt.catalogue.EndFit;
import mildtilt.column.Bearing;
import mildtilt.column.JointKind;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;
import mildtilt.findings.Fault;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.job.Job;
import mildtilt.rules.RuleLimit;
import mildtilt.rules.Rules;
import mildtilt.rules.Rules.Welding;
import mildtilt.rules.ShippedRules;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Rule sets and catalogues as files that people copy and edit. */
class RulesAndCatalogueTest {

    @TempDir
    Path folder;

    @ParameterizedTest
    @EnumSource(ShippedRules.class)
    void builtInRulesRoundTrip(ShippedRules shipped) throws Exception {
        Path file = folder.resolve("mine" + RulesFile.ENDING);
        RulesFile.save(shipped.rules(), file);
        assertThat(RulesFile.open(file)).isEqualTo(shipped.rules());
        // A job carries its set along.
        Job job = DemoJob.SALT_RAKE.job().withRules(shipped.rules());
        assertThat(JobReader.read(JobWriter.write(job)).rules()).isEqualTo(shipped.rules());
        assertThat(shipped.rules().locking()).isNotBlank();
    }

    @Test
    void everyRuleLimitChangesAndApplies() {
        Rules rules = ShippedRules.CAUTIOUS_ROAD.rules();
        for (RuleLimit limit : RuleLimit.values()) {
            Rules changed = rules.with(limit, 7);
            assertThat(changed.get(limit)).contains(7.0);
            for (RuleLimit other : RuleLimit.values()) {
                if (other != limit) {
                    assertThat(changed.get(other))
                            .as(other + " when " + limit + " changes")
                            .isEqualTo(rules.get(other));
                }
            }
            assertThat(changed.with(limit, rules.get(limit).orElseThrow())).isEqualTo(rules);
        }
        assertThat(rules.withoutKink().get(RuleLimit.KINK)).isEmpty();
        assertThat(rules.withWelding(Welding.FORBIDDEN).accepts(Retention.WELD)).isFalse();
        assertThat(rules.withHolds(Set.of(Retention.NUT)).accepts(Retention.PINCH_BOLT))
                .isFalse();
        assertThatThrownBy(() -> rules.withHolds(Set.of()))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("at least one way");
        assertThatThrownBy(() -> rules.with(RuleLimit.JOINT_ANGLE, 90)).hasMessageContaining("between 0 and 90");
        assertThatThrownBy(() -> rules.with(RuleLimit.RIPPLE, 0)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> rules.with(RuleLimit.OVERLAP, -1)).hasMessageContaining("negative");
        Job job = DemoJob.MARSH_CARRIER.job();
        assertThat(Analysis.of(job.withRules(rules.with(RuleLimit.JOINT_ANGLE, 20))).findings().stream()
                        .filter(f -> f.fault() == Fault.JOINT_OVER_LIMIT))
                .hasSize(2);
    }

    /** Each: what is replaced in the cautious set, by what, and what the refusal must say. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"joint_deg\" : 35, | | joint_deg",
                "\"joint_deg\" : 35 | \"joint_deg\" : 95 | Joint is 95°; it can be 1 to 89°.",
                "\"welding\" : \"tested\" | \"welding\" : \"perhaps\" | Welding is \"perhaps\"; it can be allowed, tested or forbidden.",
                "\"stroke_mm\" : 80 | \"stroke_mm\" : -80 | Collapse, stroke is -80 mm; it can be 0 to 1000 mm.",
                "\"span_hz\" | \"span_herz\" | span_herz",
                "mild-tilt-rules | mild-tilt-job | not a Mild Tilt rule set",
                "\"ripple_pct\" : 10, | \"ripple_pct\" : 10,, | line",
            })
    void aRuleSetThatWillNotDoIsRefusedWithThePlace(String part, String by, String says) {
        String text = RulesFile.write(ShippedRules.CAUTIOUS_ROAD.rules());
        assertThat(text).contains(part);
        assertThatThrownBy(() -> RulesFile.read(text.replace(part, by == null ? "" : by)))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(says);
    }

    @Test
    void invalidRuleFilesAreNamed() throws Exception {
        Path binary = Files.write(folder.resolve("photo" + RulesFile.ENDING), new byte[] {(byte) 0x89, 'P', 0});
        assertThatThrownBy(() -> RulesFile.open(binary))
                .isInstanceOf(JobFileException.class)
                .hasMessageStartingWith("photo");
        assertThatThrownBy(() -> RulesFile.open(folder.resolve("gone.rules.json")))
                .hasMessageContaining("no such file");
        assertThatThrownBy(() -> CatalogueFile.open(binary)).isInstanceOf(JobFileException.class);
    }

    @Test
    void builtInCatalogueIsCompleteAndTypical() throws Exception {
        Catalogue all = CatalogueFile.shipped();
        assertThat(CatalogueFile.read(CatalogueFile.shippedText())).isEqualTo(all);
        assertThat(all.joints()).allMatch(j -> j.typical());
        assertThat(all.shafts()).allMatch(s -> s.typical());
        assertThat(all.bearings()).allMatch(b -> b.typical());
        assertThat(all.joints().stream().map(j -> j.kind()))
                .contains(
                        new JointKind.Single(),
                        new JointKind.Double(true),
                        new JointKind.Double(false),
                        new JointKind.Coupling());
        assertThat(all.ends().stream().map(e -> e.socket().hold())).contains(Retention.values());
        assertThat(all.bearings().stream().map(Bearing::kind)).contains(Bearing.Kind.values());
        assertThat(all.shafts())
                .anyMatch(s -> s.slide().isPresent())
                .anyMatch(s -> s.bore() > 0)
                .anyMatch(s -> s.profile() instanceof ShaftProfile.DoubleD);
        assertThat(all.tubes()).anyMatch(t -> t.tube().collapse() > 0);
        assertThat(all.names()).doesNotHaveDuplicates();
        // A joint's own bores take shafts of the catalogue.
        assertThat(all.joints())
                .allSatisfy(j -> assertThat(j.wheelSide().socket()).isPresent());
    }

    @Test
    void nextBoresAndSimilarJointAreFound() throws Exception {
        Catalogue all = CatalogueFile.shipped();
        List<Double> bores = all.bores().boxed().toList();
        assertThat(bores).isSorted();
        assertThat(all.boreBelow(20, 0.05)).contains(19.05);
        assertThat(all.boreAbove(20, 0.05)).contains(22.0);
        assertThat(all.boreBelow(bores.getFirst(), 0.05)).isEmpty();
        assertThat(all.boreAbove(500, 0.05)).isEmpty();
        var joint = all.joints().getFirst();
        assertThat(all.jointLike(joint, new ShaftProfile.Splined(19, 36), new ShaftProfile.Splined(20, 48), EndFit.SLIP)
                        .orElseThrow()
                        .name())
                .contains("19 x 36 to spline 20 x 48");
        assertThat(all.jointLike(joint, new ShaftProfile.Splined(19, 7), new ShaftProfile.Splined(20, 48), EndFit.SLIP))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"20, 20, FITS", "19.95, 20, FITS", "19.8, 20, TOO_SMALL", "20.01, 20, TOO_LARGE"})
    void endFitsItsBore(double end, double bore, EndFit expected) {
        assertThat(EndFit.between(
                        new ShaftProfile.Round(end),
                        new Socket(new ShaftProfile.Round(bore), Retention.PINCH_BOLT),
                        EndFit.SLIP))
                .isEqualTo(expected);
        assertThat(EndFit.between(
                        new ShaftProfile.Splined(end, 36),
                        new Socket(new ShaftProfile.Splined(bore, 36), Retention.PINCH_BOLT),
                        EndFit.SLIP))
                .isEqualTo(expected);
        assertThat(EndFit.between(
                        new ShaftProfile.Splined(end, 36),
                        new Socket(new ShaftProfile.Round(bore), Retention.PINCH_BOLT),
                        EndFit.SLIP))
                .isEqualTo(EndFit.OTHER_FORM);
        assertThat(EndFit.between(
                        new ShaftProfile.Splined(end, 36),
                        new Socket(new ShaftProfile.Splined(bore, 40), Retention.PINCH_BOLT),
                        EndFit.SLIP))
                .isEqualTo(EndFit.OTHER_TEETH);
        assertThat(EndFit.between(
                        new ShaftProfile.Round(end),
                        new Socket(new ShaftProfile.Round(bore), Retention.ONE_PIECE),
                        EndFit.SLIP))
                .isEqualTo(EndFit.FITS);
    }

    @Test
    void editedCatalogueLoadsAndBadOneNamesPart() throws Exception {
        String text = CatalogueFile.shippedText();
        Path mine = folder.resolve("mine.json");
        Files.writeString(mine, text.replaceFirst("Round bar 20\"", "Bar from my own rack\""), StandardCharsets.UTF_8);
        assertThat(CatalogueFile.open(mine).shafts().stream().map(s -> s.name()))
                .contains("Bar from my own rack");
        assertThatThrownBy(() ->
                        CatalogueFile.read(text.replaceFirst("\"max_angle_deg\" *: *\\d+", "\"max_angle_deg\" : 400")))
                .isInstanceOf(JobFileException.class)
                .hasMessage("Joints number 1, max angle is 400°; it can be 1 to 120°.");
        assertThatThrownBy(() -> CatalogueFile.read(text.replaceFirst("mild-tilt-catalogue", "parts")))
                .hasMessageContaining("not a Mild Tilt catalogue");
        Catalogue nothing = CatalogueFile.read("{\"format\": \"mild-tilt-catalogue\", \"version\": 1}");
        assertThat(nothing).isEqualTo(Catalogue.NONE);
        assertThat(nothing.boreAbove(1, 0)).isEqualTo(Optional.empty());
    }
}
