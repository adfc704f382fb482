package famulus.server.library;

import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Merging;
import famulus.core.message.body.Merging.MergedBodies;
import famulus.core.message.body.UnreadableBody;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Brings together what two people did to one template at the same time. */
@Service
public class TemplateMergeService {
    private final TemplateService templates;
    private final TemplateRights rights;

    TemplateMergeService(TemplateService templates, TemplateRights rights) {
        this.rights = rights;
        this.templates = templates;
    }

    /**
     * What came of it; nothing of it is kept yet.
     *
     * @param version of the template as it is now, which the merged draft is a change of
     * @param theirs what the template says now
     * @param mineFirst both changes, mine where both changed the same
     * @param theirsFirst both changes, theirs where both changed the same
     * @param by who changed it meanwhile
     * @param both what both changed, in words; empty when nobody has to be asked
     */
    public record MergedDraft(
            int version, Draft theirs, Draft mineFirst, Draft theirsFirst, String by, List<String> both) {}

    /**
     * Merges.
     *
     * @param base what the template said when whoever asks began
     * @param mine what they made of it
     */
    public MergedDraft merge(UUID id, Draft base, Draft mine, Colleague by) {
        Template now = templates.get(id, by);
        rights.mustBeChangeable(now, by);
        Draft theirs = Draft.of(now);
        List<String> both = new ArrayList<>();
        Draft first = merge(base, mine, theirs, true, both);
        Draft second = merge(base, mine, theirs, false, new ArrayList<>());
        return new MergedDraft(now.version(), theirs, first, second, now.changedBy(), both);
    }

    private static Draft merge(Draft base, Draft mine, Draft theirs, boolean mineFirst, List<String> both) {
        Sides choice = new Sides(mineFirst, both);
        boolean sameMode = base.mode() == mine.mode() && base.mode() == theirs.mode();
        String design = sameMode && !mine.design().isEmpty() && !base.design().isEmpty()
                ? choice.design(base.design(), mine.design(), theirs.design())
                : choice.of("its text", base.design(), mine.design(), theirs.design());
        boolean plain = design.isEmpty();
        return new Draft(
                choice.of("the name", base.name(), mine.name(), theirs.name()),
                choice.of("the purpose", base.purpose(), mine.purpose(), theirs.purpose()),
                choice.of("what it is for", base.about(), mine.about(), theirs.about()),
                choice.of("the subject", base.subject(), mine.subject(), theirs.subject()),
                choice.of("the preview text", base.previewText(), mine.previewText(), theirs.previewText()),
                plain ? choice.of("the text", base.body(), mine.body(), theirs.body()) : mine.body(),
                choice.of("what it is written as", base.mode(), mine.mode(), theirs.mode()),
                design,
                choice.of("the style", base.houseStyle(), mine.houseStyle(), theirs.houseStyle()),
                choice.of("the header", base.header(), mine.header(), theirs.header()),
                choice.of("the footer", base.footer(), mine.footer(), theirs.footer()),
                choice.of("the files", base.files(), mine.files(), theirs.files()),
                theirs.kind(),
                choice.of("what it wishes for the envelope", base.wishes(), mine.wishes(), theirs.wishes()),
                choice.of("the plain text", base.plainText(), mine.plainText(), theirs.plainText()));
    }

    /** Takes whichever of two differs from what was; where both do, says so. */
    private record Sides(boolean mineFirst, List<String> both) {
        <T> T of(String what, T base, T mine, T theirs) {
            if (Objects.equals(mine, base) || Objects.equals(mine, theirs)) {
                return theirs;
            }
            if (Objects.equals(theirs, base)) {
                return mine;
            }
            both.add(what);
            return mineFirst ? mine : theirs;
        }

        String design(String base, String mine, String theirs) {
            Body my = read(mine);
            Body their = read(theirs);
            MergedBodies merged = Merging.of(read(base), my, their);
            merged.both().forEach(id -> both.add(called(id, their, my)));
            return BodyJson.write(mineFirst ? merged.mineFirst() : merged.theirsFirst());
        }

        private static Body read(String json) {
            try {
                return BodyJson.read(json);
            } catch (UnreadableBody unreadable) {
                throw Refusal.field("design", unreadable.getMessage());
            }
        }

        private static String called(String id, Body... bodies) {
            for (Body body : bodies) {
                List<Block> blocks = body.blocks().toList();
                for (int at = 0; at < blocks.size(); at++) {
                    if (blocks.get(at).id().equals(id)) {
                        return "block " + (at + 1);
                    }
                }
            }
            return "the order of the blocks";
        }
    }
}
