import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server, type Verdict } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { INPUT, Labelled } from '../ui/Field';
import { megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { useKept } from '../ui/useKept';
import { Section } from './Section';

type Compared = Schemas['ComparedEdge'];

const MARK: Record<Compared['kind'], Verdict> = {
  same: 'clear',
  narrower: 'query',
  wider: 'hold',
  nothing: 'hold',
};

const KINDS = [
  ['ssb', 'SSB'],
  ['cw', 'CW'],
  ['data', 'data'],
  ['fm', 'FM voice'],
] as const;

const khz = (hertz: number) => `${(hertz / 1000).toFixed(1).replace(/\.0$/, '')} kHz`;

function words(each: Compared): string {
  const band = each.wanted?.band ?? '';
  switch (each.kind) {
    case 'same':
      return band;
    case 'narrower':
      return `${band}: less than there is`;
    case 'nothing':
      return 'nothing may be keyed there';
    case 'wider':
      return `${band}: reaches ${[each.below > 0 && `${khz(each.below)} below`, each.above > 0 && `${khz(each.above)} above`].filter(Boolean).join(' and ')}`;
  }
}

/** What the radio really has in its slots for band edges, compared with what a class wants there. */
export function EdgeSlots({ unit }: { unit: number }) {
  const may = useMay('bench');
  const caughtUp = useCaughtUp();
  const [licence, setLicence] = useKept(`wache-edges-class-${unit}`, 'extra');
  const [send, setSend] = useKept<string>(`wache-edges-send-${unit}`, 'ssb');
  const [typed, setTyped] = useState<string>();
  const edges = Server.useQuery(
    'get',
    '/api/units/{unit}/edges',
    { params: { path: { unit }, query: { class: licence, send: [send] } } },
    { placeholderData: keepPreviousData },
  );
  const save = useMutation({
    mutationFn: (text: string) =>
      data(
        api.PUT('/api/units/{unit}/edges', {
          params: { path: { unit } },
          body: {
            version: edges.data!.version,
            edges: text
              .split('\n')
              .filter((line) => line.trim() !== '')
              .map((line) => {
                const [low = '', high = ''] = line.trim().split(/\s*(?:–|-|\s|to)\s*/);
                return { low, high };
              }),
          },
        }),
      ),
    onSuccess: async () => {
      setTyped(undefined);
      await caughtUp();
    },
  });
  if (edges.error) return <Notice message={edges.error.message} />;
  if (!edges.data) return null;
  const { entered, missing, slots, classes } = edges.data;
  const now = entered.map((each) => `${each.low / 1e6} - ${each.high / 1e6}`).join('\n');
  return (
    <Section title="Its slots for band edges">
      <p className="text-second">
        {entered.length === 0
          ? `It has ${slots}; nobody has written down what is in them.`
          : `${entered.length} of ${slots} filled. Compared for a class by where the dial may stand:`}
      </p>
      {entered.length > 0 && (
        <>
          <div className="flex gap-3">
            <Choice
              label="Class"
              value={licence}
              options={classes.map((each) => [each, each] as const)}
              onChange={setLicence}
            />
            <Choice label="To send" value={send} options={KINDS} onChange={setSend} />
          </div>
          <ul className="text-second flex flex-col gap-0.5">
            {entered.map((each, index) => (
              <li key={index} className="flex items-baseline gap-2">
                <span className="translate-y-[2px]">
                  <VerdictMark verdict={MARK[each.kind]} size={12} />
                </span>
                <span className="text-soft w-6 shrink-0 text-right font-mono">{index + 1}</span>
                <span className="w-[8.5rem] shrink-0 font-mono whitespace-nowrap">
                  {megahertz(each.low)}–{megahertz(each.high)}
                </span>
                <span className={each.kind === 'same' ? 'text-soft' : ''}>{words(each)}</span>
              </li>
            ))}
          </ul>
          {missing.length > 0 && (
            <p className="text-second text-soft">
              In no slot: {[...new Set(missing.map((each) => each.band))].join(', ')}.
            </p>
          )}
        </>
      )}
      {may && typed === undefined && (
        <Button className="self-start" onClick={() => setTyped(now)}>
          {entered.length === 0 ? 'Write down what is in them' : 'Change them'}
        </Button>
      )}
      {typed !== undefined && (
        <form
          className="flex flex-col gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate(typed);
          }}
        >
          <Labelled label="One slot a line, in MHz: 14.150 - 14.350">
            <textarea
              className={`${INPUT} h-40 w-full font-mono`}
              value={typed}
              spellCheck={false}
              onChange={(event) => setTyped(event.target.value)}
            />
          </Labelled>
          {save.error && <Notice message={save.error.message} />}
          <div className="flex gap-2">
            <Button type="submit" kind="strong" disabled={save.isPending}>
              Save
            </Button>
            <Button onClick={() => setTyped(undefined)}>Cancel</Button>
          </div>
        </form>
      )}
    </Section>
  );
}
