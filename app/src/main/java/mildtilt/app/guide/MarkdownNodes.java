package mildtilt.app.guide;

import java.util.Locale;
import java.util.Objects;
import java.util.function.Consumer;
import javafx.scene.control.Hyperlink;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.Heading;
import org.commonmark.node.Link;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.parser.Parser;

/** A page's Markdown as JavaFX nodes, one below the other. */
final class MarkdownNodes extends AbstractVisitor {

    private static final double PICTURE_WIDTH = 640;

    private final Consumer<String> follow;
    private VBox blocks;
    private TextFlow line = new TextFlow();
    private String style = "guide-text";

    private MarkdownNodes(VBox into, Consumer<String> follow) {
        blocks = into;
        this.follow = follow;
    }

    /** @param follow is given what a link that was pressed leads to */
    static VBox of(String markdown, Consumer<String> follow) {
        VBox all = new VBox(10);
        all.getStyleClass().add("guide-page");
        Parser.builder().build().parse(markdown).accept(new MarkdownNodes(all, follow));
        return all;
    }

    @Override
    public void visit(Heading heading) {
        line("guide-head-" + heading.getLevel(), heading);
    }

    @Override
    public void visit(Paragraph paragraph) {
        if (paragraph.getFirstChild() instanceof org.commonmark.node.Image image && image.getNext() == null) {
            visit(image);
        } else {
            line("guide-text", paragraph);
        }
    }

    private void line(String kind, Node block) {
        String outer = style;
        style = kind;
        line = new TextFlow();
        line.setLineSpacing(2);
        blocks.getChildren().add(line);
        visitChildren(block);
        style = outer;
    }

    @Override
    public void visit(BlockQuote quote) {
        inside(new VBox(4), "guide-quote", quote);
    }

    private void inside(VBox box, String kind, Node block) {
        VBox outer = blocks;
        box.getStyleClass().add(kind);
        outer.getChildren().add(box);
        blocks = box;
        visitChildren(block);
        blocks = outer;
    }

    @Override
    public void visit(BulletList list) {
        inside(new VBox(6), "guide-list", list);
    }

    @Override
    public void visit(OrderedList list) {
        inside(new VBox(6), "guide-list", list);
    }

    @Override
    public void visit(ListItem item) {
        VBox outer = blocks;
        VBox body = new VBox(6);
        HBox.setHgrow(body, Priority.ALWAYS);
        Text mark = new Text(
                item.getParent() instanceof OrderedList list
                        ? (Objects.requireNonNullElse(list.getMarkerStartNumber(), 1) + before(item)) + "."
                        : "•");
        mark.getStyleClass().add("guide-text");
        TextFlow beside = new TextFlow(mark);
        beside.setMinWidth(22);
        beside.setMaxHeight(Region.USE_PREF_SIZE);
        outer.getChildren().add(new HBox(beside, body));
        blocks = body;
        visitChildren(item);
        blocks = outer;
    }

    /** How many items stand before it. */
    private static int before(Node item) {
        int n = 0;
        for (Node p = item.getPrevious(); p != null; p = p.getPrevious()) {
            n++;
        }
        return n;
    }

    @Override
    public void visit(StrongEmphasis strong) {
        styled("guide-strong", strong);
    }

    @Override
    public void visit(Emphasis emphasis) {
        styled("guide-name", emphasis);
    }

    private void styled(String kind, Node of) {
        String outer = style;
        style = kind;
        visitChildren(of);
        style = outer;
    }

    @Override
    public void visit(Code code) {
        add(code.getLiteral(), "guide-code");
    }

    @Override
    public void visit(SoftLineBreak lineBreak) {
        // Lines of a quotation are sentences of their own.
        add(lineBreak.getParent().getParent() instanceof BlockQuote ? "\n" : " ", style);
    }

    @Override
    public void visit(org.commonmark.node.Text text) {
        add(text.getLiteral(), style);
    }

    private void add(String words, String kind) {
        Text t = new Text(words);
        t.getStyleClass().add(kind);
        line.getChildren().add(t);
    }

    @Override
    public void visit(Link link) {
        StringBuilder words = new StringBuilder();
        link.accept(new AbstractVisitor() {
            @Override
            public void visit(org.commonmark.node.Text text) {
                words.append(text.getLiteral());
            }
        });
        // What lies outside of the guide is on paper or in the sources, not in the window.
        if (GuidePage.linked(link.getDestination()).isEmpty()) {
            add(words + " (docs/" + link.getDestination().replace("../", "") + ")", style);
            return;
        }
        Hyperlink press = new Hyperlink(words.toString());
        press.setId("guide-to-" + link.getDestination().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
        press.setOnAction(_ -> follow.accept(link.getDestination()));
        line.getChildren().add(press);
    }

    @Override
    public void visit(org.commonmark.node.Image image) {
        String file = GuidePage.RESOURCES + image.getDestination().replace("../", "");
        Image picture = new Image(
                Objects.requireNonNull(MarkdownNodes.class.getResource(file), file)
                        .toExternalForm(),
                true);
        ImageView view = new ImageView(picture);
        view.getStyleClass().add("image-view");
        view.setPreserveRatio(true);
        view.setSmooth(true);
        view.setFitWidth(PICTURE_WIDTH);
        view.setAccessibleText(((org.commonmark.node.Text) image.getFirstChild()).getLiteral());
        blocks.getChildren().add(view);
    }
}
