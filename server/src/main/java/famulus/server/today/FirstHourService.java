package famulus.server.today;

import famulus.server.library.TemplateService;
import famulus.server.outbox.OutboxService;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordWalk;
import famulus.server.team.CompanyDetails;
import famulus.server.team.CompanyDetailsService;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done of the first hour, and what is passed over. */
@Service
class FirstHourService {
    private static final List<CrmKind> PEOPLE = List.of(CrmKind.CONTACT, CrmKind.LEAD);

    private final FirstHourMapper mapper;
    private final CompanyDetailsService company;
    private final RecordWalk records;
    private final TemplateService templates;
    private final OutboxService outbox;

    FirstHourService(
            FirstHourMapper mapper,
            CompanyDetailsService company,
            RecordWalk records,
            TemplateService templates,
            OutboxService outbox) {
        this.mapper = mapper;
        this.company = company;
        this.records = records;
        this.templates = templates;
        this.outbox = outbox;
    }

    /** A step, and whether it is done or passed over. */
    record StepState(FirstHourStep step, boolean done, boolean skipped) {}

    /** All steps in order; none once each of them is done or passed over. */
    List<StepState> steps() {
        Set<FirstHourStep> skipped = new HashSet<>(mapper.skipped());
        List<StepState> steps = Arrays.stream(FirstHourStep.values())
                .map(step -> new StepState(step, done(step), skipped.contains(step)))
                .toList();
        return steps.stream().allMatch(one -> one.done() || one.skipped()) ? List.of() : steps;
    }

    /** Passes a step over, for everybody. */
    @Transactional
    void skip(FirstHourStep step) {
        mapper.skip(step);
    }

    /** Takes a step up again that was passed over. */
    @Transactional
    void takeUp(FirstHourStep step) {
        mapper.takeUp(step);
    }

    private boolean done(FirstHourStep step) {
        return switch (step) {
            case COMPANY -> {
                CompanyDetails details = company.details();
                yield Stream.of(details.phone(), details.website(), details.street(), details.town())
                        .anyMatch(one -> !one.isEmpty());
            }
            case PEOPLE -> records.next(PEOPLE, Optional.empty(), true, false).isPresent();
            case TEMPLATE -> templates.any();
            case MESSAGE -> outbox.anySent();
        };
    }
}
