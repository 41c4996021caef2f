import type { Slip } from '../api/client';

/** The part of a signal beyond the edge that it crosses: above an upper edge, or below a lower one. */
export function overrun({
  lowHz,
  highHz,
  edge,
}: Pick<Slip, 'lowHz' | 'highHz' | 'edge'>): { low: number; high: number; top: boolean } | undefined {
  if (lowHz === null || highHz === null || edge === null) return undefined;
  return edge.upper
    ? { low: Math.max(lowHz, edge.hertz), high: highHz, top: true }
    : { low: lowHz, high: Math.min(highHz, edge.hertz), top: false };
}
