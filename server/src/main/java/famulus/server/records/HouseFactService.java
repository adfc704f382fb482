package famulus.server.records;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldNames;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Root;
import famulus.core.record.FieldInput;
import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Details of our company for templates, each with the day it was last true: {@code our.customers} and
 * {@code our.customers_as_of}.
 */
@Service
public class HouseFactService {
    private static final String AS_OF = "_as_of";
    private static final int LONGEST_MONTHS = 120;
    private static final String SECTION = "House facts";
    private static final Set<FieldType> TYPES = EnumSet.of(
            FieldType.TEXT,
            FieldType.NUMBER,
            FieldType.MONEY,
            FieldType.DATE,
            FieldType.LINK,
            FieldType.PHONE,
            FieldType.EMAIL);

    private final HouseFactMapper mapper;
    private final CatalogueService catalogue;
    private final TeamService team;
    private final Clock clock;

    HouseFactService(HouseFactMapper mapper, CatalogueService catalogue, TeamService team, Clock clock) {
        this.clock = clock;
        this.mapper = mapper;
        this.catalogue = catalogue;
        this.team = team;
    }

    /** Facts as stored. */
    @Mapper
    interface HouseFactMapper {
        record FactRow(String name, String said, LocalDate asOf, Integer months) {}

        @Select("select name, said, as_of, months from house_fact order by name")
        List<FactRow> all();

        @Insert("insert into house_fact (name, said, as_of, months) values (#{name}, #{said}, #{asOf}, #{months})")
        void insert(FactRow fact);

        @Update("update house_fact set said = #{said}, as_of = #{asOf}, months = #{months} where name = #{name}")
        int update(FactRow fact);

        @Delete("delete from house_fact where name = #{name}")
        int delete(String name);
    }

    /**
     * A fact.
     *
     * @param path how templates name it
     * @param value as it would be typed
     * @param asOf the day it was last true, as {@code 2026-05-04}
     * @param months after how many months somebody should look at it again; null for never
     */
    public record HouseFact(
            String name,
            String path,
            String label,
            FieldType type,
            String value,
            String asOf,
            @Schema(nullable = true) Integer months) {}

    /** A fact as it is typed. */
    public record TypedFact(
            String label, FieldType type, String value, String asOf, @Schema(nullable = true) Integer months) {}

    /** Every fact, by name. */
    public List<HouseFact> all() {
        return mapper.all().stream()
                .flatMap(row -> catalogue.catalogue().field(RecordKind.OUR_COMPANY, row.name()).stream()
                        .map(field -> new HouseFact(
                                row.name(),
                                Root.OUR.word() + "." + row.name(),
                                field.label(),
                                field.type(),
                                row.said(),
                                row.asOf().toString(),
                                row.months())))
                .toList();
    }

    /** What is stored, by the names of the fields. */
    Map<String, String> stored() {
        Map<String, String> stored = new HashMap<>();
        mapper.all().forEach(row -> {
            stored.put(row.name(), row.said());
            stored.put(row.name() + AS_OF, row.asOf().toString());
        });
        return stored;
    }

    /** The facts that somebody should look at again on a day, each with the day it was last true. */
    public Map<Path, LocalDate> outOfDate(LocalDate day) {
        Map<Path, LocalDate> old = new HashMap<>();
        mapper.all().stream()
                .filter(row -> row.months() != null)
                .filter(row -> row.asOf().plusMonths(row.months()).isBefore(day))
                .forEach(row -> old.put(Path.of(Root.OUR.word() + "." + row.name()), row.asOf()));
        return old;
    }

    /** Adds a fact, and returns its name. */
    @Transactional
    public String add(TypedFact typed) {
        Map<String, String> wrong = new LinkedHashMap<>();
        PlainLine.refusal(typed.label(), 60, true).ifPresent(sentence -> wrong.put("label", sentence));
        if (!TYPES.contains(typed.type())) {
            wrong.put("type", "A detail of the company can’t be of this type.");
        }
        boolean taken = catalogue.catalogue().of(RecordKind.OUR_COMPANY).stream()
                .anyMatch(field -> field.label().equalsIgnoreCase(typed.label().strip()));
        if (taken) {
            wrong.put("label", "Another link or company detail has this name already.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        String label = typed.label().strip();
        String name = FieldNames.of(label, catalogue.names(RecordKind.OUR_COMPANY));
        FieldDefinition field = FieldDefinition.plain(RecordKind.OUR_COMPANY, name, label, typed.type());
        HouseFactMapper.FactRow row = read(field, typed);
        int position = catalogue.lastPosition(RecordKind.OUR_COMPANY) + 1;
        catalogue.add(field, SECTION, position, 1000, true, false);
        catalogue.add(
                FieldDefinition.plain(RecordKind.OUR_COMPANY, name + AS_OF, label + ", as of", FieldType.DATE),
                SECTION,
                position + 1,
                10,
                true,
                false);
        mapper.insert(row);
        return name;
    }

    /** Changes what a fact says and since when; what it is called and its sort stay. */
    @Transactional
    public void change(String name, TypedFact typed) {
        FieldDefinition field = catalogue
                .catalogue()
                .field(RecordKind.OUR_COMPANY, name)
                .filter(any -> stored().containsKey(name))
                .orElseThrow(() -> Refusal.missing("This detail"));
        mapper.update(read(field, typed));
    }

    /** Takes a fact away; templates that use it are told so by the proofreader. */
    @Transactional
    public void remove(String name) {
        if (mapper.delete(name) == 0) {
            throw Refusal.missing("This detail");
        }
        catalogue.remove(RecordKind.OUR_COMPANY, name);
        catalogue.remove(RecordKind.OUR_COMPANY, name + AS_OF);
    }

    private HouseFactMapper.FactRow read(FieldDefinition field, TypedFact typed) {
        Map<String, String> wrong = new LinkedHashMap<>();
        House house = team.house();
        FieldInput input = FieldInput.read(field, 1000, true, typed.value(), house.country(), house.currency());
        input.refusal().ifPresent(sentence -> wrong.put("value", sentence));
        LocalDate asOf = null;
        try {
            // A link is true from the day it is written down.
            asOf = field.type() == FieldType.LINK && typed.asOf().isBlank()
                    ? LocalDate.now(clock.withZone(house.zone()))
                    : LocalDate.parse(typed.asOf().strip());
        } catch (DateTimeParseException noDay) {
            wrong.put("asOf", "Write the day as 2026-05-04.");
        }
        if (typed.months() != null && (typed.months() < 1 || typed.months() > LONGEST_MONTHS)) {
            wrong.put("months", "Choose after how many months to ask.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return new HouseFactMapper.FactRow(field.name(), input.stored(), asOf, typed.months());
    }
}
