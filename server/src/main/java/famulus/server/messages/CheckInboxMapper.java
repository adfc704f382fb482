package famulus.server.messages;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The check inboxes: where every test can go besides colleagues. */
@Mapper
interface CheckInboxMapper {
    @Select("select address from test_inbox order by position, address")
    List<String> inboxes();

    @Delete("delete from test_inbox")
    void clear();

    @Insert("insert into test_inbox (address, position) values (#{address}, #{position})")
    void insert(@Param("address") String address, @Param("position") int position);
}
