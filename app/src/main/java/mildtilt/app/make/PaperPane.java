package mildtilt.app.make;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.pdf.JobBookPdf;
import mildtilt.io.pdf.JobCardPdf;
import mildtilt.report.Papers;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The job card and the job book as they will come out of the printer, and the ways to take everything out. */
final class PaperPane extends VBox {

    private static final float DOTS_PER_INCH = 110;

    private final Workbench bench;
    private final PapersDesk desk;
    private final Clock clock;
    private final ImageView page = new ImageView();
    private final Label hint = new Label();
    private final ToggleButton card = new ToggleButton("Job card");
    private final ToggleButton book = new ToggleButton("Job book");
    private final Button back = new Button("◀");
    private final Button on = new Button("▶");
    private int sheet;
    private final LatestTask<Drawn> beside;

    /** @param pages of the whole document */
    private record Drawn(BufferedImage image, boolean ofBook, int sheet, int pages) {}

    PaperPane(Workbench bench, PapersDesk desk, Clock clock, MakeStagePane.Saving saving) {
        this.bench = bench;
        this.desk = desk;
        this.clock = clock;
        beside = new LatestTask<>(this::show, problem -> {
            hint.setText("");
            bench.refuse("The sheet could not be drawn: " + problem.getMessage());
        });
        getStyleClass().add("job-card-pane");
        setMinSize(0, 0);
        card.setId("paper-card");
        book.setId("paper-book");
        card.setSelected(true);
        card.setOnAction(_ -> choose(false));
        book.setOnAction(_ -> choose(true));
        back.setId("paper-back");
        back.setAccessibleText("Sheet before");
        back.setOnAction(_ -> turn(-1));
        on.setId("paper-on");
        on.setAccessibleText("Next sheet");
        on.setOnAction(_ -> turn(1));
        hint.getStyleClass().add("hint");
        FlowPane saves = new FlowPane(
                8,
                4,
                button("Save the card…", "save-job-card", saving::jobCard),
                button("Save the book…", "save-job-book", saving::jobBook),
                button("Save tables and curves as CSV…", "save-csv", saving::csv),
                button("Save a 3-D model…", "save-model", saving::model),
                button("Save it moving, for a phone…", "save-moving-model", saving::movingModel),
                button("Save everything into a folder…", "save-everything", saving::everything));
        HBox top = new HBox(8, card, book, back, on, hint);
        top.setAlignment(Pos.CENTER_LEFT);
        page.setPreserveRatio(true);
        VBox middle = new VBox(page);
        middle.setAlignment(Pos.TOP_CENTER);
        ScrollPane scroll = new ScrollPane(middle);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setId("job-card-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        scroll.viewportBoundsProperty().addListener((_, _, b) -> page.setFitWidth(Math.min(b.getWidth() - 4, 900)));
        getChildren().addAll(saves, top, scroll);
        desk.papersProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
    }

    private static Button button(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setOnAction(_ -> run.run());
        return b;
    }

    private void choose(boolean wholeBook) {
        card.setSelected(!wholeBook);
        book.setSelected(wholeBook);
        sheet = 0;
        refresh();
    }

    private void turn(int by) {
        sheet += by;
        refresh();
    }

    private void refresh() {
        Optional<Papers> papers = desk.papersProperty().get();
        if (!isVisible() || papers.isEmpty()) {
            return;
        }
        hint.setText("drawing the sheet");
        LengthUnit unit = bench.lengthUnit();
        String file =
                bench.fileProperty().get().map(p -> p.getFileName().toString()).orElse("not saved yet");
        boolean wholeBook = book.isSelected();
        int wanted = sheet;
        beside.ask(() -> draw(papers.get(), unit, file, wholeBook, wanted));
    }

    private void show(Drawn drawn) {
        sheet = drawn.sheet;
        back.setDisable(sheet == 0);
        on.setDisable(sheet >= drawn.pages - 1);
        hint.setText(
                drawn.ofBook ? "sheet " + (sheet + 1) + " of " + drawn.pages : "one page A4, the drawing to scale");
        page.setImage(SwingFXUtils.toFXImage(drawn.image, null));
    }

    private Drawn draw(Papers papers, LengthUnit unit, String file, boolean wholeBook, int wanted) {
        LocalDate today = LocalDate.now(clock);
        try (PDDocument pdf = Loader.loadPDF(
                wholeBook
                        ? JobBookPdf.write(papers, unit, today, file)
                        : JobCardPdf.write(papers.analysis(), unit, today, file))) {
            int pages = pdf.getNumberOfPages();
            int at = Math.clamp(wanted, 0, pages - 1);
            return new Drawn(new PDFRenderer(pdf).renderImageWithDPI(at, DOTS_PER_INCH), wholeBook, at, pages);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
