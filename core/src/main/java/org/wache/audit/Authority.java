package org.wache.audit;

import java.util.Optional;

/**
 * What makes an entry legal for a holder.
 *
 * @param service the service's identifier
 * @param licenceClass the class used
 * @param segment the band and span, the channel, or the licence line
 * @param callSign of the licence, when known
 * @param source section of the law
 */
public record Authority(
        String service, Optional<String> licenceClass, String segment, Optional<String> callSign, String source) {}
