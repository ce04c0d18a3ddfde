package mildtilt.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mildtilt.analysis.Analysis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.io.papers.TrialFiles;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Change;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.job.TrialLog;
import mildtilt.linkage.rods.Rod;
import mildtilt.report.Table;
import mildtilt.trials.compare.AgainstPlan;
import mildtilt.trials.compare.InspectionList;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.trials.compare.TrialFigures;
import mildtilt.trials.compare.TrialTables;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The log in and out of files, what it refuses, and what is told of it. */
class LogFileTest {

    private static final Random RANDOM = new Random(31);

    /** None as usual. */
    private static Tolerances tolerances() {
        Tolerances all = Tolerances.USUAL;
        for (Tolerances.Kind k : Tolerances.Kind.values()) {
            all = all.with(k, all.of(k) * (0.3 + 0.1 * k.ordinal()));
        }
        return all;
    }

    private static Side side() {
        return RANDOM.nextBoolean() ? Side.LEFT : Side.RIGHT;
    }

    private static double figure() {
        return Math.rint(RANDOM.nextGaussian() * 1e5) / 1e3;
    }

    private static Measurand gauge() {
        return switch (RANDOM.nextInt(11)) {
            case 0 -> new Measurand.JointAngle(Id.Kind.JOINT.number(1 + RANDOM.nextInt(5)));
            case 1 -> new Measurand.ShaftLength(Id.Kind.SHAFT.number(7));
            case 2 -> new Measurand.RodLength(Rod.values()[RANDOM.nextInt(Rod.values().length)]);
            case 3 -> new Measurand.LockAngle(side(), side());
            case 4 -> new Measurand.Gap(new Id("left_tyre"), Id.Kind.OBSTACLE.number(3));
            case 5 -> new Measurand.TurnsTo(side());
            case 6 -> new Measurand.GearOffCentre();
            case 7 -> new Measurand.SpokesOffStraight();
            case 8 -> new Measurand.RimForce(RANDOM.nextBoolean());
            case 9 -> new Measurand.RimPlay(RANDOM.nextBoolean());
            default -> new Measurand.FreeReturn();
        };
    }

    private static TrialReading reading() {
        double spread = 0.01 + RANDOM.nextInt(100) / 100.0;
        return switch (RANDOM.nextInt(4)) {
            case 0 -> new TrialReading.Figure(gauge(), figure(), spread, TrialReading.TYPED);
            case 1 ->
                new TrialReading.WallDot(
                        side(),
                        RANDOM.nextBoolean(),
                        Math.rint(figure()),
                        figure(),
                        figure(),
                        spread,
                        "laser on the hub");
            case 2 ->
                new TrialReading.PlatePair(
                        side(), 1 + RANDOM.nextInt(80), RANDOM.nextInt(80) - 20, spread, "turn plates");
            default ->
                new TrialReading.RunOut(
                        Id.Kind.SHAFT.number(7),
                        Math.abs(figure()),
                        RANDOM.doubles(4 + RANDOM.nextInt(9), -1, 1).boxed().toList(),
                        spread,
                        "dial");
        };
    }

    private static Job withLog(Job job) {
        List<BuiltVehicle> all = new ArrayList<>();
        for (int v = 0; v < 1 + RANDOM.nextInt(3); v++) {
            BuiltVehicle b = BuiltVehicle.named(Id.Kind.VEHICLE.number(1 + v), "vehicle " + v);
            for (int t = 0; t < RANDOM.nextInt(3); t++) {
                TrialSheet s = new TrialSheet(
                        "trial " + t,
                        LocalDateTime.of(2026, 3, 1 + t, 7, 5),
                        "crew",
                        "cut, \"tacked\"\n and tried",
                        new Setup(RANDOM.nextBoolean(), RANDOM.nextBoolean(), true, figure(), 10, -20, 2500),
                        List.of(),
                        List.of("photos/a-" + t + ".jpg"),
                        "ok");
                for (int r = 0; r < RANDOM.nextInt(30); r++) {
                    s = s.with(reading());
                }
                b = b.withTrial(s, job.plan());
            }
            all.add(b.editInspection(i -> i.withTick(
                            new Id("wheel_nut"),
                            Optional.of(new Inspection.Tick(RANDOM.nextBoolean(), "x", LocalDate.of(2026, 4, 1), "")))
                    .withOwn("Trailer plug")
                    .withDriven(Optional.of(LocalDate.of(2026, 5, 2)))));
        }
        return job.withLog(new TrialLog(all, RANDOM.nextBoolean() ? Tolerances.USUAL : tolerances()))
                .after(new Change(LocalDateTime.of(2026, 1, 1, 1, 1, 1), "this", "because of \"that\""));
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void trialLogRoundTrips(DemoJob demo) throws Exception {
        for (int n = 0; n < 5; n++) {
            Job job = withLog(demo.job());
            String text = JobWriter.write(job);
            Job back = JobReader.read(text);
            assertThat(back).isEqualTo(job);
            assertThat(JobWriter.write(back)).isEqualTo(text);
            back.log().vehicles().forEach(v -> v.trials()
                    .forEach(t ->
                            assertThat(t.back(back).axle()).isEqualTo(demo.job().axle())));
        }
    }

    @Test
    void impossibleLogsAreRefusedWithPlace() {
        String good = JobWriter.write(DemoJob.MARSH_CARRIER.job());
        List<String[]> wrong = List.of(
                new String[] {"\"spread\" : 0.7", "\"spread\" : 0", "spread"},
                new String[] {"\"kind\" : \"wall_dot\"", "\"kind\" : \"wall_spot\"", "readings"},
                new String[] {"\"name\" : \"Arms changed over\"", "\"name\" : \"First roll-out\"", "two trials"},
                new String[] {"\"photos\" : [ ]", "\"photos\" : [ \"../../etc/passwd\" ]", "must be in the job's folder"
                },
                new String[] {"\"photos\" : [ ]", "\"photos\" : [ \"/etc/passwd\" ]", "must be in the job's folder"},
                new String[] {"2026-11-19T16:20", "yesterday", "is not a day and time"},
                new String[] {"\"wall_mm\" : 3000", "\"wall_mm\" : 3", "wall is"},
                new String[] {"\"day\" : \"2026-11-22\"", "\"day\" : \"2026-13-22\"", "is not a day"});
        for (String[] w : wrong) {
            assertThat(good).contains(w[0]);
            assertThatThrownBy(() ->
                            JobReader.read(good.replaceFirst(Pattern.quote(w[0]), Matcher.quoteReplacement(w[1]))))
                    .isInstanceOf(JobFileException.class)
                    .message()
                    .containsIgnoringCase(w[2]);
        }
        assertThatThrownBy(() -> new TrialReading.RunOut(Id.Kind.SHAFT.first(), 1, List.of(1.0, 2.0, 3.0), 0.01, "x"))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("4 to 36");
        assertThatThrownBy(() -> new TrialLog(List.of(), Tolerances.USUAL))
                .isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> new TrialLog(
                        List.of(
                                BuiltVehicle.named(Id.Kind.VEHICLE.first(), "a"),
                                BuiltVehicle.named(Id.Kind.VEHICLE.number(2), "a")),
                        Tolerances.USUAL))
                .isInstanceOf(ImpossibleGeometryException.class);
    }

    @Test
    void repeatedReadingReplacesEarlierOne() {
        TrialSheet s =
                new TrialSheet("t", LocalDateTime.of(2026, 1, 1, 0, 0), "", "", Setup.RAISED, List.of(), List.of(), "");
        for (double v : new double[] {1, 2, 3}) {
            s = s.with(new TrialReading.Figure(new Measurand.RimPlay(true), v, 1, "typed"))
                    .with(new TrialReading.WallDot(Side.LEFT, true, 20.2, v, 0, 1, "typed"))
                    .with(new TrialReading.WallDot(Side.LEFT, false, 20, v, 0, 1, "typed"))
                    .with(new TrialReading.PlatePair(Side.LEFT, 20 + v / 10, 17, 1, "typed"))
                    .with(new TrialReading.RunOut(Id.Kind.SHAFT.first(), 100, List.of(v, 0.0, 0.0, 0.0), 1, "typed"));
        }
        assertThat(s.readings()).hasSize(5);
        assertThat(s.figures().getFirst().value()).isEqualTo(3);
        assertThat(s.dots()).allMatch(d -> d.left() == 3);
    }

    /** Of a gap less than is needed is past its limit, of all else more than is allowed. */
    private static boolean past(AgainstPlan p, double off) {
        double v = p.read().value() + off;
        return p.limit()
                .filter(l -> p.read().what() instanceof Measurand.Gap ? v < l : v > l)
                .isPresent();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void plannedReadingsMatchThePlan(DemoJob demo) {
        Job job = demo.job();
        Analysis a = Analysis.of(job);
        TrialSheet s = new TrialSheet(
                "t",
                LocalDateTime.of(2026, 1, 1, 0, 0),
                "",
                "",
                Setup.RAISED.withOnGround(true),
                List.of(),
                List.of(),
                "");
        List<MeasurementTask> all = MeasurementTask.of(a, s.setup());
        assertThat(all.stream().map(MeasurementTask::what).distinct().count()).isEqualTo(all.size());
        for (MeasurementTask q : all) {
            if (q.what() instanceof MeasurementTask.One o) {
                Optional<Double> planned = AgainstPlan.planned(o.gauge(), a);
                if (planned.isPresent()) {
                    s = s.with(new TrialReading.Figure(
                            o.gauge(), planned.get(), o.gauge().usualSpread(), "typed"));
                    assertThat(q.taken(s)).isTrue();
                }
            }
        }
        assertThat(s.figures().size()).isGreaterThan(8);
        TrialFigures f = TrialFigures.of(new Trial(Id.Kind.TRIAL.first(), s, job.plan()), job, a);
        // What the plan itself has past a limit is past it when read so, too.
        assertThat(f.figures())
                .allMatch(x -> x.state() == (past(x, 0) ? AgainstPlan.State.PAST_LIMIT : AgainstPlan.State.FINE));
        // Twice its tolerance and its own doubt off, each is found out, a gap only if it is less; or past its limit.
        for (AgainstPlan p : f.figures()) {
            double off = 2 * p.tolerance() + 3 * p.read().spread();
            boolean less = p.read().what() instanceof Measurand.Gap;
            assertThat(state(p, off, a))
                    .isEqualTo(
                            past(p, off)
                                    ? AgainstPlan.State.PAST_LIMIT
                                    : less ? AgainstPlan.State.FINE : AgainstPlan.State.OUT);
            assertThat(state(p, -off, a))
                    .isEqualTo(past(p, -off) ? AgainstPlan.State.PAST_LIMIT : AgainstPlan.State.OUT);
        }
        List<InspectionList.Item> items = InspectionList.of(a, Inspection.NONE);
        assertThat(items)
                .extracting(InspectionList.Item::id)
                .doesNotHaveDuplicates()
                .hasSizeGreaterThan(12);
        assertThat(items).extracting(InspectionList.Item::group).contains(InspectionList.Group.values());
        // A part that is gone is told to have nothing to compare with, not found fine.
        assertThat(AgainstPlan.planned(new Measurand.JointAngle(Id.Kind.JOINT.number(99)), a))
                .isEmpty();
    }

    private static AgainstPlan.State state(AgainstPlan p, double off, Analysis a) {
        TrialReading.Figure read = new TrialReading.Figure(
                p.read().what(), p.planned().orElseThrow() + off, p.read().spread(), "typed");
        return AgainstPlan.of(List.of(read), a, a.job().log().tolerances())
                .getFirst()
                .state();
    }

    @Test
    void logFilesMatchScreen(@TempDir Path folder) throws Exception {
        Job job = DemoJob.MARSH_CARRIER.job().editLog(l -> l.with("carrier / 2"));
        List<Path> written = TrialFiles.write(job, LengthUnit.INCH, LocalDate.of(2026, 12, 1), "marsh.tilt", folder);
        assertThat(written)
                .allMatch(p -> p.startsWith(folder))
                .extracting(p -> p.getFileName().toString())
                .contains(
                        "inspection-carrier-1.pdf",
                        "inspection-carrier-2.pdf",
                        "trial-causes.csv",
                        "trial-figures.csv",
                        "trial-wall-trace.csv",
                        "trial-turn-plates.csv",
                        "trial-run-out.csv",
                        "changes.csv");
        Trial t = job.log().vehicles().getFirst().last().orElseThrow();
        Table wall = TrialTables.wall("carrier 1", TrialFigures.of(t, job));
        List<String> lines = Files.readAllLines(folder.resolve("trial-wall-trace.csv"), StandardCharsets.UTF_8);
        assertThat(lines).hasSize(1 + wall.rows().size());
        assertThat(lines.get(3)).endsWith("," + wall.rows().get(2).getLast().raw());
        assertThat(Files.readString(folder.resolve("trial-figures.csv")))
                .contains("angle of Lower joint")
                .contains(",deg")
                .contains(",mm")
                .contains(",turns")
                .contains(",N");
        String sheet;
        try (PDDocument pdf = Loader.loadPDF(Files.readAllBytes(folder.resolve("inspection-carrier-1.pdf")))) {
            sheet = new PDFTextStripper().getText(pdf).replaceAll("\\s+", "");
        }
        for (InspectionList.Item i : InspectionList.of(
                Analysis.of(job), job.log().vehicles().getFirst().inspection())) {
            assertThat(sheet).contains(i.what().text(LengthUnit.INCH).replaceAll("\\s+", ""));
        }
        assertThat(sheet)
                .contains("FAILED,helper,2026-11-22:leftfronthosepulls")
                .contains("notanapproval")
                .contains("Lookedoverby");
    }

    @Test
    void photosAreCopiedUnderSafeNames(@TempDir Path folder) throws Exception {
        Path camera = Files.createDirectories(folder.resolve("camera"));
        Path job = Files.createDirectories(folder.resolve("jobs")).resolve("my.tilt");
        Path photo = Files.write(camera.resolve("IMG 01 (β).JPG"), new byte[] {1, 2, 3});
        String one = PhotoFile.copyBeside(job, photo);
        String two = PhotoFile.copyBeside(job, photo);
        assertThat(List.of(one, two)).containsExactly("photos/img-01.jpg", "photos/img-01-2.jpg");
        assertThat(Files.readAllBytes(PhotoFile.beside(job, two))).containsExactly(1, 2, 3);
        assertThatThrownBy(() -> PhotoFile.copyBeside(job, Files.writeString(camera.resolve("x.exe"), "x")))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("JPG or PNG");
        assertThatThrownBy(() -> PhotoFile.copyBeside(job, camera.resolve("gone.png")))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("could not be copied");
        Job with = DemoJob.SALT_RAKE
                .job()
                .editLog(l -> l.edit(
                        Id.Kind.VEHICLE.first(),
                        b -> b.withTrial(
                                new TrialSheet(
                                        "t",
                                        LocalDateTime.of(2026, 1, 1, 0, 0),
                                        "",
                                        "",
                                        Setup.RAISED,
                                        List.of(),
                                        List.of(one, "photos/lost.jpg"),
                                        ""),
                                DemoJob.SALT_RAKE.job().plan())));
        Path elsewhere = folder.resolve("other").resolve("copy.tilt");
        PhotoFile.copyAlong(with, job, elsewhere);
        assertThat(Files.readAllBytes(PhotoFile.beside(elsewhere, one))).containsExactly(1, 2, 3);
    }
}
