/** The first five minutes: the start page, a walk through the demo, the glossary. */
@NullMarked
package mildtilt.app.start;

import org.jspecify.annotations.NullMarked;
