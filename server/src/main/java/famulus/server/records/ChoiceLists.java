package famulus.server.records;

import famulus.core.field.FieldNames;
import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueMapper.ChoiceRow;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What may be chosen in a field: replaced as a whole. A choice that is renamed keeps what was chosen and remembers its earlier
 * labels; one that is retired stays with the records that have it and is offered to no other; one that records have can't be
 * removed.
 */
@Component
class ChoiceLists {
    private static final int MOST = 60;
    private static final int LONGEST_LABEL = 60;
    private static final int MOST_EARLIER = 20;

    private final CatalogueMapper mapper;
    private final PipelineMapper counts;
    private final CatalogueService catalogue;

    ChoiceLists(CatalogueMapper mapper, PipelineMapper counts, CatalogueService catalogue) {
        this.mapper = mapper;
        this.counts = counts;
        this.catalogue = catalogue;
    }

    /**
     * A choice as it is to be.
     *
     * @param code empty for a new one
     * @param outcome of a stage; null for other choices
     */
    record KeptChoice(String code, String label, boolean retired, String outcome) {}

    /** What may be chosen in a field, retired choices too. */
    List<KeptChoice> of(CrmKind kind, String field) {
        return mapper.choicesOf(kind.word(), field).stream()
                .map(row -> new KeptChoice(row.code(), row.label(), row.retired(), row.outcome()))
                .toList();
    }

    /** How many records have each choice, by code; those that none has are absent. */
    Map<String, Integer> uses(CrmKind kind, String field) {
        Optional<String> column = catalogue.fields(kind).stream()
                .filter(one -> one.definition().name().equals(field))
                .flatMap(one -> one.column().stream())
                .findFirst();
        Map<String, Integer> uses = new HashMap<>();
        List<PipelineMapper.UseRow> rows = column.map(name -> counts.usesOf(kind.word(), name))
                .orElseGet(() -> counts.usesOfOwn(kind.word(), field));
        // Of several choices in one field each is counted.
        rows.forEach(row -> row.stored().lines().forEach(code -> uses.merge(code, row.count(), Integer::sum)));
        return uses;
    }

    /**
     * Takes the place of all choices of a field. Lists that show it are the caller's to make anew.
     *
     * @param word what one of them is called where it is refused
     * @param place the name of the part of the request that has them
     */
    void keep(CrmKind kind, String field, List<KeptChoice> choices, String word, String place) {
        if (choices.isEmpty() || choices.size() > MOST) {
            throw Refusal.field(place, "Enter one to " + MOST + ".");
        }
        if (choices.stream().allMatch(KeptChoice::retired)) {
            throw Refusal.field(place, "All of them are retired. Restore one.");
        }
        List<ChoiceRow> before = mapper.choicesOf(kind.word(), field);
        List<ChoiceRow> rows = rows(kind, field, choices, before, place);
        Set<String> labels = new HashSet<>();
        Set<String> stay = new HashSet<>();
        for (ChoiceRow row : rows) {
            if (!labels.add(row.label().toLowerCase(Locale.ROOT)) || !stay.add(row.code())) {
                throw Refusal.field(place, "“" + row.label() + "” is listed twice.");
            }
        }
        refuseRemoval(kind, field, before, stay, word, place);
        mapper.newRevision();
        mapper.clearChoices(kind.word(), field);
        rows.forEach(row -> mapper.insertChoice(remembering(row, before, labels)));
    }

    /** Rows as they are to be; a code that is not there yet is made from the label. */
    private static List<ChoiceRow> rows(
            CrmKind kind, String field, List<KeptChoice> choices, List<ChoiceRow> before, String place) {
        List<String> codes =
                new ArrayList<>(before.stream().map(ChoiceRow::code).toList());
        List<ChoiceRow> rows = new ArrayList<>();
        for (KeptChoice choice : choices) {
            PlainLine.refusal(choice.label(), LONGEST_LABEL, true).ifPresent(sentence -> {
                throw Refusal.field(place, sentence);
            });
            boolean fresh = choice.code() == null || choice.code().isBlank();
            String code = fresh ? FieldNames.of(choice.label(), codes) : choice.code();
            codes.add(code);
            rows.add(new ChoiceRow(
                    kind.word(),
                    field,
                    code,
                    choice.label().strip(),
                    rows.size() + 1,
                    choice.outcome(),
                    null,
                    choice.retired()));
        }
        return rows;
    }

    private void refuseRemoval(
            CrmKind kind, String field, List<ChoiceRow> before, Set<String> stay, String word, String place) {
        Map<String, Integer> uses =
                before.stream().allMatch(one -> stay.contains(one.code())) ? Map.of() : uses(kind, field);
        for (ChoiceRow one : before) {
            int users = stay.contains(one.code()) ? 0 : uses.getOrDefault(one.code(), 0);
            if (users > 0) {
                throw Refusal.field(
                        place,
                        "“" + one.label() + "” is the " + word + " of "
                                + (users == 1 ? "one " : users + " ") + kind.word() + (users == 1 ? "" : "s")
                                + ". Retire it in place of removing it, or change "
                                + (users == 1 ? "that one" : "them") + " first.");
            }
        }
    }

    /** A row that knows the labels its choice had before; one that another choice has now belongs to that one. */
    private static ChoiceRow remembering(ChoiceRow row, List<ChoiceRow> before, Set<String> labels) {
        Optional<ChoiceRow> same =
                before.stream().filter(one -> one.code().equals(row.code())).findFirst();
        if (same.isEmpty()) {
            return row;
        }
        List<String> earlier = Stream.concat(Stream.of(same.get().label()), same.get().earlierLabels().stream())
                .distinct()
                .filter(label -> !labels.contains(label.toLowerCase(Locale.ROOT)))
                .limit(MOST_EARLIER)
                .toList();
        return new ChoiceRow(
                row.kind(),
                row.fieldName(),
                row.code(),
                row.label(),
                row.position(),
                row.outcome(),
                ChoiceRow.lines(earlier),
                row.retired());
    }
}
