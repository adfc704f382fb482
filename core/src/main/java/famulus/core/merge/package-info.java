/**
 * The merge language: text with fields in it, read once and merged for many people.
 *
 * <pre>{@code
 * Program program = MergeParser.parse("Dear {person.first_name else \"there\"},");
 * Merged merged = new Merger(settings).merge(program, context, Place.BODY);
 * merged.text();    // "Dear Ines,"
 * merged.pieces();  // "Dear " as written · "Ines" from the record · "," as written
 * merged.gaps();    // fields that had neither a value nor a fallback
 * }</pre>
 *
 * A {@link famulus.core.merge.Program} knows nothing of records; a {@link famulus.core.merge.MergeContext} knows
 * nothing of text. What can be said about a program without any record is said by {@link famulus.core.merge.Analyser}.
 * Nothing in this package throws because of what a text or a record holds.
 */
package famulus.core.merge;
