package famulus.server.library;

import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Content;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Inserts.Insert;
import famulus.core.message.body.UnreadableBody;
import famulus.server.library.TemplateMapper.ReadyText;
import famulus.server.materials.FeedService;
import famulus.server.materials.KeptTexts;
import famulus.server.platform.Revisions;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** What passages and designed signatures say in the messages that use them: what they said when they were marked ready. */
@Service
public class KeptTextService implements KeptTexts {
    static final String REVISION = "kept-texts";
    static final String TEAM = "team";

    private final TemplateMapper mapper;
    private final FeedService feeds;
    private final Revisions revisions;
    private final Supplier<Kept> kept;

    KeptTextService(TemplateMapper mapper, FeedService feeds, Revisions revisions) {
        this.feeds = feeds;
        this.mapper = mapper;
        this.revisions = revisions;
        this.kept = revisions.keep(REVISION, this::read);
    }

    private record Kept(Map<UUID, Insert> texts, Map<String, UUID> signatures) {}

    private Kept read() {
        Map<UUID, Insert> texts = new HashMap<>();
        for (ReadyText text : mapper.readyTexts()) {
            texts.put(text.id(), new Insert(text.name(), body(text)));
        }
        Map<String, UUID> signatures = new HashMap<>();
        mapper.signatureChoices().forEach(choice -> signatures.put(choice.forWhom(), choice.templateId()));
        return new Kept(texts, signatures);
    }

    private static Body body(ReadyText text) {
        try {
            return text.design().isBlank() ? Body.EMPTY : BodyJson.read(text.design());
        } catch (UnreadableBody wrong) {
            throw new IllegalStateException("The kept text " + text.id() + " can't be read", wrong);
        }
    }

    @Override
    public Optional<Insert> passage(String id) {
        try {
            return Optional.ofNullable(kept.get().texts().get(UUID.fromString(id)))
                    .map(insert -> new Insert(insert.name(), fed(insert.body())));
        } catch (IllegalArgumentException noIdentifier) {
            return Optional.empty();
        }
    }

    /** The designed signature of a sender: their own, else the one of everybody; absent where there is neither. */
    public Optional<Body> signature(Colleague sender) {
        Kept now = kept.get();
        return Optional.ofNullable(now.signatures().get(sender.id().toString()))
                .or(() -> Optional.ofNullable(now.signatures().get(TEAM)))
                .map(now.texts()::get)
                .map(Insert::body)
                .map(this::fed);
    }

    /** Feeds within a kept text have what was read last, as they would in the message itself. */
    private Body fed(Body body) {
        return Inserts.has(body, Content.Feed.class) ? Inserts.feeds(body, feeds::entries) : body;
    }

    /** Who has chosen which signature, by identifier; the team's under {@value #TEAM}. */
    Map<String, UUID> signatures() {
        return kept.get().signatures();
    }

    /** What a passage or signature says, or who signs with which, has changed for those that use it. */
    void changed() {
        revisions.changed(REVISION);
    }
}
