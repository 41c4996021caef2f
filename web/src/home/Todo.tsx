import { Link } from 'react-router';
import { VerdictMark, verdictEdge } from '../ui/VerdictMark';
import { useHome } from './useHome';

/** What whoever is signed in has to do next here, the most pressing first, each with its press. */
export function Todo({ group }: { group: number }) {
  const todo = useHome(group).data?.todo ?? [];
  if (todo.length === 0) return null;
  return (
    <section aria-label="To do">
      <h2 className="text-second text-soft pb-1">To do</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {todo.map((each) => (
          <li key={each.subject + each.words}>
            <Link
              to={each.to}
              className={`hover:bg-accent-wash group flex items-baseline gap-3 border-l-[3px] px-4 py-2 max-sm:flex-wrap ${verdictEdge[each.weight] ?? ''}`}
            >
              <span className="self-center">
                <VerdictMark verdict={each.weight} size={14} />
              </span>
              <span className="min-w-0 grow">
                <span className="font-semibold">{each.subject}</span> {each.words}
              </span>
              <span className="text-accent shrink-0 underline-offset-2 group-hover:underline">
                {each.press}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
