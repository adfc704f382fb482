/**
 * Salutations: the opening address of a message, computed by the house's rules of a language.
 *
 * <pre>{@code
 * Greeted ines = new Greeted("Ms", "Ines", "Okafor-Brandt", Optional.of(Formality.FORMAL));
 * salutations.of(Locale.UK, List.of(ines));            // "Dear Ms Okafor-Brandt"
 * salutations.of(Locale.UK, List.of(ines, tobias));    // "Dear Ines and Tobias", when both are familiar
 * }</pre>
 *
 * The first rule that fits and finds all it names is taken, so the order of the rules is the order of preference.
 */
package famulus.core.salutation;
