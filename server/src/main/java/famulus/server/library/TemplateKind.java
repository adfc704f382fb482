package famulus.server.library;

/** What a text that is written on the desk is for. */
public enum TemplateKind {
    /** A whole message. */
    TEMPLATE("template"),
    /** A text that many templates use, kept once. */
    PASSAGE("passage"),
    /** Somebody's designed closing lines, or everybody's. */
    SIGNATURE("signature");

    private final String word;

    TemplateKind(String word) {
        this.word = word;
    }

    /** What it is called in a sentence. */
    public String word() {
        return word;
    }
}
