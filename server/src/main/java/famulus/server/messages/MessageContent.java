package famulus.server.messages;

import java.util.List;

/**
 * What a message says, ready for the wire.
 *
 * @param text what plain mail programs show
 * @param html a whole document; empty for a plain message
 * @param pictures those the HTML shows
 * @param files those attached to it
 */
public record MessageContent(String text, String html, List<InlinePicture> pictures, List<AttachedFile> files) {
    /** A picture that the HTML shows by {@code cid:} (RFC 2392); {@code id} without angle brackets. */
    public record InlinePicture(String id, String name, String mediaType, byte[] content) {}

    /** An attached file; {@code mediaType} with its parameters. */
    public record AttachedFile(String name, String mediaType, byte[] content) {}

    /** A message of text alone. */
    static MessageContent plain(String text) {
        return new MessageContent(text, "", List.of(), List.of());
    }

    /** The same with other texts. */
    MessageContent saying(String otherText, String otherHtml) {
        return new MessageContent(otherText, otherHtml, pictures, files);
    }

    /** The same with other files. */
    MessageContent attaching(List<AttachedFile> others) {
        return new MessageContent(text, html, pictures, others);
    }
}
