package famulus.core.salutation;

import java.util.Optional;

/**
 * Somebody who is greeted; texts are empty when they are not known.
 *
 * @param title as stored, such as {@code Ms} or {@code Frau}
 * @param formality as set for this person; empty for the language's own way
 */
public record Greeted(String title, String firstName, String lastName, Optional<Formality> formality) {}
