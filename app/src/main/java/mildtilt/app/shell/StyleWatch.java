package mildtilt.app.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.util.Duration;

/** For work on the look of the window: reads the style sheets again whenever one is saved. */
final class StyleWatch {

    private static final String PROPERTY = "mildtilt.styles";
    private static final Duration EVERY = Duration.millis(500);

    private StyleWatch() {}

    /** The folder to read the style sheets from instead of the program's own, if one is named. */
    static Optional<Path> folder() {
        return Optional.ofNullable(System.getProperty(PROPERTY)).map(Path::of);
    }

    /** @param reload puts the sheets on the window anew; never called where no folder is named */
    static void start(Runnable reload) {
        folder().ifPresent(f -> {
            long[] seen = {newest(f)};
            Timeline look = new Timeline(new KeyFrame(EVERY, _ -> {
                long now = newest(f);
                if (now != seen[0]) {
                    seen[0] = now;
                    reload.run();
                }
            }));
            look.setCycleCount(Animation.INDEFINITE);
            look.play();
        });
    }

    private static long newest(Path folder) {
        File[] sheets = folder.toFile().listFiles((_, name) -> name.endsWith(".css"));
        return sheets == null
                ? 0
                : Arrays.stream(sheets).mapToLong(File::lastModified).max().orElse(0);
    }
}
