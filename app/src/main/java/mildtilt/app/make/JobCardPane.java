package mildtilt.app.make;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.format.JobCardPdf;
import mildtilt.measure.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The job card as it will come out of the printer, and the ways to take it out. */
public final class JobCardPane extends VBox {

    private static final float DOTS_PER_INCH = 110;

    private final Workbench bench;
    private final Clock clock;
    private final ImageView page = new ImageView();
    private final Label hint = new Label();
    private int asked;

    public JobCardPane(Workbench bench, Clock clock, Runnable savePdf, Runnable saveCsv) {
        this.bench = bench;
        this.clock = clock;
        getStyleClass().add("job-card-pane");
        setMinSize(0, 0);
        Button pdf = new Button("Save the job card as PDF…");
        pdf.setId("save-job-card");
        pdf.setOnAction(_ -> savePdf.run());
        Button csv = new Button("Save curves and points as CSV…");
        csv.setId("save-csv");
        csv.setOnAction(_ -> saveCsv.run());
        Label head = new Label("Job card");
        head.getStyleClass().add("pane-head");
        hint.getStyleClass().add("hint");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox top = new HBox(8, head, hint, gap, pdf, csv);
        top.setAlignment(Pos.CENTER_LEFT);
        page.setPreserveRatio(true);
        VBox middle = new VBox(page);
        middle.setAlignment(Pos.TOP_CENTER);
        ScrollPane scroll = new ScrollPane(middle);
        scroll.setFitToWidth(true);
        scroll.setId("job-card-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(top, scroll);
        bench.workedProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        bench.stageProperty().addListener((_, _, _) -> refresh());
    }

    private void refresh() {
        Optional<Analysis> analysis = bench.workedProperty().get().map(w -> w.now());
        if (bench.stageProperty().get() != WorkStage.MAKE || analysis.isEmpty()) {
            return;
        }
        int mine = ++asked;
        hint.setText("drawing the page");
        LengthUnit unit = bench.lengthUnit();
        String file = bench.fileProperty().get().map(p -> p.getFileName().toString()).orElse("not saved yet");
        CompletableFuture.supplyAsync(() -> draw(analysis.get(), unit, file)).whenComplete((image, problem) ->
                Platform.runLater(() -> {
                    if (mine != asked) {
                        return;
                    }
                    hint.setText("one page A4, the drawing to scale");
                    if (problem == null) {
                        page.setImage(SwingFXUtils.toFXImage(image, null));
                    } else {
                        bench.refuse("The job card could not be drawn: " + problem.getMessage());
                    }
                }));
    }

    private BufferedImage draw(Analysis analysis, LengthUnit unit, String file) {
        try (PDDocument pdf = Loader.loadPDF(JobCardPdf.write(analysis, unit, LocalDate.now(clock), file))) {
            return new PDFRenderer(pdf).renderImageWithDPI(0, DOTS_PER_INCH);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
