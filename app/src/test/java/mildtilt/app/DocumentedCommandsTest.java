package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.app.cli.Main;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;

/** What README, guide and docs/ tell to type is there: the launcher knows each command, and the command each switch. */
class DocumentedCommandsTest {

    private static final Path ROOT = Path.of("..");
    private static final Pattern COMMAND = Pattern.compile("\\./mild-tilt ([a-z][a-z-]*)([^`\\n]*)");
    private static final Pattern SWITCH = Pattern.compile("(?<![\\w-])--[a-z][a-z-]*");

    private static final CommandLine PROGRAM = new CommandLine(new Main());

    private record Told(Path where, String command, String rest) {}

    private static List<Told> told() throws IOException {
        List<Path> pages = new ArrayList<>(List.of(ROOT.resolve("README.md"), ROOT.resolve("CONTRIBUTING.md")));
        for (String folder : List.of("docs", "docs/guide")) {
            try (Stream<Path> all = Files.list(ROOT.resolve(folder))) {
                all.filter(p -> p.toString().endsWith(".md")).sorted().forEach(pages::add);
            }
        }
        List<Told> all = new ArrayList<>();
        for (Path page : pages) {
            Matcher m = COMMAND.matcher(Files.readString(page));
            while (m.find()) {
                all.add(new Told(page, m.group(1), m.group(2)));
            }
        }
        return all;
    }

    /** The words its {@code case} lists. */
    private static Set<String> launcher() throws IOException {
        String script = Files.readString(ROOT.resolve("mild-tilt"));
        return Stream.of(script.substring(script.indexOf("case ${1:-} in")).split("\\R"))
                .filter(l -> l.matches("  [a-z][a-z |-]*\\)"))
                .flatMap(l -> Stream.of(l.strip().replace(")", "").split(" \\| ")))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void everyCommandToldIsThereWithItsSwitches() throws Exception {
        Set<String> known = launcher();
        List<Told> all = told();
        assertThat(all).hasSizeGreaterThan(40);
        for (Told t : all) {
            assertThat(known).as("in " + t.where).contains(t.command);
            CommandLine command = PROGRAM.getSubcommands().get(t.command);
            Matcher m = SWITCH.matcher(t.rest);
            while (command != null && m.find()) {
                assertThat(command.getCommandSpec().optionsMap())
                        .as(t.command + " in " + t.where)
                        .containsKey(m.group());
            }
        }
    }

    /** And the other way: the launcher passes on all that the program can do, and the help lists it. */
    @Test
    void everyCommandOfTheProgramIsReachedAndTold() throws Exception {
        Set<String> commands = new TreeSet<>(PROGRAM.getSubcommands().keySet());
        // For the build alone.
        commands.remove("rehearse");
        assertThat(launcher()).containsAll(commands);
        assertThat(told().stream().map(Told::command)).containsAll(commands);
    }
}
