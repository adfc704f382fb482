package famulus.core.message.body;

/** Why a body or a house style can't be read; the message names the block and says what is wrong, for people. */
public final class UnreadableBody extends Exception {
    private static final long serialVersionUID = 1;

    UnreadableBody(String sentence) {
        super(sentence);
    }
}
