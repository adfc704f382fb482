package famulus.server.mailings;

import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the company wants of all mailings. */
@Service
class MailingRules {
    private static final int MOST_PEOPLE = 2_000;
    private static final int MOST_A_DAY = 100_000;

    private final MailingMapper mapper;

    MailingRules(MailingMapper mapper) {
        this.mapper = mapper;
    }

    SendingRules get() {
        return mapper.rules();
    }

    /** Changes them; they count from the next message on. */
    @Transactional
    public void change(SendingRules rules, Colleague by) {
        by.mustBe("Only an administrator changes how mailings are sent.", Role.ADMINISTRATOR);
        Map<String, String> wrong = new LinkedHashMap<>();
        within(wrong, "most", rules.most(), MOST_PEOPLE);
        within(wrong, "perHour", rules.perHour(), MOST_A_DAY);
        within(wrong, "perDay", rules.perDay(), MOST_A_DAY);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.changeRules(rules);
    }

    private static void within(Map<String, String> wrong, String field, int number, int most) {
        if (number < 1 || number > most) {
            wrong.put(field, "Type a number from 1 to %,d.".formatted(most));
        }
    }
}
