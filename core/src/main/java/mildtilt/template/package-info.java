/**
 * Shapes at full size, for paper, the cutting table and the printer. Lengths mm; x to the right, y up, as the sheet
 * lies.
 *
 * <p>Every pattern keeps what is cut, what is only marked and what is written on layers of their own. A strip that
 * wraps round a
 * tube is laid with its printed side out and the named end up. Example: on a strip with the wheel's end up, a mark
 * clockwise
 * seen from the wheel lies to the left.
 */
@NullMarked
package mildtilt.template;

import org.jspecify.annotations.NullMarked;
