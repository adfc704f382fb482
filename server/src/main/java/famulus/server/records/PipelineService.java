package famulus.server.records;

import famulus.core.field.FieldNames;
import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueMapper.ChoiceRow;
import famulus.server.records.RecordRenewals.Cause;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stages deals go through, what leads are and where they come from, and what contacts are on deals. */
@Service
public class PipelineService {
    private static final int MOST = 40;
    private static final int LONGEST_LABEL = 60;
    private static final int MOST_EARLIER = 20;

    private final CatalogueMapper mapper;
    private final PipelineMapper pipeline;
    private final RecordRenewals renewals;

    PipelineService(CatalogueMapper mapper, PipelineMapper pipeline, RecordRenewals renewals) {
        this.mapper = mapper;
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
    public record Stage(String code, String label, Outcome outcome) {}

    /**
     * What a lead is, or where it came from.
     *
     * @param code empty for a new one
     */
    public record Option(String code, String label) {}

    /**
     * All lists that an administrator keeps.
     *
     * @param roles what contacts can be on a deal
     */
    public record Pipeline(List<Stage> stages, List<Option> leadStates, List<Option> leadSources, List<String> roles) {}

    /** Lists of options that are not stages. */
    public enum OptionList {
        LEAD_STATES("lead", "state", CrmKind.LEAD),
        LEAD_SOURCES("lead", "source", CrmKind.LEAD);

        private final String kind;
        private final String field;
        private final CrmKind table;

        OptionList(String kind, String field, CrmKind table) {
            this.kind = kind;
            this.field = field;
            this.table = table;
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
            throw Refusal.changedMeanwhile("Somebody else changed the pipeline meanwhile. Look at it as it is now.");
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
        return mapper.choicesOf("deal", "stage").stream()
                .map(row -> new Stage(row.code(), row.label(), Outcome.valueOf(row.outcome())))
                .toList();
    }

    /** Takes the place of all stages. Refused when a deal is in one that would go, or none is left that is open. */
    public void keepStages(List<Stage> stages) {
        if (stages.stream().noneMatch(stage -> stage.outcome() == Outcome.OPEN)) {
            throw Refusal.field("stages", "At least one stage has to be open: new deals begin there.");
        }
        List<ChoiceRow> rows = new ArrayList<>();
        Set<String> codes = codes("deal", "stage");
        for (Stage stage : stages) {
            rows.add(row("deal", "stage", stage.code(), stage.label(), rows.size() + 1, codes, stage.outcome()));
        }
        replace("deal", "stage", CrmKind.DEAL, rows);
        renewals.renew(CrmKind.CONTACT, Cause.KIND, null);
    }

    /** One of the lists, in order. */
    public List<Option> options(OptionList list) {
        return mapper.choicesOf(list.kind, list.field).stream()
                .map(row -> new Option(row.code(), row.label()))
                .toList();
    }

    /** Takes the place of all options of a list. Refused when a record has one that would go. */
    public void keepOptions(OptionList list, List<Option> options) {
        List<ChoiceRow> rows = new ArrayList<>();
        Set<String> codes = codes(list.kind, list.field);
        for (Option option : options) {
            rows.add(row(list.kind, list.field, option.code(), option.label(), rows.size() + 1, codes, null));
        }
        replace(list.kind, list.field, list.table, rows);
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
        for (String role :
                new java.util.LinkedHashSet<>(roles.stream().map(String::strip).toList())) {
            pipeline.role(role, position++);
        }
    }

    private Set<String> codes(String kind, String field) {
        Set<String> codes = new HashSet<>();
        mapper.choicesOf(kind, field).forEach(row -> codes.add(row.code()));
        return codes;
    }

    /** A row as it is to be; a code that is not there yet is made from the label. */
    private static ChoiceRow row(
            String kind, String field, String code, String label, int position, Set<String> codes, Outcome outcome) {
        PlainLine.refusal(label, LONGEST_LABEL, true).ifPresent(sentence -> {
            throw Refusal.field("label", sentence);
        });
        String kept = code == null || code.isBlank() ? FieldNames.of(label, List.copyOf(codes)) : code;
        codes.add(kept);
        return new ChoiceRow(kind, field, kept, label.strip(), position, outcome == null ? null : outcome.name(), null);
    }

    /** A row that knows the labels its choice had before; one that another choice has now belongs to that one. */
    private static ChoiceRow remembering(ChoiceRow row, List<ChoiceRow> before, Set<String> labels) {
        Optional<ChoiceRow> same =
                before.stream().filter(one -> one.code().equals(row.code())).findFirst();
        if (same.isEmpty()) {
            return row;
        }
        List<String> earlier = Stream.concat(Stream.of(same.get().label()), same.get().earlierLabels().stream())
                .distinct()
                .filter(label -> !labels.contains(label.toLowerCase(Locale.ROOT)))
                .limit(MOST_EARLIER)
                .toList();
        return new ChoiceRow(
                row.kind(),
                row.fieldName(),
                row.code(),
                row.label(),
                row.position(),
                row.outcome(),
                ChoiceRow.lines(earlier));
    }

    private void replace(String kind, String field, CrmKind table, List<ChoiceRow> rows) {
        if (rows.isEmpty() || rows.size() > MOST) {
            throw Refusal.field("options", "Give from one to " + MOST + ".");
        }
        List<ChoiceRow> before = mapper.choicesOf(kind, field);
        Set<String> labels = new HashSet<>();
        Set<String> stay = new HashSet<>();
        for (ChoiceRow row : rows) {
            if (!labels.add(row.label().toLowerCase(Locale.ROOT)) || !stay.add(row.code())) {
                throw Refusal.field("options", "“" + row.label() + "” is here twice.");
            }
        }
        for (ChoiceRow one : before) {
            int users = stay.contains(one.code()) ? 0 : pipeline.used(table.word(), field, one.code());
            if (users > 0) {
                throw Refusal.field(
                        "options",
                        "“" + one.label() + "” is the " + field + " of "
                                + (users == 1 ? "one " : users + " ") + table.word() + (users == 1 ? "" : "s")
                                + ". Change " + (users == 1 ? "it" : "them") + " first, or keep it.");
            }
        }
        mapper.newRevision();
        mapper.clearChoices(kind, field);
        rows.forEach(row -> mapper.insertChoice(remembering(row, before, labels)));
        renewals.renew(table, Cause.KIND, null);
    }
}
