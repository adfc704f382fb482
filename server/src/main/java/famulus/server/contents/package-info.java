/**
 * Bytes that several things may hold, kept once each.
 *
 * <p>{@link famulus.server.contents.Contents} keeps any bytes by what they are: the same picture kept twice is there once.
 * {@link famulus.server.contents.WireSources} keeps messages as they are on the wire: the pictures and files within one are
 * taken out and kept as contents, and what is left is packed; read back, it is the same to the byte.
 *
 * <pre>
 *     sources.keep(id, bytes);     // 500 messages with one file of 5 MB take 5 MB
 *     sources.read(id);            // the very bytes
 * </pre>
 */
package famulus.server.contents;
