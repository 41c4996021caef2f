import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import { api, data, type Desk, type Schemas } from '../api/client';
import { ListTabs } from '../desk/ListTabs';
import { Button } from '../ui/Button';
import { Field, INPUT, Labelled } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { Wordmark } from '../ui/Wordmark';
import { PlaceMap } from './PlaceMap';
import { draftOf, problem, settingsOf, type Draft } from './settings';

/** Where a list is used, and the group's rules for it. */
export default function PlacePage() {
  const list = Number(useParams().list);
  const desk = useQuery({
    queryKey: ['desk', list, 'today'],
    queryFn: () => data(api.GET('/api/lists/{list}', { params: { path: { list } } })),
  });
  const places = useQuery({
    queryKey: ['places'],
    staleTime: Infinity,
    queryFn: () => data(api.GET('/api/rulebook/places')),
  });
  const failed = desk.error ?? places.error;
  return (
    <div className="flex min-h-full flex-col">
      <title>{`Place and rules · ${desk.data?.name ?? ''} · Wache`}</title>
      <header className="border-line bg-sheet flex min-h-11 shrink-0 flex-wrap items-center gap-x-3 border-b px-3">
        <Link to="/lists" className="hover:text-accent rounded px-1" aria-label="Wache, to the lists">
          <Wordmark />
        </Link>
        <h1 className="text-title min-w-0 grow truncate font-semibold">{desk.data?.name}</h1>
        <ListTabs list={list} />
        <AccountMenu />
      </header>
      {failed && (
        <main className="p-4">
          <Notice message={failed.message} />
        </main>
      )}
      {desk.data && places.data && <Settings key={desk.data.version} desk={desk.data} places={places.data} />}
    </div>
  );
}

function Settings({ desk, places }: { desk: Desk; places: Schemas['Places'] }) {
  const queries = useQueryClient();
  const [draft, setDraft] = useState<Draft>(() => draftOf(desk.settings));
  const set = (change: Partial<Draft>) => setDraft((old) => ({ ...old, ...change }));
  const next = settingsOf(draft);
  const changed = JSON.stringify(next) !== JSON.stringify(settingsOf(draftOf(desk.settings)));
  const save = useMutation({
    mutationFn: () =>
      data(
        api.PUT('/api/lists/{list}/settings', {
          params: { path: { list: desk.id } },
          body: { before: desk.settings, after: next },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['desk', desk.id] }),
  });
  const kind = draft.kind;
  const wrong = problem(draft);
  const areas = desk.holders.flatMap((holder) =>
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
  const fixed = desk.parent !== null;
  return (
    <main className="mx-auto grid w-full max-w-6xl gap-6 px-5 pt-4 pb-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <section
        aria-label="Map"
        className="flex min-w-0 flex-col gap-3 lg:order-2 lg:col-start-1 lg:row-start-1"
      >
        <PlaceMap
          places={places}
          site={next.place ?? undefined}
          areas={areas}
          onChoose={
            fixed
              ? undefined
              : (latitude, longitude) =>
                  set({
                    kind: kind === 'circle' ? 'circle' : 'site',
                    latitude: String(latitude),
                    longitude: String(longitude),
                  })
          }
        />
        {next.place?.latitude != null && next.place.longitude != null ? (
          <Facts latitude={next.place.latitude} longitude={next.place.longitude} />
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
        <fieldset disabled={fixed} className="flex flex-col gap-3">
          <legend className="text-title pb-1 font-semibold">Where it is used</legend>
          <Labelled label="The place is">
            <select
              className={INPUT}
              value={kind}
              onChange={(event) => set({ kind: event.target.value as Draft['kind'] })}
            >
              <option value="unknown">not known</option>
              <option value="site">one site</option>
              <option value="circle">within a circle</option>
              <option value="region">somewhere in a state</option>
            </select>
          </Labelled>
          {(kind === 'site' || kind === 'circle') && (
            <div className="grid grid-cols-3 gap-2">
              <Field
                label="Latitude"
                unit="° N"
                mono
                value={draft.latitude}
                onChange={(latitude) => set({ latitude })}
              />
              <Field
                label="Longitude"
                unit="° E"
                mono
                value={draft.longitude}
                onChange={(longitude) => set({ longitude })}
              />
              {kind === 'circle' && (
                <Field
                  label="Radius"
                  unit="km"
                  mono
                  value={draft.radiusKm}
                  onChange={(radiusKm) => set({ radiusKm })}
                />
              )}
            </div>
          )}
          {kind === 'region' && (
            <Labelled label="State">
              <select
                className={INPUT}
                value={draft.region}
                onChange={(event) => set({ region: event.target.value })}
              >
                <option value="">choose</option>
                {places.regions.map((region) => (
                  <option key={region.code} value={region.code}>
                    {region.name}
                  </option>
                ))}
              </select>
            </Labelled>
          )}
          <div className="grid grid-cols-3 gap-2">
            <Field
              label="Antenna gain"
              unit="dBd"
              mono
              value={draft.antennaGainDbd}
              onChange={(antennaGainDbd) => set({ antennaGainDbd })}
            />
            <Field
              label="Feed loss"
              unit="dB"
              mono
              value={draft.feedLossDb}
              onChange={(feedLossDb) => set({ feedLossDb })}
            />
            <Field
              label="Radios in use"
              mono
              value={draft.unitsInUse}
              onChange={(unitsInUse) => set({ unitsInUse })}
            />
          </div>
          <p className="text-second text-soft">
            Gain and loss make radiated power of output; left empty, 0 dBd is assumed and said. Radios in use
            are held against the number of units on a licence line. Keep people and power lines clear of
            antennas: local codes and the licence come first.
          </p>
        </fieldset>
        <fieldset disabled={fixed} className="flex flex-col gap-3">
          <legend className="text-title pb-1 font-semibold">House rules</legend>
          <Labelled label="Tones on direct channels">
            <select
              className={INPUT}
              value={draft.directTones}
              onChange={(event) => set({ directTones: event.target.value })}
            >
              <option value="">not settled</option>
              <option value="open">receive open: hear everyone</option>
              <option value="same-both-ways">same tone both ways: hear only us</option>
            </select>
          </Labelled>
          <div className="grid grid-cols-2 gap-2">
            <Field
              label="Longest time-out"
              unit="s"
              mono
              value={draft.maxTimeoutS}
              onChange={(maxTimeoutS) => set({ maxTimeoutS })}
            />
            <Labelled label="Raster on 2 m">
              <select
                className={INPUT}
                value={draft.raster}
                onChange={(event) => set({ raster: event.target.value })}
              >
                <option value="">not settled</option>
                <option value="15">15 kHz</option>
                <option value="20">20 kHz</option>
              </select>
            </Labelled>
          </div>
          <p className="text-second text-soft">Calling channels stay open whatever the house rule says.</p>
        </fieldset>
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
            Take back
          </Button>
          <span role="status" className="text-soft self-center">
            {save.isSuccess && !changed && 'Saved; the list is audited anew.'}
          </span>
        </div>
      </form>
    </main>
  );
}

/** What holds at the place, as the rulebook says. */
function Facts({ latitude, longitude }: { latitude: number; longitude: number }) {
  const facts = useQuery({
    queryKey: ['place', latitude, longitude],
    placeholderData: (old) => old,
    queryFn: () => data(api.GET('/api/rulebook/place', { params: { query: { latitude, longitude } } })),
  });
  if (facts.error) return <Notice message={facts.error.message} />;
  if (!facts.data) return null;
  return (
    <ul className="flex flex-col gap-1">
      {facts.data.region && <li>In {facts.data.region}.</li>}
      {facts.data.lines.map((line) => (
        <li key={line.name}>
          {line.beyond ? 'North' : 'South'} of {line.name}, {line.km.toFixed(0)} km from it at its nearest.{' '}
          <span className="text-second text-soft">{line.source}</span>
        </li>
      ))}
      {facts.data.rules.map((rule) => (
        <li key={rule.words + rule.where}>
          <span className="font-semibold">{rule.words}</span> {rule.where}.{' '}
          <span className="text-second text-soft">{rule.source}</span>
        </li>
      ))}
      {facts.data.rules.length === 0 && <li>Nothing is closed or limited here on account of the place.</li>}
    </ul>
  );
}
