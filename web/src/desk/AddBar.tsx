import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { api, data, type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { UnderstoodView } from './UnderstoodView';

type Line = Schemas['UnderstoodLine'];

interface Props {
  /** How people write entries there. */
  examples?: string[];
  list: number;
  version: number;
  /** What stands in it at first, such as a row that was kept aside. */
  initial?: string;
  /** Adds entries; false when they were not saved. What could not be understood is left in the bar: so many lines. */
  onAdd: (label: string, entries: Record<string, string>[], left: number) => Promise<boolean>;
  onTable?: (text: string) => void;
  /** Whether what is no entry can be kept beside the list; not where it comes from there. */
  keepsAside?: boolean;
  onClose: () => void;
}

/** So many lines are read at once. */
const MOST = 500;

const isTable = (text: string) =>
  /\t/.test(text) || text.split('\n').filter((line) => line.includes(';')).length > 1;

/** Entries as people write them: what each line is taken for is shown with its sum before it is added. */
export function AddBar({
  list,
  version,
  examples = [],
  initial = '',
  onAdd,
  onTable,
  keepsAside,
  onClose,
}: Props) {
  const queries = useQueryClient();
  const [text, setText] = useState(initial);
  const [chosen, setChosen] = useState<number>(0);
  /** Whether what stands there is on its way: pressed twice, it is added once. */
  const adding = useRef(false);
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const many = text.includes('\n');
  const question = Server.queryOptions(
    'post',
    '/api/lists/{list}/understood',
    { params: { path: { list } }, body: { lines }, asOf: version },
    { gcTime: 10_000 },
  );
  const tooMany = lines.length > MOST;
  const asked = lines.length > 0 && !tooMany;
  const read = useQuery({ ...question, enabled: asked, placeholderData: keepPreviousData });
  const current = asked && !read.isPlaceholderData ? read.data : undefined;
  const shown = asked ? (read.data ?? []) : [];
  const bad = (current ?? []).filter((line) => line.problem !== null);
  // Several entries may stand on one line.
  const several = many || shown.length > 1;
  const good = (current ?? []).filter((line) => line.problem === null);

  const type = (next: string) => {
    setText(next);
    setChosen(0);
  };
  const fieldsOf = (line: Line) =>
    (chosen > 0 && !several ? line.others[chosen - 1]?.fields : undefined) ?? line.fields;
  const add = async () => {
    // Enter may come before the answer: then it is waited for, and nothing is added unseen that is no entry.
    if (!asked || adding.current) return;
    adding.current = true;
    await added(text).finally(() => (adding.current = false));
  };
  const added = async (typed: string) => {
    const understood = current ?? (await queries.fetchQuery(question).catch(() => []));
    const good = understood.filter((line) => line.problem === null);
    if (good.length === 0) return;
    const entries = good.map(fieldsOf);
    const label =
      entries.length === 1 ? `adding ${entries[0]?.name ?? 'an entry'}` : `adding ${entries.length} entries`;
    if (await onAdd(label, entries, understood.length - good.length)) {
      // What could not be understood stays to be mended, and so does what was typed meanwhile.
      const rest = understood.filter((line) => line.problem !== null).map((line) => line.line);
      setText((now) =>
        [...rest, now.startsWith(typed) ? now.slice(typed.length) : now].filter(Boolean).join('\n'),
      );
      setChosen(0);
    }
  };
  const keep = useMutation({
    mutationFn: (left: Line[]) =>
      data(
        api.POST('/api/lists/{list}/aside', {
          params: { path: { list } },
          body: { lines: left.map((line) => line.line) },
        }),
      ),
    onSuccess: () => type(good.map((line) => line.line).join('\n')),
  });
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.stopPropagation();
      onClose();
    } else if (event.key === 'Enter' && !event.shiftKey && (!many || event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      void add();
    } else if (event.key === 'ArrowDown' && !several && (current?.[0]?.others.length ?? 0) > 0) {
      event.preventDefault();
      setChosen((old) => (old + 1) % ((current?.[0]?.others.length ?? 0) + 1));
    }
  };
  const paste = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData('text');
    if (onTable && isTable(pasted)) {
      event.preventDefault();
      onTable(pasted);
    }
  };
  return (
    <section aria-label="Add entries" className="border-line bg-accent-wash border-b px-3 py-2">
      <div className="flex items-start gap-2">
        <textarea
          autoFocus
          rows={many ? Math.min(10, lines.length + 1) : 1}
          aria-label="Entry as you would write it"
          placeholder={examples.join('   ·   ')}
          className={`${INPUT} grow resize-none font-mono`}
          value={text}
          spellCheck={false}
          onChange={(event) => type(event.target.value)}
          onKeyDown={keys}
          onPaste={paste}
        />
        <Button
          kind="strong"
          disabled={!asked || (current !== undefined && good.length === 0)}
          onClick={() => void add()}
        >
          {several ? `Add ${good.length}` : 'Add'}{' '}
          <kbd className="font-mono text-[12px]">{many ? 'Ctrl ↵' : '↵'}</kbd>
        </Button>
        <Button kind="quiet" onClick={onClose}>
          Esc
        </Button>
      </div>
      <div aria-live="polite" className="max-h-[45vh] overflow-y-auto">
        {lines.length === 0 && (
          <p className="text-second text-soft pt-1.5">
            Frequency or channel first, then + or −, tone, width, power, name, in any order. Several lines can
            be pasted; a copied table goes to its own page.
          </p>
        )}
        {tooMany && (
          <p className="text-hold pt-1.5">
            These are {lines.length} lines; {MOST} are read at once. Write fewer, or bring them in as a table.
          </p>
        )}
        {(read.error ?? keep.error) && (
          <p className="text-hold pt-1.5">{(read.error ?? keep.error)?.message}</p>
        )}
        {bad.length > 0 && keepsAside && (
          <p className="text-second flex flex-wrap items-center gap-x-3 pt-1.5">
            <span>Write {bad.length === 1 ? 'it' : 'them'} otherwise, or</span>
            <Button className="text-second" disabled={keep.isPending} onClick={() => keep.mutate(bad)}>
              Keep {bad.length === 1 ? 'it' : 'them'} beside the list
            </Button>
          </p>
        )}
        {shown.map((line, index) => (
          <UnderstoodView
            key={index}
            line={line}
            many={several}
            chosen={several ? 0 : chosen}
            onChoose={several ? undefined : setChosen}
          />
        ))}
      </div>
    </section>
  );
}
