import type { Verdict } from '../api/client';

const WORDS: Record<Verdict, string> = { hold: 'Hold', query: 'Query', clear: 'Clear', listen: 'Listen' };

export const VERDICTS: Verdict[] = ['hold', 'query', 'clear', 'listen'];

export const verdictWord = (verdict: Verdict) => WORDS[verdict];

export const verdictText: Record<Verdict, string> = {
  hold: 'text-hold',
  query: 'text-query',
  clear: 'text-clear',
  listen: 'text-listen',
};

export const verdictEdge: Record<Verdict, string> = {
  hold: 'border-l-hold',
  query: 'border-l-query',
  clear: 'border-l-clear',
  listen: 'border-l-listen',
};

/** The shape of a verdict: a square cut by a bar, a diamond with a point, a ring, a half disc. */
export function VerdictMark({ verdict, size = 16 }: { verdict: Verdict | '' | null; size?: number }) {
  return (
    <svg
      viewBox="0 0 16 16"
      width={size}
      height={size}
      aria-hidden="true"
      className={`shrink-0 ${verdict ? verdictText[verdict] : ''}`}
    >
      {verdict === 'hold' && (
        <path fill="currentColor" fillRule="evenodd" d="M1.5 1.5h13v13h-13zM4 6.8v2.4h8V6.8z" />
      )}
      {verdict === 'query' && (
        <>
          <path fill="none" stroke="currentColor" strokeWidth="1.8" d="M8 1.6 14.4 8 8 14.4 1.6 8z" />
          <circle cx="8" cy="8" r="1.7" fill="currentColor" />
        </>
      )}
      {verdict === 'clear' && (
        <circle cx="8" cy="8" r="5.6" fill="none" stroke="currentColor" strokeWidth="2" />
      )}
      {verdict === 'listen' && <path fill="currentColor" d="M5 2a6 6 0 0 1 0 12z" />}
    </svg>
  );
}

/** Shape and word. */
export function VerdictWord({ verdict }: { verdict: Verdict }) {
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold ${verdictText[verdict]}`}>
      <VerdictMark verdict={verdict} />
      {verdictWord(verdict)}
    </span>
  );
}
