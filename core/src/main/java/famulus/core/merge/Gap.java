package famulus.core.merge;

import famulus.core.field.Path;
import famulus.core.syntax.Span;

/**
 * A field that had neither a value nor a fallback for one person.
 *
 * @param path the value that is missing
 * @param span the field in the template's source
 */
public record Gap(Path path, Span span) {}
