package famulus.server.messages;

import famulus.server.messages.MimeWriter.Mailbox;
import famulus.server.messages.MimeWriter.Parties;
import famulus.server.messages.Recipient.How;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * Between whom a message goes, and under which subject.
 *
 * @param writtenBy who pressed send
 * @param sender who it goes out as
 * @param person whom it was merged for
 * @param to where it goes: that person, or a colleague who gets a test
 * @param others who else gets it
 * @param test whether it goes to a colleague to be looked at
 */
public record Envelope(
        UUID writtenBy,
        Colleague sender,
        Person person,
        Mailbox to,
        List<Recipient> others,
        String subject,
        boolean test) {
    public Envelope {
        others = List.copyOf(others);
    }

    /** A message to one mailbox alone. */
    Envelope(UUID writtenBy, Colleague sender, Person person, Mailbox to, String subject, boolean test) {
        this(writtenBy, sender, person, to, List.of(), subject, test);
    }

    /** Where it comes from. */
    Mailbox from() {
        return new Mailbox(sender.name(), sender.email());
    }

    /** Who is named in the message itself. */
    Parties parties() {
        return new Parties(
                from(),
                Stream.concat(Stream.of(to), others(How.TO)).toList(),
                others(How.CC).toList());
    }

    private Stream<Mailbox> others(How how) {
        return others.stream().filter(one -> one.how() == how).map(Recipient::mailbox);
    }
}
