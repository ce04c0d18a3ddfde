/** The methods that copy a record with one part changed, generated at compile time. */
@org.jspecify.annotations.NullMarked
package mildtilt.withers;
