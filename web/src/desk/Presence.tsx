import { useEffect, useState } from 'react';
import { useRulesMark } from '../api/fresh';
import { Server } from '../api/client';
import type { DeskSeen } from './useDesk';
import { Button } from '../ui/Button';

const EVERY_MS = 6_000;

interface Props {
  desk: DeskSeen;
  entry?: number;
  /** Whether something is typed that is not saved: then nothing is changed under the hands. */
  typing: boolean;
  onChanged: () => void;
  /** Drops what is typed and shows what is there. */
  onDrop: () => void;
}

/** Who else is on the list just now and at which entry; what they saved comes in by itself unless somebody types here. */
export function Presence({ desk, entry, typing, onChanged, onDrop }: Props) {
  const [page] = useState(() => crypto.getRandomValues(new Uint32Array(2)).join('-'));
  const here = Server.useQuery(
    'put',
    '/api/lists/{list}/presence',
    { params: { path: { list: desk.id } }, body: { page, entry: entry ?? null } },
    { refetchInterval: EVERY_MS, placeholderData: (old) => old, retry: false },
  );
  const newer = here.data !== undefined && here.data.version > desk.version;
  // A mark from before the list was judged says nothing against it.
  const rules = useRulesMark(desk.groupId, desk.fetched);
  const otherRules = rules !== undefined && rules !== desk.rules;
  useEffect(() => {
    if ((newer || otherRules) && !typing) onChanged();
  }, [newer, otherRules, typing, onChanged]);
  const others = here.data?.others ?? [];
  if (others.length === 0 && !newer) return null;
  return (
    <p role="status" className="text-second text-accent flex flex-wrap items-center gap-x-3">
      {others.map((each) => (
        <span key={each.name + each.entry}>
          {each.self ? 'You are here in another window too' : `${each.name} is here too`}
          {each.entry && `, at ${each.entry}`}
        </span>
      ))}
      {newer && typing && (
        <span className="text-query">
          {here.data.changedBy} saved something while you type. If it is the same field, saving shows both.{' '}
          <Button kind="quiet" className="text-second" onClick={onDrop}>
            Discard mine and show it
          </Button>
        </span>
      )}
    </p>
  );
}
