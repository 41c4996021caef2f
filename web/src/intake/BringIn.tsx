import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { api, data } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { elsewhere } from '../ui/elsewhere';
import { Notice } from '../ui/Notice';
import { useExamples } from '../rulebooks/rulebooks';
import { bring } from './bring';

const LARGEST = 20 * 1024 * 1024;

interface Sent {
  file: Blob;
  name: string;
  share: number;
}

/** Takes a file that is dropped or chosen, or lines that are pasted; what needs a choice of columns goes to its page. */
export function BringIn({
  group,
  into,
  onList,
}: {
  group: number;
  into?: number;
  onList: (list: number) => void;
}) {
  const go = useNavigate();
  const examples = useExamples(group);
  const [over, setOver] = useState(false);
  const [pasting, setPasting] = useState(false);
  const [text, setText] = useState('');
  const [sent, setSent] = useState<Sent>();
  const [problem, setProblem] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const options = { useKey: true, ignoreEventWhen: elsewhere, preventDefault: true };
  useHotkeys('f', () => input.current?.click(), options);
  useHotkeys('p', () => setPasting(true), options);

  const send = async (file: Blob, name: string, encoding = '') => {
    setProblem(undefined);
    if (file.size > LARGEST)
      return setProblem(
        `${name} has ${Math.round(file.size / 1048576)} MB; up to 20 MB are taken. Split it.`,
      );
    setSent({ file, name, share: 0 });
    try {
      const brought = await bring(group, file, name, encoding, (share) => setSent({ file, name, share }));
      if (brought.list && into !== undefined) {
        // Who carries it is known of the list that it goes into.
        const taken = await data(
          api.POST('/api/intakes/{intake}/list', {
            params: { path: { intake: brought.id } },
            body: { name: brought.name, sheet: '', mapping: null, into, team: null },
          }),
        );
        onList(taken.id);
      } else {
        void go(`/intake/${brought.id}${into ? `?into=${into}` : ''}`);
      }
    } catch (cause) {
      setProblem(`${name}: ${(cause as Error).message}`);
    }
    setSent((now) => (now?.file === file ? { ...now, share: -1 } : now));
  };
  const take = (files: FileList | null) => {
    const file = files?.[0];
    if (file) void send(file, file.name);
  };
  const busy = sent !== undefined && sent.share >= 0;
  return (
    <section aria-label="Bring in a list" className="flex flex-col gap-3">
      <div
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          take(event.dataTransfer.files);
        }}
        className={`flex flex-wrap items-center gap-x-3 gap-y-2 rounded border border-dashed px-4 py-3 ${over ? 'border-accent bg-accent-wash' : 'border-edge'}`}
      >
        <Button kind="strong" disabled={busy} onClick={() => input.current?.click()}>
          Choose a file{' '}
          <kbd aria-hidden="true" className="font-mono text-[12px] opacity-75">
            f
          </kbd>
        </Button>
        <Button disabled={busy} aria-expanded={pasting} onClick={() => setPasting((old) => !old)}>
          Paste lines or a table{' '}
          <kbd aria-hidden="true" className="text-soft font-mono text-[12px]">
            p
          </kbd>
        </Button>
        <span className="text-soft">
          {busy
            ? sent.share < 1
              ? `Sending ${sent.name}: ${Math.round(sent.share * 100)} %`
              : `Reading ${sent.name} …`
            : 'or drop a file here: XLSX, XLS, ODS, CSV, TSV, text or JSON'}
        </span>
        {busy && <progress className="accent-accent h-1.5 w-full" value={sent.share} max={1} />}
        <input
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,.json,.xlsx,.xls,.ods,.html,.htm"
          aria-label="List file"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            take(event.target.files);
            event.target.value = '';
          }}
        />
      </div>
      {pasting && (
        <div className="flex flex-col gap-2">
          <textarea
            autoFocus
            aria-label="Lines or a table"
            rows={7}
            className={`${INPUT} w-full font-mono`}
            placeholder={`${examples.slice(0, 3).join('\n')}\n\nor rows copied from a spreadsheet`}
            value={text}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && text.trim())
                void send(new Blob([text]), 'Pasted');
            }}
          />
          <div className="flex items-center gap-3">
            <Button
              kind="strong"
              disabled={busy || !text.trim()}
              onClick={() => void send(new Blob([text]), 'Pasted')}
            >
              Read it
            </Button>
            <span className="text-second text-soft">
              Ctrl Enter. Nothing becomes a list before you have seen what each line is taken for.
            </span>
          </div>
        </div>
      )}
      {problem && (
        <Notice message={problem}>
          {sent && problem.includes('Windows text') && (
            <Button onClick={() => void send(sent.file, sent.name, 'windows-1252')}>
              Read as Windows text
            </Button>
          )}
        </Notice>
      )}
    </section>
  );
}
