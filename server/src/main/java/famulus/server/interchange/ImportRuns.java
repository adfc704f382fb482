package famulus.server.interchange;

import famulus.core.table.CellReader;
import famulus.core.table.ColumnMatch;
import famulus.core.table.RowReader;
import famulus.core.table.Target;
import famulus.server.interchange.ImportMapper.MatchRow;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.SafeCsv;
import famulus.server.records.CatalogueService;
import famulus.server.records.DealService;
import famulus.server.records.KnownRecords;
import famulus.server.records.PipelineService;
import famulus.server.records.RecordIntake;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.io.Writer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Checks files and imports them. */
@Service
class ImportRuns {
    private static final String WHY = "Why it was not imported";

    private final ImportMapper mapper;
    private final ImportFiles files;
    private final ImportReading reading;
    private final ImportTargets targets;
    private final RecordIntake intake;
    private final KnownRecords known;
    private final DealService deals;
    private final CatalogueService catalogue;
    private final PipelineService pipeline;
    private final TeamService team;
    private final Ids ids;
    private final Clock clock;

    ImportRuns(
            ImportMapper mapper,
            ImportFiles files,
            ImportReading reading,
            ImportTargets targets,
            RecordIntake intake,
            KnownRecords known,
            DealService deals,
            CatalogueService catalogue,
            PipelineService pipeline,
            TeamService team,
            Ids ids,
            Clock clock) {
        this.mapper = mapper;
        this.files = files;
        this.reading = reading;
        this.targets = targets;
        this.intake = intake;
        this.known = known;
        this.deals = deals;
        this.catalogue = catalogue;
        this.pipeline = pipeline;
        this.team = team;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * Says what an import would do. Nothing is written.
     *
     * @param progress told how many rows have been read
     */
    ImportResult check(UUID id, ImportChoices choices, Colleague asking, IntConsumer progress) throws IOException {
        ImportFile file = files.open(id, asking);
        return ImportReading.readable(() -> pass(file, choices, new DryRun(ids)).run(files.records(file), progress));
    }

    /** Writes the rows that can't be taken as a table of their own, each with the reasons in a column behind the others. */
    void faults(UUID id, Colleague asking, Writer to) throws IOException {
        ImportFile file = files.find(id, asking);
        ImportPass pass = pass(file, new ImportChoices(null, null), new DryRun(ids));
        SafeCsv table = new SafeCsv(to);
        table.row(with(reading.sample(file).headings(), WHY));
        ImportReading.readable(() ->
                pass.onFault((row, why) -> table.row(with(row.cells(), why))).run(files.records(file), rows -> {}));
        table.flush();
    }

    private static List<String> with(List<String> cells, String last) {
        List<String> more = new ArrayList<>(cells);
        more.add(last);
        return more;
    }

    /**
     * Imports all rows that can be taken, in one step: when it fails or is stopped on its way, nothing has been imported.
     *
     * @param progress told how many rows have been read; what it throws stops the import
     */
    @Transactional(rollbackFor = IOException.class)
    public ImportResult run(UUID id, ImportChoices choices, Colleague asking, IntConsumer progress) throws IOException {
        ImportFile file = files.open(id, asking);
        files.hold(id, clock.instant());
        AtomicInteger read = new AtomicInteger();
        IntConsumer counted = rows -> {
            read.set(rows);
            progress.accept(rows);
        };
        // While much is written at once, it is asked in between whether anybody waits for it still.
        RecordIntake.Intake taking = intake.begin(file.rows(), () -> progress.accept(read.get()));
        String role = pipeline.roles().stream().findFirst().orElse("contact");
        RecordWriter writer = new RecordWriter(file.kind(), taking, deals, asking.id(), role);
        return ImportReading.readable(() -> {
            ImportResult result = pass(file, choices, writer).run(files.records(file), counted);
            writer.end();
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

    /** A pass over a file; refused when its columns can't go where they are to go. */
    private ImportPass pass(ImportFile file, ImportChoices choices, ImportWriter writer) {
        List<String> headings = reading.sample(file).headings();
        List<Optional<Target>> columns = ImportTargets.named(targets.of(file.kind()), file.targets(headings.size()));
        targets.wrong(file.kind(), columns).ifPresent(sentence -> {
            throw Refusal.field("targets", sentence);
        });
        House house = team.house();
        CellReader cells = new CellReader(file.style(), house.country(), house.currency());
        RowReader reader = new RowReader(columns, cells, targets.required(file.kind()));
        ImportPass.Context context = new ImportPass.Context(
                known,
                deals,
                team.all().stream().filter(Colleague::active).toList(),
                catalogue.fields(file.kind()).stream()
                        .collect(Collectors.toMap(field -> field.definition().name(), field -> field.definition())));
        return new ImportPass(file.kind(), reader, headings, context, choices, writer);
    }
}
