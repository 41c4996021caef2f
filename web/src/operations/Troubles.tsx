import { VerdictMark } from '../ui/VerdictMark';
import type { Trouble } from './plan';

/** What is wrong, in words, and whom it is about: all are named, or those that are not who the rest is about. */
export function Troubles({
  troubles,
  of,
  onChoose,
}: {
  troubles: readonly Trouble[];
  of?: string;
  onChoose?: (watch: number) => void;
}) {
  if (troubles.length === 0) return null;
  return (
    <ul className="divide-line divide-y">
      {troubles.map((each) => (
        <li key={`${each.watch} ${each.subject} ${each.message}`} className="flex gap-2 px-3 py-1.5">
          <span className="pt-1">
            <VerdictMark verdict={each.fails ? 'hold' : 'query'} size={14} />
            <span className="sr-only">{each.fails ? 'Does not work: ' : 'To be settled: '}</span>
          </span>
          <div className="min-w-0">
            {each.watch !== null && onChoose ? (
              <>
                <button
                  type="button"
                  className="text-accent min-h-6 font-semibold underline-offset-2 hover:underline"
                  onClick={() => onChoose(each.watch!)}
                >
                  {each.subject}
                </button>{' '}
              </>
            ) : (
              each.subject !== of && <span className="font-semibold">{each.subject} </span>
            )}
            {each.message}
            {each.why.length + each.least.length > 0 && (
              <details className="text-second">
                <summary className="text-accent min-h-6 cursor-pointer">
                  Why, and what would change it
                </summary>
                <ul className="list-disc pl-5">
                  {each.why.map((reason) => (
                    <li key={reason}>{reason}</li>
                  ))}
                </ul>
                {each.least.length > 0 && (
                  <>
                    <p className="text-soft pt-1">The least that would change it, each by itself</p>
                    <ul className="list-disc pl-5">
                      {each.least.map((one) => (
                        <li key={one}>{one.replace(/^./, (first) => first.toUpperCase())}</li>
                      ))}
                    </ul>
                  </>
                )}
              </details>
            )}
          </div>
        </li>
      ))}
    </ul>
  );
}
