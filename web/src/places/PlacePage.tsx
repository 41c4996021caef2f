import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, data, type Desk, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { deskQuery } from '../desk/useDesk';
import { ListHeader } from '../desk/ListHeader';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { PlaceFacts } from './PlaceFacts';
import { PlaceMap } from './PlaceMap';
import { degreesText, draftOf, problem, settingsOf, type Draft } from './settings';
import { SettingsForm } from './SettingsForm';

/** Where a list is used, and the group's rules for it. */
export default function PlacePage() {
  const list = Number(useParams().list);
  const desk = useQuery({
    ...deskQuery(list),
  });
  const places = Server.useQuery(
    'get',
    '/api/rulebook/places',
    { params: { query: { rulebook: desk.data?.rulebook ?? '' } } },
    { enabled: desk.data !== undefined, staleTime: Infinity },
  );
  const failed = desk.error ?? places.error;
  return (
    <div className="flex min-h-full flex-col">
      <title>{`Place and rules · ${desk.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={desk.data?.name} />
      {failed && (
        <main className="p-4">
          <Notice message={failed.message} />
        </main>
      )}
      {desk.data && places.data && <Settings key={desk.data.version} desk={desk.data} places={places.data} />}
    </div>
  );
}

/** The areas that the carriers' licence lines hold for. */
const areasOf = (desk: Desk) =>
  desk.holders.flatMap((holder) =>
    holder.licences.flatMap((licence) =>
      licence.lines.flatMap((line) =>
        line.area
          ? [
              {
                words: `${licence.callSign ?? holder.name}: ${line.mhz} MHz, ${line.emission}`,
                area: line.area,
              },
            ]
          : [],
      ),
    ),
  );

function Settings({ desk, places }: { desk: Desk; places: Schemas['Places'] }) {
  const caughtUp = useCaughtUp();
  const [draft, setDraft] = useState<Draft>(() => draftOf(desk.settings));
  const set = (change: Partial<Draft>) => setDraft((old) => ({ ...old, ...change }));
  const next = settingsOf(draft);
  const changed = JSON.stringify(next) !== JSON.stringify(settingsOf(draftOf(desk.settings)));
  const wrong = problem(draft);
  const save = useMutation({
    mutationFn: () =>
      data(
        api.PUT('/api/lists/{list}/settings', {
          params: { path: { list: desk.id } },
          body: { before: desk.settings, after: next },
        }),
      ),
    onSuccess: caughtUp,
  });
  const fixed = desk.parent !== null;
  const choose = (latitude: number, longitude: number) =>
    set({
      kind: draft.kind === 'circle' ? 'circle' : 'site',
      latitude: degreesText(latitude, 'NS'),
      longitude: degreesText(longitude, 'EW'),
    });
  return (
    <main className="mx-auto grid w-full max-w-6xl gap-6 px-5 pt-4 pb-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <section
        aria-label="Map"
        className="flex min-w-0 flex-col gap-3 lg:order-2 lg:col-start-1 lg:row-start-1"
      >
        <PlaceMap
          places={places}
          site={next.place ?? undefined}
          areas={areasOf(desk)}
          onChoose={fixed ? undefined : choose}
        />
        {next.place?.latitude != null && next.place.longitude != null ? (
          <PlaceFacts
            rulebook={desk.rulebook}
            latitude={next.place.latitude}
            longitude={next.place.longitude}
          />
        ) : (
          <p className="text-soft">
            {fixed
              ? 'The place is not known.'
              : 'Press on the map, or fill in the coordinates: what goes by place is judged then.'}
          </p>
        )}
      </section>
      <form
        className="flex min-w-0 flex-col gap-5"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        {fixed && (
          <p className="bg-accent-wash rounded px-3 py-2">
            This list follows{' '}
            <Link to={`/lists/${desk.parent!.id}/place`} className="text-accent underline">
              {desk.parent!.name}
            </Link>
            : place and rules are set there.
          </p>
        )}
        <SettingsForm draft={draft} regions={places.regions} fixed={fixed} onChange={set} />
        {(wrong ?? save.error) && <Notice message={wrong ?? save.error!.message} />}
        <div className="flex gap-2">
          <Button
            kind="strong"
            type="submit"
            disabled={fixed || !changed || wrong !== undefined || save.isPending}
          >
            Save
          </Button>
          <Button disabled={!changed} onClick={() => setDraft(draftOf(desk.settings))}>
            Discard changes
          </Button>
        </div>
      </form>
    </main>
  );
}
