package famulus.server.interchange;

import famulus.core.record.PlainLine;
import famulus.core.record.SearchText;
import famulus.core.table.Identity;
import famulus.core.table.Identity.Sameness;
import famulus.core.table.RowReader;
import famulus.core.table.RowReader.ReadRow;
import famulus.core.table.TableRow;
import famulus.core.table.Target.Other;
import famulus.core.table.UnreadableTable;
import famulus.server.interchange.ImportChoices.Choice;
import famulus.server.interchange.ImportItem.FaultOf;
import famulus.server.interchange.ImportResult.Duplicate;
import famulus.server.interchange.ImportResult.RowFault;
import famulus.server.records.CrmKind;
import famulus.server.records.DealService;
import famulus.server.records.KnownRecords;
import famulus.server.records.KnownRecords.Known;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;

/**
 * One pass over the rows of a file: each is read, checked, and compared with the records that are here and with the rows
 * before it. What is to be done with it is handed to a {@link Hands}: those of a check do nothing.
 */
final class ImportPass {
    /** So many rows one file may have. */
    static final int MOST_ROWS = 200_000;

    private static final int AT_ONCE = 500;
    private static final int MOST_SHOWN = 200;
    private static final int LONGEST_NAME = 160;

    /** What is done with records that can be taken. */
    interface Hands {
        /** Makes organisations, by identifier with their names. */
        void organisations(Map<UUID, String> made);

        /** Adds records, with the identifiers they are given. */
        void add(Map<UUID, ImportItem> items);

        /**
         * Changes the records that some are.
         *
         * @return how many are other than before
         */
        int change(Map<ImportItem, UUID> items);
    }

    /** What a pass leans on. */
    record Tools(KnownRecords known, DealService deals, List<Colleague> team, Function<CrmKind, UUID> ids) {}

    private record Seen(long line, UUID id, String name, Identity identity) {}

    private final CrmKind kind;
    private final RowReader reader;
    private final List<String> headings;
    private final Tools tools;
    private final ImportChoices choices;
    private final Hands hands;
    private final Map<String, UUID> colleagues = new HashMap<>();
    private final Map<String, UUID> organisations = new HashMap<>();
    private final Map<String, Seen> seen = new HashMap<>();
    private final Set<UUID> mine = new HashSet<>();
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

    ImportPass(CrmKind kind, RowReader reader, List<String> headings, Tools tools, ImportChoices choices, Hands hands) {
        this.kind = kind;
        this.reader = reader;
        this.headings = headings;
        this.tools = tools;
        this.choices = choices;
        this.hands = hands;
        for (Colleague one : tools.team()) {
            colleagues.putIfAbsent(SearchText.folded(one.name()), one.id());
            colleagues.put(one.email().toLowerCase(Locale.ROOT), one.id());
        }
        // A first name alone says who it is where nobody else has it.
        tools.team().stream()
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
            if (++rows > MOST_ROWS) {
                throw new UnreadableTable(
                        row.line(), 0, "At most 200,000 rows can be imported at once. Part this file into several.");
            }
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
        items.stream().filter(item -> !item.isSound()).forEach(this::refuse);
        List<ImportItem> sound = items.stream().filter(ImportItem::isSound).toList();
        organisations(sound);
        decide(sound);
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
            tools.deals().check(item.lines()).values().stream()
                    .distinct()
                    .forEach(sentence -> item.blame(-1, sentence));
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
        Map<String, UUID> found = tools.known().contacts(wanted.values());
        wanted.forEach((item, address) -> {
            item.contact(found.get(address));
            if (item.contact() == null) {
                item.blame(-1, "No contact has the address " + address + ". Import the contacts first.");
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
        organisations.putAll(tools.known().organisations(wanted.keySet()));
        Map<UUID, String> come = new LinkedHashMap<>();
        wanted.forEach((folded, name) -> {
            if (!organisations.containsKey(folded)) {
                UUID id = tools.ids().apply(CrmKind.ORGANISATION);
                organisations.put(folded, id);
                come.put(id, name);
            }
        });
        made += come.size();
        hands.organisations(come);
        items.forEach(item -> item.organisation(organisations.get(SearchText.folded(item.organisationName()))));
    }

    private void decide(List<ImportItem> items) {
        List<Identity> identities = items.stream().map(ImportItem::identity).toList();
        Map<Integer, Known> here = tools.known().find(kind, identities);
        // Rows are compared with the rows before them by what was read, in a check as in an import.
        here.values().removeIf(one -> mine.contains(one.id()));
        Map<UUID, ImportItem> come = new LinkedHashMap<>();
        List<Map<ImportItem, UUID>> changes = new ArrayList<>(List.of(new LinkedHashMap<>()));
        for (int i = 0; i < items.size(); i++) {
            ImportItem item = items.get(i);
            Identity identity = identities.get(i);
            Optional<Seen> before = before(identity);
            UUID same = before.map(Seen::id)
                    .orElse(here.containsKey(i) ? here.get(i).id() : null);
            if (same == null) {
                fresh++;
            } else {
                known++;
                show(item, identity, before, here.get(i));
            }
            Choice choice = same == null ? Choice.ADD : choices.of(item.line());
            UUID id = choice == Choice.ADD ? tools.ids().apply(kind) : same;
            switch (choice) {
                case ADD -> come.put(id, item);
                case UPDATE -> {
                    // Two rows about one record are written one after the other.
                    if (changes.getLast().containsValue(id)) {
                        changes.add(new LinkedHashMap<>());
                    }
                    changes.getLast().put(item, id);
                }
                case SKIP -> skipped++;
            }
            remember(item, identity, id);
        }
        added += come.size();
        mine.addAll(come.keySet());
        hands.add(come);
        for (Map<ImportItem, UUID> some : changes) {
            int other = hands.change(some);
            updated += other;
            skipped += some.size() - other;
        }
    }

    private Optional<Seen> before(Identity identity) {
        for (String address : identity.addresses()) {
            if (seen.containsKey(address)) {
                return Optional.of(seen.get(address));
            }
        }
        return Optional.ofNullable(seen.get(nameKey(identity)))
                .filter(one -> identity.sameAs(one.identity()).isPresent());
    }

    private static String nameKey(Identity identity) {
        return identity.name() + "\n" + identity.belongsTo();
    }

    private void remember(ImportItem item, Identity identity, UUID id) {
        Seen one = new Seen(item.line(), id, item.name(), identity);
        identity.addresses().forEach(address -> seen.putIfAbsent(address, one));
        seen.putIfAbsent(nameKey(identity), one);
    }

    private void show(ImportItem item, Identity identity, Optional<Seen> before, Known here) {
        if (duplicates.size() == MOST_SHOWN) {
            return;
        }
        duplicates.add(before.map(one -> new Duplicate(
                        item.line(),
                        item.name(),
                        identity.sameAs(one.identity()).orElse(Sameness.NAME),
                        one.name(),
                        null,
                        one.line()))
                .orElseGet(() -> new Duplicate(item.line(), item.name(), here.sameness(), here.name(), here.id(), 0)));
    }

    /** Those of a check. */
    static final class NoHands implements Hands {
        @Override
        public void organisations(Map<UUID, String> made) {
            // A check makes nothing.
        }

        @Override
        public void add(Map<UUID, ImportItem> items) {
            // A check adds nothing.
        }

        @Override
        public int change(Map<ImportItem, UUID> items) {
            return items.size();
        }
    }
}
