/**
 * What things are called where they are referred to: in files, in readings, in lists of pairs. Names are for people and
 * can change;
 * ids stay. Example: the shaft {@code shaft-2}, called "Lower shaft" today, has joins and readings that say {@code
 * shaft-2}.
 */
@org.jspecify.annotations.NullMarked
package mildtilt.id;
