package famulus.core.audience;

import famulus.core.record.EmailAddress;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * Who gets a message that goes to several, and who does not, with every reason. In whatever order people are named, the
 * same ones get it: of several with one address the first by name.
 *
 * @param in who gets it, by name
 * @param out who does not, by name, each with at least one reason
 */
public record Audience(List<Candidate> in, List<LeftOut> out) {
    private static final Comparator<Candidate> BY_NAME =
            Comparator.comparing(Candidate::name).thenComparing(Candidate::key);

    public Audience {
        in = List.copyOf(in);
        out = List.copyOf(out);
    }

    /** Somebody who does not get it. */
    public record LeftOut(Candidate candidate, List<Reason> reasons) {
        public LeftOut {
            reasons = List.copyOf(reasons);
        }

        /** Whether they can be put back: every reason yields. */
        public boolean mayBePutBack() {
            return reasons.stream().allMatch(reason -> reason.kind().yields());
        }
    }

    /** What a message goes to once: an address, and the deal it is about. */
    private record Place(String address, Object about) {
        static Place of(Candidate candidate) {
            return new Place(
                    candidate
                            .address()
                            .map(DoNotEmail::keys)
                            .map(List::getFirst)
                            .orElse(""),
                    candidate.about());
        }
    }

    /** Finds out who gets it; whoever is named twice counts once. */
    public static Audience of(Collection<Candidate> candidates, AudienceRules rules) {
        Map<UUID, Candidate> each = new LinkedHashMap<>();
        candidates.stream().sorted(BY_NAME).forEach(one -> each.putIfAbsent(one.key(), one));
        Map<Candidate, List<Reason>> reasons = new LinkedHashMap<>();
        Map<Place, Candidate> taken = new HashMap<>();
        List<Candidate> in = new ArrayList<>();
        for (Candidate candidate : each.values()) {
            List<Reason> own = own(candidate, rules);
            boolean goes = own.isEmpty() || putBack(candidate, own, rules);
            if (goes && taken.putIfAbsent(Place.of(candidate), candidate) == null) {
                in.add(candidate);
            } else {
                reasons.put(candidate, own);
            }
        }
        List<LeftOut> out = new ArrayList<>();
        reasons.forEach((candidate, own) -> {
            List<Reason> all = new ArrayList<>(own);
            if (candidate.address().isPresent() && taken.containsKey(Place.of(candidate))) {
                all.add(new Reason(
                        Reason.Kind.SAME_ADDRESS,
                        "The same address as " + taken.get(Place.of(candidate)).name() + "."));
            }
            out.add(new LeftOut(candidate, all));
        });
        return new Audience(in, out);
    }

    private static boolean putBack(Candidate candidate, List<Reason> reasons, AudienceRules rules) {
        return rules.putBack().contains(candidate.key())
                && reasons.stream().allMatch(reason -> reason.kind().yields());
    }

    /** The reasons that have to do with nobody else. */
    private static List<Reason> own(Candidate candidate, AudienceRules rules) {
        List<Reason> reasons = new ArrayList<>();
        if (candidate.person().isEmpty()) {
            reasons.add(new Reason(Reason.Kind.NOBODY, "This deal has no main contact."));
        } else if (candidate.address().isEmpty()) {
            reasons.add(new Reason(Reason.Kind.NO_ADDRESS, "No e-mail address."));
        }
        candidate
                .address()
                .flatMap(EmailAddress::refusal)
                .ifPresent(wrong -> reasons.add(new Reason(Reason.Kind.BAD_ADDRESS, wrong)));
        candidate.doNotEmail().ifPresent(why -> reasons.add(new Reason(Reason.Kind.DO_NOT_EMAIL, why)));
        if (candidate.refused()) {
            reasons.add(new Reason(Reason.Kind.REFUSED, "The last message to this address was refused."));
        }
        if (!rules.aboutDeals()) {
            chosen(candidate, rules, reasons);
        }
        candidate
                .lastWritten()
                .filter(day -> recent(day, rules))
                .ifPresent(day -> reasons.add(new Reason(
                        Reason.Kind.WRITTEN_RECENTLY,
                        "Written to " + ago(ChronoUnit.DAYS.between(day, rules.today())) + ".")));
        candidate.onList().ifPresent(why -> reasons.add(new Reason(Reason.Kind.ON_LIST, why)));
        return reasons;
    }

    /** What they have chosen themselves, which a message about their own deal does not ask. */
    private static void chosen(Candidate candidate, AudienceRules rules, List<Reason> reasons) {
        ReaderChoice choice = candidate.choice();
        if (choice.nothing()) {
            reasons.add(new Reason(Reason.Kind.UNSUBSCRIBED, "Unsubscribed from messages to several people."));
        }
        rules.topic()
                .filter(topic -> choice.refused().contains(topic.id()))
                .ifPresent(topic ->
                        reasons.add(new Reason(Reason.Kind.TOPIC, "Wants nothing about “" + topic.name() + "”.")));
        candidate
                .lastToSeveral()
                .filter(day -> day.isAfter(rules.today().minusDays(choice.pace().days())))
                .ifPresent(day -> reasons.add(new Reason(
                        Reason.Kind.TOO_OFTEN,
                        "Wants " + choice.pace().words() + " at most, and got one "
                                + ago(ChronoUnit.DAYS.between(day, rules.today())) + ".")));
    }

    private static boolean recent(LocalDate day, AudienceRules rules) {
        return rules.restDays() > 0 && day.isAfter(rules.today().minusDays(rules.restDays()));
    }

    private static String ago(long days) {
        return days <= 0 ? "today" : days == 1 ? "yesterday" : days + " days ago";
    }
}
