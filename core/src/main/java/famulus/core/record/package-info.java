/**
 * What may be kept in a field of a record: what people type, checked and brought into the one form that is stored, and
 * read back as a {@link famulus.core.field.Value} for merging.
 *
 * <pre>{@code
 * FieldInput input = FieldInput.read(hectares, 40, false, " 48 ", "GB", "GBP");
 * input.stored();    // "48"
 * input.refusal();   // empty; "“many” is not a number." for " many "
 * }</pre>
 */
package famulus.core.record;
