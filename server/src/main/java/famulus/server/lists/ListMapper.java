package famulus.server.lists;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Runs SQL that {@link AskedRecords} and {@link ConditionSql} have put together; never text from a request. */
@Mapper
interface ListMapper {
    /** Somebody a template could go to. */
    record PersonRow(UUID id, UUID dealId) {}

    @Select("${sql}")
    List<Map<String, Object>> rows(@Param("sql") String sql, @Param("values") List<Object> values);

    // Named one by one: found by their names anew, the columns of ten thousand lines take longer than the lines.
    @Select("${sql}")
    @Arg(column = "id", javaType = UUID.class)
    @Arg(column = "deal_id", javaType = UUID.class)
    List<PersonRow> people(@Param("sql") String sql, @Param("values") List<Object> values);

    /** The records of a list. */
    @Select("${sql}")
    List<UUID> ids(@Param("sql") String sql, @Param("values") List<Object> values);

    /** Those of some records, {@code wanted}, for which a statement is true. */
    @Select(
            """
            select wanted.id
            from unnest(#{ids,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as wanted(id)
            where ${sql}
            """)
    List<UUID> among(
            @Param("sql") String sql, @Param("values") List<Object> values, @Param("ids") Collection<UUID> ids);

    @Select("${sql}")
    int number(@Param("sql") String sql, @Param("values") List<Object> values);
}
