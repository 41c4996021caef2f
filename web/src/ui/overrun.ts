import type { Slip } from '../api/client';

/** The part of a signal beyond the edge that it crosses: the edge is above the dial, or below it. */
export function overrun(slip: Slip): { low: number; high: number; top: boolean } | undefined {
  const { lowHz, highHz, edgeHz, txHz } = slip;
  if (lowHz === null || highHz === null || edgeHz === null || txHz === null) return undefined;
  const top = txHz < edgeHz || (txHz === edgeHz && highHz > edgeHz);
  return top
    ? { low: Math.max(lowHz, edgeHz), high: highHz, top }
    : { low: lowHz, high: Math.min(highHz, edgeHz), top };
}
