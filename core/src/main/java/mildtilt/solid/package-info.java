/**
 * Solids as they stand in space and the distances between them: convex parts by the algorithm of Gilbert, Johnson and
 * Keerthi,
 * scans by a tree of bounding boxes over their triangles.
 *
 * <p>Lengths mm. A gap is + between solids that are apart and − where they are in each other, by the least move that
 * would part
 * them, which is found among many directions to about a tenth. Example: two spheres of 20 mm whose centres are 50 mm
 * apart have a gap of 30.
 */
@NullMarked
package mildtilt.solid;

import org.jspecify.annotations.NullMarked;
