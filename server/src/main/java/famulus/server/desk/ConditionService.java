package famulus.server.desk;

import famulus.core.condition.Condition;
import famulus.core.condition.ConditionAnalyser;
import famulus.core.condition.ConditionParser;
import famulus.core.condition.Verb;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.PathReading;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Problem;
import famulus.server.lists.PeopleService;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Service;

/** Reads conditions for the sentence builder and writes them back: one condition, in its written form and in parts. */
@Service
class ConditionService {
    private final CatalogueService catalogues;
    private final PeopleService people;

    ConditionService(CatalogueService catalogues, PeopleService people) {
        this.catalogues = catalogues;
        this.people = people;
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
    record ReadCondition(
            String written,
            @Schema(nullable = true) ShownCondition condition,
            String sentence,
            List<ConditionProblem> problems,
            int holds,
            int of,
            int error) {}

    /** What is wrong at one place of the written form. */
    record ConditionProblem(String sentence, int start, int end, List<String> nearest) {}

    /** A way to compare, for the values it fits. */
    record ShownVerb(Verb verb, String written, String after, Verb.Takes takes, List<Verb.Group> groups) {}

    /** Every way to compare, in the order it is offered. */
    List<ShownVerb> verbs() {
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

    /** Reads what was typed. */
    ReadCondition read(About about, String written, Colleague asking) {
        try {
            return read(about, ConditionParser.parse(written), asking);
        } catch (ParseFailure failure) {
            Problem problem = failure.problem();
            ConditionProblem shown = new ConditionProblem(
                    problem.sentence(), problem.span().start(), problem.span().end(), problem.nearest());
            return new ReadCondition(written, null, "", List.of(shown), 0, people.total(about), 0);
        }
    }

    /** Puts together what the sentence says; refused when a part of it is still missing. */
    ReadCondition read(About about, ShownCondition sentence, Colleague asking) {
        String written = sentence.condition().written();
        // In a text it stands between braces: what can't stand there is not let through.
        Program tag = MergeParser.parse("{when " + written + "}{end}");
        tag.problems().stream().findFirst().ifPresent(problem -> {
            throw Refusal.field("condition", problem.sentence());
        });
        return read(about, written, asking);
    }

    private ReadCondition read(About about, Condition condition, Colleague asking) {
        FieldCatalogue catalogue = catalogues.catalogue();
        List<ConditionProblem> problems = new ConditionAnalyser(new PathReading(catalogue, about))
                .analyse(condition).stream()
                        .map(problem -> new ConditionProblem(
                                problem.sentence(),
                                problem.span().start(),
                                problem.span().end(),
                                problem.nearest()))
                        .toList();
        PeopleService.Counted counted = people.count(about, condition, asking);
        return new ReadCondition(
                condition.written(),
                ShownCondition.of(condition),
                ProofService.words(catalogue, about).of(condition),
                problems,
                counted.holds(),
                counted.of(),
                counted.error());
    }

    /** A condition from its written form; refused when it can't be read. */
    Condition parsed(String written) {
        try {
            return ConditionParser.parse(written);
        } catch (ParseFailure failure) {
            throw Refusal.field("condition", failure.problem().sentence());
        }
    }

    /**
     * Counts for whom a condition holds, however many they are.
     *
     * @param progress told how many have been asked, now and then
     */
    PeopleService.Counted count(About about, Condition condition, Colleague asking, IntConsumer progress) {
        return people.countExactly(about, condition, asking, progress);
    }
}
