package mildtilt.app;

import java.util.function.Predicate;
import javafx.scene.Node;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.service.query.NodeQuery;

/** Gives tests a robot that looks at the window on the window's own thread, so that nothing changes while it looks. */
public final class WindowExtension extends ApplicationExtension {

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext test) {
        return new FxRobot() {

            @Override
            public NodeQuery lookup(String selector) {
                return AppWindow.onFx(() -> super.lookup(selector));
            }

            @Override
            public <T extends Node> NodeQuery lookup(Predicate<T> wanted) {
                return AppWindow.onFx(() -> super.lookup(wanted));
            }
        };
    }
}
