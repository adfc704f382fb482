package famulus.server.records;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;

/**
 * One of a person's addresses.
 *
 * @param id absent for a new one
 * @param label what it is for, such as "farm office"; may be empty
 */
public record PersonAddress(@Schema(nullable = true) UUID id, String address, String label) {}
