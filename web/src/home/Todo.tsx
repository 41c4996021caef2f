import { Link } from 'react-router';
import { VerdictMark, verdictEdge } from '../ui/VerdictMark';
import { useHome } from './useHome';

/** What whoever is signed in has to do next here, the most pressing first, each with its press. */
export function Todo({ group }: { group: number }) {
  const home = useHome(group).data;
  const todo = home?.todo ?? [];
  if (home?.pending && todo.length === 0) {
    return <p className="text-second text-soft">What there is to do is being worked out …</p>;
  }
  if (todo.length === 0) return null;
  return (
    <section aria-label="To do">
      <h2 className="text-second text-soft pb-1">To do</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {todo.map((each) => (
          <li key={each.subject + each.words}>
            <Link
              to={each.to}
              className={`hover:bg-accent-wash group flex items-start gap-2.5 border-l-[3px] px-3 py-2 ${verdictEdge[each.weight] ?? ''}`}
            >
              <span className="pt-1">
                <VerdictMark verdict={each.weight} size={14} />
              </span>
              <span className="min-w-0 grow">
                <span className="font-semibold">{each.subject}</span> {each.words}{' '}
                <span className="text-accent whitespace-nowrap underline-offset-2 group-hover:underline">
                  {each.press} ›
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
