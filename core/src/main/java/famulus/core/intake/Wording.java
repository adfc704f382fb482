package famulus.core.intake;

/**
 * Words of a text that say a value.
 *
 * @param start its first character in the text
 * @param end where what follows begins
 * @param written what can take their place, in the merge language
 * @param sure whether they are hardly anything else
 */
record Wording(int start, int end, String written, boolean sure) {}
