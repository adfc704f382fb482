package famulus.core.audience;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.audience.Audience.LeftOut;
import famulus.core.audience.AudienceRules.Topic;
import famulus.core.audience.ReaderChoice.Pace;
import famulus.core.audience.Reason.Kind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AudienceTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);
    private static final Topic SEASON = new Topic(new UUID(4, 4), "Season news");
    private static final AudienceRules RULES = new AudienceRules(TODAY, 7, false, Optional.of(SEASON), Set.of());

    private static Candidate candidate(String name, String address) {
        return new Candidate(
                UUID.nameUUIDFromBytes(name.getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                Optional.of(UUID.randomUUID()),
                name,
                Optional.ofNullable(address),
                Optional.empty(),
                Optional.empty(),
                false,
                ReaderChoice.NONE,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Candidate written(Candidate one, int daysAgo) {
        return new Candidate(
                one.key(),
                one.person(),
                one.name(),
                one.address(),
                one.about(),
                one.doNotEmail(),
                one.refused(),
                one.choice(),
                Optional.of(TODAY.minusDays(daysAgo)),
                one.lastToSeveral(),
                one.onList());
    }

    private static Candidate about(Candidate one, UUID deal) {
        return new Candidate(
                deal,
                one.person(),
                one.name(),
                one.address(),
                Optional.of(deal),
                one.doNotEmail(),
                one.refused(),
                one.choice(),
                one.lastWritten(),
                one.lastToSeveral(),
                one.onList());
    }

    private static List<String> in(Audience audience) {
        return audience.in().stream().map(Candidate::name).toList();
    }

    private static List<String> said(Audience audience) {
        return audience.out().stream()
                .map(one -> one.candidate().name() + ": "
                        + String.join(
                                " ",
                                one.reasons().stream().map(Reason::sentence).toList()))
                .toList();
    }

    @Test
    void eachIsLeftOutWithEveryReason() {
        Candidate all = new Candidate(
                UUID.randomUUID(),
                Optional.of(UUID.randomUUID()),
                "Zoe",
                Optional.of("ines@larkfield.example"),
                Optional.empty(),
                Optional.of("larkfield.example is on the do-not-email list."),
                true,
                new ReaderChoice(true, Set.of(SEASON.id()), Pace.MONTHLY),
                Optional.of(TODAY.minusDays(1)),
                Optional.of(TODAY.minusDays(29)),
                Optional.of("On the list “Came to our open day”."));
        Candidate nobody = new Candidate(
                UUID.randomUUID(),
                Optional.empty(),
                "A deal",
                Optional.empty(),
                Optional.of(UUID.randomUUID()),
                Optional.empty(),
                false,
                ReaderChoice.NONE,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        Audience audience = Audience.of(
                List.of(
                        all,
                        nobody,
                        candidate("Ines", "ines@larkfield.example"),
                        candidate("Leo", null),
                        candidate("Priya", "priya at home")),
                RULES);

        assertThat(in(audience)).containsExactly("Ines");
        assertThat(said(audience))
                .containsExactly(
                        "A deal: This deal has no main contact.",
                        "Leo: No e-mail address.",
                        "Priya: “priya at home” is not an e-mail address: it needs a name, an @ and a domain.",
                        "Zoe: larkfield.example is on the do-not-email list."
                                + " The last message to this address was refused."
                                + " Unsubscribed from messages to several people. Wants nothing about “Season news”."
                                + " Wants one a month at most, and got one 29 days ago. Written to yesterday. On the list “Came to our open day”."
                                + " The same address as Ines.");
    }

    @Test
    void anAddressGetsOneMessageAndOneForEachDeal() {
        Candidate ines = candidate("Ines", "office@larkfield.example");
        Candidate tobias = candidate("Tobias", "Office@LARKFIELD.example");
        UUID autumn = UUID.randomUUID();
        UUID spring = UUID.randomUUID();

        assertThat(in(Audience.of(List.of(tobias, ines), RULES))).containsExactly("Ines");
        assertThat(in(Audience.of(List.of(about(ines, autumn), about(ines, spring), about(tobias, autumn)), RULES)))
                .hasSize(2);
    }

    @Test
    void whoWasWrittenToRecentlyCanBePutBackOthersCant() {
        Candidate ines = written(candidate("Ines", "ines@larkfield.example"), 6);
        Candidate priya = written(candidate("Priya", "priya@larkfield.example"), 7);
        Candidate leo = written(candidate("Leo", null), 0);
        Audience audience = Audience.of(List.of(ines, priya, leo), RULES);
        assertThat(said(audience))
                .containsExactly("Ines: Written to 6 days ago.", "Leo: No e-mail address. Written to today.");
        assertThat(audience.out()).extracting(LeftOut::mayBePutBack).containsExactly(true, false);

        AudienceRules back = new AudienceRules(TODAY, 7, false, Optional.of(SEASON), Set.of(ines.key(), leo.key()));
        assertThat(in(Audience.of(List.of(ines, priya, leo), back))).containsExactly("Ines", "Priya");
        AudienceRules any = new AudienceRules(TODAY, 0, false, Optional.of(SEASON), Set.of());
        assertThat(in(Audience.of(List.of(ines, priya, leo), any))).containsExactly("Ines", "Priya");
    }

    @Test
    void whatAReaderHasChosenIsKeptTo() {
        Candidate ines = chose("Ines", new ReaderChoice(false, Set.of(SEASON.id()), Pace.ANY), 1);
        Candidate leo = chose("Leo", new ReaderChoice(false, Set.of(), Pace.WEEKLY), 6);
        Candidate priya = chose("Priya", new ReaderChoice(false, Set.of(), Pace.WEEKLY), 7);
        Candidate zoe = chose("Zoe", ReaderChoice.NONE, 0);
        List<Candidate> all = List.of(ines, leo, priya, zoe);

        assertThat(said(Audience.of(all, RULES)))
                .containsExactly(
                        "Ines: Wants nothing about “Season news”.",
                        "Leo: Wants one a week at most, and got one 6 days ago.");
        AudienceRules other = new AudienceRules(
                TODAY, 7, false, Optional.of(new Topic(new UUID(5, 5), "Prices")), Set.of(ines.key(), leo.key()));
        assertThat(in(Audience.of(all, other)))
                .as("nobody is put back against their own wish")
                .containsExactly("Ines", "Priya", "Zoe");
        assertThat(in(Audience.of(all, new AudienceRules(TODAY, 7, false, Optional.empty(), Set.of()))))
                .containsExactly("Ines", "Priya", "Zoe");
    }

    private static Candidate chose(String name, ReaderChoice choice, int gotDaysAgo) {
        Candidate one = candidate(name, name + "@larkfield.example");
        return new Candidate(
                one.key(),
                one.person(),
                one.name(),
                one.address(),
                one.about(),
                one.doNotEmail(),
                false,
                choice,
                one.lastWritten(),
                Optional.of(TODAY.minusDays(gotDaysAgo)),
                one.onList());
    }

    @Test
    void whoIsUnsubscribedIsStillWrittenToAboutTheirDeal() {
        Candidate ines = new Candidate(
                UUID.randomUUID(),
                Optional.of(UUID.randomUUID()),
                "Ines",
                Optional.of("ines@larkfield.example"),
                Optional.of(UUID.randomUUID()),
                Optional.empty(),
                false,
                new ReaderChoice(true, Set.of(SEASON.id()), Pace.WEEKLY),
                Optional.empty(),
                Optional.of(TODAY),
                Optional.empty());

        assertThat(Audience.of(List.of(ines), RULES).in()).isEmpty();
        assertThat(Audience.of(List.of(ines), new AudienceRules(TODAY, 7, true, Optional.of(SEASON), Set.of()))
                        .in())
                .containsExactly(ines);
    }

    static Stream<Long> seeds() {
        return Stream.iterate(1L, seed -> seed + 1).limit(200);
    }

    private static Candidate anybody(Random random) {
        String name = "Name " + random.nextInt(12);
        List<String> addresses = List.of("a@x.example", "A@X.example", "b@x.example", "c@y.example", "no address");
        UUID deal = new UUID(0, random.nextInt(3));
        return new Candidate(
                new UUID(1, random.nextInt(40)),
                random.nextInt(20) == 0 ? Optional.empty() : Optional.of(new UUID(2, random.nextInt(20))),
                name,
                random.nextInt(6) == 0
                        ? Optional.empty()
                        : Optional.of(addresses.get(random.nextInt(addresses.size()))),
                random.nextBoolean() ? Optional.empty() : Optional.of(deal),
                random.nextInt(6) == 0 ? Optional.of("Asked us to stop.") : Optional.empty(),
                random.nextInt(9) == 0,
                new ReaderChoice(
                        random.nextInt(6) == 0,
                        random.nextInt(6) == 0 ? Set.of(SEASON.id()) : Set.of(),
                        Pace.values()[random.nextInt(4)]),
                random.nextBoolean() ? Optional.empty() : Optional.of(TODAY.minusDays(random.nextInt(12))),
                random.nextBoolean() ? Optional.empty() : Optional.of(TODAY.minusDays(random.nextInt(120))),
                random.nextInt(6) == 0 ? Optional.of("Others") : Optional.empty());
    }

    /** Whoever is chosen has one key, and is the same however often they are named. */
    private static List<Candidate> people(Random random) {
        List<Candidate> people = new ArrayList<>();
        Set<UUID> keys = new HashSet<>();
        for (int i = 0; i < 25; i++) {
            Candidate one = anybody(random);
            if (keys.add(one.key())) {
                people.add(one);
            }
        }
        return people;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whateverIsKnownOfPeopleTheAudienceIsSound(long seed) {
        Random random = new Random(seed);
        List<Candidate> people = people(random);
        Set<UUID> back = new HashSet<>();
        people.stream().filter(any -> random.nextInt(4) == 0).forEach(one -> back.add(one.key()));
        AudienceRules rules = new AudienceRules(
                TODAY,
                random.nextInt(10),
                random.nextBoolean(),
                Optional.of(SEASON).filter(any -> random.nextBoolean()),
                back);
        Audience audience = Audience.of(people, rules);

        inAnyOrderItIsTheSame(people, rules, audience, random);
        everybodyIsInOrOut(people, audience);
        oneMessageGoesToAnAddressAboutADeal(audience);
        reasonsAreCompleteAndTrue(audience, rules);
    }

    private static void inAnyOrderItIsTheSame(
            List<Candidate> people, AudienceRules rules, Audience audience, Random random) {
        List<Candidate> others = new ArrayList<>(people);
        others.addAll(people.subList(0, people.size() / 3));
        Collections.shuffle(others, random);
        assertThat(Audience.of(others, rules)).isEqualTo(audience);
    }

    private static void everybodyIsInOrOut(List<Candidate> people, Audience audience) {
        List<Candidate> all = new ArrayList<>(audience.in());
        audience.out().forEach(one -> all.add(one.candidate()));
        assertThat(all).containsExactlyInAnyOrderElementsOf(people);
    }

    private static String place(Candidate one) {
        return one.address().orElse("").toLowerCase(Locale.ROOT) + one.about();
    }

    private static void oneMessageGoesToAnAddressAboutADeal(Audience audience) {
        assertThat(audience.in().stream().map(AudienceTest::place)).doesNotHaveDuplicates();
    }

    private static void reasonsAreCompleteAndTrue(Audience audience, AudienceRules rules) {
        assertThat(audience.out()).allSatisfy(one -> assertThat(one.reasons()).isNotEmpty());
        audience.in().forEach(one -> assertThat(expected(one, audience, rules).stream()
                        .filter(kind -> !rules.putBack().contains(one.key()) || !kind.yields()))
                .isEmpty());
        audience.out().forEach(one -> assertThat(one.reasons())
                .extracting(Reason::kind)
                .containsExactlyInAnyOrderElementsOf(expected(one.candidate(), audience, rules)));
    }

    private static List<Kind> expected(Candidate one, Audience audience, AudienceRules rules) {
        List<Kind> kinds = new ArrayList<>();
        if (one.person().isEmpty()) {
            kinds.add(Kind.NOBODY);
        } else if (one.address().isEmpty()) {
            kinds.add(Kind.NO_ADDRESS);
        }
        one.address().filter("no address"::equals).ifPresent(any -> kinds.add(Kind.BAD_ADDRESS));
        one.doNotEmail().ifPresent(any -> kinds.add(Kind.DO_NOT_EMAIL));
        if (one.refused()) {
            kinds.add(Kind.REFUSED);
        }
        if (!rules.aboutDeals()) {
            chosen(one, rules, kinds);
        }
        one.lastWritten()
                .filter(day -> day.plusDays(rules.restDays()).isAfter(TODAY))
                .ifPresent(any -> kinds.add(Kind.WRITTEN_RECENTLY));
        one.onList().ifPresent(any -> kinds.add(Kind.ON_LIST));
        if (one.address().isPresent()
                && audience.in().stream().anyMatch(in -> in != one && place(in).equals(place(one)))) {
            kinds.add(Kind.SAME_ADDRESS);
        }
        return kinds;
    }

    private static void chosen(Candidate one, AudienceRules rules, List<Kind> kinds) {
        if (one.choice().nothing()) {
            kinds.add(Kind.UNSUBSCRIBED);
        }
        if (rules.topic().isPresent() && !one.choice().refused().isEmpty()) {
            kinds.add(Kind.TOPIC);
        }
        boolean tooOften = one.lastToSeveral()
                .map(day -> day.plusDays(one.choice().pace().days()).isAfter(TODAY))
                .orElse(false);
        if (one.choice().pace() != Pace.ANY && tooOften) {
            kinds.add(Kind.TOO_OFTEN);
        }
    }
}
