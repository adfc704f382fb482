package famulus.server.mailings;

import famulus.server.outbox.OutboxService;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Leaves out whoever has not got a mailing that was stopped. */
@Component
class MailingEnding {
    /** Those whose message is in nobody’s hands. */
    private static final Set<PersonState> WAITING = Set.of(PersonState.PLANNED, PersonState.HELD, PersonState.WAITING);

    private final MailingMapper mailings;
    private final MailingPersonMapper people;
    private final OutboxService outbox;
    private final MailingEvents events;

    MailingEnding(MailingMapper mailings, MailingPersonMapper people, OutboxService outbox, MailingEvents events) {
        this.mailings = mailings;
        this.people = people;
        this.outbox = outbox;
        this.events = events;
    }

    /**
     * Leaves out everybody of a mailing whose message is in nobody’s hands; what was made for them is taken back.
     *
     * @param all of them, locked by whoever asks
     * @param said why
     */
    void leaveOut(UUID mailing, List<MailingPerson> all, String said) {
        all.stream().filter(one -> WAITING.contains(one.state())).forEach(one -> leaveOut(one, said));
        mailings.recount(mailing);
        events.changed(mailing);
    }

    /** Leaves those out whose message was in the hands of a process that has ended, where the mailing was stopped since. */
    @Transactional
    public void takeUp() {
        List<MailingPerson> stranded = people.stranded();
        stranded.forEach(one ->
                leaveOut(one, mailings.byId(one.mailingId()).orElseThrow().said()));
        stranded.stream().map(MailingPerson::mailingId).distinct().forEach(mailings::recount);
    }

    private void leaveOut(MailingPerson person, String said) {
        if (person.messageId() != null) {
            outbox.dropOfMailing(person.messageId());
        }
        people.become(person.mailingId(), person.chosenId(), PersonState.LEFT_OUT, said);
    }
}
