package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mildtilt.app.cli.Main;
import mildtilt.build.EndPart;
import mildtilt.build.PartAsFound;
import mildtilt.build.Piece;
import mildtilt.catalogue.Catalogue;
import mildtilt.column.Shaft;
import mildtilt.id.Id;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.survey.Survey;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CommandLineTest {

    private record Said(int code, String out, String err) {}

    private static Said run(String... args) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream saidOut = new ByteArrayOutputStream();
        ByteArrayOutputStream saidErr = new ByteArrayOutputStream();
        System.setOut(new PrintStream(saidOut, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(saidErr, true, StandardCharsets.UTF_8));
        try {
            int code = Main.run(args);
            return new Said(code, saidOut.toString(StandardCharsets.UTF_8), saidErr.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
    }

    @Test
    void makeWritesAllPapersAndRefusesNonJobs(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("demo.tilt");
        JobFile.save(file, DemoJob.BOG_TENDER.job());
        Said said =
                run("make", file.toString(), "--out", folder.resolve("bench").toString(), "--unit", "INCH");
        assertThat(said.err).isEmpty();
        assertThat(said.code).isZero();
        for (String name : new String[] {
            "job-book.pdf",
            "job-card.pdf",
            "cut-list.csv",
            "joins.csv",
            "run-sheet.csv",
            "templates/templates.pdf",
            "templates/pitman-arm.svg",
            "templates/pitman-arm.dxf",
            "templates/jig-for-the-lower-shaft.stl"
        }) {
            assertThat(folder.resolve("bench").resolve(name)).as(name).isNotEmptyFile();
            assertThat(said.out).contains(Path.of(name).getFileName().toString());
        }
        assertThat(run("make", folder.resolve("none.tilt").toString(), "--out", folder.toString()).code)
                .isEqualTo(2);
        assertThat(run("make", file.toString()).code).as("nowhere to write to").isEqualTo(2);
        Path taken = Files.writeString(folder.resolve("taken"), "a file");
        Said stuck = run("make", file.toString(), "--out", taken.toString());
        assertThat(stuck.code).isEqualTo(2);
        assertThat(stuck.err).contains("could not be written");
        assertThat(taken).hasContent("a file");
    }

    @Test
    void sureFitAndInstrumentsWorkAndRefuse(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("demo.tilt");
        JobFile.save(file, DemoJob.MARSH_CARRIER.job());
        Path tug = folder.resolve("tug.tilt");
        JobFile.save(tug, DemoJob.GREENHOUSE_TUG.job());
        JsonNode sure = new ObjectMapper().readTree(run("sure", tug.toString(), "--draws", "130").out);
        assertThat(sure.at("/draws").asInt()).isEqualTo(130);
        assertThat(sure.at("/figures/caster/spread").asDouble()).isBetween(0.3, 3.0);
        assertThat(sure.at("/measure_again/0/gains/0/spread_then").asDouble())
                .isLessThan(sure.at("/measure_again/0/gains/0/spread").asDouble());
        assertThat(run("sure", tug.toString(), "--draws", "3").err).contains("Between 20 and 100000");
        assertThat(run("sure", folder.resolve("none.tilt").toString()).code).isEqualTo(2);
        Said fit = run("fit", file.toString(), "--out", folder.resolve("log").toString());
        assertThat(fit.code).isZero();
        assertThat(fit.out.lines()).hasSize(9).allMatch(l -> Files.exists(Path.of(l)));
        assertThat(run("fit", file.toString()).code).isEqualTo(2);
        assertThat(run("fit", file.toString(), "--out", file.toString()).err).contains("could not be written");
        Said instruments = run("instruments", file.toString(), "--port", "0", "--seed", "1", "--for", "0");
        assertThat(instruments.out).contains("Instruments answer on port");
        assertThat(run("instruments", file.toString(), "--port", "70000").err).contains("whole number from 0 to 65535");
    }

    @Test
    void solveSaysWhatToChangeAndTakesIt(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("rake.tilt");
        JobFile.save(file, DemoJob.SALT_RAKE.job());
        Path taken = folder.resolve("taken.tilt");
        Said said = run(
                "solve",
                file.toString(),
                "light-steering",
                "--want",
                "rim-force=220",
                "--may",
                "wheel-diameter=60",
                "--want",
                "lock=35",
                "--json",
                "--take",
                taken.toString());
        assertThat(said.err.lines()).allMatch(l -> l.startsWith("Solving"));
        assertThat(said.code).isZero();
        JsonNode rows = new ObjectMapper().readTree(said.out).at("/tables/answers");
        assertThat(rows.get(0).get("what").asText())
                .startsWith("Use a steering wheel")
                .endsWith("mm larger");
        double promised = rows.valueStream()
                .filter(r -> r.get("key").asText().equals("rim_force_parked_n"))
                .findFirst()
                .orElseThrow()
                .get("after")
                .asDouble();
        assertThat(promised).isLessThan(223.2);
        JsonNode then = new ObjectMapper().readTree(run("analyse", taken.toString(), "--grid", "5x5").out);
        assertThat(then.at("/linkage/effort/parked_worst_n").asDouble()).isEqualTo(promised);
        assertThat(run("solve", file.toString(), "fly").err).contains("light-steering");
        assertThat(run("solve", file.toString(), "ratio", "--may", "gear-height=3").err)
                .contains("There are: arm-length");
        assertThat(run("solve", file.toString(), "ratio", "--may", "arm-length=1e9").err)
                .contains("above 0, and up to 1000");
        assertThat(run("solve", file.toString(), "lock-stops", "--bolt", "-3").err)
                .contains("from 10 mm up to 500");
        Said never = run(
                "solve", file.toString(), "ratio", "--want", "ratio=90", "--take", taken.toString(), "--answer", "9");
        assertThat(never.code).isEqualTo(3);
        assertThat(never.err).contains("nothing was written");
    }

    @Test
    void tablesOfWhatIsMeasuredAndChangedArePrinted(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("demo.tilt");
        JobFile.save(file, DemoJob.MARSH_CARRIER.job());
        Path other = folder.resolve("shuttle.TILT");
        JobFile.save(other, DemoJob.GARDEN_SHUTTLE.job().keepingVariant("As it was"));
        Said knuckle = run("knuckle", file.toString(), "--longer", "15", "--unit", "INCH");
        assertThat(knuckle.out).contains("0.591\" away from the steer axis").contains("rim_force_parked_n");
        assertThat(run("knuckle", file.toString(), "--longer", "1e9").err).contains("it can be -20000 to 20000 mm");
        assertThat(run("knuckle", file.toString()).code).isEqualTo(3);
        assertThat(run("survey", file.toString()).out).contains("looks wrong").contains("wheel centre");
        assertThat(run("survey", other.toString()).code).isEqualTo(3);
        assertThat(run("runout", file.toString()).out).contains("Bent by 0.17°");
        assertThat(run("trial", file.toString()).out).contains("left and right steering arms swapped");
        JsonNode variants = new ObjectMapper().readTree(run("variants", other.toString(), "--json").out);
        assertThat(variants.at("/tables/variants").valueStream())
                .isNotEmpty()
                .allSatisfy(r -> assertThat(r.get("variant-1")).isEqualTo(r.get("plan")));
        Said compare = run("compare", folder.toString());
        assertThat(compare.out).contains("demo.tilt").contains("shuttle.TILT").contains("joint_over_limit");
        assertThat(compare.out
                        .lines()
                        .filter(l -> l.contains("Rim force, parked"))
                        .findFirst()
                        .orElseThrow())
                .contains("333 N");
        assertThat(run("compare", Files.createDirectory(folder.resolve("empty")).toString()).err)
                .contains("no job file");
        assertThat(run("completion").out).contains("light-steering").contains("compare");
    }

    /** From what lies on the bench to what comes off it, and parts that are kept for another job. */
    @Test
    void partsInHandAreCutAndKept(@TempDir Path folder) throws Exception {
        Job job = DemoJob.DUNE_WARDEN.job();
        Path file = folder.resolve("buggy.tilt");
        JobFile.save(file, job);
        assertThat(run("found", file.toString()).code).isEqualTo(3);
        Shaft first = job.column().orElseThrow().shafts().getFirst();
        double wanted = job.column().orElseThrow().cutLength(0);
        JobFile.save(
                file,
                job.editMaking(m -> m.editAsFound(f -> f.withShaft(
                        first.id(),
                        Optional.of(new PartAsFound(wanted + 118, wanted + 20, PartAsFound.Limit.BEARING_SEAT))))));
        assertThat(run("found", file.toString()).out)
                .contains(first.name(), "can't be cut short enough", "98.0 mm", "Turn a new seat further up");
        JsonNode row = new ObjectMapper()
                .readTree(run("found", file.toString(), "--json").out)
                .at("/tables/parts-as-found/0");
        assertThat(row.get("take_off_mm").asDouble()).isCloseTo(98, within(1e-9));
        assertThat(row.get("over_mm").asDouble()).isCloseTo(20, within(1e-9));
        // What is drawn for the machinist, and what a set of vehicles is built and checked by.
        assertThat(run("drawings", file.toString()).code).isEqualTo(3);
        JobFile.save(file, JobFile.open(file).editMaking(m -> m.withPiece(new Piece.AdapterPlate(
                        Id.Kind.PIECE.first(),
                        "Box plate",
                        120,
                        90,
                        8,
                        6,
                        List.of(new Piece.PlateHole(60, 45, 40)),
                        1,
                        1))
                .editWorkshop(w -> w.withSets(3))));
        assertThat(run("drawings", file.toString()).out).contains("Box plate", "120 ±0.3", "Ø 40 (+0.2/0)");
        assertThat(new ObjectMapper()
                        .readTree(run("drawings", file.toString(), "--json").out)
                        .at("/tables/drawing-sizes/0/count")
                        .asInt())
                .isEqualTo(6);
        assertThat(run("set", file.toString()).out).contains("steering wheel hub", "Turns to full left lock");
        // The same to be read, in the window's words.
        assertThat(run("analyse", file.toString(), "--plain", "--unit", "INCH").out)
                .contains("Figures", "Turning circle")
                .doesNotContain("{");
        assertThat(run("sure", file.toString(), "--plain", "--draws", "20").out)
                .contains("How sure each figure is", "±");
        assertThat(run("route", file.toString(), "--plain", "--joints", "1").out)
                .contains("Offered for", "Lower joint is not needed any more");
        assertThat(run("room", file.toString(), "--at", "900,0,1500", "--ball", "50", "--plain").out)
                .contains("How far it may go", "to the left");
        assertThat(run("route", file.toString(), "--hole", "1,2").err).contains("--hole \"1,2\" is not valid");
        assertThat(run("route", file.toString(), "--wheel-height", "900").err).contains("0 to 300 mm");
        String state = System.getProperty("mildtilt.state");
        System.setProperty("mildtilt.state", folder.resolve("state").toString());
        try {
            assertThat(run("catalogue", "--keep", "shaft-99", "--from", file.toString()).err)
                    .contains("\"shaft-99\" is no shaft");
            String id = first.id().text();
            assertThat(run("catalogue", "--keep", id, "--from", file.toString()).out)
                    .contains(first.name() + ", " + job.title());
            Catalogue mine = CatalogueFile.read(run("catalogue", "--mine").out);
            assertThat(mine.shafts()).singleElement().satisfies(s -> assertThat(s.diameter())
                    .isEqualTo(first.diameter()));
            assertThat(mine.asFound().values())
                    .singleElement()
                    .extracting(PartAsFound::length)
                    .isEqualTo(wanted + 118);
            // An end of a rod as well, from another job.
            Job carrier = DemoJob.MARSH_CARRIER.job();
            EndPart end =
                    carrier.making().rod(Rod.LEFT_TIE_ROD).orElseThrow().outer().part();
            Path other = folder.resolve("carrier.tilt");
            JobFile.save(other, carrier);
            assertThat(run("catalogue", "--keep", "left_tie_rod.outer", "--from", other.toString()).out)
                    .contains(end.name() + ", " + carrier.title());
            assertThat(CatalogueFile.read(run("catalogue", "--mine").out).rodEnds())
                    .containsExactly(end.withName(end.name() + ", " + carrier.title()));
            assertThat(run("catalogue", "--delete", end.name() + ", " + carrier.title()).code)
                    .isZero();
            assertThat(run("catalogue", "--delete", "no such part").code).isEqualTo(3);
            assertThat(run("catalogue", "--delete", first.name() + ", " + job.title()).code)
                    .isZero();
            assertThat(CatalogueFile.read(run("catalogue", "--mine").out)).isEqualTo(Catalogue.NONE);
        } finally {
            if (state == null) {
                System.clearProperty("mildtilt.state");
            } else {
                System.setProperty("mildtilt.state", state);
            }
        }
    }

    @Test
    void analysePrintsFiguresAndWritesCurves(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("demo.tilt");
        JobFile.save(file, DemoJob.MARSH_CARRIER.job());
        Path positions = Files.writeString(
                folder.resolve("p.csv"), "steering_wheel_deg,travel_left_mm,travel_right_mm\n90,20,-10\n2000,0,0\n");
        Said said = run(
                "analyse",
                file.toString(),
                "--out",
                folder.resolve("curves").toString(),
                "--positions",
                positions.toString(),
                "--grid",
                "21x9");
        assertThat(said.err).isEmpty();
        assertThat(said.code).isZero();
        JsonNode json = new ObjectMapper().readTree(said.out);
        assertThat(json.at("/column/joint_angles_deg/1").asDouble()).isBetween(37.404, 37.406);
        assertThat(json.at("/linkage/steer_table").size()).isEqualTo(21);
        assertThat(json.at("/linkage/bump_steer_table").size()).isEqualTo(9);
        assertThat(json.at("/findings/0/fault").asText()).isEqualTo("joint_over_limit");
        assertThat(json.at("/findings/1/fault").asText()).isEqualTo("touches");
        assertThat(json.at("/clearance/pairs/0/second").asText()).isEqualTo("tray bracket");
        assertThat(json.at("/positions/0/left/delta_deg").asDouble()).isPositive();
        assertThat(json.at("/positions/1/left/why_not").asText()).contains("rack");
        assertThat(folder.resolve("curves/steer-curve.csv")).exists();
    }

    @Test
    void rulesAndCatalogueRoundTrip(@TempDir Path folder) throws Exception {
        Path job = folder.resolve("demo.tilt");
        JobFile.save(job, DemoJob.MARSH_CARRIER.job());
        Path rules = Files.writeString(
                folder.resolve("mine.rules.json"),
                run("rules", "cautious-road").out.replace("\"joint_deg\" : 35", "\"joint_deg\" : 20"));
        Path parts = Files.writeString(folder.resolve("parts.json"), run("catalogue").out);
        Said said = run(
                "analyse",
                job.toString(),
                "--grid",
                "5x5",
                "--rules",
                rules.toString(),
                "--catalogue",
                parts.toString(),
                "--out",
                folder.toString());
        assertThat(said.err).isEmpty();
        JsonNode json = new ObjectMapper().readTree(said.out);
        assertThat(json.at("/column/joint_limits_deg/0").asDouble()).isEqualTo(20);
        assertThat(json.at("/findings")
                        .valueStream()
                        .filter(f -> f.get("fault").asText().equals("joint_over_limit")))
                .hasSize(2);
        assertThat(Files.readString(folder.resolve("fork-marks.csv"))).contains("Lower shaft,20.0,clockwise,");
        assertThat(run("rules", "none").err).contains("cautious-road, closed-course, slow-workplace");
        assertThat(run("analyse", job.toString(), "--rules", job.toString())).satisfies(s -> {
            assertThat(s.code).isEqualTo(2);
            assertThat(s.err).contains("demo.tilt").contains("not a Mild Tilt rule set");
        });
    }

    @Test
    void invalidInputGivesSentenceAndExitCode(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("x.tilt");
        Files.writeString(file, "no json");
        assertThat(run("analyse", file.toString())).satisfies(s -> {
            assertThat(s.code).isEqualTo(2);
            assertThat(s.out).isEmpty();
            assertThat(s.err).contains("x.tilt").contains("line 1").doesNotContain("Exception");
        });
        JobFile.save(file, DemoJob.MARSH_CARRIER.job());
        assertThat(run("analyse", file.toString(), "--grid", "20x9").err).contains("odd");
        assertThat(run(
                                "analyse",
                                file.toString(),
                                "--positions",
                                folder.resolve("none.csv").toString())
                        .code)
                .isEqualTo(2);
        assertThat(run("analyse").code).isEqualTo(2);
        assertThat(run("fly").code).isEqualTo(2);
    }

    @Test
    void measuringWithAPhoneWorksFromTheCommandLine(@TempDir Path folder) throws Exception {
        Path sheet = folder.resolve("sheet.pdf");
        assertThat(run("target-sheet", sheet.toString(), "--paper", "LETTER").code)
                .isZero();
        assertThat(Files.size(sheet)).isGreaterThan(10_000);
        Path pictures = folder.resolve("pictures");
        assertThat(run("practice", pictures.toString(), "--width", "1600").out.lines())
                .hasSize(7);
        Path job = folder.resolve("job.tilt");
        JobFile.save(job, DemoJob.MARSH_CARRIER.job().withSurvey(Survey.NONE));
        Path with = folder.resolve("with.tilt");
        List<String> args = new ArrayList<>(List.of("photographs", job.toString()));
        for (int n = 1; n <= 5; n++) {
            args.add(pictures.resolve("practice-" + n + ".jpg").toString());
        }
        args.addAll(List.of("--out", with.toString(), "--laid=-300,-100,0,0", "--bar", "239.5", "--json"));
        Said said = run(args.toArray(String[]::new));
        assertThat(said.code).isZero();
        assertThat(said.err).contains("practice-1.jpg: ").contains(" marks found.");
        JsonNode tables = new ObjectMapper().readTree(said.out);
        assertThat(tables.findValuesAsText("photograph")).hasSize(5);
        Survey survey = JobFile.open(with).survey();
        assertThat(survey.photographs()).hasSize(5).allMatch(p -> Files.exists(folder.resolve(p.file())));
        assertThat(survey.sheet().bar()).isEqualTo(239.5);
    }

    @Test
    void aScanIsMeasuredInTheVehiclesAxes(@TempDir Path folder) throws Exception {
        // A tube of 40 mm in cm, lying along the scan's z; on the vehicle it runs forward from 100, 200, 300.
        StringBuilder obj = new StringBuilder();
        int round = 24;
        int rows = 40;
        for (int i = 0; i < rows; i++) {
            for (int j = 0; j < round; j++) {
                double t = 2 * Math.PI * j / round;
                obj.append(String.format(
                        Locale.ROOT, "v %.5f %.5f %.5f%n", 2 * Math.cos(t), 2 * Math.sin(t), 20.0 * i / (rows - 1)));
            }
        }
        for (int i = 0; i + 1 < rows; i++) {
            for (int j = 0; j < round; j++) {
                int a = 1 + i * round + j;
                int b = 1 + i * round + (j + 1) % round;
                obj.append("f ").append(a).append(' ').append(b).append(' ').append(b + round);
                obj.append(' ').append(a + round).append('\n');
            }
        }
        Path scan = Files.writeString(folder.resolve("tube.obj"), obj.toString());
        Path pairs = Files.writeString(
                folder.resolve("pairs.csv"),
                "name,scan_x,scan_y,scan_z,x_mm,y_mm,z_mm\nend,0,0,0,100,200,300\nother,0,0,20,300,200,300\n"
                        + "side,2,0,0,100,220,300\n");
        Said said =
                run("scan", scan.toString(), "--in", "CM", "--tube", "2,0,10", "--pairs", pairs.toString(), "--json");
        assertThat(said.code).isZero();
        JsonNode rowsOf =
                new ObjectMapper().readTree(said.out).findParents("diameter_mm").getFirst();
        assertThat(rowsOf.get("diameter_mm").asDouble()).isCloseTo(40, within(0.01));
        assertThat(rowsOf.get("y_mm").asDouble()).isCloseTo(200, within(0.01));
        assertThat(rowsOf.get("z_mm").asDouble()).isCloseTo(300, within(0.01));
        assertThat(Math.abs(rowsOf.get("down_deg").asDouble())).isLessThan(0.01);
        assertThat(run("scan", scan.toString(), "--tube", "2,0,10")).satisfies(s -> {
            assertThat(s.code).isEqualTo(2);
            assertThat(s.err).contains("--in MM");
        });
        assertThat(run("scan", scan.toString(), "--in", "CM", "--ball", "2,0,10").code)
                .isEqualTo(3);
        assertThat(run("scan", scan.toString(), "--in", "CM", "--ball", "2,0").err)
                .contains("three numbers");
    }

    /** Each refused in one or two sentences, without a trace, and with a code. */
    @Test
    void hostileArgumentsGiveSentences(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("x.tilt");
        JobFile.save(file, DemoJob.GREENHOUSE_TUG.job());
        Path scan = Files.writeString(folder.resolve("a.obj"), "v 0 0 0\nv 1 0 0\nv 0 1 0\nf // 2 3\n");
        Path taken = Files.writeString(folder.resolve("taken"), "a file");
        Path route = folder.resolve("route.tilt");
        String[][] all = {
            {"analyse", file.toString(), "--grid", "x"},
            {"analyse", file.toString(), "--grid", "1x1"},
            {"analyse", "/"},
            {"analyse", folder.toString()},
            {"scan", "/"},
            {"scan", scan.toString()},
            {"scan", folder.resolve("none.stl").toString()},
            {"route", file.toString(), "--joints", "-"},
            {"route", file.toString(), "--gap", "NaN"},
            {"route", file.toString(), "--gap", "1e9"},
            {"analyse", file.toString(), "--out", taken.toString()},
            {"make", file.toString(), "--out", taken.toString()},
            {"analyse", file.toString(), "--positions", scan.toString()},
            {"analyse", file.toString(), "--rules", "/"},
            {"sure", "/"},
            {"fit", "/", "--out", folder.toString()},
            {"instruments", "/", "--port", "0"},
            {"model", file.toString(), folder.resolve("model.step").toString()},
            {"model", file.toString(), folder.resolve("model.obj").toString(), "--moving"},
            {"model", file.toString(), folder.resolve("model.glb").toString(), "--hands", "1e9"},
            {"model", "/", folder.resolve("model.glb").toString()},
            {"target-sheet", taken.resolve("sheet.pdf").toString()},
            {"practice", folder.toString(), "--width", "90000"},
            {"practice", taken.toString(), file.toString(), "--width", "400"},
            {"photographs", file.toString(), scan.toString(), "--out", route.toString()},
            {"photographs", file.toString(), "/", "--out", route.toString()},
            {"photographs", file.toString(), scan.toString(), "--out", route.toString(), "--laid", "1,2"}
        };
        for (String[] args : all) {
            assertThat(run(args)).as(String.join(" ", args)).satisfies(s -> {
                assertThat(s.code).isEqualTo(2);
                assertThat(s.err.strip())
                        .hasSizeBetween(15, 300)
                        .doesNotContain("Exception")
                        .doesNotContain("null")
                        .doesNotContain("\tat ")
                        .endsWith(".");
            });
        }
        JobFile.save(file, DemoJob.MARSH_CARRIER.job());
        assertThat(run("route", file.toString(), "--gap", "900", "--joints", "1", "--take", route.toString()))
                .satisfies(s -> {
                    assertThat(s.code).isEqualTo(3);
                    assertThat(s.err).contains("There is no such route, so nothing was written to");
                    assertThat(route).doesNotExist();
                });
    }
}
