package mildtilt.clearance;
import mildtilt.id.Called;

/** Two parts that could touch. */
public record Two(Called first, Called second) {

    public String label() {
        return first.name() + " and " + second.name();
    }
}
