package mildtilt.io.cad;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import mildtilt.clearance.bodies.VehicleSolids.Kind;
import mildtilt.drawing.VehicleModel.Part;
import mildtilt.geometry.Vector;
import mildtilt.solid.Facets;
import mildtilt.solid.TriangleMesh;

/**
 * The steering as a model for other programs: GLB (glTF 2.0), which phones show by themselves, also moving from lock to
 * lock; OBJ; and STL. OBJ and STL are in mm in the vehicle's own axes: x forward, y left, z up. glTF is in metres and
 * has y up and z forward, so that a viewer stands it upright.
 */
public final class ModelFile {

    private static final int FLOAT = 5126;
    private static final int INT = 5125;
    private static final int VERTICES = 34962;
    private static final int CORNERS = 34963;
    private static final int GLB_MAGIC = 0x46546c67;
    private static final int GLB_JSON = 0x4e4f534a;
    private static final int GLB_BINARY = 0x004e4942;
    private static final double METRE = 1e-3;
    /** From one lock to the other, and back in the same time. */
    private static final double SECONDS = 3;

    /** What moves by less than this stands still, mm. */
    private static final float STILL = 0.01f;

    private static final JsonNodeFactory NEW = JsonNodeFactory.instance;

    private ModelFile() {}

    /**
     * In the form that a file's name ends in.
     *
     * @throws IOException if that is none of the three, or there is no part
     */
    public static byte[] write(String file, List<Part> parts) throws IOException {
        String name = file.toLowerCase(Locale.ROOT);
        if (parts.isEmpty()) {
            throw new IOException("there is no part in the job yet");
        }
        return switch (name.substring(Math.max(0, name.lastIndexOf('.')))) {
            case ".glb" -> glb(parts);
            case ".obj" -> obj(parts);
            case ".stl" -> stl(parts);
            default -> throw new IOException("a model's name ends in .glb, .obj or .stl");
        };
    }

    /** Each part by its name. */
    public static byte[] obj(List<Part> parts) {
        StringBuilder s = new StringBuilder("# Mild Tilt, millimetres; x forward, y left, z up\n");
        int before = 1;
        for (Part p : parts) {
            float[] points = p.skin().points();
            float[] normals = p.skin().normals();
            s.append("o ").append(oneLine(p.name())).append('\n');
            for (int i = 0; i < points.length; i += 3) {
                line(s, "v", points, i);
            }
            for (int i = 0; i < normals.length; i += 3) {
                line(s, "vn", normals, i);
            }
            int[] t = p.skin().triangles();
            for (int i = 0; i < t.length; i += 3) {
                s.append('f');
                for (int k = 0; k < 3; k++) {
                    int c = before + t[i + k];
                    s.append(' ').append(c).append("//").append(c);
                }
                s.append('\n');
            }
            before += points.length / 3;
        }
        return s.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void line(StringBuilder s, String what, float[] of, int at) {
        s.append(String.format(Locale.ROOT, "%s %.4f %.4f %.4f%n", what, of[at], of[at + 1], of[at + 2]));
    }

    private static String oneLine(String name) {
        return name.replaceAll("\\s+", " ").strip();
    }

    /** All of it in one; STL has no names. */
    public static byte[] stl(List<Part> parts) {
        int corners = parts.stream().mapToInt(p -> p.skin().points().length).sum();
        int triangles =
                parts.stream().mapToInt(p -> p.skin().triangles().length).sum();
        float[] points = new float[corners];
        int[] all = new int[triangles];
        int at = 0;
        int t = 0;
        for (Part p : parts) {
            float[] mine = p.skin().points();
            for (int c : p.skin().triangles()) {
                all[t++] = at / 3 + c;
            }
            System.arraycopy(mine, 0, points, at, mine.length);
            at += mine.length;
        }
        return StlFile.write(new TriangleMesh(points, all));
    }

    public static byte[] glb(List<Part> parts) {
        Builder b = new Builder();
        parts.forEach(b::still);
        return b.write();
    }

    /**
     * Moving from one lock to the other and back. What moves is there once for every position, and all but one of them
     * are shrunk to nothing at a time: shafts that slide change their shape, which no turning and shifting shows.
     *
     * @param positions the parts in the same order in each
     */
    public static byte[] moving(List<List<Part>> positions) {
        Builder b = new Builder();
        List<Integer> frames = new ArrayList<>();
        List<Boolean> moves = moves(positions);
        for (int i = 0; i < moves.size(); i++) {
            if (!moves.get(i)) {
                b.still(positions.getFirst().get(i));
            }
        }
        for (List<Part> position : positions) {
            List<Integer> nodes = new ArrayList<>();
            for (int i = 0; i < position.size(); i++) {
                if (i >= moves.size() || moves.get(i)) {
                    nodes.add(b.node(position.get(i)));
                }
            }
            frames.add(b.group(nodes));
        }
        b.flicker(frames);
        return b.write();
    }

    /** Of each part whether it is anywhere else than at first; all do where a position lacks one. */
    private static List<Boolean> moves(List<List<Part>> positions) {
        List<Part> first = positions.getFirst();
        List<Boolean> all = new ArrayList<>();
        boolean same = positions.stream().allMatch(p -> p.size() == first.size());
        for (int i = 0; same && i < first.size(); i++) {
            float[] at = first.get(i).skin().points();
            int part = i;
            all.add(!positions.stream().allMatch(p -> near(p.get(part).skin().points(), at)));
        }
        return all;
    }

    private static boolean near(float[] a, float[] b) {
        if (a.length != b.length) {
            return false;
        }
        for (int i = 0; i < a.length; i++) {
            if (Math.abs(a[i] - b[i]) > STILL) {
                return false;
            }
        }
        return true;
    }

    private static final class Builder {
        private final ObjectNode root = NEW.objectNode();
        private final ArrayNode nodes = NEW.arrayNode();
        private final ArrayNode meshes = NEW.arrayNode();
        private final ArrayNode accessors = NEW.arrayNode();
        private final ArrayNode views = NEW.arrayNode();
        private final ArrayNode materials = NEW.arrayNode();
        private final ArrayNode scene = NEW.arrayNode();
        private final ByteArrayOutputStream binary = new ByteArrayOutputStream();
        private final Map<Kind, Integer> colours = new EnumMap<>(Kind.class);

        void still(Part p) {
            scene.add(node(p));
        }

        int node(Part p) {
            ObjectNode n = nodes.addObject();
            n.put("name", oneLine(p.name()));
            n.put("mesh", mesh(p));
            return nodes.size() - 1;
        }

        int group(List<Integer> children) {
            ObjectNode n = nodes.addObject();
            n.put("name", "position " + (nodes.size()));
            ArrayNode c = n.putArray("children");
            children.forEach(c::add);
            scene.add(nodes.size() - 1);
            return nodes.size() - 1;
        }

        private int mesh(Part p) {
            Facets f = p.skin();
            float[] points = f.points();
            float[] placed = new float[points.length];
            float[] low = {Float.MAX_VALUE, Float.MAX_VALUE, Float.MAX_VALUE};
            float[] high = {-Float.MAX_VALUE, -Float.MAX_VALUE, -Float.MAX_VALUE};
            for (int i = 0; i < points.length; i += 3) {
                turned(points, placed, i, METRE);
                for (int k = 0; k < 3; k++) {
                    low[k] = Math.min(low[k], placed[i + k]);
                    high[k] = Math.max(high[k], placed[i + k]);
                }
            }
            float[] normals = f.normals();
            float[] out = new float[normals.length];
            for (int i = 0; i < normals.length; i += 3) {
                turned(normals, out, i, 1);
            }
            int position = accessor(floats(placed), VERTICES, FLOAT, placed.length / 3, "VEC3");
            ObjectNode a = (ObjectNode) accessors.get(position);
            ArrayNode min = a.putArray("min");
            ArrayNode max = a.putArray("max");
            for (int k = 0; k < 3; k++) {
                min.add(low[k]);
                max.add(high[k]);
            }
            int normal = accessor(floats(out), VERTICES, FLOAT, out.length / 3, "VEC3");
            int[] t = f.triangles();
            ByteBuffer corners = ByteBuffer.allocate(4 * t.length).order(ByteOrder.LITTLE_ENDIAN);
            for (int c : t) {
                corners.putInt(c);
            }
            int index = accessor(corners.array(), CORNERS, INT, t.length, "SCALAR");
            ObjectNode primitive = meshes.addObject().putArray("primitives").addObject();
            primitive.putObject("attributes").put("POSITION", position).put("NORMAL", normal);
            primitive.put("indices", index);
            primitive.put("material", material(p.kind()));
            return meshes.size() - 1;
        }

        /** The vehicle's x forward, y left and z up are glTF's z, x and y. */
        private static void turned(float[] from, float[] to, int i, double by) {
            to[i] = (float) (from[i + 1] * by);
            to[i + 1] = (float) (from[i + 2] * by);
            to[i + 2] = (float) (from[i] * by);
        }

        private static byte[] floats(float... all) {
            ByteBuffer b = ByteBuffer.allocate(4 * all.length).order(ByteOrder.LITTLE_ENDIAN);
            for (float f : all) {
                b.putFloat(f);
            }
            return b.array();
        }

        private int accessor(byte[] bytes, int target, int type, int count, String shape) {
            ObjectNode v = views.addObject();
            v.put("buffer", 0).put("byteOffset", binary.size()).put("byteLength", bytes.length);
            if (target > 0) {
                v.put("target", target);
            }
            binary.writeBytes(bytes);
            ObjectNode a = accessors.addObject();
            a.put("bufferView", views.size() - 1);
            a.put("componentType", type).put("count", count).put("type", shape);
            return accessors.size() - 1;
        }

        private int material(Kind kind) {
            return colours.computeIfAbsent(kind, k -> {
                Vector c = colour(k);
                double clear = seeThrough(k) ? 0.35 : 1;
                ObjectNode m = materials.addObject();
                m.put("name", k.name().toLowerCase(Locale.ROOT).replace('_', ' '));
                ObjectNode pbr = m.putObject("pbrMetallicRoughness");
                pbr.putArray("baseColorFactor").add(c.x()).add(c.y()).add(c.z()).add(clear);
                pbr.put("metallicFactor", 0.1).put("roughnessFactor", 0.7);
                m.put("doubleSided", true);
                if (clear < 1) {
                    m.put("alphaMode", "BLEND");
                }
                return materials.size() - 1;
            });
        }

        private static boolean seeThrough(Kind k) {
            return switch (k) {
                case DRIVER, OBSTACLE, HOT_OBSTACLE, TUBE, WHEEL_RING, TYRE -> true;
                case SUSPENSION, STEERING_ARM, ROD, GEAR, BEAM, STEERING_WHEEL, SHAFT, JOINT_SWEEP -> false;
            };
        }

        /** Red, green and blue, 0 to 1. */
        private static Vector colour(Kind k) {
            return switch (k) {
                case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM -> new Vector(0.11, 0.19, 0.29);
                case GEAR, JOINT_SWEEP -> new Vector(0.55, 0.40, 0.16);
                case TUBE -> new Vector(0.45, 0.48, 0.50);
                case SUSPENSION, BEAM -> new Vector(0.35, 0.44, 0.40);
                case TYRE, WHEEL_RING -> new Vector(0.20, 0.20, 0.20);
                case OBSTACLE -> new Vector(0.52, 0.52, 0.50);
                case HOT_OBSTACLE -> new Vector(0.72, 0.33, 0.10);
                case DRIVER -> new Vector(0.60, 0.56, 0.50);
            };
        }

        /** One position after the other, there and back: each as large as it is in its time, and nothing else. */
        void flicker(List<Integer> frames) {
            int n = frames.size();
            int shown = 2 * n - 2;
            ObjectNode animation = root.putArray("animations").addObject();
            animation.put("name", "lock to lock");
            ArrayNode channels = animation.putArray("channels");
            ArrayNode samplers = animation.putArray("samplers");
            float[] times = new float[shown + 1];
            for (int i = 0; i <= shown; i++) {
                times[i] = (float) (i * 2 * SECONDS / shown);
            }
            int time = accessor(floats(times), 0, FLOAT, times.length, "SCALAR");
            ObjectNode a = (ObjectNode) accessors.get(time);
            a.putArray("min").add(times[0]);
            a.putArray("max").add(times[shown]);
            for (int f = 0; f < n; f++) {
                float[] scale = new float[3 * times.length];
                for (int i = 0; i <= shown; i++) {
                    int now = i < n ? i : shown - i;
                    for (int k = 0; k < 3; k++) {
                        scale[3 * i + k] = now == f ? 1 : 0;
                    }
                }
                // Before it is set going, the middle position is seen.
                ArrayNode at = ((ObjectNode) nodes.get(frames.get(f))).putArray("scale");
                float first = f == n / 2 ? 1 : 0;
                at.add(first).add(first).add(first);
                int values = accessor(floats(scale), 0, FLOAT, times.length, "VEC3");
                samplers.addObject().put("input", time).put("output", values).put("interpolation", "STEP");
                ObjectNode channel = channels.addObject();
                channel.put("sampler", samplers.size() - 1);
                channel.putObject("target").put("node", frames.get(f)).put("path", "scale");
            }
        }

        byte[] write() {
            root.putObject("asset").put("version", "2.0").put("generator", "Mild Tilt");
            root.put("scene", 0);
            root.putArray("scenes").addObject().set("nodes", scene);
            root.set("nodes", nodes);
            root.set("meshes", meshes);
            root.set("materials", materials);
            root.set("accessors", accessors);
            root.set("bufferViews", views);
            root.putArray("buffers").addObject().put("byteLength", binary.size());
            byte[] json = padded(root.toString().getBytes(StandardCharsets.UTF_8), (byte) ' ');
            byte[] data = padded(binary.toByteArray(), (byte) 0);
            ByteBuffer out = ByteBuffer.allocate(28 + json.length + data.length).order(ByteOrder.LITTLE_ENDIAN);
            out.putInt(GLB_MAGIC).putInt(2).putInt(out.capacity());
            out.putInt(json.length).putInt(GLB_JSON).put(json);
            out.putInt(data.length).putInt(GLB_BINARY).put(data);
            return out.array();
        }

        private static byte[] padded(byte[] bytes, byte with) {
            byte[] all = Arrays.copyOf(bytes, (bytes.length + 3) / 4 * 4);
            Arrays.fill(all, bytes.length, all.length, with);
            return all;
        }
    }
}
