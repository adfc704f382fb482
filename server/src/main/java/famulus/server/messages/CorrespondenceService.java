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
     * What went to a person.
     *
     * @param template what the message is made of; null for nothing
     * @param answering whether it goes on with a conversation
     * @param itself the message, which may be on its way already
     */
    public Correspondence with(UUID person, UUID template, boolean answering, UUID itself, Colleague asking) {
        ZoneId zone = team.house().zone();
        List<WrittenRow> newest = mapper.newest(person, MOST).stream()
                .filter(row -> !row.id().equals(itself))
                .toList();
        Map<UUID, String> senders = team.all().stream().collect(Collectors.toMap(Colleague::id, Colleague::firstName));
        return new Correspondence(
                newest.stream().map(row -> written(row, zone, senders, asking)).toList(),
                newest.stream()
                        .filter(row -> template != null && template.equals(row.templateId()))
                        .findFirst()
                        .map(row -> written(row, zone, senders, asking)),
                answering);
    }

    private static Written written(WrittenRow row, ZoneId zone, Map<UUID, String> senders, Colleague asking) {
        return new Written(
                row.id(),
                LocalDate.ofInstant(row.at(), zone),
                row.senderId().equals(asking.id()) ? "" : senders.getOrDefault(row.senderId(), "a colleague"),
                row.subject(),
                row.opening());
    }
}
