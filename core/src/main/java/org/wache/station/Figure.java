package org.wache.station;

import org.wache.audit.finding.Sum;

/**
 * One figure of a station sheet.
 *
 * @param id what it is, for whoever looks for it: {@code erp}
 * @param label what it is, for people
 * @param amount the figure as text
 * @param unit its unit
 * @param sum how it comes about
 * @param source where the formula or the value stands
 */
public record Figure(String id, String label, String amount, String unit, Sum sum, String source) {}
