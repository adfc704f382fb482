package famulus.server.records;

import famulus.core.record.PlainLine;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.HistoryMapper.Before;
import famulus.server.records.HistoryMapper.EntryRow;
import famulus.server.records.HistoryMapper.NewEntry;
import famulus.server.records.HistoryMapper.WrittenBy;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A record’s history: messages, calls, notes, and replies that came another way. */
@Service
public class HistoryService {
    private static final int MOST_ENTRIES = 100;
    private static final int LONGEST_CALL = 24 * 60;

    private final HistoryMapper mapper;
    private final Ids ids;
    private final Clock clock;
    private final PersonSummaries summaries;

    HistoryService(HistoryMapper mapper, Ids ids, Clock clock, PersonSummaries summaries) {
        this.summaries = summaries;
        this.mapper = mapper;
        this.ids = ids;
        this.clock = clock;
    }

    /** What is noted by hand. */
    public enum EntryKind {
        CALL,
        NOTE,
        /** The person answered, but not by mail. */
        ANSWERED_ELSEWHERE
    }

    /**
     * One entry of a history.
     *
     * @param kind MESSAGE, or one of {@link EntryKind}
     * @param words a message's subject, or what was noted
     * @param person to whom, on pages that gather several people; may be empty
     * @param template what a message was written from; may be empty
     * @param state of a message: WAITING, HELD, SENDING, SENT, NOT_SURE or REFUSED; else empty
     * @param firstWords what a message begins with; empty for anything else
     * @param plannedFor when a message leaves that waits for its hour; null for anything else
     * @param openedAt when a message was opened last, as far as it is known; null when it is not
     * @param clicked the link of a message that was followed last; empty when none was
     * @param unsubscribed whether the message made its reader want no rounds
     * @param mine whether whoever asks noted it, and so may take it back
     */
    public record HistoryEntry(
            UUID id,
            String kind,
            Instant at,
            String by,
            int minutes,
            String words,
            String person,
            String template,
            String state,
            String firstWords,
            @Schema(nullable = true) Instant plannedFor,
            @Schema(nullable = true) Instant openedAt,
            String clicked,
            boolean unsubscribed,
            boolean mine) {}

    /**
     * A portion of a history, newest first.
     *
     * @param more whether there is more, which is older
     */
    public record HistoryPortion(List<HistoryEntry> said, boolean more) {}

    /**
     * A record’s history, newest first, in portions.
     *
     * @param before the moment and identifier of the last entry of the portion before; null for the newest
     */
    public HistoryPortion said(CrmKind kind, UUID id, Instant before, UUID beforeId, Colleague asking) {
        Before last = before == null || beforeId == null ? null : new Before(before, beforeId);
        List<EntryRow> rows = mapper.entries(kind.word(), id, last, MOST_ENTRIES + 1, asking);
        return new HistoryPortion(
                rows.stream().limit(MOST_ENTRIES).map(row -> said(row, asking)).toList(), rows.size() > MOST_ENTRIES);
    }

    private static HistoryEntry said(EntryRow row, Colleague asking) {
        return new HistoryEntry(
                row.id(),
                row.kind(),
                row.at(),
                row.byName(),
                row.minutes() == null ? 0 : row.minutes(),
                row.words(),
                row.person() == null ? "" : row.person(),
                row.templateName() == null ? "" : row.templateName(),
                row.state() == null ? "" : row.state(),
                row.firstWords(),
                row.plannedFor(),
                row.openedAt(),
                row.clicked() == null ? "" : row.clicked(),
                row.unsubscribed(),
                row.byId().equals(asking.id()));
    }

    /**
     * Notes something.
     *
     * @param minutes how long a call took; 0 for anything else
     * @return the entry's identifier
     */
    @Transactional
    public UUID note(CrmKind kind, UUID record, EntryKind what, int minutes, String words, Colleague by) {
        Map<String, String> wrong = new LinkedHashMap<>();
        boolean needsWords = what == EntryKind.NOTE;
        PlainLine.refusalOfLines(words, 4000, needsWords).ifPresent(sentence -> wrong.put("words", sentence));
        if (minutes < 0 || minutes > LONGEST_CALL) {
            wrong.put("minutes", "A call takes between 0 minutes and a day.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        UUID id = ids.next();
        keep(id, kind, record, what, clock.instant(), minutes, words, by.id());
        return id;
    }

    /** Puts an entry in place as it is; for the demo's data. */
    public void keep(
            UUID id, CrmKind kind, UUID record, EntryKind what, Instant at, int minutes, String words, UUID by) {
        mapper.insert(new NewEntry(
                id,
                what.name(),
                kind.word(),
                record,
                kind == CrmKind.DEAL ? record : null,
                at,
                by,
                what == EntryKind.CALL ? minutes : null,
                words == null ? "" : words.strip()));
        if (kind.isPerson()) {
            summaries.heard(record);
        }
    }

    /** Takes an entry back; only who wrote it may. */
    @Transactional
    public void takeBack(UUID id, Colleague by) {
        WrittenBy entry = mapper.writtenBy(id).orElseThrow(() -> Refusal.missing("This entry"));
        if (!entry.byId().equals(by.id())) {
            throw Refusal.forbidden("Only the person who added it can remove it.");
        }
        mapper.delete(id);
        summaries.heard(entry.recordId());
    }
}
