package famulus.server.interchange;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What codes of other systems were said to mean. */
@Mapper
interface OtherCodeMapper {
    /** A code by its name alone, and the path of a field. */
    record OtherCode(String code, String path) {}

    @Select("select code, path from other_code")
    List<OtherCode> all();

    @Update("merge into other_code (code, path) key (code) values (#{code}, #{path})")
    void remember(@Param("code") String code, @Param("path") String path);
}
