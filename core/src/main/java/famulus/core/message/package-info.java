/**
 * A message: its three texts parsed together, merged for one person, and written out as plain text.
 *
 * <pre>{@code
 * MessageProgram program = new MessageSource("For {person.last_name}", "", "Dear …").parse();
 * MergedMessage message = program.merge(merger, context);
 * String wire = FlowedText.of(message.body().text());   // text/plain; format=flowed
 * }</pre>
 */
package famulus.core.message;
