package mildtilt.parts;

import static mildtilt.describe.Ranges.HOLE;
import static mildtilt.describe.Ranges.METAL_SIZE;
import static mildtilt.describe.Ranges.PIECE_LENGTH;
import static mildtilt.describe.Ranges.THREAD_DIAMETER;
import static mildtilt.describe.Ranges.THREAD_PITCH;
import static mildtilt.describe.Ranges.WALL;

import mildtilt.build.ScrewThread;
import mildtilt.build.Section;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.Choice;
import mildtilt.describe.Kind.Size;
import mildtilt.describe.Kind.Whole;
import mildtilt.describe.Part;

/** Kinds of sizes, sections and threads that more than one thing made has. */
public final class StockParts {

    static final Kind<Double> METAL = new Size(METAL_SIZE);
    static final Kind<Double> LENGTH = new Size(PIECE_LENGTH);
    static final Kind<Double> BORED = new Size(HOLE);
    static final Kind<Integer> COUNT = new Whole(0, 200);

    private StockParts() {}

    public static final Part<Section.Tube> TUBE = Part.of(Section.Tube.class)
            .needs("outside", "outside_mm", METAL, "of a tube")
            .label("Outside")
            .needs("wall", "wall_mm", new Size(WALL), "of a tube")
            .label("Wall")
            .help("a tube");

    static final Form<Section> SECTION = Form.Either.<Section>of(
                    "A section is a bar by its \"diameter_mm\", or a tube by its \"outside_mm\" and \"wall_mm\".",
                    "what a piece is sawn from")
            .or(
                    "diameter_mm",
                    Part.of(Section.Bar.class)
                            .needs("diameter", "diameter_mm", METAL, "of a solid bar")
                            .label("Diameter")
                            .help("a solid bar"))
            .or("outside_mm", TUBE);

    static Part<ScrewThread> thread(boolean ofPart) {
        Part.Builder<ScrewThread> b = Part.of(ScrewThread.class);
        b = ofPart
                ? b.usual("major", "thread_mm", new Size(THREAD_DIAMETER), 10.0, "of its shank")
                        .label("Thread")
                        .usualOf(
                                "pitch",
                                "pitch_mm",
                                new Size(THREAD_PITCH),
                                f -> coarse(f.get("major")),
                                "of that thread; the coarse metric one if left out")
                        .label("Pitch")
                : b.needs("major", "thread_mm", new Size(THREAD_DIAMETER), "major diameter")
                        .label("Thread")
                        .needs("pitch", "pitch_mm", new Size(THREAD_PITCH), "from thread to thread")
                        .label("Pitch");
        return b.usual(
                        "hand",
                        "hand",
                        new Choice<>(ScrewThread.Hand.class),
                        ScrewThread.Hand.RIGHT,
                        "which way it is turned to go in")
                .help("a 60 degree screw thread");
    }

    static final Part<ScrewThread> THREAD = thread(false);

    /** The coarse metric pitch of a diameter, mm. */
    private static double coarse(double d) {
        return d < 7 ? 1 : d < 9 ? 1.25 : d < 11 ? 1.5 : d < 13 ? 1.75 : d < 17 ? 2 : 2.5;
    }
}
