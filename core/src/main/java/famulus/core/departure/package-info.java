/**
 * What may leave. One rule for all that is sent or given to others to send: {@link famulus.core.departure.Departure} takes the
 * notes of the proofreader about the very words that leave, and says which of them stop it. A message that was changed by
 * hand is read like any other: it is a text of its own (package {@code famulus.core.message.personal}).
 *
 * <pre>{@code
 * List<Note> stops = Departure.stops(Leaving.SEND, notes);
 * String said = stops.isEmpty() ? "It may leave." : stops.getFirst().title();
 * }</pre>
 *
 * <p>A mailing is asked about twice: as a whole ({@link famulus.core.departure.WholeMailing}), and for each of its messages like
 * any other message.
 *
 * <p>Nothing here knows who asks, or how a message travels: whoever sends, tests or marks ready asks the same question.
 */
package famulus.core.departure;
