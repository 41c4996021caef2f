import { keepPreviousData } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { type Cure, type Schemas, Server } from '../api/client';
import { CureButton } from '../desk/CureButton';
import { SumView } from '../desk/SumView';
import { Notice } from '../ui/Notice';
import { columnName } from './asMatrix';
import { some } from '../ui/people';
import { VerdictMark, verdictEdge, verdictText } from '../ui/VerdictMark';

interface Props {
  list: number;
  column: Schemas['FitColumn'];
  entry?: Schemas['MatrixEntry'];
  /** A variant's entries are changed in the list it follows. */
  variant: boolean;
  busy: boolean;
  onCure: (reason: Schemas['FitReason'], cure: Cure) => void;
  onJudge: (judged: boolean) => void;
}

const GOES: Record<string, string> = {
  hold: 'does not go in',
  query: 'goes in changed',
  clear: 'fits',
  listen: 'listens',
};

/** What is wrong with the list in one radio, and with one entry of it, with the cures that were proved. */
export function FitPanel({ list, column, entry, variant, busy, onCure, onJudge }: Props) {
  const reason = Server.useQuery(
    'get',
    '/api/lists/{list}/fit/{entry}',
    { params: { path: { list, entry: entry?.id ?? 0 }, query: { column: column.key } } },
    { enabled: entry !== undefined, placeholderData: keepPreviousData },
  );
  const cures =
    variant || reason.isPlaceholderData ? [] : (reason.data?.findings ?? []).flatMap((each) => each.cures);
  useEffect(() => {
    const typed = (event: KeyboardEvent) => {
      const at = event.target as HTMLElement;
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        ['INPUT', 'SELECT', 'TEXTAREA'].includes(at.tagName)
      )
        return;
      const chosen = /^[1-9]$/.test(event.key) ? cures[Number(event.key) - 1] : undefined;
      if (chosen && reason.data && !busy) onCure(reason.data, chosen);
    };
    window.addEventListener('keydown', typed);
    return () => window.removeEventListener('keydown', typed);
  });
  const name = columnName(column);
  return (
    <aside
      aria-label="Why"
      aria-live="polite"
      className="border-line flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-l p-3 max-lg:max-h-[45%] max-lg:border-t max-lg:border-l-0 lg:w-[380px]"
    >
      <section aria-label={name} className="border-line flex flex-col gap-1 border-b pb-3">
        <h2 className="text-title font-semibold">{name}</h2>
        <p className="text-second text-soft">
          {column.units === 0
            ? 'no radio of this model'
            : column.units === 1
              ? '1 radio'
              : `${column.units} radios`}
          {`: ${column.counts.clear} fit, ${column.counts.listen} listen, ${column.counts.query} go in changed, ${column.counts.hold} do not go in`}
        </p>
        <ul className="text-second">
          {column.troubles.map((trouble) => (
            <li key={trouble.rule} className="flex gap-2">
              <span className="w-9 shrink-0 text-right font-mono">{trouble.entries}</span>
              <span>{trouble.title}</span>
            </li>
          ))}
        </ul>
        <label className="flex items-center gap-1.5 pt-1">
          <input
            type="checkbox"
            checked={column.judged}
            disabled={busy}
            onChange={(event) => onJudge(event.target.checked)}
          />
          This list is for it, as it is set
        </label>
      </section>
      {reason.error && <Notice message={reason.error.message} />}
      {entry && reason.data && (
        <div className={`flex flex-col gap-3 ${reason.isPlaceholderData ? 'opacity-40' : ''}`}>
          <h3 className="flex items-baseline gap-3">
            <span className="font-semibold">{entry.name || `Number ${entry.number}`}</span>
            <span
              className={`inline-flex items-center gap-1.5 font-semibold ${verdictText[reason.data.verdict]}`}
            >
              <VerdictMark verdict={reason.data.verdict} size={14} />
              {GOES[reason.data.verdict]}
            </span>
          </h3>
          {reason.data.findings.length === 0 && (
            <p className="text-soft">
              {reason.data.verdict === 'listen' ? 'It goes in, and only listens.' : 'It goes in as it is.'}
            </p>
          )}
          {reason.data.findings.map((finding) => (
            <section
              key={finding.rule + finding.message}
              className={`border-line bg-sheet flex flex-col gap-1.5 rounded border border-l-[3px] px-3 py-2 ${verdictEdge[finding.severity]}`}
            >
              <p>
                {finding.message}
                {finding.holders.length < reason.data.everyone && (
                  <span className="text-soft" title={finding.holders.join(', ')}>
                    {' '}
                    For {some(finding.holders)}.
                  </span>
                )}
              </p>
              {finding.sum.length > 0 && <SumView lines={finding.sum} />}
              {finding.advice.map((advice) => (
                <p key={advice} className="text-second">
                  {advice}
                </p>
              ))}
              {!variant && finding.cures.length > 0 && (
                <div className="flex flex-wrap gap-1.5">
                  {finding.cures.map((cure) => (
                    <CureButton
                      key={cure.label}
                      cure={cure}
                      digit={cures.indexOf(cure) + 1}
                      disabled={busy || reason.isPlaceholderData}
                      onPress={() => onCure(reason.data, cure)}
                    />
                  ))}
                </div>
              )}
              <p className="text-second text-soft">{finding.source}</p>
            </section>
          ))}
          <Link
            to={`/lists/${list}?entry=${entry.id}`}
            className="text-accent self-start underline-offset-2 hover:underline"
          >
            Open it on the Desk (Enter)
          </Link>
        </div>
      )}
    </aside>
  );
}
