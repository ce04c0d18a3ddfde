package mildtilt.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import mildtilt.io.jobfile.DemoJob;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/**
 * Runs what the design aims at and prints one table: aim, reached, and how many times as long a general-purpose solver
 * takes for the same.
 */
public final class TargetTable {

    private TargetTable() {}

    /** @param args start-up and memory as the launcher measured them, a line each, to be printed with the rest */
    public static void main(String[] args) throws RunnerException {
        Collection<RunResult> all = new Runner(new OptionsBuilder()
                        .include("SteeringBenchmark.(poseOfBothSides|mapOfSteerAgainstTravel|wholeAnalysis|clearances)")
                        .include("GeneralBenchmark")
                        .include("ClearanceBenchmark.(routes|first).*")
                        .include("PhoneBenchmark")
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run();
        Map<String, Map<String, Double>> us = new TreeMap<>();
        for (RunResult r : all) {
            String name = r.getParams().getBenchmark().replaceAll(".*\\.bench\\.", "");
            String of = r.getParams().getParamsKeys().contains("vehicle")
                    ? r.getParams().getParam("vehicle")
                    : "";
            us.computeIfAbsent(name, _ -> new TreeMap<>())
                    .put(of, r.getPrimaryResult().getScore());
        }
        print("pose of both sides, µs", "1", us.get("SteeringBenchmark.poseOfBothSides"), 1);
        print("map 61 × 41, ms", "16", us.get("SteeringBenchmark.mapOfSteerAgainstTravel"), 1e-3);
        print("whole analysis, ms", "50", us.get("SteeringBenchmark.wholeAnalysis"), 1e-3);
        print("all gaps over the range, ms", "in the 50", us.get("SteeringBenchmark.clearances"), 1e-3);
        us.forEach((name, of) -> {
            if (name.startsWith("ClearanceBenchmark")) {
                print(name.replaceAll(".*\\.", "") + ", ms", name.contains("first") ? "200" : "2000", of, 1);
            }
        });
        print("marks of 12 megapixels, ms", "1000", us.get("PhoneBenchmark.marksOfTwelveMegapixels"), 1);
        print("twelve pictures together, ms", "3000", us.get("PhoneBenchmark.twelvePicturesTogether"), 1);
        print("tube on a scan, ms", "200", us.get("PhoneBenchmark.tubeOnAScan"), 1);
        beside(
                "the same pose by a general-purpose solver (Levenberg–Marquardt, begun from the pose before)",
                "µs",
                us.get("GeneralBenchmark.general"),
                us.get("GeneralBenchmark.ours"));
        beside(
                "all 2501 poses of a map by both",
                "ms",
                us.get("GeneralBenchmark.generalMap"),
                us.get("GeneralBenchmark.oursMap"));
        for (String line : args) {
            System.out.println(line);
        }
    }

    private static void beside(String what, String unit, Map<String, Double> general, Map<String, Double> ours) {
        System.out.println();
        System.out.println(what + ", times as long:");
        if (general != null && ours != null) {
            general.forEach((vehicle, t) -> System.out.printf(
                    Locale.ROOT,
                    "  %-24s %8.1f %s  against %7.2f %s   %6.0f ×%n",
                    vehicle.toLowerCase(Locale.ROOT).replace('_', '-'),
                    t,
                    unit,
                    ours.get(vehicle),
                    unit,
                    t / ours.get(vehicle)));
        }
    }

    private static void print(String what, String aim, Map<String, Double> us, double scale) {
        List<String> cells = new ArrayList<>();
        if (us == null) {
            return;
        }
        if (us.containsKey("")) {
            cells.add(figure(us.get("") * scale));
        }
        for (DemoJob d : DemoJob.values()) {
            if (us.containsKey(d.name())) {
                cells.add(d.file() + " " + figure(us.get(d.name()) * scale));
            }
        }
        System.out.printf(Locale.ROOT, "%-30s aim %-10s %s%n", what, aim, String.join(", ", cells));
    }

    private static String figure(double v) {
        return String.format(Locale.ROOT, v < 10 ? "%.2f" : "%.0f", v);
    }
}
