/**
 * An analysis, routes and uncertainty as JSON. Units are in the field names: {@code _mm}, {@code _deg}, {@code _nm}.
 */
@NullMarked
package mildtilt.io.json;

import org.jspecify.annotations.NullMarked;
