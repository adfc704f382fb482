package famulus.server.platform;

import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Service;

/**
 * Counts changes of what is read often and changed seldom. The count is stored, so that what was read is good for as
 * long as nobody has changed it, whichever process did.
 */
@Service
public class Revisions {
    private final RevisionMapper mapper;

    Revisions(RevisionMapper mapper) {
        this.mapper = mapper;
    }

    /** The stored counts. */
    @Mapper
    interface RevisionMapper {
        @Select("select number from revision where name = #{name}")
        int number(String name);

        @Update("update revision set number = number + 1 where name = #{name}")
        void next(String name);
    }

    /** Notes that something has changed; within a transaction it counts once that is done. */
    public void changed(String name) {
        mapper.next(name);
    }

    /** The count as it is now. */
    public int now(String name) {
        return mapper.number(name);
    }

    /** Keeps what a supplier reads, until the count of {@code name} moves on. */
    public <T> Supplier<T> keep(String name, Supplier<T> reading) {
        AtomicReference<Read<T>> last = new AtomicReference<>();
        return () -> {
            int now = now(name);
            Read<T> read = last.get();
            if (read == null || read.revision() != now) {
                read = new Read<>(now, reading.get());
                last.set(read);
            }
            return read.value();
        };
    }

    private record Read<T>(int revision, T value) {}
}
