package famulus.server.choices;

import famulus.server.choices.Topics.Topic;
import famulus.server.choices.Topics.TypedTopic;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The topics that readers choose from. */
@RestController
@RequestMapping("/api/topics")
class TopicController {
    private final Topics topics;
    private final ReaderChoices choices;

    TopicController(Topics topics, ReaderChoices choices) {
        this.choices = choices;
        this.topics = topics;
    }

    @GetMapping
    List<Topic> all(Colleague asking) {
        return topics.all();
    }

    /**
     * All topics as they are to be.
     *
     * @param seen those that there were when they were read
     */
    record TypedTopics(Set<UUID> seen, List<TypedTopic> topics) {}

    /** Keeps all of them, in their order. */
    @PutMapping
    List<Topic> keep(Colleague asking, @RequestBody TypedTopics typed) {
        topics.keep(typed.seen(), typed.topics(), asking);
        return topics.all();
    }

    /** What a person has chosen, in a sentence; empty where they get everything. */
    record SaidChoice(String sentence) {}

    @GetMapping("/chosen/{person}")
    SaidChoice chosen(Colleague asking, @PathVariable UUID person) {
        return new SaidChoice(choices.said(person).orElse(""));
    }
}
