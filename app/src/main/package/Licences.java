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
 * Puts the licences of what is shipped into a folder: a list made of the bill of materials, what each library brings in its own file,
 * and the texts of those that bring none. Run by ./mild-tilt package: sbom.json, the libraries' folder, the JDK, our LICENSE, the folder.
 */
final class Licences {

    private static final String MIT = """
            Permission is hereby granted, free of charge, to any person obtaining a copy of this software and associated documentation
            files (the "Software"), to deal in the Software without restriction, including without limitation the rights to use, copy,
            modify, merge, publish, distribute, sublicense, and/or sell copies of the Software, and to permit persons to whom the
            Software is furnished to do so, subject to the following conditions:

            The above copyright notice and this permission notice shall be included in all copies or substantial portions of the
            Software.

            THE SOFTWARE IS PROVIDED "AS IS", WITHOUT WARRANTY OF ANY KIND, EXPRESS OR IMPLIED, INCLUDING BUT NOT LIMITED TO THE
            WARRANTIES OF MERCHANTABILITY, FITNESS FOR A PARTICULAR PURPOSE AND NONINFRINGEMENT. IN NO EVENT SHALL THE AUTHORS OR
            COPYRIGHT HOLDERS BE LIABLE FOR ANY CLAIM, DAMAGES OR OTHER LIABILITY, WHETHER IN AN ACTION OF CONTRACT, TORT OR OTHERWISE,
            ARISING FROM, OUT OF OR IN CONNECTION WITH THE SOFTWARE OR THE USE OR OTHER DEALINGS IN THE SOFTWARE.
            """;

    private static final String BSD_3 = """
            Redistribution and use in source and binary forms, with or without modification, are permitted provided that the following
            conditions are met:

            1. Redistributions of source code must retain the above copyright notice, this list of conditions and the following
            disclaimer.
            2. Redistributions in binary form must reproduce the above copyright notice, this list of conditions and the following
            disclaimer in the documentation and/or other materials provided with the distribution.
            3. Neither the name of the copyright holder nor the names of its contributors may be used to endorse or promote products
            derived from this software without specific prior written permission.

            THIS SOFTWARE IS PROVIDED BY THE COPYRIGHT HOLDERS AND CONTRIBUTORS "AS IS" AND ANY EXPRESS OR IMPLIED WARRANTIES, INCLUDING,
            BUT NOT LIMITED TO, THE IMPLIED WARRANTIES OF MERCHANTABILITY AND FITNESS FOR A PARTICULAR PURPOSE ARE DISCLAIMED. IN NO EVENT
            SHALL THE COPYRIGHT HOLDER OR CONTRIBUTORS BE LIABLE FOR ANY DIRECT, INDIRECT, INCIDENTAL, SPECIAL, EXEMPLARY, OR CONSEQUENTIAL
            DAMAGES (INCLUDING, BUT NOT LIMITED TO, PROCUREMENT OF SUBSTITUTE GOODS OR SERVICES; LOSS OF USE, DATA, OR PROFITS; OR BUSINESS
            INTERRUPTION) HOWEVER CAUSED AND ON ANY THEORY OF LIABILITY, WHETHER IN CONTRACT, STRICT LIABILITY, OR TORT (INCLUDING
            NEGLIGENCE OR OTHERWISE) ARISING IN ANY WAY OUT OF THE USE OF THIS SOFTWARE, EVEN IF ADVISED OF THE POSSIBILITY OF SUCH DAMAGE.
            """;

    public static void main(String[] args) throws IOException {
        Path libraries = Path.of(args[1]);
        Path out = Files.createDirectories(Path.of(args[4]));
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
        list.add("The font Source Sans 3 is under the SIL Open Font License 1.1. The Java runtime of a package brings its own, in lib/runtime/legal.");
        Files.write(out.resolve("LIBRARIES.txt"), list);
        Files.writeString(out.resolve("MIT.txt"), MIT);
        Files.writeString(out.resolve("BSD-3-Clause.txt"), BSD_3);
        Files.copy(Path.of(args[2]).resolve("legal/java.base/LICENSE"), out.resolve("GPL-2.0-with-classpath-exception.txt"));
        Files.copy(Path.of(args[3]), out.resolve("Apache-2.0.txt"));
        try (Stream<Path> jars = Files.list(libraries)) {
            for (Path jar : jars.filter(p -> p.toString().endsWith(".jar")).sorted().toList()) {
                own(jar, out);
            }
        }
    }

    private static String licence(JsonNode component) {
        JsonNode l = component.path("licenses").path(0);
        return l.has("expression") ? l.path("expression").asText() : l.path("license").path("id").asText(l.path("license").path("name").asText("?"));
    }

    private static String holder(JsonNode component) {
        return component.path("publisher").asText(component.path("authors").path(0).path("name").asText(component.path("group").asText()));
    }

    /** The files about licences that a library brings, in a folder of its name. */
    private static void own(Path jar, Path out) throws IOException {
        try (JarFile in = new JarFile(jar.toFile())) {
            for (JarEntry e : in.stream().filter(e -> e.getName().matches("META-INF/[^/]*(?i:licen[cs]e|notice)[^/]*")).toList()) {
                Path folder = Files.createDirectories(
                        out.resolve(jar.getFileName().toString().replaceFirst("\\.jar$", "")));
                try (InputStream text = in.getInputStream(e)) {
                    Files.copy(text, folder.resolve(e.getName().replaceFirst(".*/", "")));
                }
            }
        }
    }
}
