import { useState } from 'react';
import { Server } from '../api/client';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { PROPOSED, ToolDialog } from './ToolDialog';
import type { ToolProps } from './tool';

const LETTERS = [
  ['ascii', 'capitals, small letters, marks'],
  ['capitals-and-marks', 'capitals, digits and - + / .'],
  ['capitals', 'capitals and digits only'],
] as const;

/** Shortens names to a display, by rule, each different from the others. */
export function NameTool({ desk, onTake, onClose }: ToolProps) {
  const [length, setLength] = useState('8');
  const [letters, setLetters] = useState('ascii');
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
      <Choice label="What it can show" value={letters} options={LETTERS} onChange={setLetters} />
    </ToolDialog>
  );
}
