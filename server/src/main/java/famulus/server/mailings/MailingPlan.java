package famulus.server.mailings;

import famulus.core.record.EmailAddress;
import famulus.core.record.PlainLine;
import famulus.server.messages.AudienceService.PutBack;
import famulus.server.messages.SendingWishes.Hour;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/** What stands on the page of a mailing. */
public record MailingPlan(Who who, What what, When when, Goal goal) {
    private static final int MOST_NAMED = 2_000;
    private static final int A_WEEK = 7;
    private static final int MOST_LISTS = 20;
    private static final int LONGEST_CONDITION = 10_000;
    private static final int MOST_TAGS = 10;
    private static final int LONGEST_TAG = 40;
    private static final int LONGEST_PURPOSE = 80;
    private static final int LONGEST_SPREAD = 14 * 24 * 60;
    private static final int MOST_MONEY = 1_000_000_000;

    /**
     * Who gets it: everybody on some lists, everybody a condition holds for, and some by name.
     *
     * @param kind what is chosen: contacts, leads, or deals, whose main contacts get it
     * @param where a condition in its written form; empty for none
     * @param minus lists whose people are left out
     * @param minusWhere whoever this condition holds for is left out; empty for none
     * @param restDays whoever was written to within so many days is left out; 0 for nobody
     * @param putBack who gets it in spite of what yields, and why
     */
    public record Who(
            CrmKind kind,
            List<UUID> lists,
            String where,
            List<UUID> people,
            List<UUID> minus,
            String minusWhere,
            int restDays,
            List<PutBack> putBack) {
        public Who {
            lists = some(lists);
            people = some(people);
            minus = some(minus);
            putBack = some(putBack);
            where = text(where);
            minusWhere = text(minusWhere);
        }

        /** Nobody, but that whoever was written to within a week is left out. */
        static Who nobody(CrmKind kind) {
            return new Who(kind, null, "", null, null, "", A_WEEK, null);
        }

        /** Everybody on a list that a condition holds for; null for no list, empty for no condition. */
        static Who of(CrmKind kind, UUID list, String where) {
            return new Who(kind, list == null ? null : List.of(list), where, null, null, "", A_WEEK, null);
        }

        /** Some by name. */
        static Who named(CrmKind kind, List<UUID> people) {
            return new Who(kind, null, "", people, null, "", A_WEEK, null);
        }

        /** Whether it says anybody at all. */
        boolean nobody() {
            return lists.isEmpty() && people.isEmpty() && where.isBlank();
        }
    }

    /** In whose name messages go out. */
    public enum From {
        /** One colleague’s. */
        COLLEAGUE,
        /** That of whoever looks after each record. */
        OWNER
    }

    /**
     * What it says, and on whose behalf.
     *
     * @param template null while none is chosen
     * @param original the template that its own words were made of; null while it says what the template says
     * @param sender null for whoever starts it
     * @param replyTo null for where the sender’s answers usually go
     * @param ownerCopy whether whoever looks after a record gets a copy
     * @param files what is attached besides the files of the template
     * @param topic null for none of our topics
     * @param purpose what it is for, in words; empty for that of its template
     * @param answers what is put where the template asks, by hint
     */
    public record What(
            @Schema(nullable = true) UUID template,
            @Schema(nullable = true) UUID original,
            From from,
            @Schema(nullable = true) UUID sender,
            @Schema(nullable = true) String replyTo,
            boolean ownerCopy,
            List<UUID> files,
            @Schema(nullable = true) UUID topic,
            String purpose,
            List<String> tags,
            Map<String, String> answers) {
        /** The same for another mailing: what its template says, and in nobody else’s name than whoever makes it chooses. */
        What copied(UUID madeBy) {
            UUID of = original == null ? template : original;
            UUID as = madeBy.equals(sender) ? null : sender;
            return new What(of, null, from, as, replyTo, ownerCopy, files, topic, purpose, tags, answers);
        }

        /** The same, made of another template. */
        What saying(UUID other, UUID of) {
            return new What(other, of, from, sender, replyTo, ownerCopy, files, topic, purpose, tags, answers);
        }

        public What {
            from = from == null ? From.COLLEAGUE : from;
            replyTo = replyTo == null || replyTo.isBlank() ? null : replyTo.strip();
            files = some(files);
            purpose = text(purpose);
            tags = some(tags).stream()
                    .map(String::strip)
                    .filter(tag -> !tag.isEmpty())
                    .distinct()
                    .toList();
            answers = answers == null ? Map.of() : Map.copyOf(answers);
        }
    }

    /**
     * When messages leave.
     *
     * @param hour when the first one does; null for at once
     * @param overMinutes the time they are spread over
     * @param theirHours whether each leaves only while its reader is at work
     */
    public record When(@Schema(nullable = true) Hour hour, int overMinutes, boolean theirHours) {}

    /**
     * What is hoped for; numbers are 0 where nobody has said.
     *
     * @param replies so many
     * @param worth of each, in our currency
     * @param cost planned for all of it, in our currency
     */
    public record Goal(int replies, int worth, int cost) {}

    public MailingPlan {
        when = when == null ? new When(null, 0, false) : when;
        goal = goal == null ? new Goal(0, 0, 0) : goal;
    }

    /** Nobody, nothing, at once. */
    static MailingPlan empty(CrmKind kind) {
        return new MailingPlan(
                Who.nobody(kind),
                new What(null, null, From.COLLEAGUE, null, null, false, null, null, "", null, null),
                null,
                null);
    }

    /** The same for another mailing, at once. */
    MailingPlan copied(UUID madeBy) {
        return new MailingPlan(who, what.copied(madeBy), new When(null, when.overMinutes(), when.theirHours()), goal);
    }

    /** The same for others. */
    MailingPlan to(Who others) {
        return new MailingPlan(others, what, when, goal);
    }

    /** The same, saying something else. */
    MailingPlan saying(What other) {
        return new MailingPlan(who, other, when, goal);
    }

    /** The same from another hour on; null for all of it at once, whatever the hour of its readers. */
    MailingPlan leaving(Hour hour) {
        When other = hour == null ? new When(null, 0, false) : new When(hour, when.overMinutes(), when.theirHours());
        return new MailingPlan(who, what, other, goal);
    }

    /** Itself; refused where a part of it can’t be kept, with a sentence for each. */
    MailingPlan mustBeSound() {
        if (who == null || what == null || who.kind() == null) {
            throw Refusal.because("unreadable", "This mailing can't be read.");
        }
        Map<String, String> wrong = new LinkedHashMap<>();
        if (who.people().size() > MOST_NAMED || who.putBack().size() > MOST_NAMED) {
            wrong.put("people", "Choose %,d people by name at most.".formatted(MOST_NAMED));
        }
        if (who.lists().size() > MOST_LISTS || who.minus().size() > MOST_LISTS) {
            wrong.put("lists", "Choose " + MOST_LISTS + " lists at most.");
        }
        if (who.where().length() > LONGEST_CONDITION || who.minusWhere().length() > LONGEST_CONDITION) {
            wrong.put("where", "This condition is too long.");
        }
        Optional.ofNullable(what.replyTo())
                .flatMap(EmailAddress::refusal)
                .ifPresent(sentence -> wrong.put("replyTo", sentence));
        if (what.purpose().length() > LONGEST_PURPOSE) {
            wrong.put("purpose", "Say what it is for in " + LONGEST_PURPOSE + " characters at most.");
        }
        if (what.tags().size() > MOST_TAGS) {
            wrong.put("tags", "A mailing has " + MOST_TAGS + " tags at most.");
        }
        what.tags().stream()
                .flatMap(tag -> PlainLine.refusal(tag, LONGEST_TAG, true).stream())
                .findFirst()
                .ifPresent(sentence -> wrong.put("tags", sentence));
        if (when.overMinutes() < 0 || when.overMinutes() > LONGEST_SPREAD) {
            wrong.put("over", "A mailing is spread over two weeks at most.");
        }
        if (when.hour() != null) {
            when.hour().planned();
        }
        if (goal.replies() < 0
                || goal.worth() < 0
                || goal.cost() < 0
                || goal.worth() > MOST_MONEY
                || goal.cost() > MOST_MONEY) {
            wrong.put("goal", "Type a number from 0 on.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return this;
    }

    private static <T> List<T> some(List<T> given) {
        return given == null
                ? List.of()
                : given.stream().filter(Objects::nonNull).distinct().toList();
    }

    private static String text(String given) {
        return given == null ? "" : given.strip();
    }
}
