import { some } from '../ui/people';

interface Part {
  name: string;
  entries: number;
  talking: number;
  carriers: string[];
}

/** The list itself and its variants, as they go out or went out: how many entries, and for whom. */
export function PartList({ list, parts }: { list: string; parts: Part[] }) {
  return (
    <ul className="flex flex-col gap-2">
      {parts.map((part) => (
        <li key={part.name}>
          <span className="font-semibold">{part.name || list}</span>
          <span className="text-second text-soft block">
            {part.entries} entries,{' '}
            {part.talking === 0 ? (
              <span className="text-query">none of them to talk on: it only listens</span>
            ) : (
              `${part.talking} of them to talk on`
            )}
            . For {some(part.carriers)}.
          </span>
        </li>
      ))}
    </ul>
  );
}
