import type { Schemas } from '../api/client';
import { inWords } from '../intake/words';
import { VerdictMark, verdictText, verdictWord } from '../ui/VerdictMark';
import { SumView } from './SumView';

interface Props {
  line: Schemas['UnderstoodLine'];
  /** Whether it is one of several: then the sums are left out. */
  many: boolean;
  /** Which meaning is taken: 0 for the first, else one of the others. */
  chosen: number;
  onChoose?: (meaning: number) => void;
}

/** What a line is taken for, how that was worked out, and what it would come to. */
export function UnderstoodView({ line, many, chosen, onChoose }: Props) {
  if (line.problem !== null)
    return (
      <p className="text-second pt-1.5">
        {many && <span className="text-soft font-mono">{line.line} </span>}
        <span className="text-hold font-semibold">Not yet an entry.</span> {line.problem}
      </p>
    );
  const other = chosen > 0 ? line.others[chosen - 1] : undefined;
  const fields = other?.fields ?? line.fields;
  const sum = line.said.find((said) => said.sum.length > 0);
  return (
    <div className={`pt-1.5 ${many ? 'border-line border-t first:border-t-0' : ''}`}>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="font-semibold">{fields.name}</span>
        <span>{inWords(fields)}</span>
        {line.verdict && !other && (
          <span
            className={`text-second inline-flex items-center gap-1 font-semibold ${verdictText[line.verdict] ?? ''}`}
          >
            <VerdictMark verdict={line.verdict} size={12} />
            {verdictWord(line.verdict)}
          </span>
        )}
        {!other && line.reason && <span className="text-second">{line.reason}</span>}
      </p>
      {!many && !other && (
        <div className="mt-1 flex flex-wrap gap-x-8 gap-y-1">
          {sum && (
            <div className="w-72 max-w-full">
              <SumView lines={sum.sum} />
            </div>
          )}
          <ul className="text-second text-soft min-w-0 grow basis-72">
            {line.said
              .filter((said) => said.why !== '' || said.doubt)
              .map((said, index) => (
                <li key={index} className={said.doubt ? 'text-query' : ''}>
                  {said.doubt && <span className="font-semibold">Look: </span>}
                  {said.words}
                  {said.why && `: ${said.why}`}
                </li>
              ))}
          </ul>
        </div>
      )}
      {many &&
        line.said
          .filter((said) => said.doubt)
          .map((said, index) => (
            <p key={index} className="text-second text-query">
              <span className="font-semibold">Look: </span>
              {said.words}
              {said.why && `: ${said.why}`}
            </p>
          ))}
      {onChoose && line.others.length > 0 && (
        <p
          className="text-second flex flex-wrap items-center gap-1.5 pt-1"
          role="group"
          aria-label="What it means"
        >
          <span className="text-soft">It could mean</span>
          {[line.fields.name, ...line.others.map((each) => each.title)].map((title, index) => (
            <button
              key={index}
              type="button"
              aria-pressed={index === chosen}
              onClick={() => onChoose(index)}
              className={`rounded border px-1.5 leading-tight ${index === chosen ? 'border-accent bg-sheet font-semibold' : 'border-edge'}`}
            >
              {title}
            </button>
          ))}
          <kbd className="text-soft font-mono">↓</kbd>
        </p>
      )}
    </div>
  );
}
