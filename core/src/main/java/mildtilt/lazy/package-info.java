/** Figures that take a while and are worked out only if someone asks for them. */
@NullMarked
package mildtilt.lazy;

import org.jspecify.annotations.NullMarked;
