package mildtilt.bench;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import mildtilt.analysis.Analysis;
import mildtilt.build.Metal;
import mildtilt.build.Section;
import mildtilt.build.Workshop;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.pdf.JobBookPdf;
import mildtilt.report.Papers;
import mildtilt.shop.CutList;
import mildtilt.shop.StockPlan;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Everything for the bench worked out of an analysis, the job book written, and a stock plan of many pieces. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class PapersBenchmark {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);

    private Analysis demo = Analysis.of(DemoJob.MARSH_CARRIER.job());
    private Papers papers = Papers.of(demo, DAY);
    private CutList few = pieces(20);
    private CutList many = pieces(300);

    @Setup
    public void setUp() {
        demo = Analysis.of(DemoJob.MARSH_CARRIER.job());
        papers = Papers.of(demo, DAY);
    }

    private static CutList pieces(int n) {
        Random random = new Random(3);
        List<CutList.CutLine> lines = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double length = 30 + 870 * random.nextDouble();
            lines.add(new CutList.CutLine(
                    "p" + i,
                    Optional.of(new Section.Bar(20)),
                    Phrase.of("bar"),
                    Metal.STEEL,
                    "steel",
                    length,
                    length,
                    "",
                    0,
                    1,
                    0,
                    1,
                    Optional.empty(),
                    Optional.empty()));
        }
        return new CutList(lines, List.of(), List.of(), List.of());
    }

    @Benchmark
    public Papers papers() {
        return Papers.of(demo, DAY);
    }

    @Benchmark
    public byte[] jobBook() throws IOException {
        return JobBookPdf.write(papers, LengthUnit.MM, DAY, "job.tilt");
    }

    @Benchmark
    public StockPlan stockOfTwenty() {
        return StockPlan.of(few, Workshop.USUAL);
    }

    @Benchmark
    public StockPlan stockOfThreeHundred() {
        return StockPlan.of(many, Workshop.USUAL);
    }
}
