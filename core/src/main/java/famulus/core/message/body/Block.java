package famulus.core.message.body;

/**
 * One piece of a message.
 *
 * @param id stays the same through every edit
 * @param content what it holds
 * @param look its padding, background and border
 * @param shownWhen a condition in its written form; empty for always
 * @param hiddenOnSmall whether phones leave it out
 */
public record Block(String id, Content content, Look look, String shownWhen, boolean hiddenOnSmall) {
    /** A block that is always shown, with the usual look. */
    public static Block of(String id, Content content) {
        return new Block(id, content, Look.USUAL, "", false);
    }
}
