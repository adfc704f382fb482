package famulus.server.messages;

import famulus.server.platform.FamulusProperties;
import famulus.server.team.TeamService;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The domain in which the identifiers of our messages are unique. */
@Component
class MailDomain {
    private final FamulusProperties properties;
    private final TeamService team;

    MailDomain(FamulusProperties properties, TeamService team) {
        this.properties = properties;
        this.team = team;
    }

    /** The identifier of a message in its header (RFC 5322), with angle brackets. */
    String messageId(UUID message) {
        String domain = properties.mailDomain().isEmpty() ? team.house().domain() : properties.mailDomain();
        return "<" + message + "@" + domain + ">";
    }
}
