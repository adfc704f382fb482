/**
 * A message merged for one person, as a text of its own: the same blocks, but its words are characters where they were
 * fields, so that all of it can be changed by hand. What is still to be filled in stays a field. It is rendered, proofread
 * and edited like any other message.
 *
 * <pre>{@code
 * PersonalMessage message = Personalised.of(source, merged);
 * MergedText subject = message.texts().get(MergedText.SUBJECT);
 * HandChanges changes = HandChanges.of(subject, "News for Ines and Tom");
 * }</pre>
 *
 * <p>{@link famulus.core.message.personal.FieldsAgain} goes the other way: what worked for one person becomes something to be
 * merged for others.
 *
 * <p>Which words are still a value of a record, and which were changed by hand, is found here from the words alone: nobody
 * has to say so, and nobody is believed.
 */
package famulus.core.message.personal;
