/** Tokens of the look in Java: inks read from the style sheet, fonts, shapes of the states. */
@NullMarked
package mildtilt.app.controls;

import org.jspecify.annotations.NullMarked;
