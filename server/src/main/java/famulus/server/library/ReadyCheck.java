package famulus.server.library;

import famulus.core.departure.Departure;
import famulus.core.departure.Leaving;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.merge.Analyser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.proof.Circumstances;
import famulus.core.proof.LostFiles;
import famulus.core.proof.LostPictures;
import famulus.core.proof.Note;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.Proofreader;
import famulus.server.materials.FileService;
import famulus.server.materials.PictureService;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Whether a text may be given to colleagues to use: what would stop it whoever it is sent to ({@link Leaving#READY}). */
@Component
class ReadyCheck {
    private final DraftReader drafts;
    private final CatalogueService catalogues;
    private final PictureService pictures;
    private final FileService files;
    private final CheckSettings checks;
    private final Clock clock;
    private final Proofreader proofreader = Proofreader.standard();

    ReadyCheck(
            DraftReader drafts,
            CatalogueService catalogues,
            PictureService pictures,
            FileService files,
            CheckSettings checks,
            Clock clock) {
        this.checks = checks;
        this.drafts = drafts;
        this.catalogues = catalogues;
        this.pictures = pictures;
        this.files = files;
        this.clock = clock;
    }

    /** Refuses a text that nobody could send, with the first thing that stops it. */
    void mustBeSendable(Template template) {
        stops(template).stream().findFirst().ifPresent(note -> {
            throw Refusal.because(
                    note.code(), "This template can’t be marked ready: " + note.title() + ". " + note.remedy());
        });
    }

    /** What would stop it, in its order. */
    List<Note> stops(Template template) {
        MessageSource source = drafts.source(template);
        List<Note> notes = new ArrayList<>(checks.levels().of(proofreader.read(forNobody(template, source))));
        source.layout()
                .ifPresent(
                        layout -> notes.addAll(LostPictures.notes(layout, pictures.lost(LostPictures.shown(layout)))));
        notes.addAll(LostFiles.notes(files.lost(template.files())));
        // Passages, signatures, headers and footers stand within messages, and have no subject of their own.
        return Departure.stops(Leaving.READY, notes).stream()
                .filter(note -> template.kind().whole() || note.part() == MessagePart.BODY)
                .toList();
    }

    /** Merged for nobody, everything that a person would give is missing, and says nothing of the text. */
    private ProofSubject forNobody(Template template, MessageSource source) {
        FieldCatalogue catalogue = catalogues.catalogue();
        MessageProgram program = source.parse();
        Merger merger = new Merger(new MergeSettings(Locale.ENGLISH, ZoneOffset.UTC, clock.instant()));
        return new ProofSubject(
                source,
                program.problems(new Analyser(catalogue, template.about())),
                program.merge(merger, path -> Optional.empty()),
                "",
                path -> catalogue
                        .resolve(path, template.about())
                        .map(FieldDefinition::label)
                        .orElse(path.toString()),
                false,
                Circumstances.on(LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC), Locale.ENGLISH));
    }
}
