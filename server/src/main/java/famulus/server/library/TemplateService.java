package famulus.server.library;

import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Design;
import famulus.core.sharing.Right;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.folders.FolderService.FolderToRemove;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps templates. Who may do what with one is asked of {@link TemplateRights}. */
@Service
public class TemplateService {
    private static final Duration SITTING = Duration.ofHours(1);

    private final TemplateMapper mapper;
    private final TemplateKeeping keeping;
    private final DraftReader drafts;
    private final DraftCheck check;
    private final StyleTexts inStyle;
    private final TemplateUses uses;
    private final KeptTextService texts;
    private final HouseStyleService styles;
    private final ReadyCheck sendable;
    private final Ids ids;
    private final Clock clock;
    private final TemplateRights rights;
    private final TemplateEvents events;
    private final FolderRights folders;
    private final FolderService places;

    TemplateService(
            TemplateMapper mapper,
            DraftReader drafts,
            DraftCheck check,
            StyleTexts inStyle,
            TemplateUses uses,
            KeptTextService texts,
            HouseStyleService styles,
            ReadyCheck sendable,
            Ids ids,
            Clock clock,
            TemplateEvents events,
            TemplateRights rights,
            TemplateKeeping keeping,
            FolderRights folders,
            FolderService places) {
        this.folders = folders;
        this.places = places;
        this.keeping = keeping;
        this.rights = rights;
        this.mapper = mapper;
        this.drafts = drafts;
        this.check = check;
        this.inStyle = inStyle;
        this.uses = uses;
        this.texts = texts;
        this.styles = styles;
        this.sendable = sendable;
        this.ids = ids;
        this.clock = clock;
        this.events = events;
    }

    /** Whether there is any template, whoever wrote it. */
    public boolean any() {
        return mapper.any();
    }

    /** One template; refused when it is not there, has been deleted, or is not for whoever asks to see. */
    public Template get(UUID id, Colleague asking) {
        return rights.mustBeSeen(mapper.byId(id, false), asking);
    }

    /** One template, whoever asks; for what has asked for the right to it before. */
    public Template any(UUID id) {
        return mapper.byId(id, false).orElseThrow(() -> Refusal.missing("This template"));
    }

    /**
     * A template as somebody uses it to write: their own as it is now, another's as it was when it was marked ready.
     * Refused while that has never been done.
     *
     * @param sender who the message goes out as; what is theirs may be used for them as it is now
     */
    public Template forUse(UUID id, Colleague asking, Colleague sender) {
        Template template = get(id, asking);
        if (rights.mayUseAsItIs(template, asking, sender)) {
            return template;
        }
        if (template.readyVersion() == null) {
            throw Refusal.because("not-ready", template.ownerName() + " has not marked this template ready yet.");
        }
        return template.readyVersion() == template.version()
                ? template
                : mapper.version(id, template.readyVersion()).orElseThrow(() -> Refusal.missing("This template"));
    }

    /** What a template said when something was made of it that is on its way; whoever may see it now. */
    public Optional<Template> kept(UUID id, int version) {
        return mapper.version(id, version);
    }

    /** Adds a template of somebody's own, among theirs; a passage or signature where everybody finds it. */
    @Transactional
    public Template add(Draft draft, Colleague by) {
        UUID folder = draft.kind().whole() ? folders.personal(by.id()) : FolderRights.EVERYONE;
        return add(draft, draft.kind().wraps() ? null : folder, by);
    }

    /** The same in a folder; refused where whoever asks may not add to it. */
    @Transactional
    public Template addTo(UUID folder, Draft draft, Colleague by) {
        places.mustMay(Right.CHANGE, folder, by);
        return add(draft, draft.kind().wraps() ? null : folder, by);
    }

    /** The same beside another template, which whoever asks may change. */
    Template addBeside(Template other, Draft draft, Colleague by) {
        rights.mustBeChangeable(other, by);
        return add(draft, other.folder(), by);
    }

    private Template add(Draft draft, UUID folder, Colleague by) {
        return add(ids.next(), draft, folder, by);
    }

    /** Adds a template under an identifier that nothing has, in a folder that whoever asks may change. */
    Template add(UUID id, Draft draft, UUID folder, Colleague by) {
        check.mustBeSound(draft);
        if (draft.kind().wraps()) {
            inStyle.mustFit(draft, by);
        }
        keeping.insert(template(id, draft.kind(), draft, 1, folder, by.id(), clock.instant()));
        events.changed(id);
        return any(id);
    }

    /** Adds a copy of a template, which belongs to who asked for it. */
    @Transactional
    public Template duplicate(UUID id, Colleague by) {
        Template original = get(id, by);
        String name = original.name() + " (copy)";
        return add(Draft.of(original).named(name.substring(0, Math.min(name.length(), 120))), by);
    }

    /** Makes what one mailing says of a template, as whoever asks may use it; it is theirs. */
    @Transactional
    public Template forMailing(UUID id, Colleague by) {
        return add(Draft.of(forUse(id, by, by)).of(TemplateKind.MAILING), by);
    }

    /** Puts away what a mailing said, once it says something else; nothing for what is no mailing’s own. */
    @Transactional
    public void noLongerOfMailing(UUID id) {
        mapper.byId(id, false).filter(one -> one.kind() == TemplateKind.MAILING).ifPresent(one -> {
            mapper.delete(id, clock.instant());
            events.changed(id);
        });
    }

    /**
     * Keeps a change.
     *
     * @param version what the template was when it was read; refused when somebody has kept another change since
     */
    @Transactional
    public Template change(UUID id, int version, Draft draft, Colleague by) {
        Template before = get(id, by);
        rights.mustBeChangeable(before, by);
        Draft of = before.kind().wraps() ? Draft.of(before).saying(draft) : draft.of(before.kind());
        check.mustBeSound(of);
        Instant now = clock.instant();
        // What somebody comes to after a while, or after another, can be brought back as it was.
        if (mapper.otherSitting(id, by.id(), now.minus(SITTING)) > 0) {
            mapper.keepVersion(id, version, TemplateVersionService.Reason.SITTING.name(), now);
        }
        // What others use stays as it was marked ready.
        Optional<Template> ready = Optional.ofNullable(before.readyVersion()).flatMap(one -> mapper.version(id, one));
        if (!keeping.update(
                template(id, before.kind(), of, version, before.folder(), before.ownerId(), now), ready, by.id())) {
            throw Refusal.changedMeanwhile(before.changedBy() + " has changed this template in the meantime.");
        }
        events.changed(id);
        return any(id);
    }

    /** Puts a template aside; {@link #restore} brings it back. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        Template template = get(id, by);
        rights.mustBeChangeable(template, by);
        TemplateUses.Used using = uses.losing(template, by);
        if (!using.nowhere()) {
            throw Refusal.because("in-use", "It is used in " + using.words() + ".");
        }
        if (mapper.variants(id) > 0) {
            throw Refusal.because("in-use", "This template has variants in other languages. Delete those first.");
        }
        if (mapper.signing(id) > 0) {
            throw Refusal.because("in-use", "Messages are signed with it. Choose another signature first.");
        }
        if (template.kind().wraps()) {
            inStyle.unwrap(template, by);
        }
        mapper.delete(id, clock.instant());
        texts.changed();
        events.changed(id);
    }

    /** Brings a deleted template back. */
    @Transactional
    public Template restore(UUID id, Colleague by) {
        Template template = rights.mustBeSeen(mapper.byId(id, true), by);
        rights.mustBeChangeable(template, by);
        mapper.restore(id);
        if (template.kind().wraps() && template.readyVersion() != null) {
            inStyle.wrap(forUse(id, by, by), by);
        }
        texts.changed();
        events.changed(id);
        return any(id);
    }

    /**
     * Moves templates, with their variants, into a folder; all of them or none.
     *
     * @return the folders they lay in, by template, so that it can be undone
     */
    @Transactional
    public Map<UUID, UUID> move(List<UUID> moved, UUID folder, Colleague by) {
        places.mustMay(Right.CHANGE, folder, by);
        Map<UUID, UUID> before = new LinkedHashMap<>();
        for (UUID id : moved) {
            Template template = get(id, by);
            rights.mustBeChangeable(template, by);
            if (template.kind().wraps()) {
                throw Refusal.because("no-template", "Headers and footers stay with their style.");
            }
            before.put(id, template.folder());
            for (UUID one : mapper.together(id)) {
                // Who saw it before is told as well.
                events.changed(one);
                mapper.move(one, folder);
                mapper.byId(one, false).ifPresent(keeping::found);
                events.changed(one);
            }
        }
        return before;
    }

    @EventListener
    void removed(FolderToRemove folder) {
        int left = mapper.inFolder(folder.id());
        if (left > 0) {
            throw Refusal.because(
                    "not-empty",
                    "There " + (left == 1 ? "is a template" : "are " + left + " templates")
                            + " in this folder, passages and signatures included. Move or delete what is in it first.");
        }
        mapper.moveDeleted(folder.id());
    }

    /** Keeps what a template says, because a message is about to be written from it, or has been. */
    @Transactional
    public void keepVersion(UUID id, int version, TemplateVersionService.Reason reason) {
        mapper.keepVersion(id, version, reason.name(), clock.instant());
    }

    /**
     * Puts a template in place with its own identifier, and marks it ready for everybody where nothing stops it; for the
     * demo's data.
     */
    public void keep(UUID id, Draft draft, UUID folder, UUID owner, Instant at) {
        Template kept = template(id, draft.kind(), draft, 1, folder, owner, at);
        keeping.insert(kept);
        readyIfSound(kept, at);
    }

    /** Marks a template ready for everybody, where nothing stops it. */
    void readyIfSound(Template template, Instant at) {
        if (sendable.stops(template).isEmpty()) {
            keeping.ready(template, at);
            if (!template.kind().whole()) {
                texts.changed();
            }
        }
    }

    private Template template(
            UUID id, TemplateKind kind, Draft draft, int version, UUID folder, UUID owner, Instant at) {
        Optional<Design> design = drafts.design(draft);
        return new Template(
                id,
                kind,
                draft.name().strip(),
                draft.purpose().strip(),
                draft.about(),
                draft.subject(),
                draft.previewText(),
                design.map(DraftReader::words)
                        .orElseGet(() -> draft.body().replace("\r\n", "\n").replace('\r', '\n')),
                draft.mode(),
                design.map(one -> BodyJson.write(one.body())).orElse(""),
                draft.houseStyle(),
                draft.header(),
                draft.footer(),
                draft.files(),
                draft.wishes(),
                draft.plainText(),
                version,
                null,
                folder,
                owner,
                "",
                at,
                "");
    }
}
