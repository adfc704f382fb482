package famulus.server.mailings;

import famulus.core.results.Device;
import famulus.core.results.GoalReached;
import famulus.core.results.Rate;
import famulus.server.lists.RecordLists;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.lists.RecordLists.TypedList;
import famulus.server.mailings.MailingDeals.CameOfIt;
import famulus.server.platform.Refusal;
import famulus.server.platform.SafeCsv;
import famulus.server.reading.ReadingService;
import famulus.server.reading.ReadingService.Done;
import famulus.server.reading.ReadingService.ReadingEvent;
import famulus.server.reading.WebCopyService;
import famulus.server.reading.WebCopyService.Shared;
import famulus.server.reading.WebCopyService.WebCopy;
import famulus.server.team.Colleague;
import java.io.IOException;
import java.io.Writer;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a mailing came to, and who did what with it. */
@Service
class MailingReport {
    private final MailingService mailings;
    private final MailingPersonMapper people;
    private final ReadingService readings;
    private final RecordLists lists;
    private final WebCopyService copies;
    private final MailingDeals deals;

    MailingReport(
            MailingService mailings,
            MailingPersonMapper people,
            ReadingService readings,
            RecordLists lists,
            WebCopyService copies,
            MailingDeals deals) {
        this.deals = deals;
        this.copies = copies;
        this.mailings = mailings;
        this.people = people;
        this.readings = readings;
        this.lists = lists;
    }

    /** A group of the people of a mailing, by what they did. */
    enum Group {
        GOT(one -> one.state() == PersonState.SENT),
        OPENED(one -> one.openedAt() != null),
        /** Who got it and has not opened it, as far as that is known. */
        UNOPENED(one -> one.state() == PersonState.SENT && one.openedAt() == null),
        CLICKED(one -> one.clickedAt() != null),
        REPLIED(one -> one.repliedAt() != null),
        SILENT(one -> one.state() == PersonState.SENT && one.repliedAt() == null),
        UNSUBSCRIBED(MailingPerson::unsubscribed),
        FAILED(one -> one.state() == PersonState.REFUSED || one.state() == PersonState.NOT_SURE),
        LEFT_OUT(one -> one.state() == PersonState.LEFT_OUT || one.state() == PersonState.HELD);

        private final Predicate<MailingPerson> holds;

        Group(Predicate<MailingPerson> holds) {
            this.holds = holds;
        }
    }

    /**
     * A link of a mailing.
     *
     * @param people how many followed it
     * @param times how often it was followed
     */
    record Followed(String address, int people, int times) {}

    /** On what some followed a link first, as far as their program says so. */
    record OnDevice(Device device, String words, int people) {}

    /**
     * A report.
     *
     * @param opened of those who got it, as {@code clicked} and the others
     * @param links those that were followed, the most followed first
     * @param devices on what links were followed, those of most people first; empty where none was
     * @param openings when it was opened, machines aside
     * @param followings when links were followed, likewise
     * @param byMachines how often something was done by a machine, which counts for nothing above
     * @param counted whether its messages tell of being opened at all
     * @param brought what came of it
     */
    record Report(
            Rate opened,
            Rate clicked,
            Rate replied,
            Rate unsubscribed,
            GoalReached goal,
            List<Followed> links,
            List<OnDevice> devices,
            List<Instant> openings,
            List<Instant> followings,
            int byMachines,
            boolean counted,
            CameOfIt brought) {}

    /** The report of a mailing. */
    Report of(UUID id) {
        Mailing mailing = mailings.get(id);
        List<MailingPerson> all = people.all(id);
        List<Done> done = done(all);
        int got = count(all, Group.GOT);
        MailingPlan.Goal goal = mailing.plan().goal();
        int replied = count(all, Group.REPLIED);
        return new Report(
                Rate.of(Math.min(got, count(all, Group.OPENED)), got),
                Rate.of(Math.min(got, count(all, Group.CLICKED)), got),
                Rate.of(Math.min(got, replied), got),
                Rate.of(Math.min(got, count(all, Group.UNSUBSCRIBED)), got),
                new GoalReached(goal.replies(), replied, goal.worth(), goal.cost()),
                links(done),
                onDevices(devices(done)),
                moments(done, ReadingEvent.OPENED),
                moments(done, ReadingEvent.CLICKED),
                (int) done.stream().filter(Done::byMachine).count(),
                readings.counts(),
                deals.of(mailing));
    }

    private static int count(List<MailingPerson> all, Group group) {
        return (int) all.stream().filter(group.holds).count();
    }

    private static Stream<Done> byPeople(List<Done> done, ReadingEvent what) {
        return done.stream().filter(one -> one.what() == what && !one.byMachine());
    }

    private static List<Instant> moments(List<Done> done, ReadingEvent what) {
        return byPeople(done, what).map(Done::at).toList();
    }

    private static List<Followed> links(List<Done> done) {
        Map<String, Set<UUID>> readers = new LinkedHashMap<>();
        Map<String, Integer> times = new LinkedHashMap<>();
        byPeople(done, ReadingEvent.CLICKED).forEach(one -> {
            readers.computeIfAbsent(one.address(), any -> new HashSet<>()).add(one.message());
            times.merge(one.address(), 1, Integer::sum);
        });
        List<Followed> links = new ArrayList<>();
        readers.forEach((address, who) -> links.add(new Followed(address, who.size(), times.get(address))));
        links.sort(Comparator.comparing(Followed::people).reversed().thenComparing(Followed::address));
        return links;
    }

    /** On what a link of each message was followed first, as far as that is said. */
    private static Map<UUID, Device> devices(List<Done> done) {
        Map<UUID, Device> devices = new HashMap<>();
        byPeople(done, ReadingEvent.CLICKED)
                .forEach(one -> devices.merge(
                        one.message(),
                        Device.of(one.program()),
                        (before, next) -> before == Device.UNKNOWN ? next : before));
        return devices;
    }

    private static List<OnDevice> onDevices(Map<UUID, Device> devices) {
        return Stream.of(Device.values())
                .map(device -> new OnDevice(device, device.words(), Collections.frequency(devices.values(), device)))
                .filter(one -> one.people() > 0)
                .sorted(Comparator.comparing(OnDevice::people).reversed())
                .toList();
    }

    /** What was done with the messages of some people. */
    private List<Done> done(List<MailingPerson> some) {
        return readings.done(some.stream()
                .map(MailingPerson::messageId)
                .filter(Objects::nonNull)
                .toList());
    }

    /**
     * What each of a group was chosen as.
     *
     * @param link only those who followed this one; empty for whatever they did
     */
    private List<UUID> keys(UUID id, Group group, String link) {
        List<MailingPerson> some = people.all(id).stream().filter(group.holds).toList();
        if (link.isEmpty()) {
            return some.stream().map(MailingPerson::chosenId).toList();
        }
        Set<UUID> followed = new HashSet<>();
        byPeople(done(some), ReadingEvent.CLICKED)
                .filter(one -> link.equals(one.address()))
                .forEach(one -> followed.add(one.message()));
        return some.stream()
                .filter(one -> followed.contains(one.messageId()))
                .map(MailingPerson::chosenId)
                .toList();
    }

    /**
     * Makes a fixed list of a group of the people of a mailing, to go on with.
     *
     * @param link only those who followed this one; empty for whatever they did
     */
    @Transactional
    public ShownList list(UUID id, Group group, String link, String name, Colleague by) {
        Mailing mailing = mailings.get(id);
        List<UUID> keys = keys(id, group, link);
        if (keys.isEmpty()) {
            throw Refusal.because("nobody", "Nobody is among them.");
        }
        ShownList list = lists.add(mailing.plan().who().kind(), TypedList.simple(name, null, null, null), by);
        lists.put(list.id(), keys, by);
        return lists.list(list.id(), by);
    }

    /** The links that show what a mailing says to anybody, and are open. */
    List<WebCopy> webCopies(UUID id, Colleague asking) {
        mailings.get(id);
        return shown(id).stream()
                .flatMap(message -> copies.of(message, asking).stream())
                .filter(WebCopy::forAnybody)
                .toList();
    }

    /** Makes a link that shows what a mailing says to anybody, with nothing of any of its people in it. */
    @Transactional
    public WebCopy webCopy(UUID id, Shared shared, Colleague by) {
        mailings.mustBeChangeable(mailings.get(id), by);
        UUID message = shown(id).stream()
                .findFirst()
                .orElseThrow(() -> Refusal.because("not-left", "Nothing of this mailing has left yet."));
        return copies.forAnybody(message, shared, by);
    }

    /** The message that stands for all: the first that left in the words of the mailing. */
    private Optional<UUID> shown(UUID id) {
        return people.all(id).stream()
                .filter(one -> one.state() == PersonState.SENT && one.draftId() == null)
                .min(Comparator.comparing(MailingPerson::leftAt).thenComparing(MailingPerson::chosenId))
                .map(MailingPerson::messageId);
    }

    /** Writes a line for each of its people as a table. */
    void write(UUID id, Writer to) throws IOException {
        mailings.get(id);
        SafeCsv csv = new SafeCsv(to);
        csv.row(List.of(
                "Name",
                "Address",
                "State",
                "Why",
                "Left",
                "Opened",
                "Followed a link",
                "On",
                "Replied",
                "Unsubscribed"));
        List<MailingPerson> all = people.all(id);
        Map<UUID, Device> devices = devices(done(all));
        for (MailingPerson one : all) {
            Device device = one.messageId() == null ? null : devices.get(one.messageId());
            csv.row(List.of(
                    one.name(),
                    one.address(),
                    one.state().words(),
                    one.why(),
                    moment(one.leftAt()),
                    moment(one.openedAt()),
                    moment(one.clickedAt()),
                    device == null ? "" : device.words(),
                    moment(one.repliedAt()),
                    one.unsubscribed() ? "yes" : ""));
        }
        csv.flush();
    }

    private static String moment(Instant at) {
        return at == null ? "" : at.toString();
    }
}
