package famulus.server.messages;

import famulus.core.audience.ReaderChoice;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.merge.Origin;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Content;
import famulus.core.message.body.Inserts;
import famulus.core.message.personal.MergedText;
import famulus.core.message.personal.MergedText.FilledValue;
import famulus.core.message.personal.NewValue;
import famulus.core.message.personal.OwnTexts;
import famulus.core.message.personal.PersonalMessage;
import famulus.core.message.personal.StandingValue;
import famulus.server.choices.ReaderChoices;
import famulus.server.donotemail.DoNotEmailService;
import famulus.server.library.TemplateService;
import famulus.server.messages.FrozenMessage.TemplateVersion;
import famulus.server.messages.LeavingPlan.FieldValue;
import famulus.server.messages.MessageDraftService.MessageBeside;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.SendingWishes.ToSeveral;
import famulus.server.platform.Refusal;
import famulus.server.records.DealService;
import famulus.server.records.PersonSummaries;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * Looks at a message once more just before it leaves. Its words were frozen when it was sent; what has changed since and
 * matters to them, or to whether it may go at all, holds it.
 */
@Service
public class LeavingCheck {
    private static final int MOST_SAID = 3;
    private static final Set<Origin> VALUES = Set.of(Origin.RECORD, Origin.FALLBACK, Origin.GAP);

    private final LeavingPlans plans;
    private final ReaderChoices choices;
    private final MessageDraftService drafts;
    private final DealService deals;
    private final TemplateService templates;
    private final SenderRights senders;
    private final DoNotEmailService doNotEmail;
    private final PersonSummaries summaries;
    private final TeamService team;
    private final Clock clock;

    LeavingCheck(
            LeavingPlans plans,
            MessageDraftService drafts,
            DealService deals,
            TemplateService templates,
            SenderRights senders,
            DoNotEmailService doNotEmail,
            PersonSummaries summaries,
            TeamService team,
            Clock clock,
            ReaderChoices choices) {
        this.choices = choices;
        this.plans = plans;
        this.drafts = drafts;
        this.deals = deals;
        this.templates = templates;
        this.senders = senders;
        this.doNotEmail = doNotEmail;
        this.summaries = summaries;
        this.team = team;
        this.clock = clock;
    }

    /**
     * Keeps what a message was made of, within the transaction that takes it. Called once it counts in its person's history,
     * which its words may tell of.
     */
    public void keep(MessageToSend message, FrozenMessage frozen, Colleague writer) {
        Instant at = message.leaves().orElseGet(clock::instant);
        TemplateVersion template = frozen.template();
        MessageDraft draft = drafts.read(message, writer);
        keep(message, frozen, draft, begun(template, message, draft.sender(), at));
    }

    /**
     * The same of a message that has just been read; it is read once more where it tells of its person's history, in which it counts
     * by now, or of another version of its template.
     */
    public void keep(MessageToSend message, FrozenMessage frozen, MessageBeside read, Colleague writer) {
        boolean history = Stream.concat(
                        read.draft().proof().program().paths().stream().map(Path::toString),
                        read.begun().texts().values().stream()
                                .flatMap(text -> text.values().stream())
                                .map(FilledValue::path))
                .anyMatch(path -> path.startsWith(Root.HISTORY.word() + "."));
        boolean same = read.draft()
                .template()
                .map(one -> new TemplateVersion(one.id(), one.version()))
                .equals(Optional.ofNullable(frozen.template()));
        if (history || !same) {
            keep(message, frozen, writer);
        } else {
            keep(message, frozen, read.draft(), Optional.of(read.begun()));
        }
    }

    private void keep(
            MessageToSend message, FrozenMessage frozen, MessageDraft draft, Optional<PersonalMessage> begun) {
        TemplateVersion template = frozen.template();
        plans.keep(
                frozen.id(),
                new LeavingPlan(
                        message,
                        template == null ? null : template.id(),
                        template == null ? 0 : template.version(),
                        begun.map(PersonalMessage::texts).orElse(Map.of()),
                        begun.map(PersonalMessage::links).orElse(Map.of()),
                        fields(draft),
                        items(draft)));
    }

    /** Forgets it, once the message is taken back. */
    public void forget(UUID message) {
        plans.forget(message);
    }

    /**
     * A message that is about to leave.
     *
     * @param addresses all that it goes to
     * @param asItIs whether somebody has said that it is to go as it is, whatever has changed in its records
     */
    public record AboutToLeave(
            UUID id, UUID writtenBy, UUID person, Instant takenAt, List<String> addresses, boolean asItIs) {}

    /** Why a message does not leave now, in sentences; empty when nothing holds it. */
    public Optional<String> held(AboutToLeave message) {
        Optional<String> stopped = doNotEmail.stopped(message.addresses()).entrySet().stream()
                .findFirst()
                .map(one -> one.getValue().sentence(one.getKey()));
        return stopped.or(() -> plans.of(message.id()).flatMap(plan -> held(message, plan)));
    }

    private Optional<String> held(AboutToLeave message, LeavingPlan plan) {
        try {
            Colleague writer = team.find(message.writtenBy()).orElseThrow(() -> Refusal.missing("Whoever wrote this"));
            if (!writer.active()) {
                return Optional.of(writer.name() + " has left the team.");
            }
            MessageToSend said = plan.message();
            senders.of(said.to(), said.sender(), said.wishes().ofMailing(), writer);
            Optional<String> unwanted = unwanted(plan.message());
            if (unwanted.isPresent()) {
                return unwanted;
            }
            return message.asItIs()
                    ? Optional.empty()
                    : replied(message).or(() -> changed(plan, clock.instant(), writer));
        } catch (Refusal refusal) {
            // Its person has gone from our records, or its writer may not write for its sender any more.
            return Optional.of(refusal.getMessage());
        }
    }

    /** One of several does not leave to somebody who has said since that they want none, whoever says it is to go. */
    private Optional<String> unwanted(MessageToSend message) {
        ToSeveral several = message.wishes().several();
        if (several == null) {
            return Optional.empty();
        }
        ReaderChoice choice = choices.of(message.person());
        boolean topic = several.topic() != null && choice.refused().contains(several.topic());
        return choice.nothing() || topic
                ? Optional.of("They have unsubscribed since this was written.")
                : Optional.empty();
    }

    private Optional<String> replied(AboutToLeave message) {
        return summaries
                .lastReply(message.person())
                .filter(reply -> reply.isAfter(message.takenAt()))
                .map(reply -> "They have replied since this was written.");
    }

    /** What a message on its way would say differently if it left at another hour; empty when nothing. */
    public Optional<String> changedAt(UUID message, Instant at, UUID writtenBy) {
        return plans.of(message)
                .flatMap(plan -> changed(plan, at, team.find(writtenBy).orElseThrow()));
    }

    private Optional<String> changed(LeavingPlan plan, Instant at, Colleague writer) {
        MessageToSend now = plan.message().byItself().at(SendingWishes.Hour.of(at));
        MessageDraft draft = drafts.read(now, writer);
        List<String> said = new ArrayList<>();
        for (StandingValue one : standing(plan, now, draft, at)) {
            NewValue newer = one.newer();
            said.add(sentence(newer.value().path(), newer.was(), newer.is(), draft));
        }
        Map<String, FieldValue> fields = new HashMap<>();
        fields(draft).forEach(field -> fields.putIfAbsent(field.written(), field));
        for (FieldValue was : plan.fields()) {
            FieldValue is = fields.get(was.written());
            if (is != null && !is.text().equals(was.text())) {
                said.add(sentence(is.path(), was.text(), is.text(), draft));
            }
        }
        if (!plan.items().equals(items(draft))) {
            said.add("The lines of the deal have changed.");
        }
        return said.isEmpty() ? Optional.empty() : Optional.of(together(said));
    }

    private static String together(List<String> said) {
        List<String> once = said.stream().distinct().toList();
        int more = once.size() - MOST_SAID;
        return String.join(" ", once.subList(0, Math.min(once.size(), MOST_SAID)))
                + (more > 0 ? " And " + more + " more." : "");
    }

    private static String sentence(String path, String was, String is, MessageDraft draft) {
        String what = label(path, draft).map(label -> "“" + label + "” is ").orElse("A date that is worked out is ");
        String by = is.isBlank() ? "missing now" : "“" + is.strip() + "” by now";
        return was.isBlank() ? what + by + "." : what + by + "; the message says “" + was.strip() + "”.";
    }

    private static Optional<String> label(String path, MessageDraft draft) {
        return path.isEmpty()
                ? Optional.empty()
                : draft.proof().catalogue().resolve(path, draft.about()).map(FieldDefinition::label);
    }

    private List<StandingValue> standing(LeavingPlan plan, MessageToSend now, MessageDraft draft, Instant at) {
        TemplateVersion template =
                plan.template() == null ? null : new TemplateVersion(plan.template(), plan.templateVersion());
        Map<String, MergedText> texts = begun(template, now, draft.sender(), at)
                .map(PersonalMessage::texts)
                .orElse(Map.of());
        return StandingValue.of(own(plan, draft), plan.texts(), texts);
    }

    /** A message without words of its own says what its template gave. */
    private static Map<String, String> own(LeavingPlan plan, MessageDraft draft) {
        if (plan.message().words() != null) {
            return OwnTexts.of(draft.proof().source());
        }
        Map<String, String> own = new HashMap<>();
        plan.texts().forEach((key, text) -> own.put(key, text.source()));
        return own;
    }

    /** What a message is begun with; empty where what its template said is not known any more. */
    private Optional<PersonalMessage> begun(
            TemplateVersion template, MessageToSend message, Colleague sender, Instant at) {
        if (template == null) {
            return Optional.of(drafts.begun(Optional.empty(), message, sender, at));
        }
        return templates
                .kept(template.id(), template.version())
                .map(then -> drafts.begun(Optional.of(then), message, sender, at));
    }

    /** Each field once: wherever it stands, it says the same. A passage that has changed since adds or takes away none. */
    private static List<FieldValue> fields(MessageDraft draft) {
        MergedMessage merged = draft.proof().merged();
        Map<String, FieldValue> fields = new LinkedHashMap<>();
        Stream.of(merged.subject(), merged.previewText(), merged.body())
                .flatMap(part -> part.pieces().stream())
                .filter(piece -> VALUES.contains(piece.origin()))
                .forEach(piece -> fields.putIfAbsent(
                        piece.written(),
                        new FieldValue(
                                piece.written(),
                                piece.path().map(Path::toString).orElse(""),
                                piece.text())));
        return List.copyOf(fields.values());
    }

    private String items(MessageDraft draft) {
        boolean shown = draft.proof()
                .source()
                .layout()
                .map(Layout::design)
                .filter(design -> Inserts.has(design.body(), Content.Items.class))
                .isPresent();
        return shown
                ? draft.proof()
                        .person()
                        .deal()
                        .map(deals::items)
                        .map(Record::toString)
                        .orElse("")
                : "";
    }
}
