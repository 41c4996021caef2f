import { digital } from '../lists/digital';
import { split } from '../ui/Megahertz';

/** A frequency as the list writes it, or the text that could not be read. */
function shown(text: string | undefined): string {
  if (!text) return '';
  const hertz = Math.round(Number(text) * 1_000_000);
  if (!Number.isFinite(hertz) || hertz <= 0) return `“${text}”`;
  const { main, rest } = split(hertz);
  return main + rest;
}

/** An entry in radio terms, on one line. */
export function inWords(fields: Record<string, string>): string {
  const { rxMhz, txMhz, mode, emission, powerW, txTone, rxTone } = fields;
  const talks = !txMhz ? 'listens' : txMhz === rxMhz ? 'direct' : `talks on ${shown(txMhz)}`;
  const tones =
    txTone && txTone === rxTone
      ? `${txTone} both ways`
      : [txTone && `sends ${txTone}`, rxTone && `opens with ${rxTone}`].filter(Boolean).join(', ');
  return [`hears ${shown(rxMhz)}`, talks, emission ?? mode, powerW && `${powerW} W`, tones, digital(fields)]
    .filter(Boolean)
    .join(' · ');
}
