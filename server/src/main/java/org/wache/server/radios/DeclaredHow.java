package org.wache.server.radios;

/** How a radio got what somebody says is in it. */
public enum DeclaredHow {
    BY_HAND,
    ELSEWHERE
}
