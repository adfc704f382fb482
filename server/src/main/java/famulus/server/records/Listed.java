package famulus.server.records;

import famulus.server.records.CatalogueService.StoredField;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A record with what a list shows of it besides its own fields.
 *
 * @param fields the fields of its kind, by name
 * @param organisation the name of the organisation it belongs to; empty for none
 * @param owner the first name of whoever looks after it; empty for nobody
 * @param lastWritten when a person was last written to; null when never
 * @param people how many contacts an organisation has
 * @param addresses a person's addresses
 */
record Listed(
        CrmRecord record,
        Map<String, StoredField> fields,
        String organisation,
        String owner,
        Instant lastWritten,
        int people,
        List<String> addresses) {
    /** A field as it is stored; empty for nothing. */
    String text(String field) {
        return record.text(field);
    }

    /** The label of a choice; what is stored where it is none any more. */
    String label(String field) {
        String code = text(field);
        return fields.get(field).definition().choices().stream()
                .filter(choice -> choice.code().equals(code))
                .map(choice -> choice.label())
                .findFirst()
                .orElse(code);
    }

    /** Which of its choices a field holds, so that stages sort in their own order; three digits, empty for nothing. */
    String turn(String field) {
        String code = text(field);
        if (code.isEmpty()) {
            return "";
        }
        List<String> codes = fields.get(field).definition().choices().stream()
                .map(choice -> choice.code())
                .toList();
        return "%03d".formatted(codes.contains(code) ? codes.indexOf(code) : 999);
    }

    /** What the record sorts by where nothing else parts it from another. */
    String sortedName() {
        return record.kind().isPerson()
                ? ListPlace.text(text("last_name") + " " + text("first_name"))
                : ListPlace.text(text("name"));
    }
}
