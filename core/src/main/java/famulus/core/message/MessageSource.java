package famulus.core.message;

import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;

/**
 * The texts of a message as written, fields and all.
 *
 * @param subject one line
 * @param previewText one line; may be empty
 * @param body any number of lines, broken by {@code \n}
 */
public record MessageSource(String subject, String previewText, String body) {

    /** One of the texts. */
    public String text(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
        };
    }

    /** Parses the three texts. */
    public MessageProgram parse() {
        Program parsedSubject = MergeParser.parse(subject);
        return new MessageProgram(parsedSubject, MergeParser.parse(previewText), MergeParser.parse(body));
    }
}
