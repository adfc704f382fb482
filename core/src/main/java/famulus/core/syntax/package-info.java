/**
 * What every small language of the product is read with: tokens, places in a text, problems at a place, and the known
 * names that may have been meant.
 *
 * <pre>{@code
 * Tokens.of("deal.stage is \"Won\"", 0, 20);   // word "deal", point, word "stage", word "is", string "Won", end
 * NearestNames.of("person.frist_name", known);  // ["person.first_name"]
 * }</pre>
 */
package famulus.core.syntax;
