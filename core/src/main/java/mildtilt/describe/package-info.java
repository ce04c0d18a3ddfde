/**
 * How a part of a job is described: which values it has, what each is called in files, what it can be, what it is when
 * it is left out.
 * One description serves the file that is read, the file that is written, the schema, the check of an edit, the fields
 * of the window and the
 * table in the documents. Nothing here knows JSON or the window.
 *
 * <p>Example: {@code Part.of(Slide.class).usual("overlap", "overlap_mm", new Kind.Size(Ranges.ALONG_A_SHAFT), 0.0, "how
 * far one part stands in
 * the other as planned")} says that the component {@code overlap} is the key {@code overlap_mm}, in mm, from 0 to 5000,
 * and 0 where it is left out.
 */
@org.jspecify.annotations.NullMarked
package mildtilt.describe;
