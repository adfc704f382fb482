package famulus.server.records;

import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.records.ChoiceLists.KeptChoice;
import famulus.server.records.RecordRenewals.Cause;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stages deals go through, what leads are and where they come from, and what contacts are on deals. */
@Service
public class PipelineService {
    private static final int MOST = 40;
    private static final int LONGEST_LABEL = 60;
    private static final String STAGE = "stage";

    private final CatalogueMapper mapper;
    private final PipelineMapper pipeline;
    private final ChoiceLists choices;
    private final RecordRenewals renewals;

    PipelineService(CatalogueMapper mapper, PipelineMapper pipeline, ChoiceLists choices, RecordRenewals renewals) {
        this.mapper = mapper;
        this.choices = choices;
        this.pipeline = pipeline;
        this.renewals = renewals;
    }

    /** How deals stand that are in a stage. */
    public enum Outcome {
        OPEN,
        WON,
        LOST
    }

    /**
     * A stage of deals.
     *
     * @param code empty for a new one
     */
    public record Stage(String code, String label, Outcome outcome, boolean retired) {
        /** One in use. */
        public Stage(String code, String label, Outcome outcome) {
            this(code, label, outcome, false);
        }
    }

    /**
     * What a lead is, or where it came from.
     *
     * @param code empty for a new one
     */
    public record Option(String code, String label, boolean retired) {
        /** One in use. */
        public Option(String code, String label) {
            this(code, label, false);
        }
    }

    /**
     * All lists that an administrator keeps.
     *
     * @param roles what contacts can be on a deal
     */
    public record Pipeline(List<Stage> stages, List<Option> leadStates, List<Option> leadSources, List<String> roles) {}

    /** Lists of options that are not stages. */
    public enum OptionList {
        LEAD_STATES("state"),
        LEAD_SOURCES("source");

        private final String field;

        OptionList(String field) {
            this.field = field;
        }
    }

    /** All lists, each in order. */
    public Pipeline all() {
        return new Pipeline(stages(), options(OptionList.LEAD_STATES), options(OptionList.LEAD_SOURCES), roles());
    }

    /**
     * Takes the place of the lists that are not as before; all of them, or none where one is refused.
     *
     * @param before what whoever asks has seen; refused when somebody has changed a list since
     */
    @Transactional
    public void change(Pipeline before, Pipeline after, Colleague by) {
        by.mustBe("Only an administrator changes the pipeline.", Role.ADMINISTRATOR);
        // Whoever comes second waits here, and then finds what the first has done.
        mapper.newRevision();
        Pipeline now = all();
        if (!now.equals(before)) {
            throw Refusal.changedMeanwhile(
                    "Somebody else has changed the pipeline in the meantime. Look at it as it is now.");
        }
        if (!after.stages().equals(now.stages())) {
            keepStages(after.stages());
        }
        if (!after.leadStates().equals(now.leadStates())) {
            keepOptions(OptionList.LEAD_STATES, after.leadStates());
        }
        if (!after.leadSources().equals(now.leadSources())) {
            keepOptions(OptionList.LEAD_SOURCES, after.leadSources());
        }
        if (!after.roles().equals(now.roles())) {
            keepRoles(after.roles());
        }
    }

    /** The stages in order. */
    public List<Stage> stages() {
        return choices.of(CrmKind.DEAL, STAGE).stream()
                .map(one -> new Stage(one.code(), one.label(), Outcome.valueOf(one.outcome()), one.retired()))
                .toList();
    }

    /** Takes the place of all stages. Refused when a deal is in one that would go, or none is left that is open. */
    public void keepStages(List<Stage> stages) {
        if (stages.stream().noneMatch(stage -> stage.outcome() == Outcome.OPEN && !stage.retired())) {
            throw Refusal.field("stages", "At least one stage has to be open: new deals begin there.");
        }
        choices.keep(
                CrmKind.DEAL,
                STAGE,
                stages.stream()
                        .map(one -> new KeptChoice(
                                one.code(),
                                one.label(),
                                one.retired(),
                                one.outcome().name()))
                        .toList(),
                STAGE,
                "options");
        renewals.renew(CrmKind.DEAL, Cause.KIND, null);
        renewals.renew(CrmKind.CONTACT, Cause.KIND, null);
    }

    /** One of the lists, in order. */
    public List<Option> options(OptionList list) {
        return choices.of(CrmKind.LEAD, list.field).stream()
                .map(one -> new Option(one.code(), one.label(), one.retired()))
                .toList();
    }

    /** Takes the place of all options of a list. Refused when a record has one that would go. */
    public void keepOptions(OptionList list, List<Option> options) {
        choices.keep(
                CrmKind.LEAD,
                list.field,
                options.stream()
                        .map(one -> new KeptChoice(one.code(), one.label(), one.retired(), null))
                        .toList(),
                list.field,
                "options");
        renewals.renew(CrmKind.LEAD, Cause.KIND, null);
    }

    /** How many records have each option, by code. */
    public record Uses(
            Map<String, Integer> stages, Map<String, Integer> leadStates, Map<String, Integer> leadSources) {}

    /** Where the options of all lists are used. */
    public Uses uses() {
        return new Uses(
                choices.uses(CrmKind.DEAL, STAGE),
                choices.uses(CrmKind.LEAD, OptionList.LEAD_STATES.field),
                choices.uses(CrmKind.LEAD, OptionList.LEAD_SOURCES.field));
    }

    /** What contacts can be on a deal, in order; more may be written in. */
    public List<String> roles() {
        return pipeline.roles();
    }

    /** Takes the place of all roles; what contacts are on deals stays as it is. */
    public void keepRoles(List<String> roles) {
        Map<String, String> wrong = new LinkedHashMap<>();
        roles.forEach(role ->
                PlainLine.refusal(role, LONGEST_LABEL, true).ifPresent(sentence -> wrong.put("roles", sentence)));
        if (roles.size() > MOST) {
            wrong.put("roles", "At most " + MOST + " roles.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        pipeline.clearRoles();
        int position = 1;
        for (String role : new LinkedHashSet<>(roles.stream().map(String::strip).toList())) {
            pipeline.role(role, position++);
        }
    }
}
