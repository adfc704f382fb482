package famulus.server.records;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Service;

/** In which time zones people are. */
@Service
public class PeopleZones {
    private final ZoneMapper mapper;

    PeopleZones(ZoneMapper mapper) {
        this.mapper = mapper;
    }

    /** Leans on an index of each table on its time zones: each zone is one step, however many people are in it. */
    @Mapper
    interface ZoneMapper {
        @Select("select time_zone from ${table} where time_zone > #{after} order by time_zone limit 1")
        Optional<String> next(@Param("table") String table, @Param("after") String after);
    }

    /** The names of all zones that somebody is in, sorted. */
    public Set<String> all() {
        Set<String> zones = new TreeSet<>();
        for (CrmKind kind : CrmKind.values()) {
            if (kind.isPerson()) {
                Optional<String> next = mapper.next(kind.word(), "");
                while (next.isPresent()) {
                    zones.add(next.get());
                    next = mapper.next(kind.word(), next.get());
                }
            }
        }
        return zones;
    }
}
