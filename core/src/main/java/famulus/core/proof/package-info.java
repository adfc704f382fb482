/**
 * The proofreader: one small class a {@link famulus.core.proof.Check check}, each of which reads a message and says
 * what it has to say in {@link famulus.core.proof.Note margin notes} with a place.
 *
 * <pre>{@code
 * List<Note> notes = Proofreader.standard().read(subject);   // a message as it was merged for one person
 * boolean mayLeave = notes.stream().noneMatch(Note::stops);
 * }</pre>
 */
package famulus.core.proof;
