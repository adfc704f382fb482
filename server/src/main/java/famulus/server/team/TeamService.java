package famulus.server.team;

import famulus.core.record.EmailAddress;
import famulus.core.record.PlainLine;
import famulus.server.platform.Events;
import famulus.server.platform.FamulusProperties;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who works here, and our own company. */
@Service
public class TeamService {
    static final int SHORTEST_PASSWORD = 12;
    private static final int LONGEST_TO_TAKE_BACK = 60;
    /** BCrypt reads no more bytes than this. */
    private static final int LONGEST_PASSWORD = 72;

    private final TeamMapper mapper;
    private final PasswordEncoder passwords;
    private final Ids ids;
    private final Events events;
    private final Clock clock;
    private final ApplicationEventPublisher told;
    private final int takeBackSeconds;

    TeamService(
            TeamMapper mapper,
            PasswordEncoder passwords,
            Ids ids,
            Events events,
            Clock clock,
            ApplicationEventPublisher told,
            FamulusProperties properties) {
        this.takeBackSeconds = properties.takeBackSeconds();
        this.told = told;
        this.events = events;
        this.mapper = mapper;
        this.passwords = passwords;
        this.ids = ids;
        this.clock = clock;
    }

    /** Everybody, by first name. */
    public List<Colleague> all() {
        return mapper.all();
    }

    /** One colleague. */
    public Optional<Colleague> find(UUID id) {
        return mapper.byId(id);
    }

    /** How long a message of somebody’s waits before it leaves, so that it can be taken back. */
    public Duration timeToTakeBack(UUID colleague) {
        return Duration.ofSeconds(mapper.takeBackSeconds(colleague).orElse(takeBackSeconds));
    }

    /** Has messages of somebody wait so long; refused over {@value #LONGEST_TO_TAKE_BACK} seconds. */
    @Transactional
    public void timeToTakeBack(UUID colleague, int seconds) {
        if (seconds < 0 || seconds > LONGEST_TO_TAKE_BACK) {
            throw Refusal.field("seconds", "Choose between 0 and " + LONGEST_TO_TAKE_BACK + " seconds.");
        }
        mapper.takeBackIn(colleague, seconds);
    }

    /** Whether somebody lets colleagues write in their name to the records they own. */
    public boolean writtenForByColleagues(UUID owner) {
        return mapper.inMyName(owner).orElse(false);
    }

    /** Lets colleagues write in somebody’s name to the records they own, or not from now on. */
    @Transactional
    public void writtenForByColleagues(UUID owner, boolean allowed) {
        mapper.allowInMyName(owner, allowed);
    }

    /** Whether somebody lets colleagues send mailings in their name, to whomever these choose. */
    public boolean sentMailingsByColleagues(UUID sender) {
        return mapper.mailingsInMyName(sender).orElse(false);
    }

    /** Lets colleagues send mailings in somebody’s name, or not from now on. */
    @Transactional
    public void sentMailingsByColleagues(UUID sender, boolean allowed) {
        mapper.allowMailingsInMyName(sender, allowed);
    }

    /** Our own company. */
    public House house() {
        return mapper.house().orElseThrow(() -> Refusal.because("first-run", "Famulus has not been set up yet."));
    }

    /** Whether the house has opens and clicks counted. */
    public boolean countsReading() {
        return mapper.countsReading().orElse(false);
    }

    /** Has opens and clicks counted from the next message on, or not. */
    @Transactional
    public void countReading(boolean counts) {
        mapper.countReading(counts);
    }

    /** Whether nobody has been set up yet, so that the first visitor makes the administrator. */
    public boolean firstRun() {
        return mapper.count() == 0;
    }

    /** Sets the house up with its first administrator; refused when that has happened already. */
    @Transactional
    public Colleague setUp(House house, Colleague administrator, String password) {
        if (!firstRun()) {
            throw Refusal.forbidden("Famulus has been set up already. Sign in instead.");
        }
        Map<String, String> wrong = new LinkedHashMap<>(check(administrator));
        PlainLine.refusal(house.name(), 120, true).ifPresent(sentence -> wrong.put("houseName", sentence));
        checkPassword(password).ifPresent(sentence -> wrong.put("password", sentence));
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.insertHouse(house);
        return insert(administrator, password);
    }

    /** Puts the house in place; for the demo's data. */
    @Transactional
    public void keep(House house) {
        mapper.insertHouse(house);
    }

    /** Puts a colleague in place as they are, without a password; for the demo's data. */
    @Transactional
    public void keepWithoutPassword(Colleague colleague, Instant at) {
        mapper.insert(colleague, null, at);
        told.publishEvent(new ColleagueChanged(colleague.id()));
    }

    /** Adds a colleague. */
    @Transactional
    public Colleague add(Colleague colleague, String password) {
        Map<String, String> wrong = check(colleague);
        checkPassword(password).ifPresent(sentence -> wrong.put("password", sentence));
        if (wrong.isEmpty() && mapper.byEmail(normal(colleague.email())).isPresent()) {
            wrong.put("email", "Somebody signs in with this address already.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return insert(colleague, password);
    }

    private Colleague insert(Colleague as, String password) {
        Colleague colleague = new Colleague(
                ids.next(),
                normal(as.email()),
                as.firstName().strip(),
                as.lastName().strip(),
                as.role(),
                as.jobTitle(),
                as.phone(),
                as.signature(),
                true);
        mapper.insert(colleague, passwords.encode(password), clock.instant());
        told.publishEvent(new ColleagueChanged(colleague.id()));
        return colleague;
    }

    /** Changes a colleague's facts, role or whether they may sign in; the last administrator stays one. */
    @Transactional
    public Colleague change(Colleague colleague) {
        Map<String, String> wrong = check(colleague);
        boolean stillAdministrator = colleague.active() && colleague.is(Role.ADMINISTRATOR);
        Colleague before = find(colleague.id()).orElseThrow(() -> Refusal.missing("This colleague"));
        if (before.is(Role.ADMINISTRATOR) && !stillAdministrator && mapper.otherAdministrators(colleague.id()) == 0) {
            wrong.put("role", "One person has to be administrator. Name another one first.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.update(colleague);
        if (!before.firstName().equals(colleague.firstName())) {
            told.publishEvent(new ColleagueRenamed(colleague.id()));
        }
        if (before.active() != colleague.active() || before.role() != colleague.role()) {
            told.publishEvent(new ColleagueChanged(colleague.id()));
        }
        if (before.active() && !colleague.active()) {
            endSessions(colleague.id());
        }
        return find(colleague.id()).orElseThrow();
    }

    /** Where answers to a colleague's messages go, when that is elsewhere. */
    public Optional<String> answersGoTo(UUID colleague) {
        return mapper.replyAddress(colleague);
    }

    /**
     * Has answers to a colleague's messages go elsewhere.
     *
     * @param address empty for the address they come from
     */
    @Transactional
    public void answersGoTo(UUID colleague, String address) {
        String typed = address == null ? "" : address.strip();
        if (!typed.isEmpty()) {
            EmailAddress.refusal(typed).ifPresent(sentence -> {
                throw Refusal.field("answersTo", sentence);
            });
        }
        mapper.forgetReplyAddress(colleague);
        if (!typed.isEmpty()) {
            mapper.keepReplyAddress(colleague, typed);
        }
    }

    /** Who has a session, while it is valid and they may still work here. */
    Optional<Colleague> signedIn(SignedIn session) {
        return mapper.bySession(session).filter(Colleague::active);
    }

    private void endSessions(UUID id) {
        mapper.endSessions(id);
        events.end(id);
    }

    /** Whether somebody knows their own password. */
    boolean knowsPassword(UUID id, String password) {
        String hash = mapper.passwordHash(id);
        // Only the demo lets people in who have none.
        return hash == null || password != null && passwords.matches(password, hash);
    }

    /** Gives a colleague a new password; every session they had before ends. */
    @Transactional
    public void password(UUID id, String password) {
        checkPassword(password).ifPresent(sentence -> {
            throw Refusal.field("password", sentence);
        });
        mapper.password(id, passwords.encode(password));
        endSessions(id);
    }

    private static Map<String, String> check(Colleague colleague) {
        Map<String, String> wrong = new LinkedHashMap<>();
        PlainLine.refusal(colleague.firstName(), 80, true).ifPresent(sentence -> wrong.put("firstName", sentence));
        PlainLine.refusal(colleague.lastName(), 80, true).ifPresent(sentence -> wrong.put("lastName", sentence));
        EmailAddress.refusal(colleague.email()).ifPresent(sentence -> wrong.put("email", sentence));
        PlainLine.refusal(colleague.jobTitle(), 80, false).ifPresent(sentence -> wrong.put("jobTitle", sentence));
        PlainLine.refusal(colleague.phone(), 40, false).ifPresent(sentence -> wrong.put("phone", sentence));
        PlainLine.refusalOfLines(colleague.signature(), 1000, false)
                .ifPresent(sentence -> wrong.put("signature", sentence));
        return wrong;
    }

    private static Optional<String> checkPassword(String password) {
        if (password.length() < SHORTEST_PASSWORD) {
            return Optional.of("A password has at least " + SHORTEST_PASSWORD + " characters.");
        }
        if (password.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            return Optional.of("A password has at most " + LONGEST_PASSWORD + " characters.");
        }
        return Optional.empty();
    }

    static String normal(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }
}
