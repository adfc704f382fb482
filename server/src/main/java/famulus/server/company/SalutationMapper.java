package famulus.server.company;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Rules of greeting as stored. */
@Mapper
interface SalutationMapper {
    record LanguageRow(String language, String usual) {}

    /** One rule; {@code titles} with commas between. */
    record RuleRow(String language, int position, String formality, String titles, String opening, String address) {}

    @Select(
            "select language, usual from salutation_language order by case language when 'en' then 0 else 1 end, language")
    List<LanguageRow> languages();

    @Select("select language, position, formality, titles, opening, address from salutation_rule"
            + " order by language, position")
    List<RuleRow> rules();

    @Update("update salutation_language set usual = #{usual} where language = #{language}")
    int usual(@Param("language") String language, @Param("usual") String usual);

    @Delete("delete from salutation_rule where language = #{language}")
    void clear(String language);

    @Insert(
            """
            insert into salutation_rule (language, position, formality, titles, opening, address)
            values (#{language}, #{position}, #{formality}, #{titles}, #{opening}, #{address})
            """)
    void insert(RuleRow rule);
}
