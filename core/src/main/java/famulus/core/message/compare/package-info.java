/**
 * What differs between two versions of a message, as a person would tell it: block by block, word by word.
 *
 * <pre>{@code
 * for (Change change : Comparison.of(before, after)) {
 *     // change.where() "Text 3", change.kind() CHANGED, change.words() [same "We come on ", gone "Monday", new "Tuesday"]
 * }
 * }</pre>
 *
 * Blocks are told apart by their identifiers, so that one that was moved and changed is still the same one. Words are the
 * written form: a field that took the place of another shows as such.
 */
package famulus.core.message.compare;
