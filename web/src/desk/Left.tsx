import { useListsInUse } from '../lists/useLists';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { some } from '../ui/people';

interface Props {
  list: number;
  name: string;
  group: number;
  proposed: Schemas['ProposedCures'];
  /** Entries that are to listen only, for everybody. */
  silenced: ReadonlySet<number>;
  onSilence: (entries: ReadonlySet<number>) => void;
  onClose: () => void;
}

const names = (entries: Schemas['Uncured'][]) => entries.map((each) => each.name || each.number).join(', ');

/** What no cure of the whole list helps: nothing proved does, or some may key it and others not, which is a choice. */
export function Left({ list, name, group, proposed, silenced, onSilence, onClose }: Props) {
  const split = proposed.left.filter((each) => each.may.length > 0);
  const none = proposed.left.filter((each) => each.may.length === 0);
  return (
    <>
      {split.length > 0 && (
        <Choice
          list={list}
          name={name}
          group={group}
          split={split}
          rest={proposed.rest}
          silenced={silenced}
          onSilence={onSilence}
          onClose={onClose}
        />
      )}
      {none.length > 0 && <p className="text-second text-soft py-2">No proved cure for {names(none)}.</p>}
    </>
  );
}

/** Some may and some may not: the others get a variant, everybody loses it, or those who may not are licensed. */
function Choice({
  list,
  name,
  group,
  split,
  rest,
  silenced,
  onSilence,
  onClose,
}: Omit<Props, 'proposed'> & { split: Schemas['Uncured'][]; rest: Schemas['Rest'] }) {
  const [variant, setVariant] = useState('');
  const lists = useListsInUse(group);
  const variants = (lists.data ?? []).filter((each) => each.parent === list);
  const move = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/lists/{list}/moved-carriers', {
          params: { path: { list } },
          body: {
            names: rest.who.map((each) => each.name),
            variant: variant === '' ? null : Number(variant),
            name: `${name}, without a licence for all of it`.slice(0, 200),
          },
        }),
      ),
    onSuccess: onClose,
  });
  const all = split.every((each) => silenced.has(each.entry));
  return (
    <section aria-label="Some may key it" className="border-line flex flex-col gap-2 border-t py-2">
      <p>
        {names(split)}: {some([...new Set(split.flatMap((each) => each.may))])} may key{' '}
        {split.length === 1 ? 'it' : 'them'}, {some(rest.who.map((each) => each.name))} may not. Nothing is
        taken from those who may unless you say so:
      </p>
      <ul className="flex flex-col gap-1.5">
        <li className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <Button disabled={move.isPending} onClick={() => move.mutate()}>
            Move {rest.who.length === 1 ? rest.who[0]!.name : `the ${rest.who.length} who may not`} to a
            variant
          </Button>
          {variants.length > 0 && (
            <select
              aria-label="Which variant"
              className="border-edge bg-sheet max-w-64 rounded border px-2 py-1"
              value={variant}
              onChange={(event) => setVariant(event.target.value)}
            >
              <option value="">a new one</option>
              {variants.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
          )}
          <span className={rest.talks === 0 ? 'text-query' : 'text-soft'}>
            {rest.talks === 0
              ? 'They could talk on nothing of it: it would only listen.'
              : `There they talk on ${rest.talks}, and the rest only listens.`}
          </span>
        </li>
        <li>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={all}
              onChange={(event) =>
                onSilence(new Set(event.target.checked ? split.map((each) => each.entry) : []))
              }
            />
            Take {split.length === 1 ? 'it' : 'them'} from all: {split.length === 1 ? 'it' : 'they'} only{' '}
            {split.length === 1 ? 'listens' : 'listen'} for everybody
          </label>
        </li>
        <li className="text-soft">
          Or license them:{' '}
          {rest.who.slice(0, 6).map((each, index) => (
            <span key={each.name}>
              {index > 0 && ', '}
              {each.party === null ? (
                each.name
              ) : (
                <Link to={`/roster?party=${each.party}`} className="text-accent underline underline-offset-2">
                  {each.name}
                </Link>
              )}
            </span>
          ))}
          {rest.who.length > 6 && ` and ${rest.who.length - 6} more`}.
        </li>
      </ul>
      {move.error && <Notice message={move.error.message} />}
    </section>
  );
}
