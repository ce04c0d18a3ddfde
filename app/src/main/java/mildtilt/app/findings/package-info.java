/** What is wrong and the remedies. */
@NullMarked
package mildtilt.app.findings;

import org.jspecify.annotations.NullMarked;
