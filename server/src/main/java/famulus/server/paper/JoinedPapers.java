package famulus.server.paper;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.multipdf.PDFMergerUtility;

/** Puts papers one after another into one file, to be printed in one go; each keeps its tags and its page numbers. */
public final class JoinedPapers {
    private JoinedPapers() {}

    /** One PDF of several, in their order. */
    public static byte[] of(List<byte[]> papers) {
        if (papers.size() == 1) {
            return papers.getFirst();
        }
        PDFMergerUtility merger = new PDFMergerUtility();
        ByteArrayOutputStream joined = new ByteArrayOutputStream();
        papers.forEach(paper -> merger.addSource(new RandomAccessReadBuffer(paper)));
        merger.setDestinationStream(joined);
        try {
            merger.mergeDocuments(IOUtils.createMemoryOnlyStreamCache());
        } catch (IOException e) {
            throw new UncheckedIOException("Papers could not be joined", e);
        }
        return joined.toByteArray();
    }
}
