package famulus.server.records;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The field catalogue as it is stored. */
@Mapper
interface CatalogueMapper {
    /** One field as stored; {@code columnName} is null for fields whose values stand in field_value. */
    record FieldRow(
            String kind,
            String name,
            String label,
            String type,
            String columnName,
            String section,
            int position,
            boolean required,
            boolean computed,
            int most,
            String relation,
            boolean inList) {}

    /** A house's own field, in use or retired. */
    record OwnRow(
            String kind, String name, String label, String type, String section, boolean inList, Instant retiredAt) {}

    /** A choice; {@code outcome} is null but for stages of deals. */
    record ChoiceRow(
            String kind,
            String fieldName,
            String code,
            String label,
            int position,
            String outcome,
            String earlier,
            boolean retired) {
        /** Labels as they are kept; null for none. */
        static String lines(List<String> labels) {
            return labels.isEmpty() ? null : String.join("\n", labels);
        }

        /** The labels it had before. */
        List<String> earlierLabels() {
            return earlier == null ? List.of() : earlier.lines().toList();
        }
    }

    @Select("select revision from field_catalogue")
    int revision();

    @Update("update field_catalogue set revision = revision + 1")
    void newRevision();

    @Select(
            """
            select kind, name, label, type, column_name, section, position, required, computed, most, relation, in_list
            from field_definition
            where retired_at is null
            order by kind, position, name
            """)
    List<FieldRow> fields();

    @Select(
            """
            select kind, name, label, type, section, in_list, retired_at
            from field_definition
            where column_name is null and not computed
            order by kind, position, name
            """)
    List<OwnRow> own();

    @Select("select name from field_definition where kind = #{kind}")
    List<String> names(String kind);

    @Select("select coalesce(max(position), 0) from field_definition where kind = #{kind}")
    int lastPosition(String kind);

    @Update(
            """
            update field_definition set label = #{label}, in_list = #{inList}
            where kind = #{kind} and name = #{name} and column_name is null
            """)
    int change(
            @Param("kind") String kind,
            @Param("name") String name,
            @Param("label") String label,
            @Param("inList") boolean inList);

    @Update(
            "update field_definition set retired_at = #{at} where kind = #{kind} and name = #{name} and column_name is null")
    int retire(@Param("kind") String kind, @Param("name") String name, @Param("at") Instant at);

    @Delete("delete from field_definition where kind = #{kind} and name = #{name} and column_name is null")
    void delete(@Param("kind") String kind, @Param("name") String name);

    @Delete("delete from field_choice where kind = #{kind} and field_name = #{name}")
    void clearChoices(@Param("kind") String kind, @Param("name") String name);

    @Select(
            """
            select kind, field_name, code, label, position, outcome, earlier, retired
            from field_choice order by kind, field_name, position, code
            """)
    List<ChoiceRow> choices();

    @Select(
            """
            select kind, field_name, code, label, position, outcome, earlier, retired
            from field_choice where kind = #{kind} and field_name = #{name} order by position, code
            """)
    List<ChoiceRow> choicesOf(@Param("kind") String kind, @Param("name") String name);

    @Insert(
            """
            insert into field_definition
              (kind, name, label, type, column_name, section, position, required, computed, most, relation, in_list)
            values
              (#{kind}, #{name}, #{label}, #{type}, null, #{section}, #{position}, #{required}, #{computed}, #{most}, null, #{inList})
            """)
    void insertField(FieldRow field);

    @Insert(
            """
            insert into field_choice (kind, field_name, code, label, position, outcome, earlier, retired)
            values (#{kind}, #{fieldName}, #{code}, #{label}, #{position}, #{outcome}, #{earlier}, #{retired})
            """)
    void insertChoice(ChoiceRow choice);
}
