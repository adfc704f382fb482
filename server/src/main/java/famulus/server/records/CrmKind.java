package famulus.server.records;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import famulus.core.field.RecordKind;
import famulus.server.platform.Refusal;
import java.util.Arrays;

/** The kinds of record that are kept here. */
public enum CrmKind {
    CONTACT(RecordKind.CONTACT),
    LEAD(RecordKind.LEAD),
    DEAL(RecordKind.DEAL),
    ORGANISATION(RecordKind.ORGANISATION);

    private final RecordKind core;

    CrmKind(RecordKind core) {
        this.core = core;
    }

    /** The kind as the core knows it. */
    public RecordKind core() {
        return core;
    }

    /** The word used in addresses, in answers and as the name of the table. */
    @JsonValue
    public String word() {
        return core.word();
    }

    /** Whether somebody can be written to. */
    public boolean isPerson() {
        return this == CONTACT || this == LEAD;
    }

    /** Finds a kind by its word. */
    @JsonCreator
    public static CrmKind of(String word) {
        return Arrays.stream(values())
                .filter(kind -> kind.word().equals(word))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This kind of record"));
    }
}
