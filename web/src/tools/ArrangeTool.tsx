import { useState } from 'react';
import { Server } from '../api/client';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { PROPOSED, ToolDialog } from './ToolDialog';
import type { ToolProps } from './tool';

/** Sorts, groups, numbers and zones. */
export function ArrangeTool({ desk, onTake, onClose }: ToolProps) {
  const [sort, setSort] = useState('frequency');
  const [group, setGroup] = useState('band');
  const [from, setFrom] = useState('1');
  const [inEachGroup, setInEachGroup] = useState(false);
  const [zones, setZones] = useState(true);
  const [size, setSize] = useState('');
  const whole = (text: string) => (/^\d{1,5}$/.test(text.trim()) ? Number(text) : null);
  const body = {
    sort,
    group,
    from: whole(from),
    inEachGroup,
    zones,
    zoneSize: whole(size) || null,
  };
  const asked = Server.useQuery(
    'post',
    '/api/lists/{list}/proposals/arrangement',
    { params: { path: { list: desk.id } }, body, asOf: desk.version },
    PROPOSED,
  );
  return (
    <ToolDialog
      title="Order, numbers, zones"
      words="The list is put in order; numbers and zones follow."
      asked={asked}
      label="another order"
      onTake={onTake}
      onClose={onClose}
    >
      <Choice
        label="Put together"
        value={group}
        options={[
          ['nothing', 'nothing'],
          ['band', 'by band or service'],
          ['service', 'by service'],
          ['use', 'direct, repeaters, listening'],
          ['zone', 'by the zones they have'],
        ]}
        onChange={setGroup}
      />
      <Choice
        label="Sort"
        value={sort}
        options={[
          ['as-they-are', 'as they are'],
          ['frequency', 'by frequency'],
          ['channel', 'by channel number of the service'],
          ['name', 'by name'],
          ['number', 'by number'],
          ['use', 'direct, repeaters, listening'],
        ]}
        onChange={setSort}
      />
      <Field label="Number from" mono value={from} placeholder="numbers stay" onChange={setFrom} />
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={inEachGroup}
          onChange={(event) => setInEachGroup(event.target.checked)}
        />
        Again from 1 in each group
      </label>
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={zones} onChange={(event) => setZones(event.target.checked)} />
        Each group is a zone
      </label>
      {zones && (
        <Field label="Most entries of a zone" mono value={size} placeholder="no limit" onChange={setSize} />
      )}
    </ToolDialog>
  );
}
