import { useState } from 'react';
import { Server } from '../api/client';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { useTerms } from '../rulebooks/rulebooks';
import { PROPOSED, ToolDialog } from './ToolDialog';
import type { ToolProps } from './tool';

/** The channels named by "1-7, 9 15". */
function channels(text: string): string[] {
  return text.split(/[\s,;]+/).flatMap((part) => {
    const range = /^(\d{1,2})\s*[-–]\s*(\d{1,2})$/.exec(part);
    if (!range) return part ? [part] : [];
    const [from, to] = [Number(range[1]), Number(range[2])];
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, index) => String(from + index));
  });
}

/** Swaps what is in the list for the channels of a personal radio service. */
export function SwapTool({ desk, onTake, onClose }: ToolProps) {
  const offered = (useTerms(desk.rulebook).data?.services ?? []).filter((each) => each.swap);
  const [chosen, setService] = useState('');
  const target =
    offered.find((each) => each.id === chosen) ?? offered.find((each) => each.licence === 'none');
  const service = target?.id ?? '';
  const [named, setNamed] = useState(
    desk.slips.length <= 22 && desk.slips.length > 5 ? `1-${desk.slips.length}` : '',
  );
  const [typed, setWatts] = useState<string | null>(null);
  const watts = typed ?? String(target?.lowW ?? '');
  const [tone, setTone] = useState('choose');
  const [own, setOwn] = useState('');
  const [narrow, setNarrow] = useState(true);
  const [repeaters, setRepeaters] = useState(true);
  const body = {
    service,
    channels: channels(named),
    narrow,
    watts: Number(watts.replace(',', '.')) || 0,
    tone: tone === 'own' ? own : tone,
    repeaters: (target?.repeaters ?? false) && repeaters,
  };
  const asked = Server.useQuery(
    'post',
    '/api/lists/{list}/proposals/swap',
    { params: { path: { list: desk.id } }, body, asOf: desk.version },
    PROPOSED,
  );
  return (
    <ToolDialog
      title="Swap the service"
      words="The entries become channels that the carriers may use, the least active first. Numbers, scan and time-out stay."
      asked={asked}
      label={`swap to ${target?.title ?? ''}`}
      onTake={onTake}
      onClose={onClose}
    >
      <Choice
        label="To"
        value={service}
        options={offered.map(
          (each) =>
            [
              each.id,
              `${each.title}, ${each.licence === 'none' ? 'without a licence' : 'for licence holders'}`,
            ] as const,
        )}
        onChange={(next) => {
          setService(next);
          setWatts(null);
          setNamed('');
        }}
      />
      <Field label="Channels" value={named} placeholder="all of them, or 1-7, 15" onChange={setNamed} />
      <Field label="Power, lowered where less is allowed" unit="W" mono value={watts} onChange={setWatts} />
      <Choice
        label="A tone that all share"
        value={tone}
        options={[
          ['choose', 'a free one: no default, no neighbour’s'],
          ['none', 'none'],
          ['own', 'this one'],
        ]}
        onChange={setTone}
      />
      {tone === 'own' && (
        <Field label="Tone" value={own} mono placeholder="100.0 or code 12" onChange={setOwn} />
      )}
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={narrow} onChange={(event) => setNarrow(event.target.checked)} />
        Narrow everywhere
      </label>
      {target?.repeaters && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={repeaters}
            onChange={(event) => setRepeaters(event.target.checked)}
          />
          With the repeater pairs
        </label>
      )}
      <p className="text-second text-soft">
        A radio has to be certified for the service. Tones keep nothing private: anyone with an open receiver
        hears all.
      </p>
    </ToolDialog>
  );
}
