package famulus.server.records;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
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
            String relation) {}

    record ChoiceRow(String kind, String fieldName, String code, String label, int position) {}

    @Select("select revision from field_catalogue")
    int revision();

    @Update("update field_catalogue set revision = revision + 1")
    void newRevision();

    @Select("select * from field_definition order by kind, position")
    List<FieldRow> fields();

    @Select("select * from field_choice order by kind, field_name, position")
    List<ChoiceRow> choices();

    @Insert(
            """
            insert into field_definition
              (kind, name, label, type, column_name, section, position, required, computed, most, relation)
            values
              (#{kind}, #{name}, #{label}, #{type}, null, #{section}, #{position}, #{required}, false, #{most}, null)
            """)
    void insertField(FieldRow field);

    @Insert(
            """
            insert into field_choice (kind, field_name, code, label, position)
            values (#{kind}, #{fieldName}, #{code}, #{label}, #{position})
            """)
    void insertChoice(ChoiceRow choice);
}
