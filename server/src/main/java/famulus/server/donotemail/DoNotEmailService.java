package famulus.server.donotemail;

import famulus.core.audience.DoNotEmail;
import famulus.core.record.PlainLine;
import famulus.core.table.CsvTable;
import famulus.core.table.Delimiter;
import famulus.core.table.SpreadsheetCell;
import famulus.core.table.TableRow;
import famulus.core.table.TextEncoding;
import famulus.core.table.UnreadableTable;
import famulus.server.donotemail.DoNotEmailMapper.EntryRow;
import famulus.server.platform.Events;
import famulus.server.platform.Refusal;
import famulus.server.platform.SafeCsv;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The company's do-not-email list. Whoever hears that somebody wants no mail puts them on it; only editors and
 * administrators take them off. It is by address, so that no import of people changes anything about it.
 */
@Service
public class DoNotEmailService {
    private static final int MOST_SHOWN = 100;
    private static final int LONGEST_REASON = 200;
    private static final int LARGEST_FILE = 10_000_000;
    private static final int MOST_SHOWN_WRONG = 100;

    private final DoNotEmailMapper mapper;
    private final Events events;
    private final Clock clock;

    DoNotEmailService(DoNotEmailMapper mapper, Events events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
        this.clock = clock;
    }

    /**
     * A page of the list.
     *
     * @param more whether there are entries after it
     */
    record ListPage(List<EntryRow> entries, boolean more) {}

    ListPage page(String begins, String after) {
        List<EntryRow> rows = mapper.page(
                begins == null ? "" : begins.strip().toLowerCase(Locale.ROOT),
                after == null ? "" : after,
                MOST_SHOWN + 1);
        return new ListPage(rows.stream().limit(MOST_SHOWN).toList(), rows.size() > MOST_SHOWN);
    }

    /**
     * Why an address gets no messages.
     *
     * @param entry the address itself, or a domain
     */
    public record Stopped(String entry, boolean wholeDomain, String reason) {
        /** E.g. {@code ines@larkfield.example is on the do-not-email list: asked us to stop.} */
        public String sentence(String address) {
            return address + " is on the do-not-email list" + (wholeDomain ? " with all of " + entry : "")
                    + (reason.isEmpty() ? "." : ": " + reason + (reason.endsWith(".") ? "" : "."));
        }
    }

    /** Those of some addresses that get no messages, with the reason. */
    public Map<String, Stopped> stopped(Collection<String> addresses) {
        Map<String, List<String>> keys = new LinkedHashMap<>();
        addresses.forEach(address -> keys.put(address, DoNotEmail.keys(address)));
        List<String> all =
                keys.values().stream().flatMap(List::stream).distinct().toList();
        if (all.isEmpty()) {
            return Map.of();
        }
        List<EntryRow> found = mapper.among(all);
        Map<String, Stopped> stopped = new LinkedHashMap<>();
        keys.forEach((address, theirs) -> found.stream()
                .filter(row -> theirs.contains(row.entry()))
                .findFirst()
                .ifPresent(row -> stopped.put(address, new Stopped(row.entry(), row.wholeDomain(), row.reason()))));
        return stopped;
    }

    /** Puts an address or a domain on the list; refused when it is none, or there already. */
    @Transactional
    public void add(String typed, String reason, Colleague by) {
        DoNotEmail.Read read = DoNotEmail.read(typed);
        read.refusal().ifPresent(sentence -> {
            throw Refusal.field("entry", sentence);
        });
        PlainLine.refusal(reason, LONGEST_REASON, false).ifPresent(sentence -> {
            throw Refusal.field("reason", sentence);
        });
        if (!insert(read.entry().orElseThrow(), reason, by)) {
            throw Refusal.field("entry", "This is on the list already.");
        }
        events.tell("do-not-email", "");
    }

    private boolean insert(DoNotEmail entry, String reason, Colleague by) {
        if (mapper.find(entry.key()).isPresent()) {
            return false;
        }
        mapper.insert(entry.key(), entry.wholeDomain(), reason == null ? "" : reason.strip(), by.id(), clock.instant());
        return true;
    }

    /** Takes an entry off the list; only editors and administrators may. */
    @Transactional
    public void remove(String entry, Colleague by) {
        by.mustBe("Only editors and administrators take somebody off this list.", Role.KEEPER, Role.ADMINISTRATOR);
        if (mapper.delete(entry) == 0) {
            throw Refusal.missing("This entry");
        }
        events.tell("do-not-email", "");
    }

    /**
     * What came of an import.
     *
     * @param already how many were on the list before, or twice in the file
     * @param notRead how many lines could not be read
     * @param wrong the first of them, each with its number and why
     */
    record Imported(int added, int already, int notRead, List<String> wrong) {}

    /**
     * Adds what a CSV file lists: an address or domain in the first column, a reason in the second. Nothing is taken off.
     * Lines that are no entry are said, the others are added.
     */
    @Transactional
    Imported bringIn(byte[] file, Colleague by) {
        if (file.length > LARGEST_FILE) {
            throw Refusal.field("file", "This file is larger than 10 MB.");
        }
        int added = 0;
        int already = 0;
        List<String> wrong = new ArrayList<>();
        for (TableRow row : rows(file)) {
            DoNotEmail.Read read = DoNotEmail.read(SpreadsheetCell.plain(row.cell(0)));
            String reason = SpreadsheetCell.plain(row.cell(1));
            Optional<String> refusal = read.refusal().or(() -> PlainLine.refusal(reason, LONGEST_REASON, false));
            boolean heading = row.line() == 1
                    && !row.cell(0).contains("@")
                    && read.entry().isEmpty();
            if (refusal.isPresent()) {
                if (!heading) {
                    wrong.add("Line " + row.line() + ": " + refusal.get());
                }
            } else if (insert(read.entry().orElseThrow(), reason, by)) {
                added++;
            } else {
                already++;
            }
        }
        events.tell("do-not-email", "");
        return new Imported(
                added,
                already,
                wrong.size(),
                wrong.stream().limit(MOST_SHOWN_WRONG).toList());
    }

    private static List<TableRow> rows(byte[] file) {
        List<TableRow> rows = new ArrayList<>();
        try {
            String text = text(file);
            if (text.isBlank()) {
                throw Refusal.field("file", "This file is empty.");
            }
            new CsvTable(
                            new StringReader(text),
                            Delimiter.of(text.lines().findFirst().orElse("")))
                    .forEachRemaining(rows::add);
        } catch (UnreadableTable unreadable) {
            throw Refusal.field(
                    "file",
                    (unreadable.line() > 1 ? "Line " + unreadable.line() + ": " : "") + unreadable.getMessage());
        }
        return rows.stream().filter(row -> !row.isBlank()).toList();
    }

    private static String text(byte[] file) {
        try {
            TextEncoding encoding = TextEncoding.of(new ByteArrayInputStream(file));
            return encoding.charset()
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file, encoding.skip(), file.length - encoding.skip()))
                    .toString();
        } catch (CharacterCodingException noText) {
            throw Refusal.field("file", "This is no text file.");
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /** Writes the whole list as CSV, in the form that can be imported. */
    void takeOut(Writer to) throws IOException {
        SafeCsv csv = new SafeCsv(to);
        csv.row(List.of("Address or domain", "Reason", "Added by", "Added"));
        String after = "";
        List<EntryRow> rows;
        do {
            rows = mapper.page("", after, MOST_SHOWN);
            for (EntryRow row : rows) {
                csv.row(List.of(
                        row.entry(), row.reason(), row.addedBy(), row.addedAt().toString()));
                after = row.entry();
            }
        } while (rows.size() == MOST_SHOWN);
        csv.flush();
    }
}
