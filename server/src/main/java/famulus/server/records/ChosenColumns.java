package famulus.server.records;

import famulus.core.field.FieldType;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.ListColumns.Column;
import famulus.server.records.RecordListService.LedgerColumn;
import famulus.server.team.Colleague;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which columns a colleague sees in the list of each kind: those that everybody begins with, until they choose others. */
@Service
public class ChosenColumns {
    private static final int MOST = 12;

    private final ChosenColumnMapper mapper;
    private final RecordIndex index;
    private final CatalogueService catalogue;

    ChosenColumns(ChosenColumnMapper mapper, RecordIndex index, CatalogueService catalogue) {
        this.mapper = mapper;
        this.index = index;
        this.catalogue = catalogue;
    }

    /** Keeps what colleagues have chosen: names of columns in their order, parted by commas. */
    @Mapper
    interface ChosenColumnMapper {
        @Select("select columns from list_column where colleague_id = #{colleague} and kind = #{kind}")
        Optional<String> of(@Param("colleague") UUID colleague, @Param("kind") String kind);

        @Insert(
                """
                merge into list_column (colleague_id, kind, columns) key (colleague_id, kind)
                values (#{colleague}, #{kind}, #{columns})
                """)
        void put(@Param("colleague") UUID colleague, @Param("kind") String kind, @Param("columns") String columns);

        @Delete("delete from list_column where colleague_id = #{colleague} and kind = #{kind}")
        void clear(@Param("colleague") UUID colleague, @Param("kind") String kind);
    }

    /**
     * The columns a list could have.
     *
     * @param chosen the names of those somebody sees, in their order
     * @param beginning the names of those everybody begins with
     */
    public record ColumnChoice(List<LedgerColumn> all, List<String> chosen, List<String> beginning) {}

    /** What somebody can choose, and has chosen. */
    public ColumnChoice choice(CrmKind kind, Colleague asking) {
        return new ColumnChoice(
                List.copyOf(possible(kind).values()),
                columns(kind, asking).stream().map(LedgerColumn::name).toList(),
                beginning(kind));
    }

    /** Keeps what somebody has chosen; the name always comes first. Nothing at all is what everybody begins with. */
    @Transactional
    public ColumnChoice choose(CrmKind kind, List<String> names, Colleague asking) {
        Map<String, LedgerColumn> possible = possible(kind);
        List<String> wanted = names.stream()
                .filter(name -> !name.equals(ListColumns.NAME))
                .distinct()
                .toList();
        wanted.stream().filter(name -> !possible.containsKey(name)).findFirst().ifPresent(name -> {
            throw Refusal.field("columns", "A column is missing. It may have been removed; choose again.");
        });
        if (wanted.size() >= MOST) {
            throw Refusal.field("columns", "A list shows " + MOST + " columns at most.");
        }
        if (wanted.isEmpty()) {
            mapper.clear(asking.id(), kind.word());
        } else {
            mapper.put(asking.id(), kind.word(), String.join(",", wanted));
        }
        return choice(kind, asking);
    }

    /** The columns somebody sees. */
    List<LedgerColumn> columns(CrmKind kind, Colleague asking) {
        Map<String, LedgerColumn> possible = possible(kind);
        List<String> names = mapper.of(asking.id(), kind.word())
                .map(kept -> Arrays.asList((ListColumns.NAME + "," + kept).split(",")))
                .orElseGet(() -> beginning(kind));
        // A field that is gone leaves no column.
        return names.stream().map(possible::get).filter(Objects::nonNull).toList();
    }

    private List<String> beginning(CrmKind kind) {
        return index.columns(kind).stream().map(Column::name).toList();
    }

    private Map<String, LedgerColumn> possible(CrmKind kind) {
        Map<String, LedgerColumn> possible = new LinkedHashMap<>();
        for (Column column : index.columns(kind)) {
            possible.put(column.name(), new LedgerColumn(column.name(), column.label(), column.figures(), true));
        }
        if (kind.isPerson()) {
            possible.put(ListColumns.EMAIL, new LedgerColumn(ListColumns.EMAIL, "E-mail", false, false));
        }
        for (StoredField field : catalogue.fields(kind)) {
            FieldType type = field.definition().type();
            String name = field.definition().name();
            boolean shown = type != FieldType.RELATION || ListColumns.RELATED.contains(name);
            if (shown && !field.computed()) {
                possible.putIfAbsent(
                        name, new LedgerColumn(name, field.definition().label(), ListColumns.isFigures(type), false));
            }
        }
        return possible;
    }
}
