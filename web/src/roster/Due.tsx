import type { Schemas } from '../api/client';
import { day } from '../ui/dates';
import { VerdictMark } from '../ui/VerdictMark';
import { type Ending, endings, RENEWAL_DAYS } from './time';

interface Props {
  roster: Schemas['Roster'];
  onChoose: (party: number) => void;
}

/** So many licences are named that end next after those that are due. */
const AHEAD = 3;

/** What the roster asks of its keeper while nobody is chosen: licences that ended or end soon, who has none, and the teams. */
export function Due({ roster, onChoose }: Props) {
  const all = endings(roster.parties, roster.today);
  const ended = all.filter((each) => each.left < 0);
  const soon = all.filter((each) => each.left >= 0 && each.left <= RENEWAL_DAYS);
  const later = all.filter((each) => each.left > RENEWAL_DAYS).slice(0, AHEAD);
  const without = roster.parties.filter((party) => party.licences.length === 0);
  return (
    <div className="flex max-w-3xl flex-col gap-5 p-5">
      {ended.length > 0 && (
        <Licences title="Ended" verdict="hold" of={ended} roster={roster} onChoose={onChoose} />
      )}
      {soon.length > 0 && (
        <Licences
          title={`Ends within ${RENEWAL_DAYS} days`}
          verdict="query"
          of={soon}
          roster={roster}
          onChoose={onChoose}
        />
      )}
      {ended.length + soon.length === 0 && (
        <p className="text-soft">No licence has ended, and none ends within {RENEWAL_DAYS} days.</p>
      )}
      {later.length > 0 && (
        <Licences title="Then" verdict="clear" of={later} roster={roster} onChoose={onChoose} />
      )}
      {without.length > 0 && (
        <section>
          <h2 className="text-second text-soft pb-1 font-semibold">Without a licence</h2>
          <p className="flex flex-wrap gap-x-4 gap-y-1">
            {without.map((party) => (
              <button
                key={party.id}
                type="button"
                className="text-accent min-h-6 underline-offset-2 hover:underline"
                onClick={() => onChoose(party.id)}
              >
                {party.name}
              </button>
            ))}
          </p>
          <p className="text-second text-soft">
            Lists are held against them as somebody who has no licence of any kind.
          </p>
        </section>
      )}
      {roster.teams.length > 0 && (
        <section>
          <h2 className="text-second text-soft pb-1 font-semibold">Teams</h2>
          <ul className="border-line bg-sheet divide-line divide-y rounded border">
            {roster.teams.map((team) => (
              <li key={team.name} className="flex items-baseline gap-3 px-3 py-1.5">
                <span className="w-48 shrink-0 font-semibold">{team.name}</span>
                <span className="text-second text-soft">
                  {roster.parties
                    .filter((party) => party.teams.includes(team.name))
                    .map((party) => party.name)
                    .join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function Licences({
  title,
  verdict,
  of,
  roster,
  onChoose,
}: Props & { title: string; verdict: Schemas['Verdict']; of: Ending[] }) {
  return (
    <section>
      <h2 className="text-second text-soft flex items-center gap-2 pb-1 font-semibold">
        <VerdictMark verdict={verdict} size={13} /> {title}
      </h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {of.map(({ party, licence, left }, index) => (
          <li key={index} className="flex flex-wrap items-baseline gap-x-3 px-3 py-1.5">
            <button
              type="button"
              className="text-accent min-h-6 w-48 shrink-0 text-left font-semibold underline-offset-2 hover:underline"
              onClick={() => onChoose(party.id)}
            >
              {party.name}
            </button>
            <span className="w-44 shrink-0">
              {roster.services.find((each) => each.id === licence.service)?.title ?? licence.service}{' '}
              <span className="text-soft font-mono">{licence.callSign}</span>
            </span>
            <span className="text-second text-soft">
              {day(licence.expires!)},{' '}
              {left < 0
                ? `${-left} days ago`
                : left === 0
                  ? 'today'
                  : left === 1
                    ? 'tomorrow'
                    : `in ${left} days`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
