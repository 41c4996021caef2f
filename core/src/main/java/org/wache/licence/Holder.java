package org.wache.licence;

import java.util.List;

/**
 * Someone who carries a list.
 *
 * @param name as findings name them
 * @param licences what they hold; empty for nobody in particular
 */
public record Holder(String name, List<Licence> licences) {

    public Holder {
        licences = List.copyOf(licences);
    }
}
