/**
 * Instruments that are read by the program, behind one line protocol (docs/instruments.md), and the simulated vehicle
 * that stands in for a real one.
 * Angles degrees, lengths mm, forces N; steer + left, dial + pushed in.
 *
 * <p>Example: {@code read turn-plates} is answered {@code value turn-plates deg 0.1 free 20.1 17.8}.
 */
@NullMarked
package mildtilt.trials.instruments;

import org.jspecify.annotations.NullMarked;
