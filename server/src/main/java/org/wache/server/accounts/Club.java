package org.wache.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import org.wache.server.access.Right;
import org.wache.server.access.Role;

/**
 * A group, as one of its people sees it.
 *
 * @param id key
 * @param name what it is called
 * @param role what the person is in it
 * @param party who of the roster the person is
 * @param rights what the role may do, as the table of endpoints calls it
 */
@Schema(name = "Group")
public record Club(
        long id, String name, Role role, @Schema(nullable = true) Optional<Long> party, List<Right> rights) {}
