package famulus.server.records;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldNames;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.records.ChoiceLists.KeptChoice;
import famulus.server.records.PipelineService.Option;
import famulus.server.records.RecordRenewals.Cause;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The fields a house adds to its records. A field's name in templates never changes, whatever it is called later. */
@Service
public class FieldService {
    /** What a house's own field can hold. */
    static final Set<FieldType> TYPES = EnumSet.of(
            FieldType.TEXT,
            FieldType.LONG_TEXT,
            FieldType.NUMBER,
            FieldType.MONEY,
            FieldType.DATE,
            FieldType.CHOICE,
            FieldType.CHOICES,
            FieldType.YES_NO,
            FieldType.EMAIL,
            FieldType.LINK,
            FieldType.PHONE);

    private static final int MOST_FIELDS = 200;
    private static final int MOST_CHOICES = 60;
    private static final int LONGEST_LABEL = 60;
    private static final String SECTION = "Details";

    private final CatalogueService catalogue;
    private final Clock clock;
    private final RecordRenewals renewals;
    private final ChoiceLists lists;

    FieldService(CatalogueService catalogue, Clock clock, RecordRenewals renewals, ChoiceLists lists) {
        this.lists = lists;
        this.renewals = renewals;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    /**
     * A field of the house's own.
     *
     * @param path how templates about its kind name it
     * @param choices what may be chosen
     */
    public record OwnField(
            CrmKind kind,
            String name,
            String path,
            String label,
            FieldType type,
            String section,
            boolean inList,
            boolean retired,
            List<Option> choices) {}

    /** Every field of the house's own, by kind. */
    public List<OwnField> own() {
        return catalogue.own().stream()
                .filter(row -> !row.kind().equals(RecordKind.OUR_COMPANY.word()))
                .map(row -> new OwnField(
                        CrmKind.of(row.kind()),
                        row.name(),
                        row.kind() + "." + row.name(),
                        row.label(),
                        FieldType.valueOf(row.type()),
                        row.section(),
                        row.inList(),
                        row.retiredAt() != null,
                        lists.of(CrmKind.of(row.kind()), row.name()).stream()
                                .map(one -> new Option(one.code(), one.label(), one.retired()))
                                .toList()))
                .toList();
    }

    /** Adds a field, and returns its name in templates. */
    @Transactional
    public String add(
            CrmKind kind, String label, FieldType type, String section, boolean inList, List<String> choices) {
        Map<String, String> wrong = check(kind, null, label, section);
        if (!TYPES.contains(type)) {
            wrong.put("type", "A field of your own can’t be of this type.");
        }
        List<FieldOption> made = choices(type, choices, wrong);
        if (catalogue.names(kind.core()).size() >= MOST_FIELDS) {
            wrong.put("label", "There are too many fields here already. Retire some first.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        String name = FieldNames.of(label, catalogue.names(kind.core()));
        catalogue.add(
                new FieldDefinition(kind.core(), name, label.strip(), type, made, Optional.empty()),
                section.isBlank() ? SECTION : section.strip(),
                catalogue.lastPosition(kind.core()) + 1,
                most(type),
                false,
                inList);
        if (inList) {
            renewals.renew(kind, Cause.KIND, null);
        }
        return name;
    }

    private static int most(FieldType type) {
        return switch (type) {
            case LONG_TEXT -> 2000;
            case LINK -> 400;
            default -> 200;
        };
    }

    /** Changes what a field is called, and its choices; see {@link ChoiceLists}. */
    @Transactional
    public void change(CrmKind kind, String name, String label, boolean inList, List<Option> choices) {
        OwnField before = find(kind, name);
        Map<String, String> wrong = check(kind, name, label, "");
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        catalogue.change(kind.core(), name, label.strip(), inList);
        if (isChoice(before.type()) && !choices.equals(before.choices())) {
            lists.keep(
                    kind,
                    name,
                    choices.stream()
                            .map(one -> new KeptChoice(one.code(), one.label(), one.retired(), null))
                            .toList(),
                    "“" + label.strip() + "”",
                    "choices");
        }
        if (inList) {
            renewals.renew(kind, Cause.KIND, null);
        }
    }

    /** How many records have each choice of a field, by code. */
    public Map<String, Integer> uses(CrmKind kind, String name) {
        return isChoice(find(kind, name).type()) ? lists.uses(kind, name) : Map.of();
    }

    private static boolean isChoice(FieldType type) {
        return type == FieldType.CHOICE || type == FieldType.CHOICES;
    }

    /** Takes a field out of use. Its values are kept, and come back with it. */
    @Transactional
    public void retire(CrmKind kind, String name) {
        find(kind, name);
        catalogue.retire(kind.core(), name, clock.instant());
    }

    /** Brings a retired field back. */
    @Transactional
    public void bringBack(CrmKind kind, String name) {
        OwnField field = find(kind, name);
        catalogue.retire(kind.core(), name, null);
        if (field.inList()) {
            renewals.renew(kind, Cause.KIND, null);
        }
    }

    private OwnField find(CrmKind kind, String name) {
        return own().stream()
                .filter(one -> one.kind() == kind && one.name().equals(name))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This field"));
    }

    private Map<String, String> check(CrmKind kind, String name, String label, String section) {
        Map<String, String> wrong = new LinkedHashMap<>();
        PlainLine.refusal(label, LONGEST_LABEL, true).ifPresent(sentence -> wrong.put("label", sentence));
        PlainLine.refusal(section, 40, false).ifPresent(sentence -> wrong.put("section", sentence));
        boolean taken = wrong.isEmpty()
                && catalogue.fields(kind).stream()
                        .map(field -> field.definition())
                        .anyMatch(field -> field.label().equalsIgnoreCase(label.strip())
                                && !field.name().equals(name));
        if (taken) {
            wrong.put("label", "Another field has this name already.");
        }
        return wrong;
    }

    private static List<FieldOption> choices(FieldType type, List<String> labels, Map<String, String> wrong) {
        if (!isChoice(type)) {
            return List.of();
        }
        List<FieldOption> made = new ArrayList<>();
        List<String> codes = new ArrayList<>();
        for (String label : labels) {
            PlainLine.refusal(label, LONGEST_LABEL, true).ifPresent(sentence -> wrong.put("choices", sentence));
            String code = FieldNames.of(label, codes);
            codes.add(code);
            made.add(new FieldOption(code, label.strip()));
        }
        if (made.isEmpty() || made.size() > MOST_CHOICES) {
            wrong.put("choices", "Enter one to " + MOST_CHOICES + " choices, one on each line.");
        } else if (made.stream().map(FieldOption::label).distinct().count() < made.size()) {
            wrong.put("choices", "A choice is listed twice.");
        }
        return made;
    }
}
