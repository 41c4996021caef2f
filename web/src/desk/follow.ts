import type { Slip } from '../api/client';

const MEGA = 1e6;

/** A frequency in megahertz as it is typed, in hertz; undefined for anything else. */
export function hertzOf(text: string): number | undefined {
  const plain = text.trim().replace(',', '.');
  return /^\d{1,5}(\.\d{1,6})?$/.test(plain) ? Math.round(Number(plain) * MEGA) : undefined;
}

/** Hertz as a list writes them: three decimals, or as many as it takes. */
export function megahertz(hertz: number): string {
  const [whole, rest] = (hertz / MEGA).toFixed(6).split('.') as [string, string];
  return `${whole}.${rest.replace(/0{1,3}$/, '')}`;
}

/**
 * Where an entry talks when it hears elsewhere: a direct channel moves as a whole, and a pair keeps its offset. Undefined when it
 * does not talk, or when what is typed is no frequency yet.
 */
export function follows(slip: Slip, hears: string): string | undefined {
  const now = hertzOf(hears);
  const was = hertzOf(slip.fields.rxMhz ?? '');
  const talks = hertzOf(slip.fields.txMhz ?? '');
  if (now === undefined || was === undefined || talks === undefined) return undefined;
  return talks === was ? hears.trim().replace(',', '.') : megahertz(now + talks - was);
}

const MOST_W = 110;
const NEAT_W = 10;

/** What is odd about a power as it is typed: more than radios of this kind give, or written like a frequency. Undefined when nothing is. */
export function oddPower(text: string): string | undefined {
  const watts = Number(text.trim().replace(',', '.'));
  if (!Number.isFinite(watts) || text.trim() === '') return undefined;
  if (watts >= NEAT_W && /[.,]\d{2,}$/.test(text.trim()))
    return `${text.trim()} W is written like a frequency.`;
  return watts > MOST_W ? `${text.trim()} W is more than a hand-held or a mobile gives.` : undefined;
}
