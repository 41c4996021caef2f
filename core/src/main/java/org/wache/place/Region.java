package org.wache.place;

/**
 * A region by its code, such as a US state.
 *
 * @param code {@code AZ}
 */
public record Region(String code) implements Area {

    @Override
    public String words() {
        return code;
    }
}
