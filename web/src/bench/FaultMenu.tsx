import { useMutation } from '@tanstack/react-query';
import { api, data } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { PopMenu } from '../ui/PopMenu';

const FAULTS: [string, string, number][] = [
  ['cable-out', 'Pull the cable out now', 0],
  ['cable-out', 'Pull the cable out in a moment', 15],
  ['flat-battery', 'Battery flat in a moment', 15],
  ['wrong-model', 'Another radio on the cable', 0],
  ['checksum', 'Every answer damaged', 5],
  ['checksum-once', 'One answer damaged', 5],
];

const WORDS: Record<string, string> = {
  'cable-out': 'cable out',
  'flat-battery': 'battery flat',
  'wrong-model': 'another radio',
  checksum: 'answers damaged',
  'checksum-once': 'one answer damaged',
};

/** Makes something go wrong with a simulated radio, to see what the bench does; and mends it. */
export function FaultMenu({ unit, label, fault }: { unit: number; label: string; fault?: string }) {
  const caughtUp = useCaughtUp();
  const change = useMutation({
    mutationFn: ([what, after]: [string, number]) =>
      data(
        api.PUT('/api/units/{unit}/fault', {
          params: { path: { unit } },
          body: { fault: what, after },
        }),
      ),
    onSettled: caughtUp,
  });
  const state = fault ? `simulated: ${WORDS[fault]}` : 'simulated';
  return (
    <PopMenu
      button={state}
      label={`${state}, radio ${label}`}
      className={`text-second rounded border border-transparent px-1.5 hover:border-current ${fault ? 'text-query' : 'text-soft'}`}
      look="text-second"
      choices={[
        ...(fault ? [{ words: 'Clear the fault', onChoose: () => change.mutate(['none', 0]) }] : []),
        ...FAULTS.map(([what, words, after]) => ({
          words,
          onChoose: () => change.mutate([what, after]),
        })),
      ]}
    />
  );
}
