import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { keepPreviousData, type UseQueryResult } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Change, Problem, Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { asChange, type Proposal } from './proposal';
import { CountsChange, ProposalView } from './ProposalView';

interface Props {
  title: string;
  words: string;
  /** What the tool asks for. */
  children: ReactNode;
  /** What the server proposes for it. */
  asked: UseQueryResult<Proposal, Problem>;
  label: string;
  onTake: (label: string, changes: Change[], order?: Schemas['Order']) => void;
  onClose: () => void;
}

/** How a tool asks: the proposal before stays in sight while the next is worked out. */
export const PROPOSED = { placeholderData: keepPreviousData, retry: false };

/** A tool: its questions at the left, and what it proposes as one difference, of which any part can be left out. */
export function ToolDialog({ title, words, children, asked, label, onTake, onClose }: Props) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const proposal = asked.data;
  const [seen, setSeen] = useState(proposal);
  if (seen !== proposal) {
    setSeen(proposal);
    setLeft(new Set());
  }
  const taken = (proposal?.changes ?? []).filter((_, index) => !left.has(index));
  const toggle = (index: number) =>
    setLeft((old) => {
      const next = new Set(old);
      if (!next.delete(index)) next.add(index);
      return next;
    });
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-3">
        <DialogPanel className="border-edge bg-sheet flex h-[92vh] w-full max-w-6xl flex-col rounded border">
          <TakesFocus />
          <div className="border-line border-b px-4 py-3">
            <DialogTitle className="text-title font-semibold">{title}</DialogTitle>
            <p className="text-second text-soft">{words}</p>
          </div>
          <div className="flex min-h-0 grow flex-col md:flex-row">
            <div className="border-line flex shrink-0 flex-col gap-3 overflow-y-auto border-b px-4 py-3 max-md:max-h-[40%] md:w-72 md:border-r md:border-b-0">
              {children}
            </div>
            <div
              className={`min-h-0 grow overflow-y-auto px-4 py-2 ${asked.isPlaceholderData ? 'opacity-70' : ''}`}
              tabIndex={0}
              role="region"
              aria-label="What would change"
            >
              {asked.error && <Notice message={asked.error.message} />}
              {asked.isPending && <p className="text-soft py-3">Working it out …</p>}
              {proposal && !asked.error && (
                <>
                  {proposal.notes.length > 0 && <Notes notes={proposal.notes} />}
                  <ProposalView proposal={proposal} left={left} onToggle={toggle} />
                </>
              )}
            </div>
          </div>
          <div className="border-line flex flex-wrap items-center gap-x-5 gap-y-2 border-t px-4 py-3">
            {proposal && <CountsChange before={proposal.before} after={proposal.after} />}
            <span className="grow" />
            <Button onClick={onClose}>Cancel</Button>
            <Button
              kind="strong"
              disabled={
                !proposal ||
                asked.error !== null ||
                asked.isPlaceholderData ||
                (taken.length === 0 && !proposal.order)
              }
              onClick={() => proposal && onTake(label, taken.map(asChange), proposal.order ?? undefined)}
            >
              {taken.length > 0
                ? `Apply ${taken.length} ${taken.length === 1 ? 'change' : 'changes'}`
                : 'Apply'}
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

const FEW = 3;

function Notes({ notes }: { notes: string[] }) {
  const [all, setAll] = useState(false);
  return (
    <div className="text-second text-soft border-line border-b py-1.5">
      {(all ? notes : notes.slice(0, FEW)).map((note) => (
        <p key={note}>{note}</p>
      ))}
      {notes.length > FEW && !all && (
        <Button kind="quiet" className="text-second" onClick={() => setAll(true)}>
          and {notes.length - FEW} more
        </Button>
      )}
    </div>
  );
}
