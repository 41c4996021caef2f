package org.wache.server.web;

import tools.jackson.databind.json.JsonMapper;

/** JSON as the program keeps it and tells it: records are bound as they are, constants are written as words. */
public final class Json {

    /** Reads and writes what is kept in columns, and what goes to other machines. */
    public static final JsonMapper MAPPER =
            JsonMapper.builder().annotationIntrospector(EnumWords.INTROSPECTOR).build();

    private Json() {}
}
