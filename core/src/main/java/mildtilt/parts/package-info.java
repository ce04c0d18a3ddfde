/**
 * Each part of a job described once: its values, their keys, units and ranges, what is usual, what they are called.
 * What is read, written,
 * checked, shown as fields and documented follows from here. One class a topic, named like the package of its records.
 */
@org.jspecify.annotations.NullMarked
package mildtilt.parts;
