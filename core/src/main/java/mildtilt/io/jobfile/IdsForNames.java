package mildtilt.io.jobfile;

import static mildtilt.io.jobfile.Migrations.each;
import static mildtilt.io.jobfile.Migrations.objects;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.FixedPart;
import mildtilt.linkage.RelayPart;
import mildtilt.linkage.beam.BeamPart;
import mildtilt.linkage.rods.Rod;

/**
 * Up to version 7 parts were referred to by what they were called. Parts of one name in the plan, its variants and the
 * plans of its trials
 * are one part, as they were taken to be; what referred to a name that nothing bears keeps referring to nothing.
 */
final class IdsForNames {

    private static final Map<String, String> POINTS = points();
    private static final Map<String, Id> FIXED = fixed();

    private final ObjectNode root;
    private final Names shafts = new Names(Id.Kind.SHAFT);
    private final Names joints = new Names(Id.Kind.JOINT);
    private final Names bearings = new Names(Id.Kind.BEARING);
    private final Names obstacles = new Names(Id.Kind.OBSTACLE);

    private IdsForNames(ObjectNode root) {
        this.root = root;
    }

    static void bringUp(ObjectNode root) {
        IdsForNames x = new IdsForNames(root);
        Migrations.plans(root).forEach(plan -> x.column(plan.path("column")));
        x.surroundings();
        x.survey();
        x.making();
        x.log();
        number(root.path("variants"), Id.Kind.VARIANT);
    }

    /**
     * The ids of one kind of part, by name; of several parts of one name in one plan the first is the one that was
     * meant.
     */
    private static final class Names {
        private final Id.Kind kind;
        private final Map<String, Id> ids = new LinkedHashMap<>();

        Names(Id.Kind kind) {
            this.kind = kind;
        }

        /** Gives each of a list its id. */
        void give(JsonNode parts) {
            Map<String, Integer> seen = new HashMap<>();
            objects(parts).forEach(p -> {
                String name = p.path("name").asText();
                int which = seen.merge(name, 1, Integer::sum);
                putFirst(p, "id", id(which == 1 ? name : name + "\n" + which));
            });
        }

        /** The id of a name, a new one where nothing bears it. */
        Id id(String name) {
            return ids.computeIfAbsent(name, _ -> kind.number(ids.size() + 1));
        }

        Optional<Id> known(String name) {
            return Optional.ofNullable(ids.get(name));
        }
    }

    private static void putFirst(ObjectNode o, String key, Id id) {
        ObjectNode rest = o.deepCopy();
        o.removeAll();
        o.put(key, id.text());
        o.setAll(rest);
    }

    private static void number(JsonNode parts, Id.Kind kind) {
        int n = 0;
        for (ObjectNode p : objects(parts).toList()) {
            putFirst(p, "id", kind.number(++n));
        }
    }

    /** A name replaced by the id of what bears it. */
    private static void refer(JsonNode o, String key, Names names) {
        if (o instanceof ObjectNode n && n.path(key).isTextual()) {
            n.put(key, names.id(n.path(key).asText()).text());
        }
    }

    private void column(JsonNode column) {
        shafts.give(column.path("shafts"));
        joints.give(column.path("joints"));
        bearings.give(column.path("bearings"));
        List<JsonNode> row = each(column.path("shafts")).toList();
        objects(column.path("bearings"))
                .filter(b -> b.path("shaft").isIntegralNumber())
                .forEach(b -> {
                    int n = b.path("shaft").asInt();
                    // One that is on no shaft stays as it is, for the schema to refuse.
                    if (n >= 1 && n <= row.size()) {
                        b.put("shaft", row.get(n - 1).path("id").asText());
                    }
                });
    }

    private void surroundings() {
        obstacles.give(root.path("surroundings").path("obstacles"));
        if (root.path("surroundings").path("meant_to_touch") instanceof ArrayNode pairs) {
            pairs.forEach(pair -> {
                if (pair instanceof ArrayNode p) {
                    for (int i = 0; i < p.size(); i++) {
                        if (p.get(i).isTextual()) {
                            p.set(i, TextNode.valueOf(part(p.get(i).asText()).text()));
                        }
                    }
                }
            });
        }
    }

    /** Whatever could touch something. */
    private Id part(String name) {
        return Optional.ofNullable(FIXED.get(name))
                .or(() -> shafts.known(name))
                .or(() -> joints.known(name))
                .orElseGet(() -> obstacles.id(name));
    }

    private void survey() {
        JsonNode points = root.path("survey").path("points");
        Map<String, Id> ids = new HashMap<>();
        Set<Id> taken = new HashSet<>();
        int marks = 0;
        for (ObjectNode p : objects(points).toList()) {
            String name = p.path("name").asText();
            Id id = point(name).filter(taken::add).orElse(null);
            if (id == null) {
                id = Id.Kind.MARK.number(++marks);
            }
            ids.putIfAbsent(name, id);
            putFirst(p, "id", id);
        }
        for (ObjectNode p : objects(points).toList()) {
            for (ObjectNode r : objects(p.path("readings")).toList()) {
                for (String key : List.of("begins_at", "toward", "ends_at")) {
                    if (r.path(key).isTextual()) {
                        String name = r.path(key).asText();
                        Id id = ids.get(name);
                        if (id == null) {
                            id = point(name).orElse(Id.Kind.MARK.number(++marks));
                            ids.put(name, id);
                        }
                        r.put(key, id.text());
                    }
                }
            }
        }
    }

    /** The id of a point of the job by what it was called. */
    private Optional<Id> point(String name) {
        if (POINTS.containsKey(name)) {
            return Optional.of(new Id(POINTS.get(name)));
        }
        int comma = name.lastIndexOf(", ");
        if (comma < 0) {
            return Optional.empty();
        }
        String of = name.substring(0, comma);
        String which = name.substring(comma + 2);
        return switch (which) {
            case "centre" -> joints.known(of).map(j -> j.part("centre"));
            case "middle" ->
                bearings.known(of)
                        .map(b -> b.part("middle"))
                        .or(() -> obstacles.known(of).map(o -> o.part("1")));
            case "origin of the scan", "one end" -> obstacles.known(of).map(o -> o.part("1"));
            case "other end" -> obstacles.known(of).map(o -> o.part("2"));
            default -> {
                Matcher m =
                        Pattern.compile("(?:point|corner) ([1-9][0-9]{0,3})").matcher(which);
                yield m.matches() ? obstacles.known(of).map(o -> o.part(m.group(1))) : Optional.empty();
            }
        };
    }

    private void making() {
        JsonNode making = root.path("making");
        number(making.path("joins"), Id.Kind.JOIN);
        objects(making.path("joins")).forEach(j -> refer(j, "shaft", shafts));
        number(making.path("pieces"), Id.Kind.PIECE);
        objects(making.path("pieces")).forEach(p -> {
            refer(p, "bearing", bearings);
            refer(p, "foot", obstacles);
        });
        number(making.path("welds"), Id.Kind.WELD);
        JsonNode plan = making.path("plan");
        Map<String, Id> own = new HashMap<>();
        number(plan.path("own_purchases"), Id.Kind.PURCHASE);
        objects(plan.path("own_purchases"))
                .forEach(p ->
                        own.put(p.path("what").asText(), new Id(p.path("id").asText())));
        Set<Id> taken = new HashSet<>();
        objects(plan.path("purchases")).filter(p -> p.path("what").isTextual()).forEach(p -> {
            String what = p.path("what").asText();
            Id id = Optional.ofNullable(own.get(what)).or(() -> purchase(what)).orElse(slug("was", what));
            for (int n = 2; !taken.add(id); n++) {
                id = slug("was", what + " " + n);
            }
            p.put("what", id.text());
        });
    }

    private static final Pattern NUT =
            Pattern.compile("Jam nut (?:M([0-9.]+) × ([0-9.]+)|([0-9/ ]+)\" × ([0-9]+))( LH)?.*");
    private static final Pattern BAR = Pattern.compile(
            "(mild steel|alloy steel|stainless steel|aluminium) (bar|tube) Ø ([0-9.]+)(?: mm)?(?: × ([0-9.]+)(?: mm)?)?, ([0-9.]+)(?: mm)? long");
    private static final Pattern PLATE = Pattern.compile("Plate ([0-9.]+)");

    /** What a thing to buy was called. */
    private Optional<Id> purchase(String what) {
        Optional<Id> part = joints.known(what).or(() -> shafts.known(what)).or(() -> bearings.known(what));
        if (part.isPresent()) {
            return part;
        }
        if (what.endsWith(" pair")) {
            return shafts.known(what.substring(0, what.length() - " pair".length()))
                    .map(s -> s.part("pair"));
        }
        Matcher plate = PLATE.matcher(what);
        if (plate.matches()) {
            return Optional.of(new Id("plate.t" + plain(plate.group(1))));
        }
        Matcher bar = BAR.matcher(what);
        if (bar.matches()) {
            String metal = Map.of(
                            "mild steel",
                            "steel",
                            "alloy steel",
                            "alloy_steel",
                            "stainless steel",
                            "stainless",
                            "aluminium",
                            "aluminium")
                    .get(bar.group(1));
            return Optional.of(new Id("bar." + metal + ".d" + plain(bar.group(3))
                    + (bar.group(4) == null ? "" : "_w" + plain(bar.group(4))) + "_l" + plain(bar.group(5))));
        }
        return rodEnd(what).or(() -> jamNut(what));
    }

    /** The first end of a rod that has a part of this name. */
    private Optional<Id> rodEnd(String name) {
        for (Rod rod : Rod.values()) {
            for (String end : List.of("outer", "inner")) {
                if (root.path("making")
                        .path("rods")
                        .path(Id.of(rod).text())
                        .path(end)
                        .path("part")
                        .path("name")
                        .asText("")
                        .equals(name)) {
                    return Optional.of(Id.of(rod).part(end));
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Id> jamNut(String what) {
        Matcher m = NUT.matcher(what);
        return m.matches() && m.group(1) != null
                ? Optional.of(new Id("jam_nut.m" + plain(m.group(1)) + "_p" + plain(m.group(2))
                        + (m.group(5) == null ? "_right" : "_left")))
                : Optional.empty();
    }

    /** A number without noughts after its point, its point as an id writes it. */
    private static String plain(String number) {
        String s = number.contains(".") ? number.replaceAll("0+$", "").replaceAll("\\.$", "") : number;
        return s.replace('.', '_');
    }

    /** An id after words that no rule knows, so that nothing is lost. */
    private static Id slug(String first, String words) {
        String s = words.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "_");
        return new Id(first + "." + s.substring(0, Math.min(s.length(), 60)));
    }

    private void log() {
        JsonNode vehicles = root.path("log").path("vehicles");
        number(vehicles, Id.Kind.VEHICLE);
        each(vehicles).forEach(v -> {
            number(v.path("trials"), Id.Kind.TRIAL);
            each(v.path("trials")).flatMap(t -> objects(t.path("readings"))).forEach(this::reading);
            inspection(v.path("inspection"));
        });
    }

    private void reading(ObjectNode r) {
        switch (r.path("kind").asText() + " " + r.path("what").asText()) {
            case "figure joint_angle" -> refer(r, "part", joints);
            case "figure shaft_length" -> refer(r, "part", shafts);
            case "figure gap" -> {
                for (String key : List.of("part", "other")) {
                    if (r.path(key).isTextual()) {
                        r.put(key, part(r.path(key).asText()).text());
                    }
                }
            }
            default -> {
                if (r.path("kind").asText().equals("run_out")) {
                    refer(r, "part", shafts);
                }
            }
        }
    }

    private void inspection(JsonNode inspection) {
        Map<String, Id> own = new HashMap<>();
        if (inspection.path("own") instanceof ArrayNode items) {
            for (int i = 0; i < items.size(); i++) {
                if (items.get(i).isTextual()) {
                    Id id = Id.Kind.CHECK.number(i + 1);
                    own.put(items.get(i).asText(), id);
                    items.set(
                            i,
                            JsonNodeFactory.instance
                                    .objectNode()
                                    .put("id", id.text())
                                    .put("what", items.get(i).asText()));
                }
            }
        }
        Set<Id> taken = new HashSet<>();
        objects(inspection.path("ticks")).filter(t -> t.path("key").isTextual()).forEach(t -> {
            String key = t.path("key").asText();
            Id id = tick(key, own);
            for (int n = 2; !taken.add(id); n++) {
                id = slug("was", key + " " + n);
            }
            t.put("key", id.text());
        });
    }

    private Id tick(String key, Map<String, Id> own) {
        int space = key.indexOf(' ');
        String kind = space < 0 ? key : key.substring(0, space);
        String of = space < 0 ? "" : key.substring(space + 1);
        Optional<Id> id =
                switch (kind) {
                    case "own" -> Optional.ofNullable(own.get(of));
                    case "weld" -> named("welds", "piece", of);
                    case "join" -> shafts.known(of).flatMap(s -> named("joins", "shaft", s.text()));
                    case "fork" ->
                        of.startsWith("weld ")
                                ? joints.known(of.substring("weld ".length())).map(j -> j.part("weld"))
                                : Optional.empty();
                    case "joint" -> joints.known(of);
                    case "bearing" -> bearings.known(of);
                    case "rod" ->
                        Map.of(
                                        "left_tie_rod_mm",
                                        "left_tie_rod",
                                        "right_tie_rod_mm",
                                        "right_tie_rod",
                                        "tie_rod_mm",
                                        "tie_rod",
                                        "centre_link_mm",
                                        "centre_link",
                                        "drag_link_mm",
                                        "drag_link",
                                        "drag_rod_mm",
                                        "drag_rod",
                                        "pitman_link_mm",
                                        "short_link")
                                .entrySet()
                                .stream()
                                .filter(e -> e.getKey().equals(of))
                                .map(e -> new Id(e.getValue()))
                                .findFirst();
                    default ->
                        key.matches("[a-z]+( [a-z]+)?") ? Optional.of(new Id(key.replace(' ', '_'))) : Optional.empty();
                };
        return id.orElse(slug("was", key));
    }

    /** The id of the first of a list in the making of which a field says this. */
    private Optional<Id> named(String list, String key, String text) {
        return objects(root.path("making").path(list))
                .filter(o -> o.path(key).asText().equals(text))
                .map(o -> new Id(o.path("id").asText()))
                .findFirst();
    }

    /** What the points that every vehicle has were called. */
    private static Map<String, String> points() {
        Map<String, String> all = new HashMap<>(Map.of(
                "steering wheel hub",
                "hub",
                "gear input",
                "gear_input",
                "rack, midway between pivots",
                "gear.centre",
                "gear's arm, point on its shaft",
                "gear.centre",
                "end of the gear's arm",
                "gear.arm_end",
                "idler arm, point on its axis",
                "idler.pivot",
                "end of the idler arm",
                "idler.end",
                "bell crank, point on its pivot",
                "bell_crank.pivot"));
        all.putAll(Map.of(
                "drag link's point on the knuckle",
                "driven_point",
                "drag rod's point on the bell crank",
                "driven_point",
                "short link's point on the shuttle",
                "driven_point",
                "track bar, frame end",
                "track_bar.body_end",
                "track bar, axle end",
                "track_bar.axle_end",
                "axle centre pin",
                "centre_pin",
                "driver's hip",
                "driver.hip",
                "driver's heel",
                "driver.heel"));
        for (String side : List.of("left", "right")) {
            all.put(side + " inner tie-rod pivot", side + ".inner_pivot");
            Map.ofEntries(
                            Map.entry("lower arm, front pivot", "lower_inner_front"),
                            Map.entry("lower arm, rear pivot", "lower_inner_rear"),
                            Map.entry("lower ball joint", "lower_ball_joint"),
                            Map.entry("upper arm, front pivot", "upper_inner_front"),
                            Map.entry("upper arm, rear pivot", "upper_inner_rear"),
                            Map.entry("upper ball joint", "upper_ball_joint"),
                            Map.entry("strut top mount", "strut_top"),
                            Map.entry("point low on the strut", "strut_lower"),
                            Map.entry("kingpin, lower point", "kingpin_lower"),
                            Map.entry("kingpin, upper point", "kingpin_upper"),
                            Map.entry("wheel centre", "wheel_centre"),
                            Map.entry("tie-rod point on the steering arm", "tie_rod_point"))
                    .forEach((called, id) -> all.put(side + " " + called, side + "." + id));
        }
        return Map.copyOf(all);
    }

    /** What the parts that every vehicle has were called. */
    private static Map<String, Id> fixed() {
        Map<String, Id> all = new HashMap<>();
        Map.ofEntries(
                        Map.entry("rack housing", FixedPart.RACK_HOUSING),
                        Map.entry("rack bar", FixedPart.RACK_BAR),
                        Map.entry("steering box", FixedPart.STEERING_BOX),
                        Map.entry("column arm", FixedPart.COLUMN_ARM),
                        Map.entry("pitman arm", FixedPart.PITMAN_ARM),
                        Map.entry("axle beam", FixedPart.AXLE_BEAM),
                        Map.entry("steering wheel", FixedPart.STEERING_WHEEL),
                        Map.entry("knuckles of the hands", FixedPart.HANDS),
                        Map.entry("column tube", FixedPart.COLUMN_TUBE))
                .forEach((called, part) -> all.put(called, part.called().id()));
        all.put("track bar", FixedPart.called(BeamPart.TRACK_BAR).id());
        Map<String, FixedPart> sided = Map.of(
                "tyre",
                FixedPart.TYRE,
                "wheel, inside",
                FixedPart.WHEEL_INSIDE,
                "lower arm",
                FixedPart.LOWER_ARM,
                "upper arm",
                FixedPart.UPPER_ARM,
                "strut",
                FixedPart.STRUT,
                "steering arm",
                FixedPart.STEERING_ARM);
        for (Side side : Side.values()) {
            String word = side == Side.LEFT ? "left " : "right ";
            sided.forEach(
                    (called, part) -> all.put(word + called, part.called(side).id()));
            all.put("driver's " + word + "leg", FixedPart.LEG.called(side).id());
        }
        Map.of("idler arm", RelayPart.IDLER_ARM, "bell crank", RelayPart.BELL_CRANK, "shuttle", RelayPart.SHUTTLE)
                .forEach((called, part) -> all.put(called, Id.of(part)));
        Map.of(
                        "left tie rod",
                        Rod.LEFT_TIE_ROD,
                        "right tie rod",
                        Rod.RIGHT_TIE_ROD,
                        "tie rod",
                        Rod.TIE_ROD,
                        "centre link",
                        Rod.CENTRE_LINK,
                        "drag link",
                        Rod.DRAG_LINK,
                        "drag rod",
                        Rod.DRAG_ROD,
                        "short link",
                        Rod.SHORT_LINK)
                .forEach((called, rod) -> all.put(called, Id.of(rod)));
        return Map.copyOf(all);
    }
}
