package famulus.server.contents;

import famulus.server.contents.ContentMapper.SourceRow;
import famulus.server.contents.SourceParts.Content;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;
import org.springframework.stereotype.Service;

/** Keeps messages as they are on the wire (RFC 5322), the pictures and files within them once each. */
@Service
public class WireSources {
    private final ContentMapper mapper;
    private final Contents contents;

    WireSources(ContentMapper mapper, Contents contents) {
        this.mapper = mapper;
        this.contents = contents;
    }

    /** Keeps a message's bytes within the running transaction, to be read by {@code id}. */
    public void keep(UUID id, byte[] source) {
        SourceParts parts = SourceParts.of(source);
        mapper.keepSource(id, parts.frame().length, packed(parts.frame()));
        int position = 0;
        for (Content content : parts.contents()) {
            mapper.keepWithin(id, position++, content.at(), contents.keep(content.bytes()));
        }
    }

    /** Keeps other bytes in the place of those that were kept. */
    public void replace(UUID id, byte[] source) {
        mapper.forgetWithin(id);
        mapper.forgetSource(id);
        keep(id, source);
    }

    /** The very bytes that were kept; empty when there are none of this identifier. */
    public Optional<byte[]> read(UUID id) {
        return mapper.source(id).map(row -> {
            List<Content> within = mapper.within(id).stream()
                    .map(one -> new Content(one.at(), contents.read(one.hash()).orElseThrow()))
                    .toList();
            return new SourceParts(unpacked(row), within).whole();
        });
    }

    /** Lines of mail pack to a third and less; packing them quickly is enough (RFC 1951). */
    private static byte[] packed(byte[] bytes) {
        Deflater deflater = new Deflater(Deflater.BEST_SPEED, true);
        try {
            deflater.setInput(bytes);
            deflater.finish();
            ByteArrayOutputStream packed = new ByteArrayOutputStream(bytes.length / 2 + 64);
            byte[] some = new byte[8_192];
            while (!deflater.finished()) {
                packed.write(some, 0, deflater.deflate(some));
            }
            return packed.toByteArray();
        } finally {
            deflater.end();
        }
    }

    private static byte[] unpacked(SourceRow row) {
        Inflater inflater = new Inflater(true);
        try {
            inflater.setInput(row.packed());
            byte[] bytes = new byte[row.size()];
            int read = 0;
            while (read < bytes.length) {
                int more = inflater.inflate(bytes, read, bytes.length - read);
                if (more == 0 && (inflater.finished() || inflater.needsInput())) {
                    break;
                }
                read += more;
            }
            if (read < bytes.length) {
                throw new IllegalStateException("A kept message is shorter than it was");
            }
            return bytes;
        } catch (DataFormatException damaged) {
            throw new IllegalStateException("A kept message is damaged", damaged);
        } finally {
            inflater.end();
        }
    }
}
