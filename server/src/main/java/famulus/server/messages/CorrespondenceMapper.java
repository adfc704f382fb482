package famulus.server.messages;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** The SQL of what went to a person. */
@Mapper
interface CorrespondenceMapper {
    /** A message; {@code opening} its first words, {@code at} when it was sent, or is to be. */
    record WrittenRow(UUID id, UUID templateId, UUID senderId, String subject, String opening, Instant at) {}

    /** The newest messages to a person, tests and cancelled ones left out. */
    List<WrittenRow> newest(@Param("person") UUID person, @Param("most") int most);

    /** An address that refused the last message to somebody. */
    record RefusedRow(UUID personId, String address) {}

    /** Those of some people whose last message that left or was refused was refused. Leans on outgoing_message_person. */
    List<RefusedRow> refused(@Param("people") Collection<UUID> people);
}
