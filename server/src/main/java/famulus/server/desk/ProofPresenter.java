package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.message.render.Rendering;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.WavedNoteService.Waved;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Makes of a proof what the browser shows of it. */
@Component
public class ProofPresenter {
    private final RenderingService renderings;

    ProofPresenter(RenderingService renderings) {
        this.renderings = renderings;
    }

    /**
     * The proof as it is shown, rendered where it has a layout.
     *
     * @param waved the checks that somebody has let pass
     */
    public ShownProof of(Proof proof, About about, List<Waved> waved) {
        Optional<Rendering> rendering = renderings.shown(proof, about);
        return ShownProof.of(
                proof,
                about,
                renderings.around(proof),
                rendering,
                rendering.map(one -> renderings.notes(proof, one)).orElse(List.of()),
                waved);
    }
}
