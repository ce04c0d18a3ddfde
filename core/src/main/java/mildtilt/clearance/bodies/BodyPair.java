package mildtilt.clearance.bodies;

import mildtilt.id.NamedPart;

/** Two parts that could touch. */
public record BodyPair(NamedPart first, NamedPart second) {

    public String label() {
        return first.name() + " and " + second.name();
    }
}
