package famulus.server.library;

import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who signs with which designed signature. */
@Service
public class SignatureService {
    private final TemplateMapper mapper;
    private final KeptTextService texts;
    private final TemplateRights rights;
    private final TemplateEvents events;

    SignatureService(TemplateMapper mapper, KeptTextService texts, TemplateRights rights, TemplateEvents events) {
        this.mapper = mapper;
        this.texts = texts;
        this.rights = rights;
        this.events = events;
    }

    /**
     * Which designed signatures are in use.
     *
     * @param mine whoever asks has chosen this one; null for none
     * @param team who has chosen none has this one; null for none
     */
    public record SignatureChoice(UUID mine, UUID team) {}

    /** The signatures in use. */
    public SignatureChoice signatures(Colleague asking) {
        Map<String, UUID> chosen = texts.signatures();
        return new SignatureChoice(chosen.get(asking.id().toString()), chosen.get(KeptTextService.TEAM));
    }

    /**
     * Chooses a signature.
     *
     * @param template null for none
     * @param team for everybody who has chosen none; editors and administrators only
     */
    @Transactional
    public void choose(UUID template, boolean team, Colleague by) {
        if (team) {
            by.mustBe("Editors and administrators choose the default signature.", Role.KEEPER, Role.ADMINISTRATOR);
        }
        if (template != null) {
            Template chosen = mapper.byId(template, false)
                    .filter(one -> one.kind() == TemplateKind.SIGNATURE)
                    .filter(one -> rights.maySee(one, by))
                    .orElseThrow(() -> Refusal.missing("This signature"));
            if (chosen.readyVersion() == null) {
                throw Refusal.because("not-ready", "Mark “" + chosen.name() + "” ready first.");
            }
        }
        String whose = team ? KeptTextService.TEAM : by.id().toString();
        mapper.forgetSignature(whose);
        if (template != null) {
            mapper.chooseSignature(whose, template);
            events.changed(template);
        }
        texts.changed();
    }
}
