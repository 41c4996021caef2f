import type { Schemas } from '../api/client';
import { position } from './draft';

export type AreaForm = Schemas['AreaForm'];

/** An area as it is typed. */
export interface AreaDraft {
  team: string;
  position: string;
  radius: string;
}

export const areaDraft = (form: AreaForm): AreaDraft => ({
  team: form.name,
  position: `${form.latitude}, ${form.longitude}`,
  radius: String(form.radiusKm),
});

const MOST_KM = 500;

/** What is wrong with what is typed, or the form. */
export function areaForm(draft: AreaDraft): { form: AreaForm } | { problem: string } {
  if (draft.team.trim() === '') return { problem: 'Choose the team.' };
  const middle = position(draft.position);
  if (middle === null)
    return { problem: 'The middle is a latitude and a longitude, such as 45.2012, -93.1034.' };
  const km = /^\s*(\d+(?:[.,]\d+)?)\s*(?:km)?\s*$/.exec(draft.radius);
  const radiusKm = km ? Number(km[1]!.replace(',', '.')) : NaN;
  if (!(radiusKm >= 0.1 && radiusKm <= MOST_KM))
    return { problem: `How far they go is a number of kilometres, 0.1 to ${MOST_KM}.` };
  return { form: { name: draft.team, ...middle, radiusKm } };
}
