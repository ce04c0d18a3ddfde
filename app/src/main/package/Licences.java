import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.stream.Stream;

/**
 * Puts the licences of what is shipped into a folder: a list made of the bill of materials, what each library brings in
 * its own file, and the texts of those that bring none. Run by ./mild-tilt package with: sbom.json, the libraries'
 * folder, the JDK, our LICENSE, the folder of texts, the folder to fill.
 */
final class Licences {

    public static void main(String[] args) throws IOException {
        Path libraries = Path.of(args[1]);
        Path out = Files.createDirectories(Path.of(args[5]));
        Map<String, String> lines = new TreeMap<>();
        TreeSet<String> unknown = new TreeSet<>();
        for (JsonNode c : new ObjectMapper().readTree(Path.of(args[0]).toFile()).path("components")) {
            String licence = licence(c);
            if (c.path("group").asText().equals("mildtilt")) {
                continue;
            }
            lines.put(
                    c.path("name").asText(),
                    "%-24s %-10s %-34s %s".formatted(
                            c.path("name").asText(), c.path("version").asText(), licence, holder(c)));
            if (!licence.matches("Apache-2.0|MIT.*|BSD-[23]-Clause|GPL-2.0-with-classpath-exception")) {
                unknown.add(c.path("name").asText() + ": " + licence);
            }
        }
        if (!unknown.isEmpty()) {
            throw new IllegalStateException("There is no text for the licence of " + unknown);
        }
        List<String> list = new ArrayList<>(List.of(
                "What Mild Tilt is shipped with, and under which licence. The texts are beside this file.", ""));
        list.addAll(lines.values());
        list.add("");
        list.add("The font Source Sans 3 is under the SIL Open Font License 1.1. The Java runtime of a package brings its "
                + "own, in lib/runtime/legal.");
        Files.write(out.resolve("LIBRARIES.txt"), list);
        for (String text : List.of("MIT.txt", "BSD-3-Clause.txt")) {
            Files.copy(Path.of(args[4]).resolve(text), out.resolve(text));
        }
        Files.copy(
                Path.of(args[2]).resolve("legal/java.base/LICENSE"),
                out.resolve("GPL-2.0-with-classpath-exception.txt"));
        Files.copy(Path.of(args[3]), out.resolve("Apache-2.0.txt"));
        try (Stream<Path> jars = Files.list(libraries)) {
            for (Path jar : jars.filter(p -> p.toString().endsWith(".jar")).sorted().toList()) {
                own(jar, out);
            }
        }
    }

    private static String licence(JsonNode component) {
        JsonNode l = component.path("licenses").path(0);
        JsonNode one = l.path("license");
        return l.has("expression")
                ? l.path("expression").asText()
                : one.path("id").asText(one.path("name").asText("?"));
    }

    private static String holder(JsonNode component) {
        String author = component.path("authors").path(0).path("name").asText(component.path("group").asText());
        return component.path("publisher").asText(author);
    }

    /** The files about licences that a library brings, in a folder of its name. */
    private static void own(Path jar, Path out) throws IOException {
        try (JarFile in = new JarFile(jar.toFile())) {
            for (JarEntry e : in.stream().filter(Licences::tellsOfLicences).toList()) {
                Path folder = Files.createDirectories(
                        out.resolve(jar.getFileName().toString().replaceFirst("\\.jar$", "")));
                try (InputStream text = in.getInputStream(e)) {
                    Files.copy(text, folder.resolve(e.getName().replaceFirst(".*/", "")));
                }
            }
        }
    }

    private static boolean tellsOfLicences(JarEntry e) {
        return e.getName().matches("META-INF/[^/]*(?i:licen[cs]e|notice)[^/]*");
    }
}
