package famulus.server.contents;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps bytes by what they are, so that the same ones are there once, whoever keeps them. */
@Service
public class Contents {
    private final ContentMapper mapper;

    Contents(ContentMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Keeps bytes within the running transaction; nothing happens when they are there already.
     *
     * @return what they are read by: their SHA-256 in hexadecimal digits
     */
    public String keep(byte[] bytes) {
        String hash = hash(bytes);
        if (!mapper.has(hash)) {
            mapper.keep(hash, bytes);
        }
        return hash;
    }

    /** Bytes that were kept; empty when there are none of this hash. */
    public Optional<byte[]> read(String hash) {
        return mapper.read(hash).map(ContentMapper.BytesRow::bytes);
    }

    private static String hash(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("Every Java has SHA-256", missing);
        }
    }
}
