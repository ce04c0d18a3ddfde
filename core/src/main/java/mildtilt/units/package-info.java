/**
 * Lengths and angles as people write and read them. Everything behind this package is millimetres;
 * example: {@code LengthText.parse("3 1/2\"", LengthUnit.MM)} is 88.9.
 */
@NullMarked
package mildtilt.units;

import org.jspecify.annotations.NullMarked;
