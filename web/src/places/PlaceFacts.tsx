import { Server } from '../api/client';
import { Notice } from '../ui/Notice';

/** What holds at a place, as the rulebook says. */
export function PlaceFacts({
  latitude,
  longitude,
  rulebook,
}: {
  latitude: number;
  longitude: number;
  rulebook: string;
}) {
  const facts = Server.useQuery(
    'get',
    '/api/rulebook/place',
    { params: { query: { latitude, longitude, rulebook } } },
    { placeholderData: (old) => old },
  );
  if (facts.error) return <Notice message={facts.error.message} />;
  if (!facts.data) return null;
  return (
    <ul className="flex flex-col gap-1">
      {facts.data.region && <li>In {facts.data.region}.</li>}
      {facts.data.lines.map((line) => (
        <li key={line.name}>
          {line.beyond ? 'North' : 'South'} of {line.name}, {line.km.toFixed(0)} km from it at its nearest.{' '}
          <span className="text-second text-soft">{line.source}</span>
        </li>
      ))}
      {facts.data.rules.map((rule) => (
        <li key={rule.words + rule.where}>
          <span className="font-semibold">{rule.words}</span> {rule.where}.{' '}
          <span className="text-second text-soft">{rule.source}</span>
        </li>
      ))}
      {facts.data.rules.length === 0 && <li>Nothing is closed or limited here on account of the place.</li>}
    </ul>
  );
}
