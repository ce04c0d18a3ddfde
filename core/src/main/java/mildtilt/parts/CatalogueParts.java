package mildtilt.parts;

import java.util.List;
import java.util.Map;
import mildtilt.catalogue.Catalogue;
import mildtilt.describe.Kind;
import mildtilt.describe.Kind.ByKey;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Part;

/** Generic parts with typical sizes. */
public final class CatalogueParts {

    private static final int MOST = 1000;

    private CatalogueParts() {}

    private static <V> Kind<List<V>> all(Part<V> part) {
        return new Many<>(new Group<>(part), 0, MOST);
    }

    private static final Part<Catalogue.NamedEnd> END = Part.of(Catalogue.NamedEnd.class)
            .needs("name", "name", Text.NAME, "of the end")
            .inline("socket", ColumnParts.SOCKET)
            .help("what a shaft end can sit in");
    private static final Part<Catalogue.NamedTube> TUBE = Part.of(Catalogue.NamedTube.class)
            .needs("name", "name", Text.NAME, "of the tube")
            .inline("tube", ColumnParts.GENERIC_TUBE)
            .help("a column tube");

    public static final Part<Catalogue> FILE = Part.of(Catalogue.class)
            .constant("format", "mild-tilt-catalogue")
            .constant("version", 1)
            .ignored("about", Text.NOTE, "what it is")
            .usual("joints", "joints", all(ColumnParts.GENERIC_JOINT), List.of(), "joints without places")
            .usual("shafts", "shafts", all(ColumnParts.GENERIC_SHAFT), List.of(), "shafts")
            .usual("ends", "ends", all(END), List.of(), "forks, hubs and gear inputs")
            .usual("bearings", "bearings", all(ColumnParts.GENERIC_BEARING), List.of(), "bearings without places")
            .usual("tubes", "tubes", all(TUBE), List.of(), "column tubes")
            .usual("rodEnds", "rod_end_parts", all(MakingParts.END_PART), List.of(), "rod ends and tie-rod ends")
            .omits(
                    "asFound",
                    "as_found",
                    new ByKey<>("name", Text.NAME, "of the shaft or tube", MakingParts.PART_AS_FOUND, MOST),
                    Map.of(),
                    "how long shafts and tubes of one's own are")
            .help("generic parts with typical sizes");
}
