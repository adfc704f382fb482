package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Problem;
import java.util.ArrayList;
import java.util.List;

/**
 * {@code field-unknown}, {@code field-broken}: fields and conditions that can't work for anybody; {@code foregone}:
 * conditions that come out the same for everybody.
 */
final class FieldCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            for (Problem problem : subject.problems().getOrDefault(part, List.of())) {
                notes.add(note(part, problem));
            }
        }
        return notes;
    }

    private static Note note(MessagePart part, Problem problem) {
        boolean unknown = problem.code() == Problem.Code.FIELD_UNKNOWN;
        String remedy = problem.nearest().isEmpty()
                ? (unknown ? "Type { to choose one." : "Correct it, or remove it.")
                : "Did you mean one of these?";
        String[] sentences = problem.sentence().split("(?<=[.”]) (?=\\p{Lu})", 2);
        boolean foregone = problem.code() == Problem.Code.FOREGONE;
        return new Note(
                foregone ? "foregone" : unknown ? "field-unknown" : "field-broken",
                foregone ? Note.Level.QUERY : Note.Level.STOP,
                sentences[0].endsWith(".") ? sentences[0].substring(0, sentences[0].length() - 1) : sentences[0],
                sentences.length > 1 ? sentences[1] : remedy,
                part,
                problem.span(),
                problem.nearest(),
                problem.fix());
    }
}
