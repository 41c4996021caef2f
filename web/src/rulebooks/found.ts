import { megahertz } from '../ui/Megahertz';

/** Where a row is: one frequency, or from one to another. */
export function where(low: number, high: number): string {
  return low === high ? megahertz(low) : `${megahertz(low)}–${megahertz(high)}`;
}

/** What is looked for is a word, or a frequency that a row holds. */
export function isFound(search: string, low: number, high: number, words: string): boolean {
  const text = search.trim().toLowerCase();
  if (text === '') return true;
  const hertz = Math.round(Number(text.replace(',', '.')) * 1e6);
  if (Number.isFinite(hertz) && hertz > 0 && low <= hertz && hertz <= high) return true;
  return `${where(low, high)} ${words}`.toLowerCase().includes(text);
}
