package mildtilt.app.controls;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;
import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Every ink that writes words stands off every ground that words are written on, by the ratio that the web's
 * accessibility guidelines ask of plain text.
 */
class ContrastTest {

    private static final double PLAIN_TEXT = 4.5;
    private static final List<String> GROUNDS = List.of("-ink-paper", "-ink-panel", "-ink-card");
    private static final List<String> WORDS = List.of(
            "-ink-line",
            "-ink-faint",
            "-ink-accent",
            "-ink-before",
            "-ink-fine",
            "-ink-look",
            "-ink-stop",
            "-color-fg-muted");

    /** Of the guidelines' definition: linear light, weighted. */
    private static double luminance(Color c) {
        double[] l = DoubleStream.of(c.getRed(), c.getGreen(), c.getBlue())
                .map(v -> v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4))
                .toArray();
        return 0.2126 * l[0] + 0.7152 * l[1] + 0.0722 * l[2];
    }

    private static double contrast(Color a, Color b) {
        double x = luminance(a) + 0.05;
        double y = luminance(b) + 0.05;
        return Math.max(x, y) / Math.min(x, y);
    }

    @ParameterizedTest
    @ValueSource(strings = {"light", "dark"})
    void textContrastIsSufficient(String theme) throws Exception {
        Map<String, Color> inks = new HashMap<>();
        try (InputStream in = ContrastTest.class.getResourceAsStream("/mildtilt/app/tokens-" + theme + ".css")) {
            Matcher m = Pattern.compile("(-[\\w-]+): (#\\w{6});")
                    .matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            while (m.find()) {
                inks.put(m.group(1), Color.web(m.group(2)));
            }
        }
        assertThat(contrast(Color.BLACK, Color.WHITE)).isBetween(20.9, 21.1);
        for (String ground : GROUNDS) {
            for (String words : WORDS) {
                assertThat(contrast(inks.get(words), inks.get(ground)))
                        .as(words + " on " + ground + ", " + theme)
                        .isGreaterThanOrEqualTo(PLAIN_TEXT);
            }
        }
        // What is chosen, and what is written on a strong button.
        assertThat(contrast(inks.get("-ink-line"), inks.get("-ink-accent-soft")))
                .isGreaterThanOrEqualTo(PLAIN_TEXT);
        assertThat(contrast(inks.get("-ink-accent"), inks.get("-ink-accent-soft")))
                .isGreaterThanOrEqualTo(PLAIN_TEXT);
        assertThat(contrast(inks.get("-ink-on-accent"), inks.get("-ink-accent")))
                .isGreaterThanOrEqualTo(PLAIN_TEXT);
    }
}
