package mildtilt.app.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import mildtilt.app.workbench.WorkStage;

/** The pages of the guide in the order of the work, each an answer to one question. */
public enum GuidePage {
    BEGIN("01-begin"),
    MEASURE("02-measure"),
    LOCK("03-lock"),
    BUMPS("04-bumps"),
    JOINTS("05-joints"),
    WAY("06-way"),
    GAPS("07-gaps"),
    CUT("08-cut"),
    FIT("09-fit"),
    SURE("10-sure");

    /** Where the pages and their pictures lie among the resources, as they do under docs/. */
    static final String RESOURCES = "/mildtilt/docs/";

    private final String file;

    GuidePage(String file) {
        this.file = file;
    }

    /** The page to open from a stage. */
    public static GuidePage of(WorkStage stage) {
        return switch (stage) {
            case SURVEY -> MEASURE;
            case LINKAGE -> LOCK;
            case COLUMN -> JOINTS;
            case CLEARANCE -> GAPS;
            case MAKE -> CUT;
            case TRIAL -> FIT;
        };
    }

    /** The page a link leads to. Empty for one that leads out of the guide. */
    static Optional<GuidePage> linked(String destination) {
        return Arrays.stream(values())
                .filter(p -> destination.equals(p.file + ".md"))
                .findFirst();
    }

    /** Its Markdown. */
    String text() {
        try (InputStream in = GuidePage.class.getResourceAsStream(RESOURCES + "guide/" + file + ".md")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The question it answers: its heading. */
    public String question() {
        return text().lines().findFirst().orElseThrow().replaceFirst("^# ", "");
    }
}
