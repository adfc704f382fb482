package famulus.server.interchange;

import famulus.server.messages.PapersForMany.Made;
import java.io.IOException;
import java.io.OutputStream;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.zip.ZipOutputStream;

/** A zip of papers, each a file called like whoever it is for. */
final class PackedPapers {
    private PackedPapers() {}

    static void write(List<Made> papers, OutputStream to) throws IOException {
        Set<String> taken = new HashSet<>();
        ZipOutputStream zip = new ZipOutputStream(to);
        for (Made paper : papers) {
            // What some systems do not allow in the name of a file.
            String name =
                    paper.name().replaceAll("[\\p{Cntrl}/\\\\:*?\"<>|]+", " ").strip();
            String free = name;
            for (int turn = 2; !taken.add(free.toLowerCase(Locale.ROOT)); turn++) {
                free = name + " " + turn;
            }
            PackedFile.add(zip, free + ".pdf", paper.pdf());
        }
        zip.finish();
    }
}
