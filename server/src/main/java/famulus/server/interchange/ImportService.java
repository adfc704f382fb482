package famulus.server.interchange;

import famulus.core.record.PlainLine;
import famulus.core.table.Delimiter;
import famulus.core.table.FieldGuess;
import famulus.core.table.TableColumn;
import famulus.core.table.TableStyle;
import famulus.core.table.Target;
import famulus.server.interchange.ImportReading.Sample;
import famulus.server.interchange.ImportShown.ImportSettings;
import famulus.server.interchange.ImportShown.ShownColumn;
import famulus.server.interchange.ImportShown.ShownTarget;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files that somebody imports, and how they are read. */
@Service
class ImportService {
    private static final Duration KEPT = Duration.ofDays(1);
    private static final int SHOWN = 3;
    private static final int MOST_HEADINGS = 5;
    /** Encodings that are offered. */
    private static final List<String> ENCODINGS = List.of(
            "UTF-8",
            "UTF-16LE",
            "UTF-16BE",
            "windows-1252",
            "windows-1250",
            "windows-1251",
            "windows-1253",
            "windows-1254",
            "ISO-8859-2",
            "ISO-8859-15",
            "x-MacRoman",
            "Shift_JIS",
            "GB18030",
            "Big5",
            "EUC-KR");

    private final ImportFiles files;
    private final ImportReading reading;
    private final ImportTargets targets;
    private final Ids ids;
    private final Clock clock;

    ImportService(ImportFiles files, ImportReading reading, ImportTargets targets, Ids ids, Clock clock) {
        this.files = files;
        this.reading = reading;
        this.targets = targets;
        this.ids = ids;
        this.clock = clock;
    }

    /** Keeps a file, and says how it was understood. Nothing is kept of one that can't be read to its end. */
    @Transactional(rollbackFor = IOException.class)
    public ImportShown begin(CrmKind kind, String name, InputStream bytes, Colleague asking) throws IOException {
        PlainLine.refusal(name, 200, true).ifPresent(sentence -> {
            throw Refusal.field("file", sentence);
        });
        Instant now = clock.instant();
        files.removeBefore(now.minus(KEPT));
        ImportFile file = ImportReading.unread(ids.next(), kind, name.strip(), asking.id());
        return ImportReading.readable(() -> {
            files.keep(file, now, bytes);
            ImportFile understood = reading.understood(file);
            files.update(understood);
            return shown(understood);
        });
    }

    /** A file somebody has begun to import. */
    ImportShown show(UUID id, Colleague asking) throws IOException {
        ImportFile file = files.find(id, asking);
        return ImportReading.readable(() -> shown(file));
    }

    /**
     * The same once it is known how an import of it has ended, whoever stopped it and whatever became of its answer.
     *
     * @throws Refusal when it goes on still, after half a minute
     */
    ImportShown ended(UUID id, Colleague asking) throws IOException {
        ImportFile file = files.ended(id, asking);
        return ImportReading.readable(() -> shown(file));
    }

    private ImportShown shown(ImportFile file) {
        Sample sample = reading.sample(file);
        List<Target> all = targets.of(file.kind());
        List<String> words = file.targets(sample.columns().size());
        ImportSettings settings = file.settings();
        return new ImportShown(
                file.id(),
                file.kind(),
                file.name(),
                file.cards(),
                file.rows(),
                new ImportSettings(
                        settings.encoding(),
                        settings.delimiter(),
                        settings.headings(),
                        settings.dates(),
                        settings.decimal(),
                        words),
                sample.columns().stream()
                        .map(column -> column(column, file.style()))
                        .toList(),
                all.stream()
                        .map(target -> new ShownTarget(target.word(), ImportTargets.label(target)))
                        .toList(),
                encodings(settings.encoding()),
                List.copyOf(reading.leftOut(file)),
                targets.wrong(file.kind(), ImportTargets.named(all, words)).orElse(null),
                file.done());
    }

    private static ShownColumn column(TableColumn column, TableStyle style) {
        FieldGuess guess = FieldGuess.of(column.samples(), style);
        return new ShownColumn(
                column.heading(),
                column.samples().stream()
                        .distinct()
                        .limit(SHOWN)
                        .map(cell -> cell.length() > 60 ? cell.substring(0, 60) + "…" : cell)
                        .toList(),
                guess.type(),
                guess.choices());
    }

    private static List<String> encodings(String own) {
        return ENCODINGS.contains(own)
                ? ENCODINGS
                : Stream.concat(Stream.of(own), ENCODINGS.stream()).toList();
    }

    /** Reads a file in another way, or sends its columns elsewhere. */
    @Transactional(rollbackFor = IOException.class)
    public ImportShown change(UUID id, ImportSettings settings, Colleague asking) throws IOException {
        ImportFile before = files.open(id, asking);
        check(before, settings);
        ImportFile now = before.read(settings);
        ImportSettings was = before.settings();
        boolean otherTable = !settings.encoding().equals(was.encoding())
                || !settings.delimiter().equals(was.delimiter())
                || settings.headings() != was.headings();
        return ImportReading.readable(() -> {
            ImportFile changed = otherTable ? reading.matched(now) : now;
            files.update(changed);
            return shown(changed);
        });
    }

    private void check(ImportFile file, ImportSettings settings) {
        if (settings.encoding() == null
                || !encodings(file.settings().encoding()).contains(settings.encoding())) {
            throw Refusal.field("encoding", "Choose an encoding from the list.");
        }
        if (settings.delimiter() == null
                || settings.delimiter().length() != 1
                || !Delimiter.KNOWN.contains(settings.delimiter().charAt(0))) {
            throw Refusal.field("delimiter", "Choose what separates the columns.");
        }
        if (settings.headings() < 0 || settings.headings() > MOST_HEADINGS || file.cards() && settings.headings() > 0) {
            throw Refusal.field("headings", "The headings are in one of the first five rows, or there are none.");
        }
        if (settings.dates() == null || !List.of(".", ",").contains(String.valueOf(settings.decimal()))) {
            throw Refusal.field("decimal", "Choose how dates and numbers are written.");
        }
        Set<String> words = targets.of(file.kind()).stream().map(Target::word).collect(Collectors.toSet());
        if (settings.targets() == null
                || settings.targets().stream()
                        .anyMatch(word -> word == null || !word.isEmpty() && !words.contains(word))) {
            throw Refusal.field("targets", "Choose where each column goes from the list.");
        }
    }

    /** Forgets a file. */
    @Transactional
    public void remove(UUID id, Colleague asking) {
        files.remove(id, asking);
    }
}
