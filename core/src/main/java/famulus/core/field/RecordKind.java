package famulus.core.field;

/** The kinds of record that have fields. */
public enum RecordKind {
    /** Whoever is written to: the fields that contacts and leads share. */
    PERSON("person"),
    CONTACT("contact"),
    LEAD("lead"),
    DEAL("deal"),
    ORGANISATION("organisation"),
    /** A colleague: the sender of a message, or the owner of a record. */
    USER("user"),
    /** Our own company. */
    OUR_COMPANY("our"),
    /** What was written to and heard from the person. */
    HISTORY("history"),
    /** A deal's quote, agreement and the like. */
    DOCUMENT("document"),
    /** The message itself. */
    MESSAGE("message");

    private final String word;

    RecordKind(String word) {
        this.word = word;
    }

    /** The word used in paths, addresses and storage. */
    public String word() {
        return word;
    }
}
