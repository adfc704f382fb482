package famulus.server.messages;

/**
 * A stretch of a sent message and where it came from.
 *
 * @param origin one of the core's origins, or TYPED for words of this message only
 * @param path which value it is; empty for words
 * @param stored the value as it was stored then; empty for words
 */
public record KeptPiece(String text, String origin, String path, String stored) {}
