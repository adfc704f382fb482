package famulus.server.interchange;

import famulus.core.record.PlainLine;
import famulus.core.table.CellReader;
import famulus.core.table.ColumnMatch;
import famulus.core.table.Delimiter;
import famulus.core.table.FieldGuess;
import famulus.core.table.RowReader;
import famulus.core.table.TableColumn;
import famulus.core.table.TableRow;
import famulus.core.table.TableStyle;
import famulus.core.table.Target;
import famulus.core.table.UnreadableTable;
import famulus.server.interchange.ImportMapper.FileRow;
import famulus.server.interchange.ImportMapper.MatchRow;
import famulus.server.interchange.ImportReading.Sample;
import famulus.server.interchange.ImportShown.ImportSettings;
import famulus.server.interchange.ImportShown.ShownColumn;
import famulus.server.interchange.ImportShown.ShownTarget;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.DealService;
import famulus.server.records.KnownRecords;
import famulus.server.records.PipelineService;
import famulus.server.records.RecordIntake;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Files that somebody imports: how they are read, what a check of them says, and the import itself. */
@Service
class ImportService {
    private static final Duration KEPT = Duration.ofDays(1);
    private static final int SHOWN = 3;
    private static final int MOST_TURNS = 15;
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

    private final ImportMapper mapper;
    private final ImportFiles files;
    private final ImportReading reading;
    private final ImportTargets targets;
    private final RecordIntake intake;
    private final KnownRecords known;
    private final DealService deals;
    private final PipelineService pipeline;
    private final TeamService team;
    private final Clock clock;
    private final TransactionTemplate transactions;

    ImportService(
            ImportMapper mapper,
            ImportFiles files,
            ImportReading reading,
            ImportTargets targets,
            RecordIntake intake,
            KnownRecords known,
            DealService deals,
            PipelineService pipeline,
            TeamService team,
            Clock clock,
            TransactionTemplate transactions) {
        this.transactions = transactions;
        this.mapper = mapper;
        this.files = files;
        this.reading = reading;
        this.targets = targets;
        this.intake = intake;
        this.known = known;
        this.deals = deals;
        this.pipeline = pipeline;
        this.team = team;
        this.clock = clock;
    }

    /** Keeps a file, and says how it was understood. Nothing is kept of one that can't be read to its end. */
    @Transactional(rollbackFor = IOException.class)
    public ImportShown begin(CrmKind kind, String name, InputStream bytes, Colleague asking) throws IOException {
        PlainLine.refusal(name, 200, true).ifPresent(sentence -> {
            throw Refusal.field("file", sentence);
        });
        Instant now = clock.instant();
        mapper.deleteOld(now.minus(KEPT));
        ImportFile file = ImportReading.unread(intake.next(), kind, name.strip(), asking.id());
        mapper.insert(file.row(), now);
        return readable(() -> {
            files.keep(file.id(), bytes);
            ImportFile understood = reading.understood(file);
            mapper.update(understood.row());
            return shown(understood);
        });
    }

    private interface Reading<T> {
        T read() throws IOException;
    }

    /** What can't be read is a sentence for whoever chose the file. */
    private static <T> T readable(Reading<T> reading) throws IOException {
        try {
            return reading.read();
        } catch (UnreadableTable unreadable) {
            throw Refusal.field("file", unreadable.getMessage());
        } catch (UncheckedIOException gone) {
            throw gone.getCause();
        }
    }

    /** A file somebody has begun to import. */
    ImportShown show(UUID id, Colleague asking) throws IOException {
        ImportFile file = find(id, asking);
        return readable(() -> shown(file));
    }

    /**
     * The same once it is known how an import of it has ended, whoever stopped it and whatever became of its answer.
     *
     * @throws Refusal when it goes on still, after half a minute
     */
    ImportShown ended(UUID id, Colleague asking) throws IOException {
        for (int turn = 0; turn < MOST_TURNS; turn++) {
            try {
                Optional<FileRow> row = transactions.execute(status -> mapper.ended(id, asking.id()));
                ImportFile file = row.map(ImportFile::of).orElseThrow(() -> Refusal.missing("This file"));
                return readable(() -> shown(file));
            } catch (ConcurrencyFailureException goesOn) {
                // The database has waited for its row for a while.
            }
        }
        throw Refusal.because("running", "This import is still going on.");
    }

    private ImportFile find(UUID id, Colleague asking) {
        return mapper.file(id, asking.id()).map(ImportFile::of).orElseThrow(() -> Refusal.missing("This file"));
    }

    private ImportFile open(UUID id, Colleague asking) {
        ImportFile file = find(id, asking);
        if (file.done() != null) {
            throw imported();
        }
        return file;
    }

    /** Changes the row of a file, which an import holds until it has ended. */
    private static int free(IntSupplier change) {
        try {
            return change.getAsInt();
        } catch (ConcurrencyFailureException held) {
            throw Refusal.because("running", "This file is being imported just now.");
        }
    }

    private static Refusal imported() {
        return Refusal.because("done", "This file is imported already.");
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
                wrong(file.kind(), ImportTargets.named(all, words)).orElse(null),
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

    /** Why columns can't go where they are to go. */
    private Optional<String> wrong(CrmKind kind, List<Optional<Target>> columns) {
        Set<String> taken = new HashSet<>();
        for (Optional<Target> column : columns) {
            if (column.isPresent()
                    && column.get() != Target.Other.EMAIL
                    && !taken.add(column.get().word())) {
                return Optional.of("Two columns go to “" + ImportTargets.label(column.get()) + "”. Choose one.");
            }
        }
        if (taken.contains("full_name")) {
            return Optional.empty();
        }
        return targets.required(kind).stream()
                .filter(field -> !taken.contains(field.name()))
                .findFirst()
                .map(field -> "Choose the column that holds the "
                        + field.label().toLowerCase(Locale.ENGLISH)
                        + (kind.isPerson() ? ", or first name and surname together." : "."));
    }

    /** Reads a file in another way, or sends its columns elsewhere. */
    @Transactional(rollbackFor = IOException.class)
    public ImportShown change(UUID id, ImportSettings settings, Colleague asking) throws IOException {
        ImportFile before = open(id, asking);
        check(before, settings);
        ImportFile now = before.read(settings);
        ImportSettings was = before.settings();
        boolean otherTable = !settings.encoding().equals(was.encoding())
                || !settings.delimiter().equals(was.delimiter())
                || settings.headings() != was.headings();
        return readable(() -> {
            ImportFile changed = otherTable ? reading.matched(now) : now;
            if (free(() -> mapper.update(changed.row())) == 0) {
                throw imported();
            }
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
        if (free(() -> mapper.delete(id, asking.id())) == 0) {
            throw Refusal.missing("This file");
        }
    }

    /**
     * Says what an import would do. Nothing is written.
     *
     * @param progress told how many rows have been read
     */
    ImportResult check(UUID id, ImportChoices choices, Colleague asking, IntConsumer progress) throws IOException {
        ImportFile file = open(id, asking);
        return readable(() -> pass(file, choices, new ImportPass.NoHands(), any -> intake.next())
                .run(files.records(file), progress));
    }

    /** Hands over the rows that can't be taken, with the reasons, after the headings. */
    void faults(UUID id, Colleague asking, BiConsumer<TableRow, String> told) throws IOException {
        ImportFile file = find(id, asking);
        readable(() -> {
            told.accept(new TableRow(0, reading.sample(file).headings()), "");
            return pass(file, new ImportChoices(null, null), new ImportPass.NoHands(), any -> intake.next())
                    .onFault(told)
                    .run(files.records(file), rows -> {});
        });
    }

    /**
     * Imports all rows that can be taken, in one step: when it fails or is stopped on its way, nothing has been imported.
     *
     * @param progress told how many rows have been read; what it throws stops the import
     */
    @Transactional(rollbackFor = IOException.class)
    public ImportResult run(UUID id, ImportChoices choices, Colleague asking, IntConsumer progress) throws IOException {
        ImportFile file = open(id, asking);
        if (free(() -> mapper.begin(id, clock.instant())) == 0) {
            throw imported();
        }
        String role = pipeline.roles().stream().findFirst().orElse("contact");
        AtomicInteger read = new AtomicInteger();
        IntConsumer counted = rows -> {
            read.set(rows);
            progress.accept(rows);
        };
        // While much is written at once, it is asked in between whether anybody waits for it still.
        RecordIntake.Intake taking = intake.begin(file.rows(), () -> progress.accept(read.get()));
        ImportWriting writing = new ImportWriting(file.kind(), taking, deals, asking.id(), role);
        return readable(() -> {
            ImportResult result = pass(file, choices, writing, taking::next).run(files.records(file), counted);
            writing.end();
            mapper.end(id, result.added(), result.updated(), result.skipped(), result.faulty());
            remember(file);
            counted.accept(result.rows());
            return result;
        });
    }

    private void remember(ImportFile file) {
        if (file.settings().headings() == 0) {
            return;
        }
        List<String> headings = reading.sample(file).headings();
        List<String> words = file.targets(headings.size());
        Set<String> done = new HashSet<>();
        for (int i = 0; i < headings.size(); i++) {
            String key = ColumnMatch.key(headings.get(i));
            if (!key.isEmpty() && done.add(key)) {
                mapper.forget(file.kind().word(), key);
                mapper.remember(file.kind().word(), new MatchRow(key, words.get(i)));
            }
        }
    }

    private ImportPass pass(
            ImportFile file, ImportChoices choices, ImportPass.Hands hands, Function<CrmKind, UUID> ids) {
        List<String> headings = reading.sample(file).headings();
        List<Optional<Target>> columns = ImportTargets.named(targets.of(file.kind()), file.targets(headings.size()));
        wrong(file.kind(), columns).ifPresent(sentence -> {
            throw Refusal.field("targets", sentence);
        });
        House house = team.house();
        CellReader cells = new CellReader(file.style(), house.country(), house.currency());
        RowReader reader = new RowReader(columns, cells, targets.required(file.kind()));
        List<Colleague> active = team.all().stream().filter(Colleague::active).toList();
        ImportPass.Tools tools = new ImportPass.Tools(known, deals, active, ids);
        return new ImportPass(file.kind(), reader, headings, tools, choices, hands);
    }
}
