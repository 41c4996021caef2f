import type { Schemas } from '../api/client';
import { length } from '../ui/Megahertz';

export type Hit = Schemas['HitView'];

/** What a hit is called, one and many. */
export const KINDS: Record<Schemas['HitKind'], [string, string]> = {
  'co-channel': ['on its channel', 'on its channel'],
  overlap: ['overlap', 'overlaps'],
  'third-order': ['third-order product', 'third-order products'],
  'fifth-order': ['fifth-order product', 'fifth-order products'],
  harmonic: ['harmonic', 'harmonics'],
  near: ['transmitter too near', 'transmitters too near'],
};

export const counted = (count: Schemas['KindCount']) =>
  `${count.count.toLocaleString('en')} ${KINDS[count.kind][count.count === 1 ? 0 : 1]}`;

export const isProduct = (kind: Schemas['HitKind']) =>
  kind === 'third-order' || kind === 'fifth-order' || kind === 'harmonic';

/** Whether it is only that a transmitter stands near: what turns or filters cure, and moving hardly does. */
export const isNear = (kind: Schemas['HitKind']) => kind === 'near';

/** How far off the middle a hit lands, in words. */
export const off = (hit: Hit) => (hit.offHz === 0 ? 'right on it' : `${length(hit.offHz)} off`);

/** A distance between frequencies. */
export const apart = (hertz: number) =>
  hertz >= 1_000_000
    ? `${(hertz / 1_000_000).toFixed(3).replace(/0+$/, '').replace(/\.$/, '')} MHz`
    : length(hertz);
