package mildtilt.glossary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import mildtilt.analysis.Headline;
import org.junit.jupiter.api.Test;

class GlossaryTest {

    @Test
    void glossaryTermsAreUniqueAndCoverFigures() {
        assertThat(Glossary.terms())
                .hasSizeGreaterThan(45)
                .allMatch(t -> t.meaning().length() > 15);
        List<String> names = Glossary.terms().stream()
                .map(t -> t.name().toLowerCase(Locale.ROOT))
                .toList();
        assertThat(names).doesNotHaveDuplicates().isSorted();
        assertThat(Glossary.terms())
                .flatExtracting(Glossary.Term::explains)
                .containsExactlyInAnyOrder(Headline.values());
        for (Headline h : Headline.values()) {
            assertThat(Glossary.explaining(h.label())).as(h.label()).isPresent();
        }
        assertThat(Glossary.find("toe").getFirst().name()).isEqualTo("Toe");
        assertThat(Glossary.find("yoke")).extracting(Glossary.Term::name).containsExactly("Fork");
        assertThat(Glossary.find("sprocket")).isEmpty();
    }

    @Test
    void longestGlossaryTermMatchesFirst() {
        assertThat(Glossary.in("Left tie rods are over-centre at full droop."))
                .extracting(Glossary.Term::name)
                .containsExactly("Tie rod", "Over centre", "Bump and droop");
        assertThat(Glossary.in("Ackermann at 20°"))
                .extracting(Glossary.Term::name)
                .containsExactly("Ackermann");
        assertThat(Glossary.in("bump steer, normal travel").getFirst().name()).isEqualTo("Bump steer");
        assertThat(Glossary.in("The block is unlocked; stoepe and racket are no words here."))
                .isEmpty();
        for (Headline h : Headline.values()) {
            assertThat(Glossary.in(h.label()).getFirst())
                    .isEqualTo(Glossary.explaining(h.label()).orElseThrow());
        }
    }
}
