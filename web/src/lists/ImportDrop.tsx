import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { sendFile, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';

/** Takes a list file that is dropped or chosen. */
export function ImportDrop({ group, onDone }: { group: number; onDone: (made: Schemas['Made']) => void }) {
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const send = useMutation({ mutationFn: (file: File) => sendFile(group, file), onSuccess: onDone });
  const take = (files: FileList | null) => {
    const file = files?.[0];
    if (file) send.mutate(file);
  };
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
        className={`flex flex-wrap items-center gap-3 rounded border border-dashed px-4 py-5 ${over ? 'border-accent bg-accent-wash' : 'border-edge'}`}
      >
        <Button kind="strong" disabled={send.isPending} onClick={() => input.current?.click()}>
          Choose a list file
        </Button>
        <span className="text-soft">
          {send.isPending ? `Reading ${send.variables.name} …` : 'or drop it here: CSV or JSON, up to 20 MB'}
        </span>
        <input
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,.json"
          aria-label="List file"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            take(event.target.files);
            event.target.value = '';
          }}
        />
      </div>
      {send.error && <Notice message={`${send.variables?.name ?? 'The file'}: ${send.error.message}`} />}
    </section>
  );
}
