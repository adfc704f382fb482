package famulus.core.message.body;

import java.util.Arrays;
import java.util.Optional;

/** Whose picture a record card shows, where it takes it from a record rather than from Materials. */
public enum RecordPortrait {
    /** Whoever the message is for. */
    PERSON("of-person"),
    ORGANISATION("of-organisation"),
    DEAL("of-deal"),
    /** Whoever looks after the deal or person. */
    OWNER("of-owner"),
    /** Whoever the message is from. */
    SENDER("of-sender");

    private final String key;

    RecordPortrait(String key) {
        this.key = key;
    }

    /** As it stands in a card, in the place of a picture's identifier. */
    public String key() {
        return key;
    }

    /** The one that a card names; nothing for a picture of its own. */
    public static Optional<RecordPortrait> of(String picture) {
        return Arrays.stream(values()).filter(one -> one.key.equals(picture)).findFirst();
    }
}
