package mildtilt.app.controls;

import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.Image;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.paint.Color;

/** To the clipboard, for another program. */
public final class Copying {

    private Copying() {}

    public static void text(String text) {
        ClipboardContent content = new ClipboardContent();
        content.putString(text);
        Clipboard.getSystemClipboard().setContent(content);
    }

    public static void picture(Image image) {
        ClipboardContent content = new ClipboardContent();
        content.putImage(image);
        Clipboard.getSystemClipboard().setContent(content);
    }

    /** What a part of the window looks like. */
    public static void picture(Node of) {
        SnapshotParameters on = new SnapshotParameters();
        on.setFill(Color.TRANSPARENT);
        picture(of.snapshot(on, null));
    }
}
