package famulus.server.records;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.message.render.ItemLine;
import famulus.core.message.render.ToRender.DealLines;
import famulus.core.record.FieldInput;
import famulus.core.record.PlainLine;
import famulus.server.materials.FileService;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.DealMapper.DocumentRow;
import famulus.server.records.DealMapper.LineRow;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A deal's lines, documents and contacts in their roles. */
@Service
public class DealService {
    private static final int MOST_LINES = 5_000;
    private static final FieldDefinition LINK = FieldDefinition.plain(RecordKind.DEAL, "link", "Link", FieldType.LINK);

    private static final BigDecimal HIGHEST_PRICE = new BigDecimal("99999999.99");
    private static final BigDecimal MOST_OF_IT = new BigDecimal("9999999");

    private final DealMapper mapper;
    private final TeamService team;
    private final Ids ids;
    private final Clock clock;
    private final PersonSummaries summaries;
    private final FileService files;

    DealService(
            DealMapper mapper, TeamService team, Ids ids, Clock clock, PersonSummaries summaries, FileService files) {
        this.files = files;
        this.summaries = summaries;
        this.mapper = mapper;
        this.team = team;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A line of a deal.
     *
     * @param description what is sold
     * @param quantity how much of it, to three places behind the point
     * @param unit what it is measured in; may be empty
     * @param price of one unit, in the deal's currency
     * @param discount in per cent of the line, 0 to 100
     * @param tax in per cent of what is left, 0 to 100
     * @param note may be empty
     */
    public record DealLine(
            String description,
            BigDecimal quantity,
            String unit,
            BigDecimal price,
            BigDecimal discount,
            BigDecimal tax,
            String note) {
        public DealLine {
            unit = unit == null ? "" : unit.strip();
            discount = discount == null ? BigDecimal.ZERO : discount;
            tax = tax == null ? BigDecimal.ZERO : tax;
            note = note == null ? "" : note.strip();
        }

        /** The line as the core works with it. */
        public ItemLine item() {
            return new ItemLine(description, quantity, unit, price, discount, tax, note);
        }
    }

    /** Where a document stands. */
    public enum DocumentState {
        DRAFT,
        SENT,
        SIGNED,
        WITHDRAWN
    }

    /** The stage of a deal, by its code; empty for a deal that is gone. */
    public Optional<String> stage(UUID deal) {
        return mapper.stage(deal);
    }

    /** A deal's lines in order. */
    public List<DealLine> lines(UUID deal) {
        return mapper.lines(deal).stream()
                .map(row -> new DealLine(
                        row.description(),
                        row.quantity(),
                        row.unit(),
                        row.price(),
                        row.discount(),
                        row.tax(),
                        row.note()))
                .toList();
    }

    /** A deal's lines as an item table shows them, in the currency of the deal's value, else of the house. */
    public DealLines items(UUID deal) {
        return new DealLines(lines(deal).stream().map(DealLine::item).toList(), currency(deal));
    }

    private String currency(UUID deal) {
        String currency = mapper.currency(deal);
        return currency == null ? team.house().currency() : currency;
    }

    /** What is wrong with lines, by the line's turn and its part, such as {@code lines.0.price}; empty when nothing is. */
    public Map<String, String> check(List<DealLine> lines) {
        Map<String, String> wrong = new LinkedHashMap<>();
        if (lines.size() > MOST_LINES) {
            wrong.put("lines", "A deal has at most 5,000 lines.");
        }
        for (int i = 0; i < lines.size(); i++) {
            check(lines.get(i), "lines." + i + ".", wrong);
        }
        return wrong;
    }

    /** Takes the place of all of a deal's lines. */
    @Transactional
    public void lines(UUID deal, List<DealLine> lines) {
        Map<String, String> wrong = check(lines);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.clearLines(deal);
        int position = 0;
        for (DealLine line : lines) {
            mapper.insertLine(row(ids.next(), deal, position++, line));
        }
    }

    private static LineRow row(UUID id, UUID deal, int position, DealLine line) {
        return new LineRow(
                id,
                deal,
                position,
                line.description().strip(),
                line.quantity(),
                line.unit(),
                line.price(),
                line.discount(),
                line.tax(),
                line.note());
    }

    private static void check(DealLine line, String at, Map<String, String> wrong) {
        PlainLine.refusal(line.description(), 200, true).ifPresent(sentence -> wrong.put(at + "description", sentence));
        PlainLine.refusal(line.unit(), 30, false).ifPresent(sentence -> wrong.put(at + "unit", sentence));
        PlainLine.refusal(line.note(), 300, false).ifPresent(sentence -> wrong.put(at + "note", sentence));
        if (outside(line.quantity(), MOST_OF_IT, 3) || line.quantity().signum() == 0) {
            wrong.put(at + "quantity", "A quantity is a number such as 3 or 2.5, up to 9,999,999.");
        }
        if (outside(line.price(), HIGHEST_PRICE, 2)) {
            wrong.put(at + "price", "A price is an amount such as 12.50, up to 99,999,999.99.");
        }
        percent(line.discount(), at + "discount", wrong);
        percent(line.tax(), at + "tax", wrong);
    }

    private static boolean outside(BigDecimal number, BigDecimal most, int digits) {
        return number == null || number.signum() < 0 || number.compareTo(most) > 0 || number.scale() > digits;
    }

    private static void percent(BigDecimal percent, String at, Map<String, String> wrong) {
        if (percent.signum() < 0 || percent.compareTo(BigDecimal.valueOf(100)) > 0 || percent.scale() > 2) {
            wrong.put(at, "This is a percentage from 0 to 100.");
        }
    }

    /**
     * Adds a document to a deal, or changes one when {@code id} is given.
     *
     * @param file the document itself; null where it is not kept here
     */
    @Transactional
    public UUID document(UUID deal, UUID id, String name, String link, UUID file, DocumentState state) {
        Map<String, String> wrong = new LinkedHashMap<>();
        PlainLine.refusal(name, 160, true).ifPresent(sentence -> wrong.put("name", sentence));
        FieldInput address = FieldInput.read(LINK, 400, false, link, "", "");
        address.refusal().ifPresent(sentence -> wrong.put("link", sentence));
        if (file != null && files.some(List.of(file)).isEmpty()) {
            wrong.put("file", "This file is gone. Upload it again.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        House house = team.house();
        LocalDate today = clock.instant().atZone(house.zone()).toLocalDate();
        if (id == null) {
            UUID added = ids.next();
            mapper.insertDocument(
                    new DocumentRow(added, deal, name.strip(), address.stored(), file, state.name(), today));
            return added;
        }
        DocumentRow before = mapper.document(id)
                .filter(document -> document.dealId().equals(deal))
                .orElseThrow(() -> Refusal.missing("This document"));
        LocalDate since = before.state().equals(state.name()) ? before.stateOn() : today;
        mapper.updateDocument(new DocumentRow(id, deal, name.strip(), address.stored(), file, state.name(), since));
        return id;
    }

    /** Takes a document off a deal. */
    @Transactional
    public void removeDocument(UUID deal, UUID id) {
        mapper.document(id)
                .filter(document -> document.dealId().equals(deal))
                .orElseThrow(() -> Refusal.missing("This document"));
        mapper.deleteDocument(id);
    }

    /** Puts a contact on a deal, or changes what they are on it. */
    @Transactional
    public void contact(UUID deal, UUID contact, String role, boolean main) {
        PlainLine.refusal(role, 60, true).ifPresent(sentence -> {
            throw Refusal.field("role", sentence);
        });
        if (main) {
            mapper.noMainContact(deal);
        }
        mapper.deleteContact(deal, contact);
        mapper.insertContact(deal, contact, role.strip(), main);
        summaries.deals(List.of(contact));
    }

    /** Takes a contact off a deal. */
    @Transactional
    public void removeContact(UUID deal, UUID contact) {
        if (mapper.deleteContact(deal, contact) == 0) {
            throw Refusal.missing("This contact");
        }
        summaries.deals(List.of(contact));
    }

    /** Puts a document in place as it is; for the demo's data. */
    public void keep(UUID id, UUID deal, String name, String link, DocumentState state, LocalDate since) {
        mapper.insertDocument(new DocumentRow(id, deal, name, link, null, state.name(), since));
    }

    /** Puts lines in place with these identifiers; for the demo's data. */
    public void keep(UUID deal, List<UUID> lineIds, List<DealLine> lines) {
        for (int i = 0; i < lines.size(); i++) {
            mapper.insertLine(row(lineIds.get(i), deal, i, lines.get(i)));
        }
    }

    List<DocumentRow> documents(CrmKind kind, UUID id) {
        return switch (kind) {
            case DEAL -> mapper.documents(id);
            case LEAD -> List.of();
            default -> new ArrayList<>(mapper.documentsOf(kind.word(), id));
        };
    }
}
