package famulus.server.materials;

import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyle.Wrapping;
import famulus.core.message.body.HouseStyleJson;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Inserts.Insert;
import famulus.core.message.body.Mode;
import famulus.core.message.body.UnreadableBody;
import famulus.core.record.PlainLine;
import famulus.server.folders.FolderService.FolderToRemove;
import famulus.server.materials.HouseStyleMapper.StyleRow;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.Revisions;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps house styles, and puts them around what templates say. */
@Service
public class HouseStyleService {
    /** What changes of styles are counted as. */
    public static final String REVISION = "house-styles";

    private static final String TAKEN = "A style with this name exists already.";

    private final UsedIn usedIn;
    private final HouseStyleMapper mapper;
    private final KeptTexts texts;
    private final FeedService feeds;
    private final TeamService team;
    private final Ids ids;
    private final Clock clock;
    private final Events events;
    private final Revisions revisions;
    private final MaterialRights rights;
    private final Supplier<List<KeptStyle>> kept;

    HouseStyleService(
            HouseStyleMapper mapper,
            KeptTexts texts,
            FeedService feeds,
            TeamService team,
            Ids ids,
            Clock clock,
            Events events,
            Revisions revisions,
            UsedIn usedIn,
            MaterialRights rights) {
        this.rights = rights;
        this.usedIn = usedIn;
        this.texts = texts;
        this.feeds = feeds;
        this.team = team;
        this.mapper = mapper;
        this.ids = ids;
        this.clock = clock;
        this.events = events;
        this.revisions = revisions;
        this.kept = revisions.keep(
                REVISION,
                () -> mapper.all().stream().map(HouseStyleService::kept).toList());
    }

    /**
     * A house style as it is kept.
     *
     * @param usual whether templates that name none have it
     */
    public record KeptStyle(UUID id, HouseStyle style, boolean usual, int version, UUID folder, UUID owner) {
        private Placed placed() {
            return new Placed(folder, owner);
        }
    }

    /** All of them, the default first. */
    public List<KeptStyle> all() {
        return kept.get();
    }

    /** One of them; refused when it is not there. */
    public KeptStyle get(UUID id) {
        return all().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This style"));
    }

    /** Those somebody may use, the default first. */
    public List<KeptStyle> seen(Colleague asking) {
        return all().stream().filter(one -> mayUse(one, asking)).toList();
    }

    /** One that somebody may use; for all others it is not there. */
    public KeptStyle get(UUID id, Colleague asking) {
        return Optional.of(get(id)).filter(one -> mayUse(one, asking)).orElseThrow(() -> Refusal.missing("This style"));
    }

    /** Whether a style is there, and somebody may use it: the default, what lies in their folders, and what their templates have. */
    public boolean mayUse(UUID id, Colleague asking) {
        return all().stream().anyMatch(one -> one.id().equals(id) && mayUse(one, asking));
    }

    private boolean mayUse(KeptStyle style, Colleague asking) {
        return style.usual()
                || rights.maySee(style.placed(), asking)
                || named(style.id()).contains(asking.id())
                || usedIn.styled(style.id(), asking);
    }

    /** The style of a template: the one it names, else the default; a bare one in a house that has none. */
    public HouseStyle of(UUID id) {
        return all().stream()
                .filter(one -> id == null ? one.usual() : one.id().equals(id))
                .findFirst()
                .map(KeptStyle::style)
                .orElse(HouseStyle.BARE);
    }

    /** A template that a style is put around. */
    public record StyledTemplate(UUID id, String name, String about) {}

    /** The templates that would change with a style. */
    public List<StyledTemplate> using(UUID id, Colleague asking) {
        return usedIn.styled(id, get(id, asking).usual(), asking);
    }

    /**
     * Reads what a template is written as, with what its passages say.
     *
     * @param json its body; nothing for a plain one
     * @param style null for the default
     * @return empty for a plain template, which is only words
     */
    public Optional<Design> design(Mode mode, String json, UUID style, String header, String footer) {
        return design(mode, json, style, header, footer, Map.of());
    }

    /**
     * The same, where some passages say something else.
     *
     * @param others what they say, by their identifiers
     */
    public Optional<Design> design(
            Mode mode, String json, UUID style, String header, String footer, Map<String, Insert> others) {
        if (mode == null || mode == Mode.PLAIN) {
            return Optional.empty();
        }
        try {
            Body body = json == null || json.isBlank() ? Body.EMPTY : BodyJson.read(json);
            Body said = Inserts.has(body, Content.Passage.class)
                    ? Inserts.passages(
                            body, id -> Optional.ofNullable(others.get(id)).or(() -> texts.passage(id)))
                    : body;
            Body whole = Inserts.has(said, Content.Feed.class) ? Inserts.feeds(said, feeds::entries) : said;
            return Optional.of(new Design(mode, whole, of(style), text(header), text(footer)));
        } catch (UnreadableBody wrong) {
            throw Refusal.field("design", wrong.getMessage());
        }
    }

    /**
     * What a style says around a message that is only words: its header, footer and small print, around an empty body.
     *
     * @param mode what the message is written as; a letter has neither header nor footer
     * @param style null for the default
     */
    public Design around(Mode mode, UUID style, String header, String footer) {
        return new Design(mode == Mode.PLAIN ? Mode.DESIGNED : mode, Body.EMPTY, of(style), text(header), text(footer));
    }

    private static String text(String given) {
        return given == null ? "" : given;
    }

    /**
     * Adds a house style; the first one is the default.
     *
     * @param folder where it is to lie; null for where all find it
     */
    @Transactional
    public KeptStyle add(String look, UUID folder, Colleague by) {
        mustBeKeeper(by);
        UUID place = rights.place(folder, by);
        HouseStyle style = read(look);
        UUID id = ids.next();
        boolean first = mapper.all().isEmpty();
        try {
            mapper.insert(row(new KeptStyle(id, style, first, 1, place, by.id()), style));
        } catch (DuplicateKeyException twice) {
            throw Refusal.field("name", TAKEN);
        }
        changed();
        return get(id);
    }

    /** Has a style lie in another folder. */
    @Transactional
    public void move(UUID id, UUID folder, Colleague by) {
        mustBeKeeper(by);
        mustBeAllowed(id, by);
        UUID place = rights.place(folder, by);
        try {
            mapper.move(id, place);
        } catch (DuplicateKeyException twice) {
            throw Refusal.field("folder", TAKEN);
        }
        changed();
    }

    @EventListener
    void removed(FolderToRemove folder) {
        if (mapper.inFolder(folder.id()) > 0) {
            throw Refusal.because("not-empty", "There are styles in this folder. Move them first.");
        }
    }

    /**
     * Changes a house style, and with it how every template in it looks; messages that were sent stay as they were.
     *
     * @param version what it was when it was read; refused when somebody has kept another change since
     */
    @Transactional
    public KeptStyle change(UUID id, int version, String look, Colleague by) {
        mustBeAllowed(id, by);
        KeptStyle before = get(id);
        HouseStyle style = read(look);
        try {
            if (mapper.update(row(before, version, style), by.id()) == 0) {
                throw Refusal.changedMeanwhile("Somebody has changed this style in the meantime.");
            }
        } catch (DuplicateKeyException twice) {
            throw Refusal.field("name", TAKEN);
        }
        changed();
        return get(id);
    }

    /** The bands that a style puts around messages under a name; absent when it has none of that name. */
    public Optional<Wrapping> wrapping(UUID id, boolean above, String name) {
        HouseStyle style = get(id).style();
        return (above ? style.headers() : style.footers())
                .stream().filter(one -> one.name().equals(name)).findFirst();
    }

    /**
     * Puts bands around messages, in the place of those of the same name, else after the others.
     *
     * @param above as a header; else as a footer
     */
    @Transactional
    public void wrap(UUID id, boolean above, Wrapping wrapping, Colleague by) {
        rewrap(id, by, style -> style.wearing(above, wrapping));
    }

    /** Takes bands away; templates that have them then have the style's first ones, or none. */
    @Transactional
    public void unwrap(UUID id, boolean above, String name, Colleague by) {
        rewrap(id, by, style -> style.without(above, name));
    }

    private void rewrap(UUID id, Colleague by, UnaryOperator<HouseStyle> change) {
        mustBeAllowed(id, by);
        KeptStyle before = get(id);
        // Read as it would be kept, so that what can't be in a style is refused here too.
        HouseStyle changed = read(HouseStyleJson.write(change.apply(before.style())));
        if (mapper.update(row(before, changed), by.id()) == 0) {
            throw Refusal.changedMeanwhile("Somebody has changed this style in the meantime.");
        }
        changed();
    }

    /** Refuses whoever may not change a style; for who may not even use it, it is not there. */
    public void mustBeAllowed(UUID id, Colleague by) {
        get(id, by);
        if (!mayChange(id, by)) {
            throw Refusal.forbidden("Only editors, administrators and the people named for it can change this style.");
        }
    }

    /** Whether somebody may change a style: as what is in its folder, or because they are named for it. */
    public boolean mayChange(UUID id, Colleague asking) {
        return named(id).contains(asking.id())
                || all().stream().anyMatch(one -> one.id().equals(id) && rights.mayChange(one.placed(), asking));
    }

    /** Those who may change a style besides editors and administrators. */
    public List<UUID> named(UUID id) {
        return mapper.named().stream()
                .filter(row -> row.houseStyleId().equals(id))
                .map(HouseStyleMapper.NamedRow::colleagueId)
                .toList();
    }

    /** Names those who may change a style besides editors and administrators; others may no longer. */
    @Transactional
    public void name(UUID id, List<UUID> colleagues, Colleague by) {
        mustBeKeeper(by);
        mustBeAllowed(id, by);
        Set<UUID> known = team.all().stream().map(Colleague::id).collect(Collectors.toSet());
        if (colleagues == null || !known.containsAll(colleagues)) {
            throw Refusal.field("named", "One of these people is not in the team.");
        }
        mapper.clearNamed(id);
        Set.copyOf(colleagues).forEach(colleague -> mapper.insertNamed(id, colleague));
        told();
    }

    /** Makes a style the one of all templates that name none. */
    @Transactional
    public void makeUsual(UUID id, Colleague by) {
        mustBeKeeper(by);
        mustBeAllowed(id, by);
        mapper.makeUsual(id);
        changed();
    }

    private void changed() {
        revisions.changed(REVISION);
        told();
    }

    /** Not everybody may know which one it was. */
    private void told() {
        events.tell("house-style", "");
    }

    private StyleRow row(KeptStyle kept, HouseStyle style) {
        return row(kept, kept.version(), style);
    }

    private StyleRow row(KeptStyle kept, int version, HouseStyle style) {
        return new StyleRow(
                kept.id(),
                style.name(),
                HouseStyleJson.write(style),
                kept.usual(),
                version,
                clock.instant(),
                kept.folder(),
                kept.owner());
    }

    private static void mustBeKeeper(Colleague by) {
        by.mustBe("Only an editor or an administrator changes styles.", Role.KEEPER, Role.ADMINISTRATOR);
    }

    /** Reads a look; refused with what is wrong with it. */
    public HouseStyle read(String look) {
        try {
            HouseStyle style = HouseStyleJson.read(look == null ? "" : look);
            PlainLine.refusal(style.name(), 60, true).ifPresent(sentence -> {
                throw Refusal.field("name", sentence);
            });
            return style;
        } catch (UnreadableBody wrong) {
            throw Refusal.field("look", wrong.getMessage());
        }
    }

    private static KeptStyle kept(StyleRow row) {
        try {
            return new KeptStyle(
                    row.id(),
                    HouseStyleJson.read(row.look()),
                    row.usual(),
                    row.version(),
                    row.folderId(),
                    row.ownerId());
        } catch (UnreadableBody wrong) {
            throw new IllegalStateException("The style " + row.id() + " can't be read", wrong);
        }
    }
}
