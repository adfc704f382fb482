package famulus.server.mailings;

/** How many of the people of a mailing stand how, and what they did with it. */
public record MailingCounts(
        int planned,
        int leaving,
        int waiting,
        int sent,
        int held,
        int notSure,
        int refused,
        int leftOut,
        int opened,
        int clicked,
        int replied,
        int unsubscribed) {}
