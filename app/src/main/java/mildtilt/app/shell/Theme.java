package mildtilt.app.shell;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.List;
import java.util.Objects;
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

    private static String sheet(String name) {
        return Objects.requireNonNull(Theme.class.getResource("/mildtilt/app/" + name))
                .toExternalForm();
    }
}
