package famulus.server.interchange;

import famulus.core.field.FieldDefinition;
import famulus.core.table.Target;
import famulus.core.table.Target.OfField;
import famulus.core.table.Target.Other;
import famulus.server.records.CatalogueService;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.CrmKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Where columns can go, for each kind of record. */
@Component
class ImportTargets {
    private static final Map<Other, String> LABELS = Map.of(
            Other.EMAIL, "E-mail",
            Other.CONTACT, "Contact’s e-mail or name",
            Other.LINE_DESCRIPTION, "Line: description",
            Other.LINE_QUANTITY, "Line: quantity",
            Other.LINE_UNIT, "Line: unit",
            Other.LINE_PRICE, "Line: price",
            Other.LINE_DISCOUNT, "Line: discount in %",
            Other.LINE_TAX, "Line: tax in %",
            Other.LINE_NOTE, "Line: note");

    private final CatalogueService catalogue;

    ImportTargets(CatalogueService catalogue) {
        this.catalogue = catalogue;
    }

    /** All of them, in the order in which they are offered. */
    List<Target> of(CrmKind kind) {
        List<Target> targets = new ArrayList<>();
        List<StoredField> fields = catalogue.fillable(kind);
        for (StoredField field : fields) {
            targets.add(field.isRelation() ? new Target.OfRelation(field.definition()) : field(field));
        }
        if (kind.isPerson()) {
            targets.add(new Target.OfName(named(fields, "first_name"), named(fields, "last_name")));
            targets.add(Other.EMAIL);
        }
        if (kind == CrmKind.DEAL) {
            targets.add(Other.CONTACT);
            Arrays.stream(Other.values()).filter(Other::isLine).forEach(targets::add);
        }
        return targets;
    }

    private static OfField field(StoredField field) {
        return new OfField(field.definition(), field.most());
    }

    private static OfField named(List<StoredField> fields, String name) {
        return fields.stream()
                .filter(field -> field.definition().name().equals(name))
                .findFirst()
                .map(ImportTargets::field)
                .orElseThrow();
    }

    /** The fields without which there is no record: those of which none can be chosen for it. */
    List<FieldDefinition> required(CrmKind kind) {
        return catalogue.fillable(kind).stream()
                .filter(StoredField::required)
                .map(StoredField::definition)
                .filter(field -> field.choices().isEmpty())
                .toList();
    }

    /** What a target is called. */
    static String label(Target target) {
        return switch (target) {
            case OfField of -> of.field().label();
            case Target.OfRelation of -> of.field().label();
            case Target.OfName of -> "First name and surname";
            case Other other -> LABELS.get(other);
        };
    }

    /** The targets of some words, in their order; empty where a word names none. */
    static List<Optional<Target>> named(List<Target> targets, List<String> words) {
        return words.stream()
                .map(word -> targets.stream()
                        .filter(target -> target.word().equals(word))
                        .findFirst())
                .toList();
    }

    /** Why columns can't go where they are to go. */
    Optional<String> wrong(CrmKind kind, List<Optional<Target>> columns) {
        Set<String> taken = new HashSet<>();
        for (Optional<Target> column : columns) {
            if (column.isPresent()
                    && column.get() != Target.Other.EMAIL
                    && !taken.add(column.get().word())) {
                return Optional.of("Two columns go to “" + label(column.get()) + "”. Choose one.");
            }
        }
        if (taken.contains("full_name")) {
            return Optional.empty();
        }
        return required(kind).stream()
                .filter(field -> !taken.contains(field.name()))
                .findFirst()
                .map(field -> "Choose the column that holds the "
                        + field.label().toLowerCase(Locale.ENGLISH)
                        + (kind.isPerson() ? ", or first name and surname together." : "."));
    }
}
