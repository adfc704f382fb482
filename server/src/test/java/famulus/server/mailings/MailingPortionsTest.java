package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.core.audience.Candidate;
import famulus.core.audience.ReaderChoice;
import famulus.server.mailings.MailingMessages.Prepared;
import famulus.server.mailings.MailingMessages.ReadMessage;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.messages.MessageDraftService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.outbox.FakeMailServer.Step;
import famulus.server.platform.Revisions;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

class MailingPortionsTest extends MailingTest {
    @Autowired
    private MailingService mailings;

    @Autowired
    private MailingPersonMapper persons;

    @Autowired
    private MailingMessages messages;

    @Autowired
    private MessageDraftService drafts;

    @Autowired
    private Revisions revisions;

    @Test
    void whatChangesAfterItWasReadAheadIsSaid() throws Exception {
        UUID id = mailing(readers(20));
        tested(id);
        post.takeTime(Step.DOT);
        start(id, 20);
        post.awaitSlowStep();
        // Each hand has one; those who come next have been read.
        await().until(() -> planned(id).size() == 20 - MailingSender.AT_ONCE);
        UUID next = planned(id).getFirst();
        change(next, "first_name", "Rowan");
        post.goOn();
        reaches(id, "DONE");
        arrive(20);
        assertThat(wires())
                .filteredOn(wire -> wire.contains("Dear Rowan, will"))
                .hasSize(1);
        assertThat(wires())
                .filteredOn(wire -> wire.contains("Dear Reader, will"))
                .hasSize(19);
    }

    @Test
    void readTogetherEachIsReadAsByThemselves() throws Exception {
        template = template(
                "CONTACT",
                "A {contact.job_title ? \"grower\"}, written to {history.times_written} times",
                "Dear {person.first_name}, is {sender.first_name} to call you at {contact.phone}? Lorem ipsum.");
        change(ines, "phone", "+44 1632 960001");
        change(tobias, "job_title", "Miller");
        UUID id = mailing(ines, tobias, priya);
        Mailing mailing = mailings.get(id);
        Wordings said = words(mailing);
        List<MailingPerson> people = new ArrayList<>();
        for (UUID one : List.of(ines, tobias, priya)) {
            people.add(person(id, one));
        }
        Map<UUID, ReadMessage> read = messages.read(mailing, people, said, signe);
        assertThat(read).hasSize(3);
        for (MailingPerson person : people) {
            Prepared alone = messages.prepared(mailing, person, said, signe);
            ReadMessage together = read.get(person.chosenId());
            assertThat(together.prepared()).isEqualTo(alone);
            MessageDraft draft = drafts.read(alone.message(), signe);
            assertThat(together.read().draft().proof().merged())
                    .isEqualTo(draft.proof().merged());
            assertThat(together.read().draft().proof().notes())
                    .isNotEmpty()
                    .isEqualTo(draft.proof().notes());
            assertThat(together.read().draft().template()).isEqualTo(draft.template());
        }
    }

    private Wordings words(Mailing mailing) {
        return wordings.now(mailing.plan().what(), signe, signe).orElseThrow();
    }

    @Autowired
    private MailingWords wordings;

    private static MailingPerson person(UUID mailing, UUID contact) {
        Candidate candidate = new Candidate(
                contact,
                Optional.of(contact),
                "",
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                ReaderChoice.NONE,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        return MailingPerson.planned(mailing, candidate, new For(CrmKind.CONTACT, contact, null));
    }

    @Test
    void whatMailingsWriteThemselvesChangesNoSource() throws Exception {
        int before = revisions.now(SourceChanges.REVISION);
        change(ines, "job_title", "Grower");
        int changed = revisions.now(SourceChanges.REVISION);
        assertThat(changed).isGreaterThan(before);
        UUID id = mailing(ines, tobias);
        send(id, 2);
        reaches(id, "DONE");
        arrive(2);
        assertThat(revisions.now(SourceChanges.REVISION)).isEqualTo(changed);
    }
}
