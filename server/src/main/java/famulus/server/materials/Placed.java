package famulus.server.materials;

import java.util.UUID;

/**
 * Where something of Materials lies, and whose it is.
 *
 * @param folder null for what is not in Materials, since it belongs to one record or message
 * @param owner who brought it; null for what was there from the first day
 */
public record Placed(UUID folder, UUID owner) {}
