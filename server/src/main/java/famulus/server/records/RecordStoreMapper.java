package famulus.server.records;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/**
 * Reads and writes records of any kind. Names of tables come from {@link CrmKind} and names of columns from the
 * catalogue, never from a request.
 */
@Mapper
interface RecordStoreMapper {
    record ValueRow(UUID recordId, String fieldName, String textValue, BigDecimal numberValue, LocalDate dateValue) {}

    record AddressRow(UUID id, String kind, UUID personId, String address, String label, int position) {}

    List<Map<String, Object>> rows(
            @Param("table") String table, @Param("ids") Collection<UUID> ids, @Param("columns") List<String> columns);

    List<ValueRow> values(@Param("ids") Collection<UUID> ids, @Param("fields") List<String> fields);

    int update(
            @Param("table") String table,
            @Param("id") UUID id,
            @Param("version") int version,
            @Param("columns") Map<String, Object> columns);

    void insert(@Param("table") String table, @Param("columns") Map<String, Object> columns);

    /** A column of many records, as texts that are cast to its type; null for nothing. */
    record ColumnTexts(String name, String type, List<String> texts) {}

    /** A value with its parts as texts; null for nothing. */
    record ValueTexts(UUID recordId, String fieldName, String text, String number, String date) {
        static ValueTexts of(ValueRow row) {
            return new ValueTexts(
                    row.recordId(),
                    row.fieldName(),
                    row.textValue(),
                    row.numberValue() == null ? null : row.numberValue().toPlainString(),
                    row.dateValue() == null ? null : row.dateValue().toString());
        }
    }

    /** Many records at once. */
    void insertAll(
            @Param("table") String table,
            @Param("at") Instant at,
            @Param("ids") List<UUID> ids,
            @Param("columns") List<ColumnTexts> columns);

    default void insertValues(String kind, List<ValueTexts> values) {
        insertValues(
                kind,
                values.stream().map(ValueTexts::recordId).toList(),
                values.stream().map(ValueTexts::fieldName).toList(),
                values.stream().map(ValueTexts::text).toList(),
                values.stream().map(ValueTexts::number).toList(),
                values.stream().map(ValueTexts::date).toList());
    }

    void insertValues(
            @Param("kind") String kind,
            @Param("ids") List<UUID> ids,
            @Param("names") List<String> names,
            @Param("texts") List<String> texts,
            @Param("numbers") List<String> numbers,
            @Param("dates") List<String> dates);

    void insertAddresses(
            @Param("kind") String kind,
            @Param("ids") List<UUID> ids,
            @Param("people") List<UUID> people,
            @Param("addresses") List<String> addresses,
            @Param("positions") List<String> positions);

    @Delete("delete from field_value where record_id = #{id} and field_name = #{field}")
    void clearValue(@Param("id") UUID id, @Param("field") String field);

    @Insert(
            """
            insert into field_value (kind, record_id, field_name, text_value, number_value, date_value)
            values (#{kind}, #{value.recordId}, #{value.fieldName}, #{value.textValue}, #{value.numberValue},
                    #{value.dateValue})
            """)
    void insertValue(@Param("kind") String kind, @Param("value") ValueRow value);

    /** Where a contact belongs. */
    record Belonging(UUID contact, UUID organisation) {}

    /** Where contacts belong; those who belong nowhere are left out. */
    List<Belonging> belonging(@Param("ids") Collection<UUID> ids);

    List<AddressRow> addresses(@Param("ids") Collection<UUID> ids);

    /** Leans on email_address_address. */
    @Select("select person_id from email_address where address = #{address}")
    Set<UUID> peopleAt(String address);

    @Delete("delete from email_address where person_id = #{personId}")
    void clearAddresses(UUID personId);

    @Insert(
            """
            insert into email_address (id, kind, person_id, address, label, position)
            values (#{id}, #{kind}, #{personId}, #{address}, #{label}, #{position})
            """)
    void insertAddress(AddressRow address);
}
