/** What goes to the bench: lengths to cut, forks to mark, rods to make. Lengths mm, angles degrees. */
@NullMarked
package mildtilt.shop;

import org.jspecify.annotations.NullMarked;
