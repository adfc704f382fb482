package famulus.core.message;

import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.merge.Analyser;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import famulus.core.syntax.Problem;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A message parsed for merging: immutable, merged as often as needed.
 *
 * @param subject the line in the inbox
 * @param previewText the grey text after it
 * @param body the message itself
 * @param around what its house style says around plain words; empty where it says nothing
 * @param plainText its plain text, where that is kept by hand; empty where it is derived
 */
public record MessageProgram(Program subject, Program previewText, Program body, Program around, Program plainText) {

    /** One of the texts. */
    public Program program(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
            case AROUND -> around;
            case PLAIN_TEXT -> plainText;
        };
    }

    /** Every path that the texts name, each once. */
    public List<Path> paths() {
        return Stream.of(MessagePart.values())
                .map(this::program)
                .flatMap(program -> program.paths().stream())
                .distinct()
                .toList();
    }

    /** What is wrong with the texts whoever they are for, by text. */
    public Map<MessagePart, List<Problem>> problems(Analyser analyser) {
        Map<MessagePart, List<Problem>> problems = new EnumMap<>(MessagePart.class);
        for (MessagePart part : MessagePart.values()) {
            problems.put(part, analyser.analyse(program(part)));
        }
        return problems;
    }

    /** Merges all texts for one person; subject and preview text stay one line whatever a value holds. */
    public MergedMessage merge(Merger merger, MergeContext context) {
        return new MergedMessage(
                merger.merge(subject, context, Place.HEADER),
                merger.merge(previewText, context, Place.HEADER),
                merger.merge(body, context, Place.BODY),
                merger.merge(around, context, Place.BODY),
                merger.merge(plainText, context, Place.BODY));
    }
}
