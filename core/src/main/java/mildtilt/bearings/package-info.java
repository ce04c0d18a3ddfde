/**
 * What holds the shafts: which float and where a bearing is needed, spans too long, bearings out of line, and the
 * measured axes of column and gear. Lengths mm, loads N, frequencies Hz.
 *
 * <p>Example: with three joints between a column in its tube and a gear, the two shafts between fold about their joint;
 * one rod end close to that joint holds both.
 */
@NullMarked
package mildtilt.bearings;

import org.jspecify.annotations.NullMarked;
