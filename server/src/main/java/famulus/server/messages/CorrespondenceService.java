package famulus.server.messages;

import famulus.core.proof.Correspondence;
import famulus.core.proof.Correspondence.Written;
import famulus.server.messages.CorrespondenceMapper.WrittenRow;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What went to a person before, as the proofreader asks for it. */
@Service
public class CorrespondenceService {
    /** Whether a template went to somebody before is looked for among so many of the newest messages to them. */
    private static final int MOST = 30;

    private final CorrespondenceMapper mapper;
    /** Days are counted by the calendar of the company: that of each reader may be a day off. */
    private final TeamService team;

    CorrespondenceService(CorrespondenceMapper mapper, TeamService team) {
        this.mapper = mapper;
        this.team = team;
    }

    /**
     * A message about whose person it is asked.
     *
     * @param template what it is made of; null for nothing
     * @param answering whether it goes on with a conversation
     * @param itself the message, which may be on its way already; null for one that nobody has begun
     */
    public record Writing(UUID person, UUID template, boolean answering, UUID itself) {}

    /** What went to the person of a message. */
    public Correspondence with(Writing writing, Colleague asking) {
        return all(List.of(writing), asking).getFirst();
    }

    /** What went to the person of each message, in their order; who works here is asked once for all. */
    public List<Correspondence> all(List<Writing> messages, Colleague asking) {
        Asked asked = new Asked(
                team.house().zone(),
                team.all().stream().collect(Collectors.toMap(Colleague::id, Colleague::firstName)),
                asking);
        return messages.stream().map(writing -> with(writing, asked)).toList();
    }

    /** What is the same for all who are asked about. */
    private record Asked(ZoneId zone, Map<UUID, String> senders, Colleague asking) {}

    private Correspondence with(Writing writing, Asked asked) {
        List<WrittenRow> newest = mapper.newest(writing.person(), MOST).stream()
                .filter(row -> !row.id().equals(writing.itself()))
                .toList();
        return new Correspondence(
                newest.stream().map(row -> written(row, asked)).toList(),
                newest.stream()
                        .filter(row ->
                                writing.template() != null && writing.template().equals(row.templateId()))
                        .findFirst()
                        .map(row -> written(row, asked)),
                writing.answering());
    }

    private static Written written(WrittenRow row, Asked asked) {
        return new Written(
                row.id(),
                LocalDate.ofInstant(row.at(), asked.zone()),
                row.senderId().equals(asked.asking().id())
                        ? ""
                        : asked.senders().getOrDefault(row.senderId(), "a colleague"),
                row.subject(),
                row.opening());
    }
}
