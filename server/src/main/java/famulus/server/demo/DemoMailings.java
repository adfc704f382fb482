package famulus.server.demo;

import famulus.server.mailings.MailingPlan;
import famulus.server.mailings.MailingPlan.From;
import famulus.server.mailings.MailingPlan.Goal;
import famulus.server.mailings.MailingPlan.What;
import famulus.server.mailings.MailingPlan.When;
import famulus.server.mailings.MailingPlan.Who;
import famulus.server.records.CrmKind;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What stands on the pages of the mailings of the made-up company. */
final class DemoMailings {
    private DemoMailings() {}

    /** One that went to growers, each in the name of who looks after them. */
    static MailingPlan greetings(UUID template) {
        return new MailingPlan(
                new Who(
                        CrmKind.CONTACT,
                        List.of(),
                        "contact.country is \"GB\"",
                        List.of(),
                        List.of(),
                        "",
                        0,
                        List.of()),
                new What(
                        template,
                        null,
                        From.OWNER,
                        null,
                        null,
                        false,
                        List.of(),
                        null,
                        "",
                        List.of("winter", "growers"),
                        Map.of()),
                new When(null, 0, false),
                new Goal(6, 240, 60));
    }

    /** One that is to go to whoever has apples in blossom soon. */
    static MailingPlan blossom(UUID list, UUID template, UUID topic) {
        return new MailingPlan(
                new Who(
                        CrmKind.CONTACT,
                        List.of(list),
                        "contact.crop is \"apple\"",
                        List.of(),
                        List.of(),
                        "",
                        7,
                        List.of()),
                new What(
                        template,
                        null,
                        From.COLLEAGUE,
                        null,
                        null,
                        false,
                        List.of(),
                        topic,
                        "Hives for the blossom",
                        List.of("spring"),
                        Map.of()),
                new When(null, 240, true),
                new Goal(12, 240, 80));
    }
}
