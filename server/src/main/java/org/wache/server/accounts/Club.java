package org.wache.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;

/**
 * A group, as one of its people sees it.
 *
 * @param id key
 * @param name what it is called
 * @param role what the person is in it
 */
@Schema(name = "Group")
public record Club(long id, String name, String role) {}
