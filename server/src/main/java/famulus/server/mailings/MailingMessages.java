package famulus.server.mailings;

import famulus.server.mailings.MailingPlan.From;
import famulus.server.mailings.MailingPlan.What;
import famulus.server.mailings.MailingWords.Wording;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.messages.AudienceService;
import famulus.server.messages.DraftsForMany;
import famulus.server.messages.KeptDraftService;
import famulus.server.messages.ManyMessages;
import famulus.server.messages.MessageDraftService;
import famulus.server.messages.MessageDraftService.MessageBeside;
import famulus.server.messages.MessageToSend;
import famulus.server.messages.SendingWishes;
import famulus.server.messages.SendingWishes.ToSeveral;
import famulus.server.records.CrmRecord;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Puts together what one person gets of a mailing, as a message that could be sent by itself. */
@Component
class MailingMessages {
    private final KeptDraftService drafts;
    private final MessageDraftService languages;
    private final DraftsForMany many;
    private final ManyMessages readers;
    private final RecordService records;
    private final TeamService team;

    MailingMessages(
            KeptDraftService drafts,
            MessageDraftService languages,
            DraftsForMany many,
            ManyMessages readers,
            RecordService records,
            TeamService team) {
        this.drafts = drafts;
        this.languages = languages;
        this.many = many;
        this.readers = readers;
        this.records = records;
        this.team = team;
    }

    /**
     * The identifier of the message to somebody, always the same: whoever makes it twice makes it once.
     *
     * @param turn counts messages after the first one, which was refused
     */
    static UUID id(UUID mailing, UUID chosen, int turn) {
        return UUID.nameUUIDFromBytes(
                ("mailing " + mailing + " " + chosen + " " + turn).getBytes(StandardCharsets.UTF_8));
    }

    /** Who looks after each of what was chosen; nobody where nobody does any more. */
    Map<UUID, Colleague> owners(MailingPlan plan, Collection<UUID> chosen) {
        Map<UUID, CrmRecord> found = records.all(plan.who().kind(), chosen);
        Map<UUID, Optional<Colleague>> colleagues = new HashMap<>();
        Map<UUID, Colleague> owners = new HashMap<>();
        found.forEach((id, record) -> record.relation("owner")
                .flatMap(owner -> colleagues.computeIfAbsent(owner, team::find))
                .filter(Colleague::active)
                .ifPresent(owner -> owners.put(id, owner)));
        return owners;
    }

    /** Who a message goes out as; whoever starts the mailing for what nobody looks after. */
    static Colleague sender(
            MailingPlan plan, Optional<Colleague> owner, Optional<Colleague> chosen, Colleague starting) {
        return plan.what().from() == From.OWNER ? owner.orElse(starting) : chosen.orElse(starting);
    }

    /** The colleague whose name all of it goes out in; empty for whoever starts it, and for each record’s owner. */
    Optional<Colleague> chosenSender(What what) {
        return what.from() == From.OWNER
                ? Optional.empty()
                : Optional.ofNullable(what.sender()).flatMap(team::find);
    }

    /**
     * The message to somebody: their own words where somebody has changed them, else those of the mailing.
     *
     * @param wording in their language
     * @param sender who it goes out as
     * @param owner who looks after the record
     * @param reason why they get it who would have been left out; empty for others
     */
    private MessageToSend message(
            Mailing mailing,
            MailingPerson person,
            Wording wording,
            Colleague sender,
            Optional<Colleague> owner,
            Optional<String> reason) {
        UUID id = id(mailing.id(), person.chosenId(), person.turn());
        Optional<MessageToSend> own = drafts.ofMailing(person.draftId(), mailing.id());
        return own.map(message -> message.of(id, sender.id(), wishes(mailing, message.wishes(), reason)))
                .orElseGet(() -> asTheMailingSays(mailing, person, wording, sender, owner, reason, id));
    }

    private MessageToSend asTheMailingSays(
            Mailing mailing,
            MailingPerson person,
            Wording wording,
            Colleague sender,
            Optional<Colleague> owner,
            Optional<String> reason,
            UUID id) {
        What what = mailing.plan().what();
        For to = person.to();
        List<String> copies = what.ownerCopy()
                ? owner.map(Colleague::email).filter(one -> !one.equalsIgnoreCase(sender.email())).stream()
                        .toList()
                : List.of();
        SendingWishes wished = new SendingWishes(null, copies, null, what.replyTo(), null, null, null, null);
        return new MessageToSend(
                id,
                wording.template(),
                to.kind(),
                to.id(),
                to.deal(),
                null,
                sender.id(),
                null,
                what.answers(),
                wording.words(),
                null,
                wishes(mailing, wished, reason));
    }

    private SendingWishes wishes(Mailing mailing, SendingWishes wishes, Optional<String> reason) {
        boolean several = many.choosable(mailing.plan().who().kind());
        return wishes.to(several ? new ToSeveral(mailing.plan().what().topic(), reason.orElse(null)) : null)
                .of(mailing.id());
    }

    /** What somebody gets, with who it goes out as. */
    record Prepared(MessageToSend message, Colleague sender) {}

    /**
     * What somebody gets.
     *
     * @param starting who starts the mailing, or asks as if they did
     */
    Prepared prepared(Mailing mailing, MailingPerson person, Wordings said, Colleague starting) {
        MailingPlan plan = mailing.plan();
        Optional<Colleague> owner =
                Optional.ofNullable(owners(plan, List.of(person.chosenId())).get(person.chosenId()));
        Colleague sender = sender(plan, owner, chosenSender(plan.what()), starting);
        Wording wording = said.others().isEmpty() ? said.usual() : said.in(languages.language(person.to(), sender));
        return prepared(mailing, person, wording, sender, owner);
    }

    private Prepared prepared(
            Mailing mailing, MailingPerson person, Wording wording, Colleague sender, Optional<Colleague> owner) {
        Optional<String> reason = Optional.ofNullable(reasons(mailing.plan()).get(person.chosenId()));
        return new Prepared(message(mailing, person, wording, sender, owner, reason), sender);
    }

    /** What somebody gets, with how it reads for them. */
    record ReadMessage(Prepared prepared, MessageBeside read) {}

    /**
     * What each gets in the words of the mailing, read at once, by what they were chosen as; without those who can’t be read so,
     * who are refused when they are read by themselves.
     */
    Map<UUID, ReadMessage> read(Mailing mailing, List<MailingPerson> people, Wordings said, Colleague starting) {
        MailingPlan plan = mailing.plan();
        Map<UUID, Colleague> owners =
                owners(plan, people.stream().map(MailingPerson::chosenId).toList());
        Optional<Colleague> chosen = chosenSender(plan.what());
        Map<UUID, ReadMessage> all = new HashMap<>();
        people.stream()
                .collect(Collectors.groupingBy(
                        one -> sender(plan, Optional.ofNullable(owners.get(one.chosenId())), chosen, starting)))
                .forEach((sender, theirs) -> {
                    Map<For, String> spoken = languages.languages(
                            theirs.stream().map(MailingPerson::to).toList(), sender);
                    Map<UUID, Prepared> prepared = new LinkedHashMap<>();
                    theirs.stream().filter(one -> spoken.containsKey(one.to())).forEach(one -> {
                        Wording wording = said.in(spoken.get(one.to()));
                        Optional<Colleague> owner = Optional.ofNullable(owners.get(one.chosenId()));
                        prepared.put(one.chosenId(), prepared(mailing, one, wording, sender, owner));
                    });
                    Map<UUID, MessageBeside> read = readers.read(
                            prepared.values().stream().map(Prepared::message).toList(), spoken, starting);
                    prepared.forEach((key, one) -> Optional.ofNullable(
                                    read.get(one.message().id()))
                            .ifPresent(beside -> all.put(key, new ReadMessage(one, beside))));
                });
        return all;
    }

    /** Why each gets it who would have been left out. */
    static Map<UUID, String> reasons(MailingPlan plan) {
        return AudienceService.reasons(plan.who().putBack());
    }
}
