package famulus.server.interchange;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldType;
import famulus.core.table.Card;
import famulus.core.table.CardWriter;
import famulus.server.platform.SafeCsv;
import famulus.server.records.CatalogueService;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.CrmKind;
import famulus.server.records.CrmRecord;
import famulus.server.records.DealService;
import famulus.server.records.DealService.DealLine;
import famulus.server.records.RecordPortions;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Takes records out into files, a portion at a time: however many there are, little of them is held. */
@Service
class ExportService {
    private static final Logger LOG = LoggerFactory.getLogger(ExportService.class);
    private static final List<String> LINE =
            List.of("Line", "Quantity", "Unit", "Price", "Discount", "Tax", "Line note");

    private static final int AT_ONCE = 500;

    private final RecordPortions portions;
    private final CatalogueService catalogue;
    private final DealService deals;
    private final TeamService team;

    ExportService(RecordPortions portions, CatalogueService catalogue, DealService deals, TeamService team) {
        this.portions = portions;
        this.catalogue = catalogue;
        this.deals = deals;
        this.team = team;
    }

    /**
     * Writes records of a kind as CSV (RFC 4180): what can be imported again, and opened in a spreadsheet without anything
     * in it being worked out. Dates are written by ISO 8601, choices by their labels. A deal has a row for each of its lines.
     *
     * @param which the records, a portion at a time
     */
    void csv(CrmKind kind, Iterable<List<UUID>> which, Writer to, Colleague asking) throws IOException {
        List<StoredField> fields = catalogue.fillable(kind);
        List<String> headings = new ArrayList<>(
                fields.stream().map(field -> field.definition().label()).toList());
        if (kind.isPerson()) {
            headings.add("E-mail");
        }
        if (kind == CrmKind.DEAL) {
            headings.add("Contact");
            headings.addAll(LINE);
        }
        SafeCsv table = new SafeCsv(to);
        table.row(headings);
        Map<UUID, String> owners = team.all().stream().collect(Collectors.toMap(Colleague::id, Colleague::name));
        int count = 0;
        for (List<UUID> ids : which) {
            Map<UUID, CrmRecord> records = portions.read(kind, ids);
            Map<UUID, List<String>> addresses = portions.addresses(kind, ids);
            Map<UUID, String> organisations = portions.organisations(records.values());
            for (UUID id : ids) {
                CrmRecord record = records.get(id);
                if (record == null) {
                    continue;
                }
                count++;
                List<String> cells = new ArrayList<>();
                for (StoredField field : fields) {
                    cells.add(cell(field.definition(), record, organisations, owners));
                }
                rows(kind, id, cells, addresses.getOrDefault(id, List.of()), table);
            }
        }
        table.flush();
        LOG.info("{} exported {} {}s as CSV", asking.name(), count, kind.word());
    }

    /** All records of a kind. */
    Iterable<List<UUID>> all(CrmKind kind) {
        return portions.of(kind);
    }

    /** Some records, a portion at a time. */
    static Iterable<List<UUID>> some(List<UUID> ids) {
        List<List<UUID>> portions = new ArrayList<>();
        for (int from = 0; from < ids.size(); from += AT_ONCE) {
            portions.add(ids.subList(from, Math.min(ids.size(), from + AT_ONCE)));
        }
        return portions;
    }

    private void rows(CrmKind kind, UUID id, List<String> cells, List<String> addresses, SafeCsv table) {
        if (kind.isPerson()) {
            cells.add(String.join("; ", addresses));
        }
        if (kind != CrmKind.DEAL) {
            table.row(cells);
            return;
        }
        cells.add(addresses.stream().findFirst().orElse(""));
        List<DealLine> lines = deals.lines(id);
        if (lines.isEmpty()) {
            LINE.forEach(any -> cells.add(""));
            table.row(cells);
        }
        for (DealLine line : lines) {
            List<String> row = new ArrayList<>(cells);
            row.addAll(List.of(
                    line.description(),
                    plain(line.quantity()),
                    line.unit(),
                    line.price().toPlainString(),
                    plain(line.discount()),
                    plain(line.tax()),
                    line.note()));
            table.row(row);
        }
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }

    private static String cell(
            FieldDefinition field, CrmRecord record, Map<UUID, String> organisations, Map<UUID, String> owners) {
        String stored = record.text(field.name());
        if (stored.isEmpty()) {
            return "";
        }
        return switch (field.type()) {
            case RELATION, USER -> {
                UUID id = UUID.fromString(stored);
                yield organisations.getOrDefault(id, owners.getOrDefault(id, ""));
            }
            case CHOICE, CHOICES ->
                Arrays.stream(stored.split("\n"))
                        .map(code -> label(field.choices(), code))
                        .collect(Collectors.joining("; "));
            default -> stored;
        };
    }

    private static String label(Collection<FieldOption> choices, String code) {
        return choices.stream()
                .filter(choice -> choice.code().equals(code))
                .map(FieldOption::label)
                .findFirst()
                .orElse(code);
    }

    /**
     * Writes people or organisations as cards, see {@link CardWriter}.
     *
     * @param which the records, a portion at a time
     */
    void cards(CrmKind kind, Iterable<List<UUID>> which, boolean newest, Writer to, Colleague asking)
            throws IOException {
        CardWriter writer = new CardWriter(to, newest);
        Map<String, FieldDefinition> fields = new HashMap<>();
        catalogue.fillable(kind).forEach(field -> fields.put(field.definition().name(), field.definition()));
        int count = 0;
        for (List<UUID> ids : which) {
            Map<UUID, CrmRecord> records = portions.read(kind, ids);
            Map<UUID, List<String>> addresses = portions.addresses(kind, ids);
            Map<UUID, String> organisations = portions.organisations(records.values());
            for (UUID id : ids) {
                CrmRecord record = records.get(id);
                if (record != null) {
                    count++;
                    String organisation = record.relation("organisation")
                            .map(organisations::get)
                            .orElse(record.text(kind == CrmKind.ORGANISATION ? "name" : "company"));
                    writer.write(card(record, organisation, addresses.getOrDefault(id, List.of()), fields));
                }
            }
        }
        to.flush();
        LOG.info("{} exported {} {}s as vCard", asking.name(), count, kind.word());
    }

    private static Card card(
            CrmRecord record, String organisation, List<String> addresses, Map<String, FieldDefinition> fields) {
        FieldDefinition country = fields.get("country");
        return new Card(
                record.text("title"),
                record.text("first_name"),
                record.text("last_name"),
                organisation,
                record.text("job_title"),
                addresses,
                record.text("phone"),
                record.text("mobile"),
                record.text("website"),
                record.text("street"),
                record.text("postcode"),
                record.text("town"),
                country == null || country.type() != FieldType.CHOICE
                        ? ""
                        : label(country.choices(), record.text("country")),
                record.text("language"));
    }
}
