package org.wache.channel;

/**
 * A field whose text cannot be read as what it must be.
 *
 * @param field which one
 * @param text what stands there
 * @param expected what should stand there, in words
 */
public record Misread(Field field, String text, String expected) {}
