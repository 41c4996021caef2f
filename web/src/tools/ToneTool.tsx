import { useState } from 'react';
import { Server } from '../api/client';
import { Button } from '../ui/Button';
import { ToneKnowledge } from './ToneKnowledge';
import { Translate } from './Translate';
import { PROPOSED, ToolDialog } from './ToolDialog';
import type { ToolProps } from './tool';

/** Plans a tone for each direct channel that nobody else near uses and every radio can do. */
export function ToneTool({ desk, onTake, onClose }: ToolProps) {
  const [digital, setDigital] = useState(false);
  const [codesOnly, setCodesOnly] = useState(false);
  const [models, setModels] = useState<string[]>([]);
  const [only, setOnly] = useState(false);
  const [editing, setEditing] = useState(false);
  const known = Server.useQuery('get', '/api/groups/{group}/tones', {
    params: { path: { group: desk.groupId } },
  });
  const direct = desk.slips.filter((slip) => slip.txHz !== null && slip.txHz === slip.rxHz);
  const without = direct.filter((slip) => !slip.fields.txTone);
  const entries = only && without.length > 0 ? without.map((slip) => slip.id) : [];
  const body = { entries, digital, codesOnly: codesOnly && !digital, models };
  const knowledge = known.data?.knowledge;
  const tables = known.data?.tables ?? [];
  const asked = Server.useQuery(
    'post',
    '/api/lists/{list}/proposals/tones',
    { params: { path: { list: desk.id } }, body, asOf: [desk.version, known.data?.version] },
    PROPOSED,
  );
  if (editing && known.data)
    return (
      <ToneKnowledge
        group={desk.groupId}
        known={known.data}
        onClose={() => {
          setEditing(false);
        }}
      />
    );
  return (
    <ToolDialog
      title="Plan the tones"
      words="A tone for each direct channel: no default, none of the neighbours’, none of your other lists’."
      asked={asked}
      label="a plan of tones"
      onTake={onTake}
      onClose={onClose}
    >
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={digital} onChange={(event) => setDigital(event.target.checked)} />
        Digital codes (DCS) instead of tones
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          disabled={digital}
          checked={codesOnly}
          onChange={(event) => setCodesOnly(event.target.checked)}
        />
        Only the 38 of consumer radios
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          disabled={without.length === 0}
          checked={only && without.length > 0}
          onChange={(event) => setOnly(event.target.checked)}
        />
        Only entries that have none ({without.length})
      </label>
      {tables.length > 0 && (
        <fieldset className="flex flex-col gap-1">
          <legend className="text-soft text-[12px]">Every radio of these can do them</legend>
          {tables.map((table) => (
            <label key={table.model} className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={models.includes(table.model)}
                onChange={(event) =>
                  setModels((old) =>
                    event.target.checked ? [...old, table.model] : old.filter((each) => each !== table.model),
                  )
                }
              />
              {table.model} <span className="text-soft text-second">{table.tones.length} tones</span>
            </label>
          ))}
        </fieldset>
      )}
      <div className="text-second flex flex-col items-start gap-1">
        <p className="text-soft">
          {knowledge?.neighbours.length
            ? `${knowledge.neighbours.length} tones of neighbours are kept clear of.`
            : 'No neighbour’s tone is known yet.'}
        </p>
        <Button className="text-second" onClick={() => setEditing(true)}>
          Neighbours, tables, talk groups
        </Button>
      </div>
      <Translate group={desk.groupId} models={tables.map((table) => table.model)} />
      <p className="text-second text-soft">
        Tones keep nothing private; they keep your radios quiet while others talk on the channel.
      </p>
    </ToolDialog>
  );
}
