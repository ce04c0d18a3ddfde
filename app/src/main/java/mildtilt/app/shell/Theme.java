package mildtilt.app.shell;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import javafx.application.Application;
import javafx.scene.Scene;

/** Paper by day, slate by night. */
enum Theme {
    LIGHT,
    DARK;

    Theme other() {
        return this == LIGHT ? DARK : LIGHT;
    }

    void applyTo(Scene scene) {
        Application.setUserAgentStylesheet(
                this == LIGHT ? new PrimerLight().getUserAgentStylesheet() : new PrimerDark().getUserAgentStylesheet());
        scene.getStylesheets()
                .setAll(List.of(sheet(this == LIGHT ? "tokens-light.css" : "tokens-dark.css"), sheet("app.css")));
    }

    /**
     * The sheet that ships; while someone works on it, the one in the folder that the property {@code mildtilt.styles}
     * names, which {@link StyleWatch}
     * reads again when it is saved.
     */
    private static String sheet(String name) {
        Optional<Path> own = StyleWatch.folder().map(f -> f.resolve(name)).filter(Files::isRegularFile);
        if (own.isPresent()) {
            return own.get().toUri().toString();
        }
        return Objects.requireNonNull(Theme.class.getResource("/mildtilt/app/" + name))
                .toExternalForm();
    }
}
