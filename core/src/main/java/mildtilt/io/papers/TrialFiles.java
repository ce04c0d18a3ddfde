package mildtilt.io.papers;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.io.SafeName;
import mildtilt.io.pdf.InspectionPdf;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.trials.compare.TrialFigures;
import mildtilt.trials.compare.TrialTables;
import mildtilt.trials.diagnose.CauseTable;
import mildtilt.trials.diagnose.Diagnosis;
import mildtilt.units.LengthUnit;

/**
 * The log of all vehicles as files: a CSV of each kind of reading with all trials in it, and an inspection sheet a
 * vehicle.
 */
public final class TrialFiles {

    private TrialFiles() {}

    /** Returns what was written. @param file name of the job's file, as printed */
    public static List<Path> write(Job job, LengthUnit unit, LocalDate date, String file, Path folder)
            throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        Map<String, Table> tables = new LinkedHashMap<>();
        Analysis now = Analysis.of(job);
        Set<String> taken = new HashSet<>();
        for (BuiltVehicle b : job.log().vehicles()) {
            for (Trial t : b.trials()) {
                TrialTables.of(b.name(), TrialFigures.of(t, job)).forEach(x -> add(tables, x));
                Job then = Job.of("", t.plan());
                Diagnosis.of(t.sheet(), then)
                        .ifPresent(d -> add(
                                tables,
                                CauseTable.of(b.name() + ", " + t.sheet().name(), d, then)));
            }
            written.add(PapersFiles.put(
                    folder.resolve(SafeName.of("inspection-" + b.name(), taken) + ".pdf"),
                    InspectionPdf.write(b, now, unit, date, file)));
            written.add(PapersFiles.csv(
                    folder, SafeName.of("inspection-list-" + b.name(), taken), TrialTables.inspection(b, now)));
        }
        if (!job.changes().isEmpty()) {
            add(tables, Table.ofChanges(job));
        }
        for (Table t : tables.values()) {
            written.add(PapersFiles.csv(folder, t.file(), t));
        }
        return written;
    }

    private static void add(Map<String, Table> all, Table t) {
        all.merge(t.file(), t, (a, b) -> {
            List<List<Cell>> rows = new ArrayList<>(a.rows());
            rows.addAll(b.rows());
            return new Table(a.file(), a.title(), a.keys(), a.heads(), rows);
        });
    }
}
