package org.wache.audit;

/**
 * A change that was applied to a copy and audited again.
 *
 * @param change what to change
 * @param verdictAfter what came out; never a hold
 */
public record ProvedRemedy(Change change, Verdict verdictAfter) {}
