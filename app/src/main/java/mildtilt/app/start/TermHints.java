package mildtilt.app.start;

import java.util.List;
import java.util.Optional;
import javafx.event.EventTarget;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import mildtilt.glossary.Glossary;
import mildtilt.glossary.Glossary.Term;
import org.jspecify.annotations.Nullable;

/**
 * The glossary, within reach of every word in the window: a short label that names a term tells what it means and what
 * is usual while the pointer rests on it, and
 * the glossary's key opens it at whatever the pointer rests on or the keyboard is at.
 */
public final class TermHints {

    /** A longer text is a sentence, which says what it means; its terms are a key away. */
    private static final int SHORT = 48;

    private static final double WIDTH = 380;

    private final Scene scene;
    private @Nullable Labeled pointed;

    public TermHints(Scene scene) {
        this.scene = scene;
        scene.addEventFilter(MouseEvent.MOUSE_ENTERED_TARGET, e -> point(e.getTarget()));
    }

    private void point(EventTarget target) {
        Labeled at = null;
        for (Node n = target instanceof Node t ? t : null; n != null && at == null; n = n.getParent()) {
            at = n instanceof Labeled l && l.getText() != null && !l.getText().isEmpty() ? l : null;
        }
        pointed = at;
        if (at != null
                && at.getText().length() <= SHORT
                && (at.getTooltip() == null || at.getTooltip() instanceof Hint)) {
            List<Term> terms = Glossary.in(at.getText());
            at.setTooltip(terms.isEmpty() ? null : new Hint(terms.getFirst()));
        }
    }

    /** A hint given here, which goes when the label says something else. */
    private static final class Hint extends Tooltip {
        Hint(Term term) {
            super(term.name() + ": " + term.explanation());
            setWrapText(true);
            setMaxWidth(WIDTH);
        }
    }

    /** The term under the pointer, else at the keyboard focus; empty if neither names one. */
    public Optional<Term> term() {
        Labeled p = pointed;
        if (p != null && p.getScene() == scene && p.isHover()) {
            Optional<Term> there = Glossary.in(p.getText()).stream().findFirst();
            if (there.isPresent()) {
                return there;
            }
        }
        return Optional.ofNullable(scene.getFocusOwner())
                .flatMap(n -> Optional.ofNullable(n.getAccessibleText())
                        .or(() -> n instanceof Labeled l ? Optional.ofNullable(l.getText()) : Optional.empty()))
                .flatMap(t -> Glossary.in(t).stream().findFirst());
    }
}
