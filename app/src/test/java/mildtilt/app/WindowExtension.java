package mildtilt.app;

import java.util.function.Predicate;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.robot.Motion;
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

            private Point2D at(String selector) {
                return AppWindow.onFx(() -> point(selector).query());
            }

            @Override
            public FxRobot clickOn(String selector, Motion motion, MouseButton... buttons) {
                return clickOn(at(selector), motion, buttons);
            }

            @Override
            public FxRobot moveTo(String selector, Motion motion) {
                return moveTo(at(selector), motion);
            }

            @Override
            public FxRobot drag(String selector, MouseButton... buttons) {
                return drag(at(selector), buttons);
            }
        };
    }
}
