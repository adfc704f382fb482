package famulus.core.proof;

import java.util.List;

/** One thing the proofreader looks for. Pure: the same message gives the same notes in the same order. */
@FunctionalInterface
public interface Check {
    /** Reads a message and returns what there is to say, in the order of the text; never null. */
    List<Note> read(ProofSubject subject);
}
