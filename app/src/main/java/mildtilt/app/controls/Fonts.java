package mildtilt.app.controls;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;

/** The font that ships with the program; its figures are all of one width. */
public final class Fonts {

    static final String FAMILY = "Source Sans 3";
    static final String STRONG_FAMILY = "Source Sans 3 SemiBold";

    private Fonts() {}

    /** To be called once before the first scene. */
    public static void load() {
        for (String file : new String[] {"SourceSans3_400Regular.ttf", "SourceSans3_600SemiBold.ttf"}) {
            try (InputStream in = Fonts.class.getResourceAsStream("/mildtilt/fonts/" + file)) {
                Font.loadFont(in, 12);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    public static Font figure(double size) {
        return Font.font(STRONG_FAMILY, FontWeight.SEMI_BOLD, size);
    }

    public static Font text(double size) {
        return Font.font(FAMILY, size);
    }
}
