package famulus.server.records;

import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.House;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A made-up person with an organisation and a deal, so that a template can be looked at before there is any record. They are
 * never stored, and can't be written to.
 */
public final class SampleRecords {
    private static final String FIRST_NAME = "Robin";
    private static final String LAST_NAME = "Sample";
    private static final UUID PERSON = new UUID(0, 1);
    private static final UUID ORGANISATION = new UUID(0, 2);
    private static final UUID DEAL = new UUID(0, 3);

    private final FieldCatalogue catalogue;
    private final House house;
    private final UUID owner;
    private final LocalDate today;

    /**
     * Makes samples up.
     *
     * @param owner whose records they are
     * @param today what their days are near to
     */
    SampleRecords(FieldCatalogue catalogue, House house, UUID owner, LocalDate today) {
        this.catalogue = catalogue;
        this.house = house;
        this.owner = owner;
        this.today = today;
    }

    /** What the made-up person is called. */
    public static String name() {
        return FIRST_NAME + " " + LAST_NAME;
    }

    /** The made-up person as a contact or lead; with the made-up deal where {@code withDeal}. */
    public static For person(CrmKind kind, boolean withDeal) {
        return new For(kind, PERSON, withDeal ? DEAL : null);
    }

    /** Whether this is the made-up person. */
    public static boolean is(UUID id) {
        return PERSON.equals(id);
    }

    /** Refuses to do for the made-up person what is done for a real one only. */
    public static void refuse(For to) {
        if (is(to.id())) {
            throw Refusal.because(
                    "sample-person", "This person is made up to show the template. Add somebody under People first.");
        }
    }

    CrmRecord person(CrmKind kind) {
        Map<String, String> values = filled(kind);
        values.putAll(Map.of("title", "Ms", "first_name", FIRST_NAME, "last_name", LAST_NAME, "job_title", "Buyer"));
        if (kind == CrmKind.CONTACT) {
            values.put("organisation", ORGANISATION.toString());
        } else {
            values.putAll(Map.of("company", "Sample Company", "country", house.country()));
        }
        return new CrmRecord(kind, PERSON, 1, values);
    }

    CrmRecord organisation() {
        Map<String, String> values = filled(CrmKind.ORGANISATION);
        values.putAll(Map.of("name", "Sample Company", "town", "Sampleton", "country", house.country()));
        return new CrmRecord(CrmKind.ORGANISATION, ORGANISATION, 1, values);
    }

    CrmRecord deal() {
        Map<String, String> values = filled(CrmKind.DEAL);
        values.putAll(Map.of("name", "Sample deal", "organisation", ORGANISATION.toString()));
        return new CrmRecord(CrmKind.DEAL, DEAL, 1, values);
    }

    static List<PersonAddress> addresses() {
        return List.of(new PersonAddress(null, "robin.sample@sample.example", ""));
    }

    /** A plausible value for each field that can hold one; who the owner is, and the house's own language and time. */
    private Map<String, String> filled(CrmKind kind) {
        Map<String, String> values = new HashMap<>();
        for (FieldDefinition field : catalogue.of(kind.core())) {
            String value = value(field);
            if (!value.isEmpty()) {
                values.put(field.name(), value);
            }
        }
        values.keySet().removeAll(List.of("language", "time_zone", "formality"));
        values.put("owner", owner.toString());
        return values;
    }

    private String value(FieldDefinition field) {
        return switch (field.type()) {
            case TEXT, LONG_TEXT -> field.label();
            case NUMBER -> "12";
            case MONEY -> "1200.00 " + house.currency();
            case DATE -> today.plusDays(21).toString();
            case CHOICE, CHOICES ->
                field.choices().isEmpty() ? "" : field.choices().getFirst().code();
            case YES_NO -> "yes";
            case LINK -> "https://sample.example";
            case EMAIL -> addresses().getFirst().address();
            case PHONE, DATE_TIME, USER, RELATION -> "";
        };
    }
}
