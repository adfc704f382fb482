package famulus.server.desk;

import famulus.server.lists.ShownStep;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * One term.
 *
 * @param kind field, text, number, blank (to write in) or nothing
 * @param format empty for the type's own way
 * @param steps what is reckoned from the field's day
 */
public record ShownTerm(String kind, String value, String format, @Schema(nullable = true) List<ShownStep> steps) {}
