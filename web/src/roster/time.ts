import type { Schemas } from '../api/client';

type Licence = Schemas['CarriedLicence'];
export type Standing = 'ended' | 'ending' | 'well' | 'none';

/** Within so many days of its end a licence can be renewed (47 CFR 1.949(a), from memory: not sooner than 90 days before). */
export const RENEWAL_DAYS = 90;
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

/** A licence that has ended or will, and how many days are left; fewer than none when it has ended. */
export interface Ending {
  party: Schemas['Party'];
  licence: Licence;
  left: number;
}

/** The licences that have a last day, the one that ends first in front; those that were followed by another of its kind do not count. */
export function endings(parties: Schemas['Party'][], today: string): Ending[] {
  return parties
    .flatMap((party) =>
      party.licences
        .filter((licence) => licence.expires !== null && !followed(licence, party.licences))
        .map((licence) => ({ party, licence, left: days(today, licence.expires!) })),
    )
    .sort((a, b) => a.left - b.left || a.party.name.localeCompare(b.party.name));
}

/** Whether somebody holds another licence of that service that ends later, or never. */
const followed = (licence: Licence, all: Licence[]) =>
  all.some(
    (other) =>
      other !== licence &&
      other.service === licence.service &&
      (other.expires === null || other.expires > licence.expires!),
  );

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
