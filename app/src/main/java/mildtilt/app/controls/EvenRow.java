package mildtilt.app.controls;

import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/**
 * Controls in even columns: each takes as many whole columns as it needs, and what finds no room goes on in the next
 * line, under the columns of
 * the line before.
 */
public final class EvenRow extends Pane {

    private static final double CELL = 104;
    private static final double GAP = 12;
    private static final double BETWEEN_LINES = 6;

    public EvenRow(Node... controls) {
        getChildren().setAll(controls);
    }

    private static int cells(Node n) {
        return Math.max(1, (int) Math.ceil((n.prefWidth(-1) + GAP) / (CELL + GAP)));
    }

    /** Columns there are at this width. */
    private static int columns(double width) {
        return Math.max(1, (int) Math.floor((width + GAP) / (CELL + GAP)));
    }

    /** Lays the controls out, or only measures how high they are. */
    private double arrange(double width, boolean place) {
        int columns = columns(width);
        double top = getInsets().getTop();
        double y = top;
        int from = 0;
        int at = 0;
        double high = 0;
        for (int i = 0; i < getChildren().size(); i++) {
            Node n = getChildren().get(i);
            int cells = Math.min(columns, cells(n));
            if (at > 0 && at + cells > columns) {
                line(from, i, y, high, columns, place);
                y += high + BETWEEN_LINES;
                from = i;
                at = 0;
                high = 0;
            }
            at += cells;
            high = Math.max(high, n.prefHeight(span(cells)));
        }
        line(from, getChildren().size(), y, high, columns, place);
        return y + high + getInsets().getBottom();
    }

    private static double span(int cells) {
        return cells * (CELL + GAP) - GAP;
    }

    /** One line, its controls standing on the same base. */
    private void line(int from, int to, double y, double high, int columns, boolean place) {
        if (!place) {
            return;
        }
        int at = 0;
        for (int i = from; i < to; i++) {
            Node n = getChildren().get(i);
            int cells = Math.min(columns, cells(n));
            double h = n.prefHeight(span(cells));
            n.resizeRelocate(
                    snapPositionX(getInsets().getLeft() + at * (CELL + GAP)),
                    snapPositionY(y + high - h),
                    Math.min(span(cells), n.maxWidth(h)),
                    h);
            at += cells;
        }
    }

    @Override
    protected void layoutChildren() {
        arrange(getWidth() - getInsets().getLeft() - getInsets().getRight(), true);
    }

    @Override
    protected double computePrefHeight(double width) {
        return arrange(
                (width < 0 ? prefWidth(-1) : width)
                        - getInsets().getLeft()
                        - getInsets().getRight(),
                false);
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    /** A control that would like several columns takes fewer where there are no more: a long choice must not widen its pane. */
    @Override
    protected double computeMinWidth(double height) {
        return getChildren().stream()
                        .mapToDouble(n -> Math.min(n.minWidth(-1), span(cells(n))))
                        .max()
                        .orElse(0)
                + getInsets().getLeft()
                + getInsets().getRight();
    }

    @Override
    protected double computePrefWidth(double height) {
        return span(getChildren().stream().mapToInt(EvenRow::cells).sum())
                + getInsets().getLeft()
                + getInsets().getRight();
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }
}
