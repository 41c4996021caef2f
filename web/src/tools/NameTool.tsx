import { useMemo, useState } from 'react';
import { Server } from '../api/client';
import { useMeant } from '../meant/useMeant';
import { useRadios } from '../radios/useRadios';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { displayOf, narrowest } from './displays';
import { PROPOSED, ToolDialog } from './ToolDialog';
import type { ToolProps } from './tool';

const LETTERS = [
  ['ascii', 'capitals, small letters, marks'],
  ['capitals-and-marks', 'capitals, digits and - + / .'],
  ['capitals', 'capitals and digits only'],
] as const;

/** Where nothing is known of the display; common practice, no source. */
const USUAL = 8;

/** Shortens names to a display, by rule, each different from the others. */
export function NameTool({ desk, onTake, onClose }: ToolProps) {
  const meant = useMeant(desk.id);
  const radios = useRadios(desk.groupId);
  const theirs = useMemo(() => {
    if (!meant.data || !radios.data) return undefined;
    const units = new Set(meant.data.meant.units);
    const models = new Set([
      ...meant.data.meant.settings.map((each) => each.model),
      ...radios.data.units.filter((unit) => units.has(unit.id)).map((unit) => unit.model),
    ]);
    return narrowest(
      radios.data.models.filter((each) => models.has(each.id)).flatMap((each) => displayOf(each.body) ?? []),
    );
  }, [meant.data, radios.data]);
  const [typed, setLength] = useState<string>();
  const [chosen, setLetters] = useState<string>();
  const length = typed ?? String(theirs?.length ?? USUAL);
  const letters = chosen ?? theirs?.letters ?? 'ascii';
  const body = { length: Math.min(64, Math.max(1, Number(length) || 1)), letters };
  const asked = Server.useQuery(
    'post',
    '/api/lists/{list}/proposals/names',
    { params: { path: { list: desk.id } }, body, asOf: desk.version },
    PROPOSED,
  );
  return (
    <ToolDialog
      title="Fit the names to a display"
      words="Short forms first, then no blanks, then no vowels, a cut last; no two names are the same."
      asked={asked}
      label={`names of ${body.length} characters`}
      onTake={onTake}
      onClose={onClose}
    >
      <Field label="Characters of the display" mono inputMode="numeric" value={length} onChange={setLength} />
      {theirs && typed === undefined && (
        <p className="text-second text-soft self-end">as the display of {theirs.model} has them</p>
      )}
      <Choice label="What it can show" value={letters} options={LETTERS} onChange={setLetters} />
    </ToolDialog>
  );
}
