package mildtilt.io.papers;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.build.Workshop.Paper;
import mildtilt.io.SafeFiles;
import mildtilt.io.SafeName;
import mildtilt.io.cad.StlFile;
import mildtilt.io.cad.TemplateDxf;
import mildtilt.io.cad.TemplateSvg;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.pdf.CheckSheetPdf;
import mildtilt.io.pdf.JobBookPdf;
import mildtilt.io.pdf.JobCardPdf;
import mildtilt.io.pdf.PartDrawingPdf;
import mildtilt.io.pdf.RunSheetPdf;
import mildtilt.io.pdf.TemplatePdf;
import mildtilt.job.Job;
import mildtilt.machined.PartDrawing;
import mildtilt.report.FigureTables;
import mildtilt.report.Papers;
import mildtilt.report.Table;
import mildtilt.template.FlatPattern;
import mildtilt.template.Templates;
import mildtilt.trials.compare.CheckSheet;
import mildtilt.units.LengthUnit;

/** All papers of a job as files in a folder, under names that are safe whatever its parts are called. */
public final class PapersFiles {

    private PapersFiles() {}

    /** Writes everything; returns what was written. @param file name of the job's file, as printed */
    public static List<Path> write(Papers papers, LengthUnit unit, LocalDate date, String file, Path folder)
            throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        written.add(put(folder.resolve("job-book.pdf"), JobBookPdf.write(papers, unit, date, file)));
        written.add(put(folder.resolve("job-card.pdf"), JobCardPdf.write(papers.analysis(), unit, date, file)));
        written.add(put(folder.resolve("run-sheet.pdf"), RunSheetPdf.write(papers, unit, date, file)));
        written.add(put(folder.resolve("check-sheets.pdf"), CheckSheetPdf.write(papers.analysis(), unit, date, file)));
        written.addAll(tables(papers, folder));
        written.addAll(templates(papers, unit, folder.resolve("templates")));
        written.addAll(drawings(papers, unit, date, file, folder.resolve("drawings")));
        return written;
    }

    /** Every drawing for the machinist as DXF at full size, all of them as one PDF; nothing where there is none. */
    public static List<Path> drawings(Papers papers, LengthUnit unit, LocalDate date, String file, Path folder)
            throws IOException {
        List<PartDrawing> all = papers.machined().drawings();
        List<Path> written = new ArrayList<>();
        if (all.isEmpty()) {
            return written;
        }
        Files.createDirectories(folder);
        Job job = papers.analysis().job();
        Set<String> taken = new HashSet<>(Set.of("drawings"));
        written.add(put(folder.resolve("drawings.pdf"), PartDrawingPdf.write(all, job, unit, date, file)));
        for (PartDrawing d : all) {
            FlatPattern drawn =
                    d.at(PartDrawingPdf.scale(d, job.making().workshop().paper()));
            written.add(put(
                    folder.resolve(SafeName.of(d.name(), taken) + ".dxf"),
                    TemplateDxf.write(drawn, unit).getBytes(StandardCharsets.US_ASCII)));
        }
        return written;
    }

    /** Every table as CSV. */
    public static List<Path> tables(Papers papers, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        for (Table t : papers.tables()) {
            written.add(csv(folder, t.file(), t));
        }
        Table checks = CheckSheet.of(papers.analysis());
        if (!checks.rows().isEmpty()) {
            written.add(csv(folder, checks.file(), checks));
        }
        Optional<Table> variants = FigureTables.variants(papers.analysis());
        if (variants.isPresent()) {
            written.add(csv(folder, variants.get().file(), variants.get()));
        }
        return written;
    }

    /** Every pattern as SVG and DXF, all of them as one PDF, and every jig as STL; nothing where there is none. */
    public static List<Path> templates(Papers papers, LengthUnit unit, Path folder) throws IOException {
        Templates t = papers.templates();
        List<Path> written = new ArrayList<>();
        if (t.patterns().isEmpty() && t.jigs().isEmpty()) {
            return written;
        }
        Files.createDirectories(folder);
        Paper paper = papers.analysis().job().making().workshop().paper();
        Set<String> taken = new HashSet<>(Set.of("templates"));
        if (!t.patterns().isEmpty()) {
            written.add(put(
                    folder.resolve("templates.pdf"),
                    TemplatePdf.write(
                            t.patterns(), paper, unit, papers.analysis().job().title())));
        }
        for (FlatPattern p : t.patterns()) {
            String name = SafeName.of(p.name(), taken);
            written.add(put(
                    folder.resolve(name + ".svg"), TemplateSvg.write(p, unit).getBytes(StandardCharsets.UTF_8)));
            written.add(put(
                    folder.resolve(name + ".dxf"), TemplateDxf.write(p, unit).getBytes(StandardCharsets.US_ASCII)));
        }
        for (Templates.Jig j : t.jigs()) {
            written.add(put(folder.resolve(SafeName.of(j.name(), taken) + ".stl"), StlFile.write(j.mesh())));
        }
        return written;
    }

    static Path csv(Path folder, String name, Table t) throws IOException {
        return put(folder.resolve(name + ".csv"), CsvFiles.table(t).getBytes(StandardCharsets.UTF_8));
    }

    static Path put(Path file, byte[] bytes) throws IOException {
        SafeFiles.replace(file, bytes);
        return file;
    }
}
