package famulus.server.interchange;

import famulus.core.proof.LeftOverNames.LeftOver;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.DealChoice;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What is asked of a message that is to become a template, and what is told of it. */
final class FoundInMessage {
    private FoundInMessage() {}

    /**
     * What a template is to be made of: a message, or a text and whom it was written to.
     *
     * @param message one of ours; null for a text
     * @param kind of the person the text was written to; null for nobody that we know
     * @param deal the deal it was about; null for none
     * @param sent when it was written; null for today
     * @param withoutSignature whether what follows its closing words is left out
     * @param withoutThread whether the messages quoted below it are left out
     */
    record MessageWords(
            @Schema(nullable = true) UUID message,
            @Schema(nullable = true) String subject,
            @Schema(nullable = true) String text,
            @Schema(nullable = true) CrmKind kind,
            @Schema(nullable = true) UUID person,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) Instant sent,
            boolean withoutSignature,
            boolean withoutThread) {
        /** The same about a deal. */
        MessageWords about(UUID other) {
            return new MessageWords(message, subject, text, kind, person, other, sent, withoutSignature, withoutThread);
        }
    }

    /**
     * A value that was found.
     *
     * @param key which text of the message it stands in
     * @param start its first character there
     * @param words as the text says it
     * @param fields what can take its place, the likeliest first
     * @param sure whether it is hardly anything else
     */
    record FoundWords(String key, int start, String words, List<FieldChoice> fields, boolean sure) {}

    /**
     * A field that can take the place of words.
     *
     * @param label with whose it is, where that is not the reader
     * @param source where its values come from, such as {@code contact}
     */
    record FieldChoice(String label, String source, String written) {}

    /**
     * A text of the message, in parts.
     *
     * @param key the subject, the preview text, or a block
     */
    record FoundText(String key, List<FoundPart> parts) {}

    /**
     * A part of a text.
     *
     * @param field whether it is a field already, by its label
     * @param found which of the values that were found it is; null for other words
     */
    record FoundPart(String text, boolean field, @Schema(nullable = true) Integer found) {}

    /**
     * A message as it was read for a template.
     *
     * @param name whom it was written to; empty for nobody that we know
     * @param left names that stay
     * @param signature what follows its closing words and can be left out; empty for nothing
     * @param thread what is quoted below it; empty for nothing
     * @param deal the deal whose values were looked for; null for none that it says anything of
     * @param deals those it may be about
     */
    record ReadWords(
            String name,
            List<FoundText> texts,
            List<FoundWords> found,
            List<LeftOver> left,
            String signature,
            String thread,
            @Schema(nullable = true) UUID deal,
            List<DealChoice> deals) {}

    /** A value that a field takes the place of; the words are those that were shown. */
    record AcceptedField(String key, int start, String words, String written) {}
}
