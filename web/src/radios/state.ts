import type { Schemas, Verdict } from '../api/client';

type Unit = Schemas['UnitView'];

/** How a radio got what somebody says is in it. */
export const DECLARED = { 'by-hand': 'Typed by hand', elsewhere: 'Loaded elsewhere' } as const;

/** How a radio stands: the verdict whose mark it gets, and the words. */
export function standing(unit: Unit): { verdict: Verdict | ''; words: string } {
  if (unit.held) return { verdict: 'hold', words: `Held: ${unit.held}` };
  if (unit.notTheirs.length > 0)
    return {
      verdict: 'hold',
      words: `${unit.carrier?.name ?? 'Whoever has it'} may not key ${unit.notTheirs.length === 1 ? 'an entry' : `${unit.notTheirs.length} entries`} that it talks on.`,
    };
  if (unit.bench === 'failed') return { verdict: 'hold', words: 'The last work on the bench failed.' };
  if (unit.bench === 'differs')
    return { verdict: 'hold', words: 'It did not come off the bench as it should.' };
  if (unit.bench === 'running' || unit.bench === 'waiting')
    return { verdict: '', words: 'On the bench just now.' };
  const warning = unit.facts.find((fact) => fact.warning);
  if (warning) return { verdict: 'query', words: warning.text };
  if (unit.inhibited)
    return {
      verdict: 'listen',
      words: unit.load?.verified
        ? 'Transmitter off, tried at every key: it only listens.'
        : 'Its transmitter is to be off: the bench switches it off and tries it.',
    };
  if (unit.load?.verified)
    return {
      verdict: 'clear',
      words:
        unit.load.whom === null && !unit.carrier
          ? 'Written, read back and tried; for nobody in particular.'
          : 'Written, read back and tried.',
    };
  if (unit.load?.declared && unit.load.wrong > 0)
    return {
      verdict: 'hold',
      words: `${unit.load.wrong === 1 ? 'An entry' : `${unit.load.wrong} entries`} in it found wrong by ${unit.load.by}.`,
    };
  if (unit.load?.declared)
    return {
      verdict: '',
      words: `${DECLARED[unit.load.declared]}, as ${unit.load.by} says; not read back here.`,
    };
  return { verdict: '', words: 'Nothing was written into it yet.' };
}

/** What is in a radio, in short. */
export const inside = (unit: Unit) =>
  unit.load ? `${unit.load.name}, ${loaded(unit.load)}` : 'nothing from here';

/** Which release is in a radio, and what became of it since. */
function loaded(load: Schemas['Load']): string {
  if (load.number === null) return `version ${load.version}, before there were releases`;
  if (load.recalled) return `release ${load.number}, recalled`;
  return `release ${load.number}${(load.newest ?? 0) > load.number ? ` (release ${load.newest} is out)` : ''}`;
}
