package mildtilt.app.workbench;

import javafx.scene.image.Image;
import mildtilt.drawing.Elevation;

/**
 * A photograph behind an elevation, to its scale.
 *
 * @param left across the elevation, mm
 * @param top up the elevation, mm
 * @param width mm
 * @param height mm
 */
public record PictureBehind(Elevation elevation, Image image, double left, double top, double width, double height) {}
