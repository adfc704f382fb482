package famulus.server.messages;

import famulus.core.message.personal.MergedText;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * What a message was made of, so that it can be looked at again just before it leaves, and written again afterwards.
 *
 * @param message as its sender has written it
 * @param template what it was begun from, as it was then; null for a message from nothing
 * @param texts the texts that its template gave its person for its hour, by key
 * @param links how addresses with values in them were written, by what they were merged to
 * @param fields the values of the fields that are still fields in it, such as those of a signature, in order
 * @param items the lines of its deal, as they stand in it; empty where it shows none
 */
record LeavingPlan(
        MessageToSend message,
        UUID template,
        int templateVersion,
        Map<String, MergedText> texts,
        Map<String, String> links,
        List<FieldValue> fields,
        String items) {
    /**
     * A field and what it says; nothing where its value is missing.
     *
     * @param written the field as it is written
     */
    record FieldValue(String written, String path, String text) {}
}
