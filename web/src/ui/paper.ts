import { useState } from 'react';

/** The paper that somebody prints on. */
export type PaperSize = 'a4' | 'letter';

const KEY = 'wache paper';
/** Where printers hold letter paper (Unicode CLDR, paper sizes by region; from memory). */
const LETTER = new Set([
  'US',
  'CA',
  'MX',
  'PH',
  'CL',
  'CO',
  'CR',
  'GT',
  'NI',
  'PA',
  'PR',
  'SV',
  'VE',
  'BZ',
  'PY',
]);

/** The usual paper where a browser is set to such a language. */
export function usualPaper(languages: readonly string[]): PaperSize {
  const region = languages
    .map((each) => each.split('-').find((part) => /^[A-Z]{2}$/.test(part)))
    .find(Boolean);
  return region === undefined || LETTER.has(region) ? 'letter' : 'a4';
}

/** The paper to print on: as chosen in this browser, else as is usual where it is. */
export function usePaper(): [PaperSize, (next: PaperSize) => void] {
  const [paper, setPaper] = useState<PaperSize>(() => {
    const kept = localStorage.getItem(KEY);
    return kept === 'a4' || kept === 'letter' ? kept : usualPaper(navigator.languages);
  });
  const keep = (next: PaperSize) => {
    localStorage.setItem(KEY, next);
    setPaper(next);
  };
  return [paper, keep];
}

/** What a paper is asked for with besides what it is: its size, and the zone whose time stands on it. */
export function printed(paper: PaperSize): string {
  return `paper=${paper}&zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`;
}
