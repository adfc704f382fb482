package famulus.server.library;

/** What a text that is written on the desk is for. */
public enum TemplateKind {
    /** A whole message. */
    TEMPLATE("template"),
    /** What one mailing says, made of a template; it is in no list of templates. */
    MAILING("mailing"),
    /** A text that many templates use, kept once. */
    PASSAGE("passage"),
    /** Somebody's designed closing lines, or everybody's. */
    SIGNATURE("signature"),
    /** What a house style puts above messages. */
    HEADER("header"),
    /** What a house style puts below messages. */
    FOOTER("footer");

    private final String word;

    TemplateKind(String word) {
        this.word = word;
    }

    /** Whether it is a whole message, rather than a part of others. */
    public boolean whole() {
        return this == TEMPLATE || this == MAILING;
    }

    /** Whether it belongs to a house style, and stands around messages. */
    boolean wraps() {
        return this == HEADER || this == FOOTER;
    }

    /** What it is called in a sentence. */
    public String word() {
        return word;
    }
}
