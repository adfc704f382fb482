package famulus.server.mailings;

import famulus.server.mailings.MailingMapper.RulesRow;
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

    /**
     * The rules.
     *
     * @param most to so many people a mailing goes at most
     * @param perHour so many messages of mailings leave within an hour at most
     * @param perDay within twenty-four hours
     * @param look whether a colleague has to approve each before it goes
     */
    record Rules(int most, int perHour, int perDay, boolean look) {}

    Rules get() {
        RulesRow row = mapper.rules();
        return new Rules(row.most(), row.perHour(), row.perDay(), row.look());
    }

    /** Changes them; they count from the next message on. */
    @Transactional
    public void change(Rules rules, Colleague by) {
        by.mustBe("Only an administrator changes how mailings are sent.", Role.ADMINISTRATOR);
        Map<String, String> wrong = new LinkedHashMap<>();
        within(wrong, "most", rules.most(), MOST_PEOPLE);
        within(wrong, "perHour", rules.perHour(), MOST_A_DAY);
        within(wrong, "perDay", rules.perDay(), MOST_A_DAY);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.changeRules(new RulesRow(rules.most(), rules.perHour(), rules.perDay(), rules.look()));
    }

    private static void within(Map<String, String> wrong, String field, int number, int most) {
        if (number < 1 || number > most) {
            wrong.put(field, "Type a number from 1 to %,d.".formatted(most));
        }
    }
}
