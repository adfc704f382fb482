package famulus.server.lists;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Root;
import famulus.core.field.Value;
import famulus.server.lists.SqlValue.Sort;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordTables;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a condition is asked of, as SQL: the people of one kind that a template could go to, or the records of a list; what they
 * are read from, and each path's value. Mirrors what is gathered for a merge, so that a condition means the same over stored
 * records as for one person; a test holds the two together. Names of tables come from {@link RecordTables} and names of columns
 * from the catalogue, never from a request.
 */
final class AskedRecords {
    /** So many choices are told apart in the statement itself. */
    private static final int MOST_IN_WORDS = 20;

    private final CrmKind kind;
    private final Portion portion;
    private final About about;
    private final boolean ofDeals;
    private final FieldCatalogue catalogue;
    private final Map<RecordKind, Map<String, StoredField>> stored = new LinkedHashMap<>();
    private final Function<Path, Optional<Value>> constants;
    private final Map<String, String> joins = new LinkedHashMap<>();
    /** Whether a choice's value is its code now, not its label. */
    private boolean byCode;

    /**
     * People of one kind that a template could go to.
     *
     * @param kind contacts or leads; contacts for templates about deals
     * @param constants values that are the same for everybody: of the sender and the house
     * @param portion which of them
     */
    AskedRecords(
            About about,
            CrmKind kind,
            FieldCatalogue catalogue,
            List<StoredField> fields,
            Function<Path, Optional<Value>> constants,
            Portion portion) {
        this(
                about,
                kind,
                catalogue,
                fields,
                constants,
                portion,
                about == About.DEAL
                        ? RecordTables.deals(portion.limits().text())
                        : RecordTables.people(kind, portion.limits().text()));
    }

    private AskedRecords(
            About about,
            CrmKind kind,
            FieldCatalogue catalogue,
            List<StoredField> fields,
            Function<Path, Optional<Value>> constants,
            Portion portion,
            String from) {
        this.portion = portion;
        this.about = about;
        this.kind = kind;
        this.ofDeals = about == About.DEAL;
        this.catalogue = catalogue;
        this.constants = constants;
        fields.forEach(field -> stored.computeIfAbsent(field.definition().kind(), any -> new LinkedHashMap<>())
                .put(field.definition().name(), field));
        joins.put("p", from);
    }

    /** The records of a list, with what belongs to them; deals are all of them, whether they have a main contact or not. */
    static AskedRecords listed(
            RecordScope of,
            FieldCatalogue catalogue,
            List<StoredField> fields,
            Function<Path, Optional<Value>> constants,
            Portion portion) {
        String limits = portion.limits().text();
        return switch (of.kind()) {
            case CONTACT, LEAD -> new AskedRecords(of.about(), of.kind(), catalogue, fields, constants, portion);
            case DEAL ->
                new AskedRecords(
                        of.about(), CrmKind.DEAL, catalogue, fields, constants, portion, RecordTables.allDeals(limits));
            case ORGANISATION ->
                new AskedRecords(
                        of.about(),
                        CrmKind.ORGANISATION,
                        catalogue,
                        fields,
                        constants,
                        portion,
                        RecordTables.organisations(limits));
        };
    }

    /** Whether people are read with them, in whose time zones days are reckoned. */
    boolean ofPeople() {
        return kind != CrmKind.ORGANISATION;
    }

    /** The identifier of the record that the list has. */
    String record() {
        return switch (kind) {
            case CONTACT, LEAD -> "p.id";
            case DEAL -> "d.id";
            case ORGANISATION -> "o.id";
        };
    }

    /** The kinds of people a template could go to. */
    static List<CrmKind> kinds(About about) {
        return switch (about) {
            case LEAD -> List.of(CrmKind.LEAD);
            case PERSON -> List.of(CrmKind.CONTACT, CrmKind.LEAD);
            case CONTACT, DEAL -> List.of(CrmKind.CONTACT);
        };
    }

    /** What the paths asked for so far are read from. */
    Sql from() {
        return new Sql(String.join("\n", joins.values()), portion.limits().values());
    }

    /** Whether a record is in one of several parts of about the same size, which hold all of them between them. */
    Sql part(int turn, int of) {
        String read = ofDeals || kind == CrmKind.DEAL ? "d" : kind == CrmKind.ORGANISATION ? "o" : "p";
        return Sql.of("mod(" + read + "._rowid_, ?) = ?", of, turn);
    }

    /** The person's identifier. */
    String person() {
        return "p.id";
    }

    /** The deal's identifier; null where there is none. */
    String deal() {
        if (kind == CrmKind.LEAD) {
            return "cast(null as uuid)";
        }
        needDeal();
        return "d.id";
    }

    /** The identifier of the organisation whose values are used; null where there is none. */
    String organisation() {
        if (kind == CrmKind.LEAD) {
            return "cast(null as uuid)";
        }
        needOrganisation();
        return "o.id";
    }

    /** The name of their company. */
    String company() {
        if (kind == CrmKind.LEAD) {
            return "p.company";
        }
        needOrganisation();
        return "o.name";
    }

    /** The person's full name. */
    Sql name() {
        return Sql.of("trim(concat_ws(' ', p.first_name, p.last_name))");
    }

    /** Whether the person's time zone is one of these. */
    Sql zoneIn(List<String> zones) {
        return Sql.join(", ", zones.stream().map(zone -> Sql.of("?", zone)).toList())
                .wrapped("(p.time_zone in (", "))");
    }

    /** The value at a path; empty when it can't be had from SQL. */
    Optional<SqlValue> value(Path path) {
        Optional<Root> root = Root.of(path);
        if (root.isEmpty() || catalogue.resolve(path, about).isEmpty()) {
            return Optional.empty();
        }
        if (root.get() == Root.SENDER || root.get() == Root.OUR) {
            return constants.apply(path).filter(value -> !value.missing()).flatMap(ValueSql::constant);
        }
        List<String> rest = path.words().subList(1, path.words().size());
        if (kind == CrmKind.ORGANISATION) {
            return root.get() == Root.ORGANISATION ? organisation(rest) : Optional.empty();
        }
        return switch (root.get()) {
            case PERSON, CONTACT, LEAD -> person(rest);
            case DEAL -> kind == CrmKind.LEAD ? Optional.empty() : deal(rest);
            case ORGANISATION -> kind == CrmKind.LEAD ? Optional.empty() : organisation(rest);
            case OWNER -> {
                needDeal();
                need("w", RecordTables.owner(kind));
                yield colleague("w", rest);
            }
            case DOCUMENT -> kind == CrmKind.LEAD ? Optional.empty() : document(rest);
            case HISTORY -> rest.size() == 1 ? history(rest.getFirst()) : Optional.empty();
            case SENDER, OUR, MESSAGE -> Optional.empty();
        };
    }

    /**
     * The code of what one can be chosen of at a path, without blanks at its ends; empty for other fields. Compared by it a
     * record's label need not be found.
     */
    Optional<Sql> code(Path path) {
        if (options(path).isEmpty()) {
            return Optional.empty();
        }
        byCode = true;
        try {
            return value(path).map(SqlValue::value);
        } finally {
            byCode = false;
        }
    }

    private void need(String alias, String join) {
        joins.putIfAbsent(alias, join);
    }

    private void needDeal() {
        if (!ofDeals && kind == CrmKind.CONTACT) {
            need("s", RecordTables.SUMMARY);
            need("d", RecordTables.OPEN_DEAL);
        }
    }

    private void needOrganisation() {
        needDeal();
        if (kind != CrmKind.ORGANISATION) {
            need("o", RecordTables.ORGANISATION);
        }
    }

    private Optional<SqlValue> person(List<String> words) {
        String name = words.getFirst();
        if (words.size() == 1) {
            switch (name) {
                case "full_name" -> {
                    return Optional.of(ValueSql.text(name()));
                }
                case "email" -> {
                    need("e", RecordTables.ADDRESS);
                    return Optional.of(ValueSql.text(Sql.of("e.address")));
                }
                case "company" -> {
                    if (kind != CrmKind.LEAD) {
                        needOrganisation();
                        return Optional.of(ValueSql.text(Sql.of("o.name")));
                    }
                }
                case "salutation" -> {
                    return Optional.empty();
                }
                default -> {}
            }
        }
        return field(kind == CrmKind.LEAD ? RecordKind.LEAD : RecordKind.CONTACT, "p", words);
    }

    private Optional<SqlValue> deal(List<String> words) {
        needDeal();
        return field(RecordKind.DEAL, "d", words);
    }

    private Optional<SqlValue> organisation(List<String> words) {
        needOrganisation();
        return field(RecordKind.ORGANISATION, "o", words);
    }

    private Optional<SqlValue> document(List<String> words) {
        needDeal();
        need("doc", RecordTables.DOCUMENT);
        return field(RecordKind.DOCUMENT, "doc", words);
    }

    /** A field of the record that {@code alias} stands for, or of one that it leads to. */
    private Optional<SqlValue> field(RecordKind of, String alias, List<String> words) {
        StoredField field = stored.getOrDefault(of, Map.of()).get(words.getFirst());
        if (field == null) {
            return Optional.empty();
        }
        FieldDefinition definition = field.definition();
        if (definition.relation().isPresent()) {
            String joined = alias + "_" + definition.name();
            boolean user = definition.relation().get() == RecordKind.USER;
            need(
                    joined,
                    RecordTables.related(
                            user, joined, alias + "." + field.column().orElseThrow()));
            if (user) {
                return colleague(joined, words.subList(1, words.size()));
            }
            return words.size() == 1
                    ? Optional.of(ValueSql.text(Sql.of(joined + ".name")))
                    : field(RecordKind.ORGANISATION, joined, words.subList(1, words.size()));
        }
        if (words.size() > 1) {
            return Optional.empty();
        }
        if (field.column().isPresent()) {
            String column = alias + "." + field.column().get();
            if (byCode) {
                return Optional.of(ValueSql.text(Sql.of(column)));
            }
            return definition.type() == FieldType.CHOICE && definition.choices().size() > MOST_IN_WORDS
                    ? Optional.of(choice(definition, alias, column))
                    : ValueSql.column(definition, column);
        }
        String values = alias + "_v_" + definition.name();
        need(values, RecordTables.value(values, alias, definition.name()));
        return byCode ? Optional.of(ValueSql.text(Sql.of(values + ".text_value"))) : ValueSql.own(definition, values);
    }

    /** The label of one of very many choices, looked up rather than written into the statement. */
    private SqlValue choice(FieldDefinition field, String alias, String column) {
        String labels = alias + "_c_" + field.name();
        need(labels, RecordTables.label(labels, field.kind().word(), field.name(), column));
        return ValueSql.text(Sql.of("coalesce(" + labels + ".label, " + column + ")"));
    }

    private static Optional<SqlValue> colleague(String alias, List<String> words) {
        Sql name = Sql.of("trim(concat_ws(' ', %s.first_name, %s.last_name))".formatted(alias, alias));
        if (words.isEmpty()) {
            return Optional.of(ValueSql.text(name));
        }
        return words.size() > 1
                ? Optional.empty()
                : Optional.ofNullable(
                                switch (words.getFirst()) {
                                    case "full_name" -> name;
                                    case "first_name", "last_name", "job_title", "email", "phone", "signature" ->
                                        Sql.of(alias + "." + words.getFirst());
                                    default -> null;
                                })
                        .map(ValueSql::text);
    }

    private Optional<SqlValue> history(String field) {
        need("s", RecordTables.SUMMARY);
        return Optional.ofNullable(
                switch (field) {
                    case "times_written" -> SqlValue.of(Sort.NUMBER, Sql.of("s.times_written"));
                    case "last_written", "last_reply", "last_called", "last_opened", "last_clicked" ->
                        SqlValue.of(Sort.MOMENT, Sql.of("s." + field));
                    case "clicked_link" -> ValueSql.text(Sql.of("s.clicked_link"));
                    case "replied" -> ValueSql.whether("s.last_reply is not null");
                    case "opened" -> ValueSql.whether("s.last_opened is not null");
                    case "clicked" -> ValueSql.whether("s.last_clicked is not null");
                    case "unsubscribed" -> ValueSql.whether("s.unsubscribed");
                    default -> null;
                });
    }

    /** What any number can be chosen of in the field a path ends at; none for other fields. */
    List<FieldOption> choices(Path path) {
        return choices(path, FieldType.CHOICES);
    }

    /** What one can be chosen of in the field a path ends at; none for other fields. */
    List<FieldOption> options(Path path) {
        return choices(path, FieldType.CHOICE);
    }

    private List<FieldOption> choices(Path path, FieldType type) {
        return catalogue
                .resolve(path, about)
                .filter(field -> field.type() == type)
                .map(FieldDefinition::choices)
                .orElse(List.of());
    }
}
