import { useListsInUse } from '../lists/useLists';
import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, data, type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import type { BroughtIn } from './bring';
import type { Destination } from './destination';

interface Props {
  brought: BroughtIn;
  destination: Destination;
  sheet: string;
  mapping: Schemas['TableMapping'] | null;
  entries: number;
  note: string;
}

/** Where what was brought in goes, who will carry it, and the press that takes it there. */
export function TakeBar({ brought, destination, sheet, mapping, entries, note }: Props) {
  const go = useNavigate();
  const group = { params: { path: { group: brought.groupId } } };
  const roster = Server.useQuery('get', '/api/groups/{group}/roster', group);
  const lists = useListsInUse(brought.groupId);
  const { into, name, team } = destination;
  const take = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/intakes/{intake}/list', {
          params: { path: { intake: brought.id } },
          body: { name, sheet, mapping, into, team },
        }),
      ),
    onSuccess: (taken) => {
      void go(`/lists/${taken.id}`);
    },
  });
  const own = (lists.data ?? []).filter((each) => each.parent === null);
  return (
    <footer className="border-line bg-sheet flex flex-wrap items-end gap-x-4 gap-y-2 border-y px-5 py-3">
      <Choice
        label="Bring them into"
        value={into === null ? '' : String(into)}
        options={[['', 'a new list'] as const, ...own.map((each) => [String(each.id), each.name] as const)]}
        onChange={destination.setInto}
        className="max-w-72"
      />
      {into === null && (
        <Field
          label="Its name"
          value={name}
          className="w-60 max-w-full"
          maxLength={200}
          onChange={destination.setName}
        />
      )}
      {into === null && (roster.data?.teams.length ?? 0) > 0 && (
        <Choice
          label="Carried by"
          value={destination.carriers}
          options={[
            ['', 'nobody yet: choose later'] as const,
            ...(roster.data?.teams ?? []).map(
              (each) => [each.name, `${each.name} (${each.members})`] as const,
            ),
          ]}
          onChange={destination.setCarriers}
          className="max-w-52"
        />
      )}
      <p className="text-second text-soft min-w-0 grow basis-48 self-center">{note}</p>
      <Button onClick={() => void go(into === null ? '/lists' : `/lists/${into}`)}>Cancel</Button>
      <Button
        kind="strong"
        data-next
        disabled={take.isPending || entries === 0 || (into === null && name.trim() === '')}
        onClick={() => take.mutate()}
      >
        {take.isPending
          ? `Taking ${entries} entries …`
          : `${into === null ? 'Bring in' : 'Add'} ${entries} ${entries === 1 ? 'entry' : 'entries'}`}
      </Button>
      {take.error && (
        <div className="w-full">
          <Notice message={take.error.message} />
        </div>
      )}
    </footer>
  );
}
