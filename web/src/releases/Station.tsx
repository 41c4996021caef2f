import type { ReactNode } from 'react';
import type { Verdict } from '../api/client';
import { VerdictMark } from '../ui/VerdictMark';

interface Props {
  title: string;
  /** clear when it is passed, else hold or query. */
  verdict: Verdict | '';
  words: string;
  last?: boolean;
  /** The first that is not passed: the focus comes here. */
  next?: boolean;
  press?: ReactNode;
  children?: ReactNode;
}

/** One thing that a list needs before it goes out: a mark on the way, what is, and the press that gets further. */
export function Station({ title, verdict, words, last = false, next = false, press, children }: Props) {
  return (
    <li data-next={next || undefined} className="relative flex gap-3 pb-5">
      {!last && (
        <span aria-hidden="true" className="border-line absolute top-6 bottom-0 left-[9px] border-l-2" />
      )}
      <span className="bg-paper relative z-10 flex size-5 shrink-0 items-center justify-center pt-0.5">
        <VerdictMark verdict={verdict} size={17} />
      </span>
      <div className="flex min-w-0 grow flex-col gap-2">
        <div className="flex items-baseline gap-x-4 max-sm:flex-wrap">
          <div className="min-w-0 grow">
            <h2 className="inline pr-3 font-semibold">{title}</h2>
            <span className={verdict === 'clear' ? 'text-soft' : ''}>{words}</span>
          </div>
          {press}
        </div>
        {children}
      </div>
    </li>
  );
}
