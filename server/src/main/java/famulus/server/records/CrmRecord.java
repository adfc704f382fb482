package famulus.server.records;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A contact, lead, deal or organisation.
 *
 * @param version counts changes, so that two people never overwrite each other unseen
 * @param stored what each field holds, in the stored form of {@code FieldInput}; fields that hold nothing are absent
 */
public record CrmRecord(CrmKind kind, UUID id, int version, Map<String, String> stored) {
    public CrmRecord {
        // Not copied: thousands are read at once, and whoever made the map has let go of it.
        stored = Collections.unmodifiableMap(stored);
    }

    /** What a field holds, or an empty text. */
    public String text(String field) {
        return stored.getOrDefault(field, "");
    }

    /** The record a relation leads to. */
    public Optional<UUID> relation(String field) {
        return Optional.ofNullable(stored.get(field)).map(UUID::fromString);
    }

    /** What it is called: a person's full name, else the record's own name. */
    public String name() {
        return kind.isPerson() ? (text("first_name") + " " + text("last_name")).strip() : text("name");
    }
}
