import type { Schemas } from '../api/client';
import { type Who, whoKey } from './plan';

/** Teams and people of the roster, to choose from; what was chosen before is among them even when it is gone. */
export function WhoOptions({
  roster,
  kept,
  name,
}: {
  roster: Schemas['Roster'] | undefined;
  kept?: Who;
  name?: string;
}) {
  const there =
    !kept ||
    (kept.party === null
      ? roster?.teams.some((team) => team.name === kept.team)
      : roster?.parties.some((party) => party.id === kept.party));
  return (
    <>
      {kept && !there && <option value={whoKey(kept)}>{name ?? kept.team ?? 'somebody'}</option>}
      <optgroup label="Teams">
        {roster?.teams.map((team) => (
          <option key={team.name} value={whoKey({ team: team.name, party: null })}>
            {team.name}
          </option>
        ))}
      </optgroup>
      <optgroup label="People, families and firms">
        {roster?.parties.map((party) => (
          <option key={party.id} value={whoKey({ team: null, party: party.id })}>
            {party.name}
          </option>
        ))}
      </optgroup>
    </>
  );
}
