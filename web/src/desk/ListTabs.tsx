import { useHotkeys } from 'react-hotkeys-hook';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { Folded } from '../ui/Folded';
import { elsewhere } from '../ui/elsewhere';
import { tab } from '../ui/PageHeader';

const KEEPS_ENTRY = ['', '/who', '/fit'];

/** The pages of one list. */
export function ListTabs({ list }: { list: number }) {
  const pages: [string, string][] = [
    [`/lists/${list}`, 'Desk'],
    [`/lists/${list}/who`, 'Who may key'],
    [`/lists/${list}/fit`, 'Fit'],
    [`/lists/${list}/reach`, 'Reach'],
    [`/lists/${list}/site`, 'On site'],
    [`/lists/${list}/abroad`, 'Abroad'],
    [`/lists/${list}/place`, 'Place and rules'],
    [`/lists/${list}/versions`, 'Versions'],
    [`/lists/${list}/release`, 'Release'],
  ];
  const go = useNavigate();
  const { pathname: here, search } = useLocation();
  // The entry that is chosen stays chosen on the pages that show entries.
  const entry = new URLSearchParams(search).get('entry');
  const way = (to: string) =>
    entry && KEEPS_ENTRY.some((end) => to === `/lists/${list}${end}`) ? `${to}?entry=${entry}` : to;
  const step = (by: number) => {
    const at = pages.findIndex(([to]) => to === here);
    const next = pages[at + by]?.[0];
    if (at >= 0 && next) void go(way(next));
  };
  const options = { useKey: true, ignoreEventWhen: elsewhere };
  useHotkeys('.', () => step(1), options);
  useHotkeys(',', () => step(-1), { ...options, delimiter: ';' });
  useHotkeys('r', () => void go(`/lists/${list}/release`), options);
  return (
    <Folded label="The list" here={pages.find(([to]) => to === here)?.[1] ?? 'Pages'} className="max-w-full">
      {pages.map(([to, label]) => (
        <NavLink key={to} to={way(to)} end className={({ isActive }) => tab(isActive)}>
          {label}
        </NavLink>
      ))}
    </Folded>
  );
}
