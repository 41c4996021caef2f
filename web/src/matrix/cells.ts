import type { Schemas, Verdict } from '../api/client';

export interface Cell {
  row: number;
  column: number;
}

type Matrix = Schemas['Matrix'];
type Column = Schemas['MatrixColumn'];

const WORDS: Record<string, Verdict> = { h: 'hold', q: 'query', l: 'listen', c: 'clear' };
const WORST = 'hqlc';

/** The verdict of an entry for a column. */
export const verdictAt = (matrix: Matrix, column: Column, row: number) =>
  WORDS[matrix.cells[column.cells]?.charAt(row) ?? ''] ?? 'clear';

/** Who decides an entry: the least privileged column on which it comes off worst, and how many come off so. */
export interface Decided {
  verdict: Verdict;
  name: string;
  many: number;
  /** Whether all of those who count come off so. */
  all: boolean;
}

/** For each entry the columns that decide it; carriers decide where there are any. */
export function byRow(matrix: Matrix, columns: Column[]): Decided[] {
  const carrying = columns.filter((column) => column.carries);
  const deciding = carrying.length > 0 ? carrying : columns;
  return matrix.entries.map((_, row) => {
    let worst = WORST.length;
    let name = '';
    let many = 0;
    for (const column of deciding) {
      const rank = WORST.indexOf(matrix.cells[column.cells]?.charAt(row) ?? 'c');
      if (rank < worst) {
        worst = rank;
        name = column.name;
        many = 1;
      } else if (rank === worst) {
        many++;
      }
    }
    return { verdict: WORDS[WORST.charAt(worst)] ?? 'clear', name, many, all: many === deciding.length };
  });
}

/**
 * The matrix with only the entries that are meant, in an order; where nothing is asked for, as it is.
 *
 * @param find what is looked for in names, numbers and frequencies
 * @param by the column whose worst come first
 */
export function arranged(matrix: Matrix, find: string, by: Column | undefined): Matrix {
  const wanted = find.trim().toLowerCase();
  let rows = matrix.entries.map((_, row) => row);
  if (wanted)
    rows = rows.filter((row) => {
      const entry = matrix.entries[row]!;
      const megahertz = entry.txHz === null ? '' : (entry.txHz / 1e6).toFixed(6);
      return (
        [entry.name.toLowerCase(), entry.number].some((text) => text.includes(wanted)) ||
        megahertz.startsWith(wanted)
      );
    });
  if (by) {
    const rank = (row: number) => WORST.indexOf(matrix.cells[by.cells]?.charAt(row) ?? 'c');
    rows = rows.sort((a, b) => rank(a) - rank(b) || a - b);
  }
  if (!wanted && !by) return matrix;
  return {
    ...matrix,
    entries: rows.map((row) => matrix.entries[row]!),
    cells: matrix.cells.map((cells) => rows.map((row) => cells.charAt(row)).join('')),
  };
}
