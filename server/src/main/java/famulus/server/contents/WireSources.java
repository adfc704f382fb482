package famulus.server.contents;

import famulus.server.contents.SourceParts.Content;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
        mapper.keepSource(id, parts.frame().length, Packing.packed(parts.frame()));
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
            return new SourceParts(Packing.unpacked(row.packed(), row.size()), within).whole();
        });
    }
}
