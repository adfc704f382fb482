package famulus.server.mailings;

import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.record.StoredValue;
import famulus.core.results.NamedDeals;
import famulus.core.results.NamedDeals.Deal;
import famulus.core.results.NamedDeals.Standing;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.CrmRecord;
import famulus.server.records.PipelineService;
import famulus.server.records.PipelineService.Outcome;
import famulus.server.records.PipelineService.Stage;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a mailing brought, from the deals that somebody says came of it. */
@Service
class MailingDeals {
    private static final int MOST = 500;

    private final MailingDealMapper mapper;
    private final MailingService mailings;
    private final MailingEvents events;
    private final RecordService records;
    private final PipelineService pipeline;
    private final TeamService team;
    private final Clock clock;

    MailingDeals(
            MailingDealMapper mapper,
            MailingService mailings,
            MailingEvents events,
            RecordService records,
            PipelineService pipeline,
            TeamService team,
            Clock clock) {
        this.mapper = mapper;
        this.mailings = mailings;
        this.events = events;
        this.records = records;
        this.pipeline = pipeline;
        this.team = team;
        this.clock = clock;
    }

    /**
     * A deal that came of a mailing.
     *
     * @param stage it is in, by its label
     * @param worth its value with its currency; empty where nobody has said
     */
    record ShownDeal(UUID id, String name, String stage, Standing standing, String worth) {}

    /**
     * What deals brought; amounts are written out, one for each currency.
     *
     * @param brought by those that were won
     * @param open what those that are open would bring
     * @param left of what was brought in our currency once the planned cost is paid; empty where no deal was won, or no cost is planned
     */
    record CameOfIt(List<ShownDeal> deals, List<String> brought, List<String> open, String left) {}

    /** What came of a mailing. A deal that is not there any more is left out. */
    CameOfIt of(Mailing mailing) {
        List<UUID> named = mapper.of(mailing.id());
        Map<UUID, CrmRecord> found = records.all(CrmKind.DEAL, named);
        Map<String, Stage> stages =
                pipeline.stages().stream().collect(Collectors.toMap(Stage::code, Function.identity()));
        House house = team.house();
        Merger printer = new Merger(new MergeSettings(house.locale(), house.zone(), clock.instant()));
        List<ShownDeal> shown = new ArrayList<>();
        List<Deal> deals = new ArrayList<>();
        named.stream().map(found::get).filter(Objects::nonNull).forEach(record -> {
            Stage stage = stages.get(record.text("stage"));
            Deal deal = deal(record, stage);
            deals.add(deal);
            shown.add(new ShownDeal(
                    record.id(),
                    record.name(),
                    stage == null ? "" : stage.label(),
                    deal.standing(),
                    deal.amount() == null ? "" : money(printer, deal.amount(), deal.currency())));
        });
        NamedDeals all = new NamedDeals(deals);
        int cost = mailing.plan().goal().cost();
        boolean pays = cost > 0 && !all.brought().isEmpty();
        return new CameOfIt(
                shown,
                written(printer, all.brought()),
                written(printer, all.open()),
                pays ? money(printer, all.left(BigDecimal.valueOf(cost), house.currency()), house.currency()) : "");
    }

    private static Deal deal(CrmRecord record, Stage stage) {
        Standing standing = stage == null ? Standing.OPEN : standing(stage.outcome());
        String value = record.text("value");
        if (value.isEmpty()) {
            return new Deal(standing, null, "");
        }
        Value.Money worth = StoredValue.money(value);
        return new Deal(standing, worth.amount(), worth.currency());
    }

    private static Standing standing(Outcome outcome) {
        return switch (outcome) {
            case OPEN -> Standing.OPEN;
            case WON -> Standing.WON;
            case LOST -> Standing.LOST;
        };
    }

    private static List<String> written(Merger printer, Map<String, BigDecimal> sums) {
        return sums.entrySet().stream()
                .map(sum -> money(printer, sum.getValue(), sum.getKey()))
                .toList();
    }

    private static String money(Merger printer, BigDecimal amount, String currency) {
        return printer.print(new Value.Money(amount, currency), Optional.empty());
    }

    /** Says that a deal came of a mailing. */
    @Transactional
    public void name(UUID id, UUID deal, Colleague by) {
        mailings.mustBeChangeable(mailings.get(id), by);
        records.get(CrmKind.DEAL, deal);
        if (mapper.of(id).size() >= MOST) {
            throw Refusal.because("too-many", "This mailing has " + MOST + " deals already. Take one away first.");
        }
        mapper.name(id, deal, by.id(), clock.instant());
        events.changed(id);
    }

    /** Says so no more. */
    @Transactional
    public void remove(UUID id, UUID deal, Colleague by) {
        mailings.mustBeChangeable(mailings.get(id), by);
        mapper.remove(id, deal);
        events.changed(id);
    }
}
