import type { Schemas } from '../api/client';

type Licence = Schemas['CarriedLicence'];
export type Standing = 'ended' | 'ending' | 'well' | 'none';

const RENEWAL_DAYS = 90;
const DAY = 86_400_000;

/** Days from one day to another. */
export const days = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / DAY);

const standing = (licence: Licence, today: string): Standing => {
  if (!licence.expires) return 'well';
  const left = days(today, licence.expires);
  return left < 0 ? 'ended' : left <= RENEWAL_DAYS ? 'ending' : 'well';
};

/** Where somebody's licences stand: the worst of them. */
export function state(licences: Licence[], today: string): Standing {
  const all = licences.map((each) => standing(each, today));
  return all.includes('ended')
    ? 'ended'
    : all.includes('ending')
      ? 'ending'
      : all.length > 0
        ? 'well'
        : 'none';
}

export const STATE_WORDS: Record<Standing, string> = {
  ended: 'licence ended',
  ending: 'ends soon',
  well: '',
  none: '',
};

export const STATE_EDGE: Record<Standing, string> = {
  ended: 'border-l-hold',
  ending: 'border-l-query',
  well: 'border-l-clear',
  none: 'border-l-line',
};
