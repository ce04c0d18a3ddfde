/**
 * The papers as PDF: job card, job book, run sheet, inspection, templates.
 */
@NullMarked
package mildtilt.io.pdf;

import org.jspecify.annotations.NullMarked;
