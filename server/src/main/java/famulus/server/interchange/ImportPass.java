package famulus.server.interchange;

import famulus.core.field.FieldDefinition;
import famulus.core.record.PlainLine;
import famulus.core.record.SearchText;
import famulus.core.table.Identity;
import famulus.core.table.Identity.Sameness;
import famulus.core.table.RowReader;
import famulus.core.table.RowReader.ReadRow;
import famulus.core.table.TableRow;
import famulus.core.table.Target.Other;
import famulus.core.table.UnreadableTable;
import famulus.server.interchange.ImportChoices.ImportHandling;
import famulus.server.interchange.ImportItem.FaultOf;
import famulus.server.interchange.ImportResult.Duplicate;
import famulus.server.interchange.ImportResult.RowFault;
import famulus.server.records.CrmKind;
import famulus.server.records.DealService;
import famulus.server.records.KnownRecords;
import famulus.server.records.KnownRecords.Known;
import famulus.server.records.RetiredChoices;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;

/**
 * One pass over the rows of a file: each is read, checked, and compared with the records that are here and with the rows
 * before it. What is to be done with it is handed to an {@link ImportWriter}; that of a check writes nothing.
 */
final class ImportPass {
    private static final int AT_ONCE = 500;
    private static final int MOST_SHOWN = 200;
    private static final int LONGEST_NAME = 160;

    /**
     * What a pass leans on.
     *
     * @param team who can look after records
     * @param fields the fields of the kind, by name
     */
    record Context(KnownRecords known, DealService deals, List<Colleague> team, Map<String, FieldDefinition> fields) {}

    /** A row that was read before, and the record it became or is. */
    private record EarlierRow(long line, UUID id, String name, Identity identity) {}

    /**
     * What becomes of a record of the file.
     *
     * @param id the record that is changed; of one that is added the one it becomes
     */
    private record Decision(ImportItem item, ImportHandling choice, UUID id) {}

    private final CrmKind kind;
    private final RowReader reader;
    private final List<String> headings;
    private final Context context;
    private final ImportChoices choices;
    private final ImportWriter writer;
    private final Map<String, UUID> colleagues = new HashMap<>();
    private final Map<String, UUID> organisations = new HashMap<>();
    private final Map<String, EarlierRow> earlier = new HashMap<>();
    private final Set<UUID> addedIds = new HashSet<>();
    private final List<RowFault> faults = new ArrayList<>();
    private final List<Duplicate> duplicates = new ArrayList<>();
    private BiConsumer<TableRow, String> onFault = (row, sentence) -> {};
    private int rows;
    private int fresh;
    private int known;
    private int faulty;
    private int made;
    private int added;
    private int updated;
    private int skipped;

    ImportPass(
            CrmKind kind,
            RowReader reader,
            List<String> headings,
            Context context,
            ImportChoices choices,
            ImportWriter writer) {
        this.kind = kind;
        this.reader = reader;
        this.headings = headings;
        this.context = context;
        this.choices = choices;
        this.writer = writer;
        for (Colleague one : context.team()) {
            colleagues.putIfAbsent(SearchText.folded(one.name()), one.id());
            colleagues.put(one.email().toLowerCase(Locale.ROOT), one.id());
        }
        // A first name alone says who it is where nobody else has it.
        context.team().stream()
                .collect(Collectors.groupingBy(one -> SearchText.folded(one.firstName())))
                .forEach((name, all) -> {
                    if (all.size() == 1) {
                        colleagues.putIfAbsent(name, all.getFirst().id());
                    }
                });
    }

    /** Also hands over each row that can't be taken, with the reasons. */
    ImportPass onFault(BiConsumer<TableRow, String> told) {
        onFault = told;
        return this;
    }

    /**
     * Goes over the rows.
     *
     * @param progress told how many rows have been read, now and then; what it throws ends the pass
     * @throws UnreadableTable when the file can't be read to its end
     */
    ImportResult run(Iterator<TableRow> table, IntConsumer progress) {
        List<ImportItem> items = new ArrayList<>();
        ImportItem open = null;
        while (table.hasNext()) {
            TableRow row = table.next();
            if (row.isBlank()) {
                continue;
            }
            rows++;
            ReadRow read = reader.read(row);
            if (open != null && kind == CrmKind.DEAL && open.goesOnWith(read)) {
                open.add(read);
                continue;
            }
            if (items.size() >= AT_ONCE) {
                portion(items);
                items.clear();
                progress.accept(rows - 1);
            }
            open = new ImportItem(kind, read);
            items.add(open);
        }
        portion(items);
        progress.accept(rows);
        return new ImportResult(
                rows,
                fresh,
                known,
                faulty,
                made,
                added,
                updated,
                skipped,
                List.copyOf(faults),
                List.copyOf(duplicates));
    }

    private void portion(List<ImportItem> items) {
        items.forEach(this::check);
        contacts(items);
        contactsByName(items);
        items.stream().filter(item -> !item.isSound()).forEach(this::refuse);
        List<Decision> decisions =
                decide(items.stream().filter(ImportItem::isSound).toList());
        organisations(decisions.stream()
                .filter(one -> one.choice() != ImportHandling.SKIP)
                .map(Decision::item)
                .toList());
        write(decisions);
    }

    private void check(ImportItem item) {
        if (item.name().isEmpty() && item.isSound()) {
            item.blame(-1, "This line belongs to a deal, but no row before it names one.");
        }
        String owner = item.head().related().getOrDefault("owner", "");
        if (!owner.isEmpty()) {
            UUID id = colleagues.getOrDefault(SearchText.folded(owner), colleagues.get(owner.toLowerCase(Locale.ROOT)));
            if (id == null) {
                item.blame(-1, "Nobody in the team is called “" + owner + "”.");
            }
            item.owner(id);
        }
        PlainLine.refusal(item.organisationName(), LONGEST_NAME, false)
                .ifPresent(sentence -> item.blame(-1, "Organisation: " + sentence));
        if (kind == CrmKind.DEAL && item.isSound()) {
            context.deals().check(item.lines()).forEach(item::blameLine);
        }
    }

    /** A deal's contact is found by address; one who is not there has to be imported first. */
    private void contacts(List<ImportItem> items) {
        Map<ImportItem, String> wanted = new LinkedHashMap<>();
        for (ImportItem item : items) {
            String address = item.head().others().get(Other.CONTACT);
            if (address != null) {
                wanted.put(item, address);
            }
        }
        if (wanted.isEmpty()) {
            return;
        }
        Map<String, UUID> found = context.known().contacts(wanted.values());
        wanted.forEach((item, address) -> {
            item.contact(found.get(address));
            if (item.contact() == null) {
                item.blame(-1, "No contact has the address " + address + ". Import the contacts first.");
            }
        });
    }

    /** One who is named is found among those of the deal’s organisation. */
    private void contactsByName(List<ImportItem> items) {
        Map<ImportItem, String> wanted = new LinkedHashMap<>();
        for (ImportItem item : items) {
            String name = item.head().others().get(Other.CONTACT_NAME);
            if (name == null) {
                continue;
            }
            if (item.organisationName().isEmpty()) {
                item.blame(-1, "Say which organisation “" + name + "” belongs to, or use their address.");
            } else {
                wanted.put(item, name);
            }
        }
        if (wanted.isEmpty()) {
            return;
        }
        Map<ImportItem, Set<UUID>> found = context.known().contactsNamed(wanted, ImportItem::organisationName);
        wanted.forEach((item, name) -> {
            Set<UUID> some = found.getOrDefault(item, Set.of());
            if (some.size() == 1) {
                item.contact(some.iterator().next());
            } else {
                item.blame(
                        -1,
                        some.isEmpty()
                                ? "No contact of " + item.organisationName() + " is called “" + name
                                        + "”. Import the contacts first, or use their address."
                                : "Several contacts of " + item.organisationName() + " are called “" + name
                                        + "”. Use the address of the one who is meant.");
            }
        });
    }

    private void refuse(ImportItem item) {
        for (FaultOf one : item.faults()) {
            if (faults.size() < MOST_SHOWN) {
                int column = one.fault().column();
                faults.add(new RowFault(
                        one.row().row().line(),
                        column + 1,
                        column < 0 ? "" : headings.get(column),
                        column < 0 ? "" : shown(one.row().row().cell(column)),
                        one.fault().sentence()));
            }
        }
        for (ReadRow row : item.rows()) {
            faulty++;
            String reasons = item.faults().stream()
                    .filter(one -> one.row() == row)
                    .map(one -> one.fault().column() < 0
                            ? one.fault().sentence()
                            : headings.get(one.fault().column()) + ": "
                                    + one.fault().sentence())
                    .collect(Collectors.joining(" "));
            onFault.accept(row.row(), reasons.isEmpty() ? "Another line of this deal can’t be imported." : reasons);
        }
    }

    private static String shown(String cell) {
        return cell.length() > 80 ? cell.substring(0, 80) + "…" : cell;
    }

    private void organisations(List<ImportItem> items) {
        Map<String, String> wanted = new LinkedHashMap<>();
        for (ImportItem item : items) {
            String name = item.organisationName();
            if (!name.isEmpty() && !organisations.containsKey(SearchText.folded(name))) {
                wanted.putIfAbsent(SearchText.folded(name), name);
            }
        }
        organisations.putAll(context.known().organisations(wanted.keySet()));
        Map<UUID, String> come = new LinkedHashMap<>();
        wanted.forEach((folded, name) -> {
            if (!organisations.containsKey(folded)) {
                UUID id = writer.next(CrmKind.ORGANISATION);
                organisations.put(folded, id);
                come.put(id, name);
            }
        });
        made += come.size();
        writer.organisations(come);
        items.forEach(item -> item.organisation(organisations.get(SearchText.folded(item.organisationName()))));
    }

    private List<Decision> decide(List<ImportItem> items) {
        List<Identity> identities = items.stream().map(ImportItem::identity).toList();
        Map<Integer, Known> here = context.known().find(kind, identities);
        // Rows are compared with the rows before them by what was read, in a check as in an import.
        here.values().removeIf(one -> addedIds.contains(one.id()));
        List<Decision> decisions = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            ImportItem item = items.get(i);
            Identity identity = identities.get(i);
            Optional<EarlierRow> before = before(identity);
            Optional<Known> known = before.isPresent() ? Optional.empty() : Optional.ofNullable(here.get(i));
            boolean isNew = before.isEmpty() && known.isEmpty();
            ImportHandling choice = isNew ? ImportHandling.ADD : choices.of(item.line());
            Map<String, String> stored = choice == ImportHandling.ADD
                    ? Map.of()
                    : known.map(Known::stored).orElse(Map.of());
            if (choice != ImportHandling.SKIP && isBlamedForRetired(item, stored)) {
                refuse(item);
                continue;
            }
            count(item, identity, before, known);
            UUID id = choice == ImportHandling.ADD
                    ? writer.next(kind)
                    : before.map(EarlierRow::id)
                            .orElseGet(() -> known.orElseThrow().id());
            decisions.add(new Decision(item, choice, id));
            remember(item, identity, id);
        }
        return decisions;
    }

    /** A retired choice stays with the record that has it, and comes to no other. */
    private boolean isBlamedForRetired(ImportItem item, Map<String, String> before) {
        item.head().stored().forEach((name, text) -> RetiredChoices.refusal(
                        context.fields().get(name), text, before.get(name))
                .ifPresent(sentence -> item.blame(-1, context.fields().get(name).label() + ": " + sentence)));
        return !item.isSound();
    }

    private void count(ImportItem item, Identity identity, Optional<EarlierRow> before, Optional<Known> here) {
        if (before.isEmpty() && here.isEmpty()) {
            fresh++;
            return;
        }
        known++;
        if (duplicates.size() < MOST_SHOWN) {
            duplicates.add(before.map(one -> new Duplicate(
                            item.line(),
                            item.name(),
                            identity.sameAs(one.identity()).orElse(Sameness.NAME),
                            one.name(),
                            null,
                            one.line()))
                    .orElseGet(() -> new Duplicate(
                            item.line(),
                            item.name(),
                            here.orElseThrow().sameness(),
                            here.orElseThrow().name(),
                            here.orElseThrow().id(),
                            0)));
        }
    }

    private void write(List<Decision> decisions) {
        Map<UUID, ImportItem> come = new LinkedHashMap<>();
        List<Map<ImportItem, UUID>> changes = new ArrayList<>(List.of(new LinkedHashMap<>()));
        for (Decision one : decisions) {
            switch (one.choice()) {
                case ADD -> come.put(one.id(), one.item());
                case UPDATE -> {
                    // Two rows about one record are written one after the other.
                    if (changes.getLast().containsValue(one.id())) {
                        changes.add(new LinkedHashMap<>());
                    }
                    changes.getLast().put(one.item(), one.id());
                }
                case SKIP -> skipped++;
            }
        }
        added += come.size();
        addedIds.addAll(come.keySet());
        writer.add(come);
        for (Map<ImportItem, UUID> some : changes) {
            int changed = writer.change(some);
            updated += changed;
            skipped += some.size() - changed;
        }
    }

    private Optional<EarlierRow> before(Identity identity) {
        return identity.addresses().stream()
                .map(earlier::get)
                .filter(Objects::nonNull)
                .findFirst()
                .or(() -> Optional.ofNullable(earlier.get(nameKey(identity)))
                        .filter(one -> identity.sameAs(one.identity()).isPresent()));
    }

    private static String nameKey(Identity identity) {
        return identity.name() + "\n" + identity.belongsTo();
    }

    private void remember(ImportItem item, Identity identity, UUID id) {
        EarlierRow one = new EarlierRow(item.line(), id, item.name(), identity);
        identity.addresses().forEach(address -> earlier.putIfAbsent(address, one));
        earlier.putIfAbsent(nameKey(identity), one);
    }
}
