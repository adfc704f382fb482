package famulus.bench;

import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.proof.Circumstances;
import famulus.core.proof.KnownNames;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.Proofreader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** All checks of the proofreader over a message of 2,000 words in 40 blocks, and over one of 150. */
public final class ProofBench {
    private static final String WORDS =
            "Thank you for the walk on Thursday. We come on Friday, 8 May at ten and bring the"
                    + " ladder with us. Would that suit you? The Saltmarsh Hotel has asked for the same, and Tobias Larkin sends his"
                    + " regards to all of you at the farm. Please keep the gate open.";
    private static final int TURNS = 300;

    private ProofBench() {}

    /** Measures and prints; takes some ten seconds. */
    public static void main(String[] arguments) {
        for (int blocks : new int[] {40, 3}) {
            ProofSubject subject = subject(blocks);
            Proofreader reader = Proofreader.standard();
            List<Double> took = new ArrayList<>();
            for (int turn = -TURNS; turn < TURNS; turn++) {
                long began = System.nanoTime();
                reader.read(subject);
                if (turn >= 0) {
                    took.add((System.nanoTime() - began) / 1e6);
                }
            }
            took.sort(Comparator.naturalOrder());
            System.out.printf(
                    Locale.ROOT,
                    "proofread, %d words in %d blocks: median %.1f ms, 95th percentile %.1f ms%n",
                    blocks * WORDS.split(" ").length,
                    blocks,
                    TypingBench.percentile(took, 50),
                    TypingBench.percentile(took, 95));
        }
    }

    private static ProofSubject subject(int blocks) {
        List<Band> bands = new ArrayList<>();
        for (int i = 0; i < blocks; i++) {
            Block block = Block.of("b" + i, new Content.Text(RichText.plain(WORDS)));
            bands.add(new Band(
                    "band" + i, List.of(new Column(1, Column.Upright.TOP, List.of(block))), Look.USUAL, "", false));
        }
        MessageSource source = MessageSource.designed(
                "About Friday", "When we come", new Design(Mode.DESIGNED, new Body(bands), HouseStyle.BARE, "", ""));
        MergedMessage merged = source.parse()
                .merge(
                        new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.parse("2026-05-04T09:00:00Z"))),
                        path -> Optional.empty());
        Circumstances around = new Circumstances(
                        LocalDate.of(2026, 5, 4),
                        Locale.UK,
                        Optional.of(List.of()),
                        List.of("Ines Okafor-Brandt"),
                        List.of(),
                        Optional.empty(),
                        Optional.empty())
                .knowing(new KnownNames(Set.of(), Map.of(), List.of("Dov Marchbanks"), "Signe Halloran"));
        return new ProofSubject(source, Map.of(), merged, "Ines", path -> "", true, around);
    }
}
