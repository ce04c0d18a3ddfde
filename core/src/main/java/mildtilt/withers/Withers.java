package mildtilt.withers;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Asks for {@code withX(x)} of every component of a record. The record {@code Shaft} then implements the generated
 * {@code ShaftBuilder.With}; {@code End} inside {@code RodMakeUp} implements {@code RodMakeUpEndBuilder.With}. A method
 * of the
 * same name in the record itself comes first, so a change with a rule of its own is written by hand.
 */
@RecordBuilder.Template(options = @RecordBuilder.Options(enableGetters = false, addStaticBuilder = false))
@Retention(RetentionPolicy.SOURCE)
@Target(ElementType.TYPE)
public @interface Withers {}
