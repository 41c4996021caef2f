import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { VerdictMark } from '../ui/VerdictMark';
import { inWords } from './words';

type Table = Schemas['ReadTable'];
type Mapping = Schemas['TableMapping'];

const PAGE = 200;
const UNITS = ['', 'Hz', 'kHz', 'MHz'];
const WITH_UNIT = ['receive', 'transmit', 'shift'];

interface Props {
  table: Table;
  /** What was chosen last; the rows follow. */
  mapping: Mapping;
  kinds: Schemas['KindChoice'][];
  from: number;
  stale: boolean;
  onFrom: (from: number) => void;
  onMapping: (mapping: Mapping) => void;
}

/** The table as it came, a choice over each column, and beside each row what it becomes and why. */
export function ReadRows({ table, mapping, kinds, from, stale, onFrom, onMapping }: Props) {
  const set = (at: number, choice: Partial<Schemas['ColumnChoice']>) =>
    onMapping({
      ...mapping,
      columns: mapping.columns.map((column, index) => (index === at ? { ...column, ...choice } : column)),
    });
  return (
    <div
      className="border-line min-h-0 grow overflow-auto border-y"
      tabIndex={0}
      aria-label="The rows"
      role="region"
    >
      <table className={`w-full border-separate border-spacing-0 ${stale ? 'opacity-70' : ''}`}>
        <thead className="text-left">
          <tr>
            <th scope="col" className="bg-sunk border-line sticky top-0 z-10 border-b px-2 py-2 align-bottom">
              <span className="text-second text-soft font-normal">Row</span>
            </th>
            <th
              scope="col"
              className="bg-sunk border-line sticky top-0 z-20 min-w-72 border-r border-b px-3 py-2 align-bottom md:left-0 lg:min-w-[26rem]"
            >
              becomes
            </th>
            {table.columns.map((column, index) => (
              <th
                key={index}
                scope="col"
                className="bg-sunk border-line sticky top-0 z-10 min-w-32 border-b px-2 py-2 align-bottom font-normal"
              >
                <span className="block max-w-44 truncate font-semibold" title={column.heading}>
                  {column.heading || <span className="text-soft font-normal">column {index + 1}</span>}
                </span>
                <span className="mt-1 flex flex-col gap-1">
                  <select
                    aria-label={`What ${column.heading || `column ${index + 1}`} is`}
                    value={mapping.columns[index]?.kind}
                    onChange={(event) =>
                      set(index, { kind: event.target.value as Schemas['ColumnKind'], unit: null })
                    }
                    className={`text-second border-edge bg-sheet w-full min-w-0 rounded border px-1 py-0.5 ${mapping.columns[index]?.kind === 'leave' || mapping.columns[index]?.kind === 'keep' ? 'text-soft' : ''}`}
                  >
                    {kinds.map((kind) => (
                      <option key={kind.id} value={kind.id}>
                        {kind.title}
                      </option>
                    ))}
                  </select>
                  {WITH_UNIT.includes(mapping.columns[index]?.kind ?? '') && (
                    <select
                      aria-label={`Unit of ${column.heading || `column ${index + 1}`}`}
                      value={mapping.columns[index]?.unit ?? ''}
                      onChange={(event) => set(index, { unit: event.target.value || null })}
                      className="text-second border-edge bg-sheet rounded border px-1 py-0.5"
                    >
                      {UNITS.map((unit) => (
                        <option key={unit} value={unit}>
                          {unit || 'unit as it reads'}
                        </option>
                      ))}
                    </select>
                  )}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.shown.map((row, at) => (
            <tr key={at} className="align-top">
              <td className="border-line text-second text-soft border-b px-2 py-1.5 text-right font-mono">
                {row.line}
              </td>
              <td className="border-line bg-paper left-0 z-[5] border-r border-b px-3 py-1.5 md:sticky">
                <Becomes row={row} />
              </td>
              {table.columns.map((_, index) => (
                <td
                  key={index}
                  className={`border-line text-second max-w-56 border-b px-2 py-1.5 font-mono break-words ${mapping.columns[index]?.kind === 'leave' ? 'text-soft line-through' : ''}`}
                >
                  {row.cells[index]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.shown.length === 0 && <p className="text-soft p-4">No row is like that.</p>}
      {table.matching > PAGE && (
        <p className="flex items-center gap-3 p-3">
          <Button disabled={from === 0} onClick={() => onFrom(Math.max(0, from - PAGE))}>
            Earlier rows
          </Button>
          <span className="text-second text-soft font-mono">
            {from + 1}–{Math.min(from + PAGE, table.matching)} of {table.matching}
          </span>
          <Button disabled={from + PAGE >= table.matching} onClick={() => onFrom(from + PAGE)}>
            Later rows
          </Button>
        </p>
      )}
    </div>
  );
}

function Becomes({ row }: { row: Schemas['ReadRow'] }) {
  if (row.aside !== null)
    return (
      <p className={`text-second flex items-start gap-1.5 ${row.remark ? 'text-soft' : ''}`}>
        {!row.remark && <VerdictMark verdict="hold" size={13} />}
        <span>
          <span className={row.remark ? '' : 'text-hold font-semibold'}>Kept aside.</span> {row.aside}
        </span>
      </p>
    );
  return (
    <>
      <p>
        <span className="text-soft text-second font-mono">{row.entry.number}</span>{' '}
        <span className="font-semibold">{row.entry.name}</span>{' '}
        <span className="text-second">{inWords(row.entry)}</span>
      </p>
      <p className="text-soft text-[12px] leading-snug">
        {row.said
          .filter((said) => !said.doubt && said.line.includes(':'))
          .map((said) => said.line)
          .join('; ')}
      </p>
      {row.said
        .filter((said) => said.doubt)
        .map((said, index) => (
          <p key={index} className="text-query text-[12px] leading-snug">
            <span className="font-semibold">Look:</span> {said.line}
          </p>
        ))}
    </>
  );
}
