package famulus.server.platform;

import java.util.Optional;

/** Tells the public address that was typed in, where none is set for the server itself. */
public interface KeptPublicAddress {
    /** The address as it was checked by {@link PublicAddress#refusal}; empty when nobody has given one. */
    Optional<String> kept();
}
