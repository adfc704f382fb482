package famulus.server.messages;

import famulus.core.record.EmailAddress;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The inboxes that a test goes to together, so that a message can be looked at in several mail programs. */
@Service
class CheckInboxService {
    static final int MOST = 20;

    private final CheckInboxMapper mapper;

    CheckInboxService(CheckInboxMapper mapper) {
        this.mapper = mapper;
    }

    /** The addresses, in the order they were typed. */
    List<String> inboxes() {
        return mapper.inboxes();
    }

    /** Keeps other addresses; refused with the line that is wrong. */
    @Transactional
    List<String> keep(List<String> typed, Colleague by) {
        by.mustBe("Editors and administrators change the check inboxes.", Role.KEEPER, Role.ADMINISTRATOR);
        List<String> addresses = (typed == null ? List.<String>of() : typed)
                .stream()
                        .filter(Objects::nonNull)
                        .map(String::strip)
                        .filter(one -> !one.isEmpty())
                        .distinct()
                        .toList();
        if (addresses.size() > MOST) {
            throw Refusal.field("addresses", "The check inboxes are " + MOST + " at most.");
        }
        addresses.forEach(one -> EmailAddress.refusal(one).ifPresent(sentence -> {
            throw Refusal.field("addresses", one + ": " + sentence);
        }));
        mapper.clear();
        for (int i = 0; i < addresses.size(); i++) {
            mapper.insert(addresses.get(i), i);
        }
        return inboxes();
    }
}
