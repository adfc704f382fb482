package famulus.server.messages;

import famulus.core.message.personal.MergedText;
import famulus.core.message.personal.OwnTexts;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.messages.KeptDraftMapper.DraftRow;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.BegunWords;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The drafts that were begun from a template that is to go, and another template in its place. A draft is its writer's: what
 * colleagues are writing keeps its words, and is counted only.
 */
@Service
class DraftsOfTemplate {
    private static final int MOST = 200;

    private final KeptDraftMapper mapper;
    private final KeptDraftService kept;
    private final MessageDraftService drafts;
    private final TemplateService templates;
    private final DraftReader reader;

    DraftsOfTemplate(
            KeptDraftMapper mapper,
            KeptDraftService kept,
            MessageDraftService drafts,
            TemplateService templates,
            DraftReader reader) {
        this.mapper = mapper;
        this.kept = kept;
        this.drafts = drafts;
        this.templates = templates;
        this.reader = reader;
    }

    /**
     * A draft of whoever asks.
     *
     * @param deal null for none
     * @param changed whether its words are other ones than those it was begun with
     */
    record DraftBegun(
            UUID id,
            CrmKind kind,
            UUID person,
            UUID deal,
            String personName,
            String subject,
            int version,
            boolean changed) {}

    /**
     * The drafts that were begun from a template.
     *
     * @param mine of whoever asks, the newest first, 200 at most
     * @param others how many colleagues have
     */
    record DraftsBegun(List<DraftBegun> mine, int others) {}

    /** The drafts that were begun from a template, or one of its variants, that somebody sees. */
    DraftsBegun of(UUID template, Colleague asking) {
        templates.get(template, asking);
        List<DraftRow> rows = mapper.begun(template, asking.id(), MOST);
        return new DraftsBegun(
                rows.stream().map(row -> begun(row, asking)).toList(), mapper.begunByOthers(template, asking.id()));
    }

    private DraftBegun begun(DraftRow row, Colleague asking) {
        return new DraftBegun(
                row.id(),
                CrmKind.of(row.personKind()),
                row.personId(),
                row.dealId(),
                row.personName(),
                row.subject(),
                row.version(),
                changed(kept.get(row.id(), asking)));
    }

    private boolean changed(KeptDraft draft) {
        if (draft.message().words() == null) {
            return false;
        }
        Map<String, String> begun = draft.texts().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, one -> source(one.getValue())));
        return !OwnTexts.of(reader.source(draft.message().words())).equals(begun);
    }

    private static String source(MergedText text) {
        return text.source();
    }

    /**
     * Begins some drafts anew from another template, whatever they say now; all of them or none. Whom they go to, how and when
     * stays.
     *
     * @param other refused where it is not for the people of these drafts
     * @return how many were begun anew
     */
    @Transactional
    int replace(UUID template, UUID other, List<UUID> some, Colleague asking) {
        if (other == null || other.equals(template)) {
            throw Refusal.field("other", "Choose another template.");
        }
        for (UUID id : some) {
            KeptDraft draft = kept.open(id, asking);
            if (!template.equals(draft.message().template())) {
                throw Refusal.field("drafts", "One of these drafts was begun from another template.");
            }
            MessageToSend message = draft.message();
            Beginning beginning = new Beginning(
                    other,
                    message.words().mode(),
                    message.to(),
                    message.sender(),
                    message.leaves(),
                    message.wishes().ofMailing());
            BegunWords begun = drafts.begin(beginning, asking);
            Optional<Template> from = begun.read().template();
            from.ifPresent(one -> TemplateFit.mustFit(one, message.to()));
            kept.keep(id, draft.version(), message.saying(from.map(Template::id).orElse(null), begun.words()), asking);
        }
        return some.size();
    }
}
