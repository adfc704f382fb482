package famulus.server.messages;

import famulus.server.messages.MimeWriter.Mailbox;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.util.UUID;

/**
 * Between whom a message goes, and under which subject.
 *
 * @param writtenBy who pressed send
 * @param sender who it goes out as
 * @param person whom it was merged for
 * @param to where it goes: that person, or a colleague who gets a test
 * @param test whether it goes to a colleague to be looked at
 */
public record Envelope(UUID writtenBy, Colleague sender, Person person, Mailbox to, String subject, boolean test) {
    /** Where it comes from. */
    Mailbox from() {
        return new Mailbox(sender.name(), sender.email());
    }
}
