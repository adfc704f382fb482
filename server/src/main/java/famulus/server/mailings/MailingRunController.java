package famulus.server.mailings;

import famulus.server.desk.ProofPresenter;
import famulus.server.desk.ShownProof;
import famulus.server.messages.MessageDraftService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.SendingWishes.Hour;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Testing, starting and stopping a mailing, and what is done for one of its people. */
@RestController
@RequestMapping("/api/mailings/{id}")
class MailingRunController {
    private final MailingStart start;
    private final MailingHands hands;
    private final MailingMove move;
    private final MailingService mailings;
    private final MailingPersonMapper people;
    private final MessageDraftService drafts;
    private final ProofPresenter shown;

    MailingRunController(
            MailingStart start,
            MailingHands hands,
            MailingMove move,
            MailingService mailings,
            MailingPersonMapper people,
            MessageDraftService drafts,
            ProofPresenter shown) {
        this.start = start;
        this.hands = hands;
        this.move = move;
        this.mailings = mailings;
        this.people = people;
        this.drafts = drafts;
        this.shown = shown;
    }

    /**
     * A test to be sent.
     *
     * @param keys for whom it is merged; the first of all where nobody is named
     * @param to colleagues
     * @param list whether it goes to the check inboxes as well
     */
    record MailingTest(List<UUID> keys, List<UUID> to, boolean list) {}

    record SentMailingTests(int sent) {}

    @PostMapping("/tests")
    SentMailingTests test(Colleague asking, @PathVariable UUID id, @RequestBody MailingTest test) {
        List<UUID> to = test.to() == null ? List.of() : test.to();
        return new SentMailingTests(hands.test(id, test.keys(), to, test.list(), asking));
    }

    record MailingWordsOf(UUID template) {}

    /** Makes words of its own of what a mailing says, to be changed on the desk. */
    @PostMapping("/own-words")
    MailingWordsOf words(Colleague asking, @PathVariable UUID id) {
        return new MailingWordsOf(mailings.ownWords(id, asking));
    }

    /** Has a mailing say what its template says again. */
    @DeleteMapping("/own-words")
    void asTheTemplateSays(Colleague asking, @PathVariable UUID id) {
        mailings.asTheTemplateSays(id, asking);
    }

    /**
     * What whoever starts a mailing has seen.
     *
     * @param version of the mailing
     * @param people how many it is to go to
     */
    record MailingToStart(int version, int people) {}

    @PostMapping("/start")
    void start(Colleague asking, @PathVariable UUID id, @RequestBody MailingToStart seen) {
        start.start(id, seen.version(), seen.people(), asking);
    }

    @PostMapping("/pause")
    void pause(Colleague asking, @PathVariable UUID id) {
        hands.pause(id, asking);
    }

    @PostMapping("/stop")
    void stop(Colleague asking, @PathVariable UUID id) {
        hands.stop(id, asking);
    }

    /** When what is left of a mailing leaves from; null for all of it at once. */
    record MailingHour(@Schema(nullable = true) Hour hour) {}

    @PutMapping("/hour")
    void moveAll(Colleague asking, @PathVariable UUID id, @RequestBody MailingHour moved) {
        move.move(id, moved.hour(), asking);
    }

    /**
     * Somebody on the list of a mailing that was started; moments are null where there are none.
     *
     * @param why they are held, were refused or left out
     * @param message the message they got, or are about to get; null while there is none
     */
    record ShownMailingPerson(
            UUID key,
            CrmKind kind,
            UUID person,
            @Schema(nullable = true) UUID deal,
            String name,
            String address,
            PersonState state,
            String why,
            boolean held,
            boolean own,
            @Schema(nullable = true) Instant dueAt,
            boolean moved,
            @Schema(nullable = true) Instant leftAt,
            @Schema(nullable = true) UUID message,
            @Schema(nullable = true) Instant openedAt,
            @Schema(nullable = true) Instant clickedAt,
            @Schema(nullable = true) Instant repliedAt,
            boolean unsubscribed) {}

    /** Everybody of a mailing that was started, by name. */
    @GetMapping("/people")
    List<ShownMailingPerson> people(Colleague asking, @PathVariable UUID id) {
        mailings.get(id);
        return people.all(id).stream()
                .map(one -> new ShownMailingPerson(
                        one.chosenId(),
                        CrmKind.of(one.personKind()),
                        one.personId(),
                        one.dealId(),
                        one.name(),
                        one.address(),
                        one.state(),
                        one.why(),
                        one.heldBy() != null,
                        one.draftId() != null,
                        one.dueAt(),
                        one.moved(),
                        one.leftAt(),
                        one.messageId(),
                        one.openedAt(),
                        one.clickedAt(),
                        one.repliedAt(),
                        one.unsubscribed()))
                .toList();
    }

    /** What one of them gets, whole. */
    @GetMapping("/people/{key}")
    ShownProof preview(Colleague asking, @PathVariable UUID id, @PathVariable UUID key) {
        MessageDraft draft = drafts.read(hands.message(id, key, asking), asking);
        return shown.of(draft.proof(), draft.about(), List.of());
    }

    /** Whether somebody is held back, and why; for colleagues. */
    record HeldPerson(boolean held, @Schema(nullable = true) String why) {}

    @PutMapping("/people/{key}/held")
    void hold(Colleague asking, @PathVariable UUID id, @PathVariable UUID key, @RequestBody HeldPerson held) {
        hands.hold(id, key, held.held(), held.why(), asking);
    }

    /** When what somebody gets leaves; null for at once, and before the start for when it is planned. */
    record OwnHour(@Schema(nullable = true) Hour hour) {}

    @PutMapping("/people/{key}/hour")
    void move(Colleague asking, @PathVariable UUID id, @PathVariable UUID key, @RequestBody OwnHour moved) {
        hands.move(id, key, moved.hour(), asking);
    }

    record OwnWords(UUID draft) {}

    /** Makes words of their own of what somebody gets. */
    @PostMapping("/people/{key}/own-words")
    OwnWords ownWords(Colleague asking, @PathVariable UUID id, @PathVariable UUID key) {
        return new OwnWords(hands.ownWords(id, key, asking));
    }

    /** A value that somebody lacks, by the path of its field. */
    record FilledValue(String path, String value) {}

    /** Fills in what somebody lacks, for this mailing alone. */
    @PostMapping("/people/{key}/values")
    void fill(Colleague asking, @PathVariable UUID id, @PathVariable UUID key, @RequestBody FilledValue filled) {
        hands.fill(id, key, filled.path(), filled.value(), asking);
    }

    @DeleteMapping("/people/{key}/own-words")
    void noOwnWords(Colleague asking, @PathVariable UUID id, @PathVariable UUID key) {
        hands.noOwnWords(id, key, asking);
    }

    /** Sends to somebody again whose message was refused, or who is held. */
    @PostMapping("/people/{key}/again")
    void again(Colleague asking, @PathVariable UUID id, @PathVariable UUID key) {
        hands.again(id, key, asking);
    }
}
