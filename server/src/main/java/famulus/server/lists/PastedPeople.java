package famulus.server.lists;

import famulus.core.audience.PastedAddresses;
import famulus.core.audience.PastedAddresses.Pasted;
import famulus.core.audience.PastedAddresses.Wrong;
import famulus.core.table.Identity;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.KnownRecords;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts people onto a fixed list whose addresses somebody has pasted. */
@Service
public class PastedPeople {
    private static final int LONGEST = 12_000_000;
    private static final int MOST_ADDRESSES = 100_000;
    private static final int MOST_LEADS = 2_000;
    private static final int AT_ONCE = 500;
    private static final int SHOWN = 50;

    private final RecordLists lists;
    private final KnownRecords known;
    private final ChosenRecords chosen;
    private final RecordService records;

    PastedPeople(RecordLists lists, KnownRecords known, ChosenRecords chosen, RecordService records) {
        this.lists = lists;
        this.known = known;
        this.chosen = chosen;
        this.records = records;
    }

    /**
     * What was found in pasted text, before or after it was taken.
     *
     * @param here how many are people of the list's kind
     * @param already how many of these are on the list
     * @param others how many are people of the other kind, who can't be on this list
     * @param fresh those whose address nobody has, the first 50
     * @param freshNumber how many these are
     * @param wrong what is no address, the first 50
     * @param wrongNumber how many that is
     * @param twice how many stand there again
     * @param mayAdd whether those whose address nobody has can be added: as leads, to a list of leads
     */
    public record PastedReport(
            int here,
            int already,
            int others,
            List<Pasted> fresh,
            int freshNumber,
            List<Wrong> wrong,
            int wrongNumber,
            int twice,
            boolean mayAdd) {}

    private record Read(ShownList list, PastedAddresses pasted, Set<UUID> here, int others, List<Pasted> fresh) {}

    /** Says what was found; nothing is changed. */
    public PastedReport look(UUID list, String text, Colleague asking) {
        return report(read(list, text, asking), asking);
    }

    /**
     * Puts those onto the list who are here, and adds the others as leads where that is wanted.
     *
     * @return what was found before
     */
    @Transactional
    public PastedReport take(UUID list, String text, boolean addLeads, Colleague by) {
        Read read = read(list, text, by);
        PastedReport report = report(read, by);
        Set<UUID> on = new LinkedHashSet<>(read.here());
        if (addLeads && report.mayAdd()) {
            if (read.fresh().size() > MOST_LEADS) {
                throw Refusal.field(
                        "text",
                        "These are %,d new leads. Import more than %,d from a file, in People."
                                .formatted(read.fresh().size(), MOST_LEADS));
            }
            read.fresh().forEach(one -> on.add(lead(one, by)));
        }
        if (on.isEmpty()) {
            throw Refusal.field("text", "There is nobody in it who can be put on this list.");
        }
        lists.put(list, on, by);
        return report;
    }

    private UUID lead(Pasted one, Colleague by) {
        String name =
                one.name().isEmpty() ? one.address().substring(0, one.address().lastIndexOf('@')) : one.name();
        int parted = name.lastIndexOf(' ');
        Map<String, String> values = new HashMap<>();
        values.put("first_name", parted < 0 ? "" : name.substring(0, parted));
        values.put("last_name", name.substring(parted + 1));
        values.put("owner", by.id().toString());
        return records.add(CrmKind.LEAD, values, one.address());
    }

    private Read read(UUID id, String text, Colleague asking) {
        ShownList list = lists.list(id, asking);
        if (list.live() || !list.kind().isPerson()) {
            throw Refusal.because("live", "Addresses can be pasted onto fixed lists of contacts and leads.");
        }
        if (text == null || text.isBlank()) {
            throw Refusal.field("text", "Paste addresses, or choose a file.");
        }
        if (text.length() > LONGEST) {
            throw Refusal.field("text", "This is too long. Import it as a file, in People.");
        }
        PastedAddresses pasted = PastedAddresses.read(text);
        if (pasted.found().size() > MOST_ADDRESSES) {
            throw Refusal.field("text", "These are more than 100,000 addresses. Paste fewer at a time.");
        }
        CrmKind other = list.kind() == CrmKind.LEAD ? CrmKind.CONTACT : CrmKind.LEAD;
        Map<Pasted, UUID> here = known(list.kind(), pasted.found());
        List<Pasted> rest =
                pasted.found().stream().filter(one -> !here.containsKey(one)).toList();
        Map<Pasted, UUID> others = known(other, rest);
        List<Pasted> fresh =
                rest.stream().filter(one -> !others.containsKey(one)).toList();
        return new Read(list, pasted, new LinkedHashSet<>(here.values()), others.size(), fresh);
    }

    private Map<Pasted, UUID> known(CrmKind kind, List<Pasted> pasted) {
        Map<Pasted, UUID> found = new LinkedHashMap<>();
        for (int from = 0; from < pasted.size(); from += AT_ONCE) {
            List<Pasted> some = pasted.subList(from, Math.min(pasted.size(), from + AT_ONCE));
            List<Identity> wanted = some.stream()
                    .map(one -> new Identity("", "", List.of(one.address().toLowerCase(Locale.ROOT))))
                    .toList();
            known.find(kind, wanted).forEach((at, record) -> found.put(some.get(at), record.id()));
        }
        return found;
    }

    private PastedReport report(Read read, Colleague asking) {
        PastedAddresses pasted = read.pasted();
        return new PastedReport(
                read.here().size(),
                chosen.onList(read.list().id(), read.here(), asking).size(),
                read.others(),
                first(read.fresh()),
                read.fresh().size(),
                first(pasted.wrong()),
                pasted.wrong().size(),
                pasted.twice(),
                read.list().kind() == CrmKind.LEAD);
    }

    private static <T> List<T> first(List<T> all) {
        return new ArrayList<>(all.subList(0, Math.min(SHOWN, all.size())));
    }
}
