package famulus.server.lists;

import famulus.core.condition.Condition;
import famulus.core.condition.ConditionAnalyser;
import famulus.core.condition.ConditionParser;
import famulus.core.condition.ConditionWords;
import famulus.core.condition.Verb;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.PathReading;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Problem;
import famulus.server.lists.PeopleService.Counted;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import org.springframework.stereotype.Service;

/** Reads conditions for the sentence builder and writes them back: one condition, in its written form and in parts. */
@Service
public class ConditionService {
    private static final int LONGEST = 10_000;

    private final CatalogueService catalogues;
    private final PeopleService people;
    private final RecordFilterService records;

    ConditionService(CatalogueService catalogues, PeopleService people, RecordFilterService records) {
        this.catalogues = catalogues;
        this.people = people;
        this.records = records;
    }

    /**
     * A condition that has been read.
     *
     * @param written its canonical written form, or what was typed when that can't be read
     * @param condition null when it can't be read
     * @param sentence in words
     * @param problems what is wrong with it, whoever it is about
     * @param holds for how many people it holds; of very many an estimate
     * @param of how many people there are
     * @param error how much more or less {@code holds} may be, in 19 of 20 cases; 0 for an exact count
     */
    public record ReadCondition(
            String written,
            @Schema(nullable = true) ShownCondition condition,
            String sentence,
            List<ConditionProblem> problems,
            int holds,
            int of,
            int error) {}

    /** What is wrong at one place of the written form. */
    public record ConditionProblem(String sentence, int start, int end, List<String> nearest) {
        static ConditionProblem of(Problem problem) {
            return new ConditionProblem(
                    problem.sentence(), problem.span().start(), problem.span().end(), problem.nearest());
        }
    }

    /** A way to compare, for the values it fits. */
    public record ShownVerb(Verb verb, String written, String after, Verb.Takes takes, List<Verb.Group> groups) {}

    /** Every way to compare, in the order it is offered. */
    public List<ShownVerb> verbs() {
        return Arrays.stream(Verb.Group.values())
                .flatMap(group -> Verb.of(group).stream())
                .distinct()
                .map(verb -> new ShownVerb(
                        verb,
                        verb.written(),
                        verb.after(),
                        verb.takes(),
                        Arrays.stream(Verb.Group.values()).filter(verb::fits).toList()))
                .toList();
    }

    /**
     * Whom or what a condition is asked of.
     *
     * @param paths follows its paths
     * @param words says it in words
     * @param count for how many it holds; of very many an estimate
     * @param total how many there are
     */
    public record Asked(
            PathReading paths, ConditionWords words, Function<Condition, Counted> count, IntSupplier total) {}

    /** Asks the people that templates about something could go to. */
    public Asked people(About about, Colleague asking) {
        TemplateConditions conditions = new TemplateConditions(catalogues.catalogue(), about);
        return new Asked(
                conditions.paths(),
                conditions.words(),
                condition -> people.count(about, condition, asking),
                () -> people.total(about));
    }

    /** Asks the records of a list. */
    public Asked records(RecordScope scope, Colleague asking) {
        FieldCatalogue catalogue = catalogues.catalogue();
        return new Asked(
                scope.paths(catalogue),
                scope.words(catalogue),
                // What asks for something that is not there holds for nobody, and need not be asked.
                condition -> refusal(scope, condition).isPresent()
                        ? new Counted(0, records.total(scope), 0)
                        : records.filtered(scope, condition, asking).counted(),
                () -> records.total(scope));
    }

    /** Reads what was typed. */
    public ReadCondition read(Asked of, String written) {
        if (written.length() > LONGEST) {
            throw tooLong();
        }
        try {
            return read(of, ConditionParser.parse(written));
        } catch (ParseFailure failure) {
            ConditionProblem shown = ConditionProblem.of(failure.problem());
            return new ReadCondition(
                    written, null, "", List.of(shown), 0, of.total().getAsInt(), 0);
        }
    }

    /** Puts together what the sentence says; refused when a part of it is still missing. */
    public ReadCondition read(Asked of, ShownCondition sentence) {
        String written = sentence.condition().written();
        // In a text it stands between braces: what can't stand there is not let through.
        Program tag = MergeParser.parse("{when " + written + "}{end}");
        tag.problems().stream().findFirst().ifPresent(problem -> {
            throw Refusal.field("condition", problem.sentence());
        });
        return read(of, written);
    }

    private static ReadCondition read(Asked of, Condition condition) {
        List<ConditionProblem> problems = new ConditionAnalyser(of.paths())
                .analyse(condition).stream().map(ConditionProblem::of).toList();
        Counted counted = of.count().apply(condition);
        return new ReadCondition(
                condition.written(),
                ShownCondition.of(condition),
                of.words().of(condition),
                problems,
                counted.holds(),
                counted.of(),
                counted.error());
    }

    private static Refusal tooLong() {
        return Refusal.field("condition", "This condition is too long.");
    }

    /** A condition from its written form; refused when it can't be read. */
    public Condition parsed(String written) {
        if (written.length() > LONGEST) {
            throw tooLong();
        }
        try {
            return ConditionParser.parse(written);
        } catch (ParseFailure failure) {
            throw Refusal.field("condition", failure.problem().sentence());
        }
    }

    /** A condition that the records of a list can be asked; refused with what is wrong with it. */
    public Condition sound(RecordScope scope, String written, Colleague asking) {
        Condition condition = parsed(written);
        refusal(scope, condition).ifPresent(sentence -> {
            throw Refusal.field("condition", sentence);
        });
        records.mustBeAskable(scope, condition, asking);
        // As it is kept it may be a little longer than it was typed.
        if (condition.written().length() > LONGEST) {
            throw tooLong();
        }
        return condition;
    }

    /** Why a condition can't be asked; what is always or never true can. */
    private Optional<String> refusal(RecordScope scope, Condition condition) {
        return new ConditionAnalyser(scope.paths(catalogues.catalogue()))
                .analyse(condition).stream()
                        .filter(problem -> problem.code() != Problem.Code.FOREGONE)
                        .map(Problem::sentence)
                        .findFirst();
    }

    /**
     * Counts for whom a condition holds, however many they are.
     *
     * @param progress told how many have been asked, now and then
     */
    public Counted count(About about, Condition condition, Colleague asking, IntConsumer progress) {
        return people.countExactly(about, condition, asking, progress);
    }
}
