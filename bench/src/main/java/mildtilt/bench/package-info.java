/** Speed, measured with JMH. Run with {@code ./mild-tilt bench}; nothing is timed in the tests. */
@NullMarked
package mildtilt.bench;

import org.jspecify.annotations.NullMarked;
