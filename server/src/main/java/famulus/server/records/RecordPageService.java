package famulus.server.records;

import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.field.Value;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.render.ItemSums;
import famulus.core.record.StoredValue;
import famulus.server.donotemail.DoNotEmailService;
import famulus.server.materials.FileService;
import famulus.server.materials.FileService.KeptFile;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.DealMapper.DocumentRow;
import famulus.server.records.DealMapper.RelatedRow;
import famulus.server.records.DealService.DealLine;
import famulus.server.records.DealService.DocumentState;
import famulus.server.records.HistoryService.HistoryEntry;
import famulus.server.records.HistoryService.HistoryPortion;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** Everything a record's page shows, ready to be shown. */
@Service
public class RecordPageService {
    private static final int MOST_LINES = 100;
    private static final int MOST_RELATED = 60;

    private final RecordService records;
    private final CatalogueService catalogue;
    private final HistoryService history;
    private final DealService deals;
    private final DealMapper related;
    private final TeamService team;
    private final FileService files;
    private final RecordPictureService pictures;
    private final DoNotEmailService doNotEmail;
    private final Clock clock;

    RecordPageService(
            RecordService records,
            CatalogueService catalogue,
            HistoryService history,
            DealService deals,
            DealMapper related,
            TeamService team,
            Clock clock,
            FileService files,
            RecordPictureService pictures,
            DoNotEmailService doNotEmail) {
        this.pictures = pictures;
        this.files = files;
        this.doNotEmail = doNotEmail;
        this.records = records;
        this.catalogue = catalogue;
        this.history = history;
        this.deals = deals;
        this.related = related;
        this.team = team;
        this.clock = clock;
    }

    /**
     * A record's page.
     *
     * @param picture its portrait, logo or picture, by identifier; null for none
     * @param crumb what it is, in a few words after its name
     * @param timeThere the person's clock, such as "10:02, Berlin"; empty for others or when no zone is known
     * @param doNotEmail which of the addresses get no messages, with the reason in a sentence
     * @param lines a deal's first lines
     * @param moreLines how many more it has
     * @param linesTotal the sum of all, in the deal's currency
     * @param moreSaid whether the history goes on, with older entries
     * @param linesWithTax the same with taxes; empty when there are none
     */
    public record RecordPage(
            CrmKind kind,
            UUID id,
            int version,
            String name,
            @Schema(nullable = true) UUID picture,
            String crumb,
            List<Fact> facts,
            List<PersonAddress> addresses,
            String timeThere,
            Map<String, String> doNotEmail,
            List<Related> related,
            List<ShownDocument> documents,
            List<ShownLine> lines,
            int moreLines,
            String linesTotal,
            String linesWithTax,
            List<HistoryEntry> said,
            boolean moreSaid) {}

    /**
     * A field on the page.
     *
     * @param stored what is kept, as it would be typed
     * @param shown what is read
     * @param choices for fields where one chooses
     */
    public record Fact(
            String name,
            String label,
            String section,
            FieldType type,
            String stored,
            String shown,
            boolean editable,
            boolean required,
            int most,
            List<ShownOption> choices) {}

    public record ShownOption(String code, String label) {}

    /**
     * Records of one sort that belong to this one.
     *
     * @param more how many more there are than {@code lines}
     */
    public record Related(String title, List<RelatedLine> lines, int more) {}

    public record RelatedLine(CrmKind kind, UUID id, String name, String remark) {}

    /** A document, with its file where that is kept here. */
    public record ShownDocument(
            UUID id,
            UUID dealId,
            String name,
            String link,
            @Schema(nullable = true) KeptFile file,
            DocumentState state,
            String since) {}

    public record ShownLine(
            String description,
            BigDecimal quantity,
            String unit,
            BigDecimal price,
            BigDecimal discount,
            BigDecimal tax,
            String note,
            String total) {}

    /** Returns the page of a record for whoever asks. */
    public RecordPage page(CrmKind kind, UUID id, Colleague asking) {
        CrmRecord record = records.get(kind, id);
        House house = team.house();
        Merger printer = new Merger(new MergeSettings(house.locale(), house.zone(), clock.instant()));
        List<DealLine> lines = kind == CrmKind.DEAL ? deals.lines(id) : List.of();
        String currency =
                record.text("value").contains(" ") ? record.text("value").split(" ")[1] : house.currency();
        HistoryPortion said = history.said(kind, id, null, null, asking);
        List<PersonAddress> addresses = kind.isPerson() ? records.addresses(id) : List.of();
        ItemSums sums = ItemSums.of(lines.stream().map(DealLine::item).toList(), currency);
        return new RecordPage(
                kind,
                id,
                record.version(),
                record.name(),
                pictures.of(kind, id).orElse(null),
                crumb(record),
                facts(record, printer),
                addresses,
                timeThere(record, printer),
                doNotEmail(addresses),
                related(record),
                documents(deals.documents(kind, id), printer),
                IntStream.range(0, Math.min(lines.size(), MOST_LINES))
                        .mapToObj(
                                at -> shown(lines.get(at), sums.lines().get(at).net(), currency, printer))
                        .toList(),
                Math.max(0, lines.size() - MOST_LINES),
                lines.isEmpty() ? "" : money(sums.net(), currency, printer),
                sums.taxes().isEmpty() ? "" : money(sums.total(), currency, printer),
                said.said(),
                said.more());
    }

    private String crumb(CrmRecord record) {
        List<String> words = new ArrayList<>();
        record.relation("organisation")
                .filter(any -> record.kind() != CrmKind.ORGANISATION)
                .map(one -> records.get(CrmKind.ORGANISATION, one).name())
                .ifPresent(words::add);
        if (record.kind() == CrmKind.LEAD && !record.text("company").isEmpty()) {
            words.add(record.text("company"));
        }
        words.add(record.kind().word());
        record.relation("owner").flatMap(team::find).ifPresent(owner -> words.add("owner: " + owner.firstName()));
        return String.join(" · ", words);
    }

    private List<Fact> facts(CrmRecord record, Merger printer) {
        return catalogue.fields(record.kind()).stream()
                .filter(field -> !field.computed())
                .map(field -> fact(record, field, printer))
                .toList();
    }

    private Fact fact(CrmRecord record, StoredField field, Merger printer) {
        String name = field.definition().name();
        String stored = record.text(name);
        boolean colleague =
                field.definition().relation().filter(RecordKind.USER::equals).isPresent();
        String shown = stored;
        if (field.isRelation() && !stored.isEmpty()) {
            UUID to = UUID.fromString(stored);
            shown = colleague
                    ? team.find(to).map(Colleague::name).orElse("")
                    : records.get(CrmKind.ORGANISATION, to).name();
        } else if (!field.isRelation()) {
            shown = StoredValue.of(field.definition(), stored)
                    .map(value -> printer.print(value, Optional.empty()))
                    .orElse(stored);
        }
        return fact(field, stored, shown);
    }

    private Fact fact(StoredField field, String stored, String shown) {
        boolean colleague =
                field.definition().relation().filter(RecordKind.USER::equals).isPresent();
        List<ShownOption> choices = colleague
                ? team.all().stream()
                        .filter(Colleague::active)
                        .map(one -> new ShownOption(one.id().toString(), one.name()))
                        .toList()
                : field.definition().choices().stream()
                        .filter(one -> !one.retired() || stored.lines().anyMatch(one.code()::equals))
                        .map(one -> new ShownOption(one.code(), one.label()))
                        .toList();
        return new Fact(
                field.definition().name(),
                field.definition().label(),
                field.section(),
                field.definition().type(),
                stored,
                shown,
                true,
                field.required(),
                field.most(),
                choices);
    }

    /** The fields that can be set for many records of a kind at once, empty. */
    List<Fact> settable(CrmKind kind) {
        return catalogue.fillable(kind).stream()
                .map(field -> fact(field, "", ""))
                .toList();
    }

    private String timeThere(CrmRecord record, Merger printer) {
        if (!record.kind().isPerson() || record.text("time_zone").isEmpty()) {
            return "";
        }
        try {
            ZoneId zone = ZoneId.of(record.text("time_zone"));
            Merger there = new Merger(new MergeSettings(team.house().locale(), zone, clock.instant()));
            String time =
                    there.print(new Value.Moment(clock.instant()), Optional.of(new Format.Named(FormatName.TIME)));
            return time + ", "
                    + zone.getId().substring(zone.getId().indexOf('/') + 1).replace('_', ' ');
        } catch (DateTimeException unknown) {
            return "";
        }
    }

    private List<Related> related(CrmRecord record) {
        UUID id = record.id();
        return switch (record.kind()) {
            case CONTACT ->
                List.of(
                        related("Deals", "deals of contact", id, null),
                        record.relation("organisation")
                                .map(one -> related("Others there", "contacts of organisation", one, id))
                                .orElse(new Related("Others there", List.of(), 0)));
            case DEAL -> List.of(related("Contacts", "contacts of deal", id, null));
            case ORGANISATION ->
                List.of(
                        related("Contacts", "contacts of organisation", id, null),
                        related("Deals", "deals of organisation", id, null));
            case LEAD -> List.of();
        };
    }

    private Related related(String title, String what, UUID id, UUID other) {
        List<RelatedRow> rows = related.related(what, id, other, MOST_RELATED);
        int all = rows.size() < MOST_RELATED ? rows.size() : related.countRelated(what, id, other);
        return new Related(
                title,
                rows.stream()
                        .map(row -> new RelatedLine(CrmKind.of(row.kind()), row.id(), row.name(), row.remark()))
                        .toList(),
                all - rows.size());
    }

    private static ShownLine shown(DealLine line, BigDecimal net, String currency, Merger printer) {
        return new ShownLine(
                line.description(),
                line.quantity().stripTrailingZeros(),
                line.unit(),
                line.price(),
                line.discount(),
                line.tax(),
                line.note(),
                money(net, currency, printer));
    }

    private static String money(BigDecimal amount, String currency, Merger printer) {
        return printer.print(new Value.Money(amount, currency), Optional.empty());
    }

    private Map<String, String> doNotEmail(List<PersonAddress> addresses) {
        Map<String, String> stopped = new LinkedHashMap<>();
        doNotEmail
                .stopped(addresses.stream().map(PersonAddress::address).toList())
                .forEach((address, why) -> stopped.put(address, why.sentence(address)));
        return stopped;
    }

    private List<ShownDocument> documents(List<DocumentRow> rows, Merger printer) {
        Map<UUID, KeptFile> kept =
                files
                        .some(rows.stream()
                                .map(DocumentRow::fileId)
                                .filter(Objects::nonNull)
                                .distinct()
                                .toList())
                        .stream()
                        .collect(Collectors.toMap(KeptFile::id, Function.identity()));
        return rows.stream()
                .map(row -> new ShownDocument(
                        row.id(),
                        row.dealId(),
                        row.name(),
                        row.link(),
                        row.fileId() == null ? null : kept.get(row.fileId()),
                        DocumentState.valueOf(row.state()),
                        day(row.stateOn(), printer)))
                .toList();
    }

    private static String day(LocalDate day, Merger printer) {
        return printer.print(new Value.Day(day), Optional.of(new Format.Named(FormatName.LONG_DATE)));
    }
}
