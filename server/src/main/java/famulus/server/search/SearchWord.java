package famulus.server.search;

/**
 * The beginning of a word, as a range of the index.
 *
 * @param from the beginning itself, folded
 * @param to before it come all words that begin so; no word has its last sign in it
 */
public record SearchWord(String from, String to) {
    static SearchWord of(String beginning) {
        return new SearchWord(beginning, beginning + '\uffff');
    }

    /** How it stands among the words of one thing. */
    public String inEntry() {
        return Entry.BEFORE_EACH + from;
    }
}
