import type { Schemas } from '../api/client';

/** The fit as the matrix draws it: a column for each model as it is set; only entries with trouble when asked. */
export function asMatrix(fit: Schemas['FitTable'], onlyTrouble: boolean): Schemas['Matrix'] {
  const rows = fit.entries
    .map((_, row) => row)
    .filter((row) => !onlyTrouble || fit.cells.some((cells) => 'hq'.includes(cells.charAt(row))));
  return {
    list: fit.list,
    name: fit.name,
    parent: fit.parent,
    entries: rows.map((row) => fit.entries[row]!),
    cells: fit.cells.map((cells) => rows.map((row) => cells.charAt(row).replace('f', 'c')).join('')),
    columns: fit.columns.map((column) => ({
      key: column.key,
      name: columnName(column),
      holds: column.units === 1 ? '1 radio' : `${column.units} radios`,
      carries: column.units > 0,
      cells: column.cells,
      counts: column.counts,
      choice: { carriers: [], parties: [], teams: [] },
    })),
  };
}

/** What a column is called: a model as it is set. */
export const columnName = (column: Schemas['FitColumn']) =>
  column.inhibited
    ? `${column.name}, transmitter off`
    : column.lock
      ? `${column.name}, ${column.lock}`
      : column.name;
