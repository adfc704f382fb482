package famulus.server.records;

import famulus.server.search.Search;
import famulus.server.search.SearchIndex;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Walks through records by name, one after another, however many there are. */
@Service
public class RecordWalk {
    private static final String BY_NAME = "name";
    private static final int MOST_GATHERED = 2_000;

    private final RecordIndexMapper mapper;
    private final SearchIndex search;
    private final ListedRecords listed;

    RecordWalk(RecordIndexMapper mapper, SearchIndex search, ListedRecords listed) {
        this.mapper = mapper;
        this.search = search;
        this.listed = listed;
    }

    /**
     * A record on the way.
     *
     * @param place where it stands; of two records of any kinds the one with the smaller place comes first
     * @param name what it is called
     * @param remark what tells it from others: a person's company, a deal's organisation
     */
    public record Step(CrmKind kind, UUID id, String place, String name, String remark) {}

    /**
     * The record that follows on a place, among several kinds.
     *
     * @param from nothing for the first one, or the last one when going backwards
     * @param withMain of deals, whether only those with a main contact
     */
    public Optional<Step> next(List<CrmKind> kinds, Optional<String> from, boolean forward, boolean withMain) {
        List<Found> found = new ArrayList<>();
        for (CrmKind kind : kinds) {
            PlaceRange range = PlaceRange.all(!forward);
            if (from.isPresent()) {
                range = range.after(from.get());
            }
            mapper.walkTo(kind.word(), BY_NAME, range, List.of(), 1, withMain && kind == CrmKind.DEAL).stream()
                    .map(place -> new Found(kind, place))
                    .forEach(found::add);
        }
        Comparator<Found> order = Comparator.comparing(one -> one.place());
        return found.stream().min(forward ? order : order.reversed()).flatMap(one -> steps(List.of(one)).stream()
                .findFirst());
    }

    /** Where a record stands; empty when there is none of this identifier. */
    public Optional<String> place(UUID id) {
        return mapper.placesOf(BY_NAME, List.of(id)).stream().findFirst();
    }

    /**
     * Records that have words beginning with all that was typed, by name.
     *
     * @param withMain of deals, whether only those with a main contact
     */
    public List<Step> find(List<CrmKind> kinds, String typed, int most, boolean withMain) {
        List<Found> found = new ArrayList<>();
        for (CrmKind kind : kinds) {
            places(kind, typed, most, withMain && kind == CrmKind.DEAL)
                    .forEach(place -> found.add(new Found(kind, place)));
        }
        return steps(found.stream()
                .sorted(Comparator.comparing(one -> one.place()))
                .limit(most)
                .toList());
    }

    private List<String> places(CrmKind kind, String typed, int most, boolean withMain) {
        Search fitting = search.find(kind.word(), typed, MOST_GATHERED);
        if (!fitting.gathered()) {
            return mapper.walkTo(kind.word(), BY_NAME, PlaceRange.all(false), fitting.words(), most, withMain);
        }
        List<String> places =
                mapper.placesOf(BY_NAME, fitting.found()).stream().sorted().toList();
        if (!withMain) {
            return places.stream().limit(most).toList();
        }
        Collection<UUID> main = mapper.withMain(fitting.found());
        return places.stream()
                .filter(place -> main.contains(ListPlace.record(place)))
                .limit(most)
                .toList();
    }

    private record Found(CrmKind kind, String place) {}

    private List<Step> steps(List<Found> found) {
        Map<UUID, Listed> records = new HashMap<>();
        for (CrmKind kind : CrmKind.values()) {
            records.putAll(listed.read(
                    kind,
                    found.stream()
                            .filter(one -> one.kind() == kind)
                            .map(one -> ListPlace.record(one.place()))
                            .toList()));
        }
        return found.stream()
                .filter(one -> records.containsKey(ListPlace.record(one.place())))
                .map(one -> step(one, records.get(ListPlace.record(one.place()))))
                .toList();
    }

    private static Step step(Found found, Listed record) {
        String remark = found.kind() == CrmKind.LEAD ? record.text("company") : record.organisation();
        return new Step(
                found.kind(),
                ListPlace.record(found.place()),
                found.place(),
                record.record().name(),
                remark);
    }

    /** How many records there are of some kinds; of deals only those with a main contact, where that is asked. */
    public int count(List<CrmKind> kinds, boolean withMain) {
        return kinds.stream()
                .mapToInt(kind -> withMain && kind == CrmKind.DEAL ? mapper.countWithMain() : mapper.count(kind.word()))
                .sum();
    }

    /** The main contacts of some deals, by deal, with what they are called. */
    public Map<UUID, MainContact> mainContacts(Collection<UUID> deals) {
        Map<UUID, MainContact> main = new HashMap<>();
        if (!deals.isEmpty()) {
            mapper.mainContacts(deals).forEach(row -> main.put(row.dealId(), row));
        }
        return main;
    }

    /** Who decides on a deal. */
    public record MainContact(UUID dealId, UUID id, String name) {}
}
