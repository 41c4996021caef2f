import { useMutation } from '@tanstack/react-query';
import { type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { sent } from '../api/files';
import { Notice } from '../ui/Notice';

/** A photograph of the radio, or what its own program gave out, kept with what was declared. */
export function Attach({ unit, load }: { unit: number; load: number }) {
  const caughtUp = useCaughtUp();
  const attach = useMutation({
    mutationFn: (file: File) =>
      sent<Schemas['AttachedFile']>(
        `/api/units/${unit}/declarations/${load}/files?name=${encodeURIComponent(file.name)}`,
        file,
      ),
    onSuccess: caughtUp,
  });
  return (
    <div className="flex flex-col gap-1">
      <label className="border-edge bg-sheet hover:border-accent flex min-h-10 cursor-pointer items-center justify-center rounded border px-3">
        Attach a photograph, or the file of the radio’s own program
        <input
          type="file"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) attach.mutate(file);
            event.target.value = '';
          }}
        />
      </label>
      {attach.isPending && <p className="text-soft">Sending …</p>}
      {attach.error && <Notice message={attach.error.message} />}
    </div>
  );
}
