import { NavLink, useLocation } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import { useMay } from '../accounts/rights';
import { PAGES } from '../pages';
import { Folded } from './Folded';
import { Wordmark } from './Wordmark';

/** The way to the pages of a group, and out. */
export function PageHeader() {
  const sees = useMay('see');
  const at = useLocation().pathname;
  const pages = PAGES.flatMap(({ path, header, memberHeader }) => {
    const label = sees ? header : memberHeader;
    return label ? [{ path, label }] : [];
  });
  const here = pages.find(({ path }) => at === path || at.startsWith(`${path}/`))?.label;
  return (
    <header className="border-line bg-sheet flex min-h-12 shrink-0 flex-wrap items-center gap-x-5 border-b px-5 max-sm:min-h-11 max-sm:gap-x-2 max-sm:px-3 print:hidden">
      <NavLink to="/lists" className="hover:text-accent rounded" aria-label="Wache, to the lists">
        <Wordmark />
      </NavLink>
      <Folded label="Pages" here={here ?? 'Pages'} className="sm:grow">
        {pages.map(({ path, label }) => (
          <NavLink key={path} to={path} className={({ isActive }) => tab(isActive)}>
            {label}
          </NavLink>
        ))}
      </Folded>
      <span className="grow sm:hidden" />
      <AccountMenu />
    </header>
  );
}

/** How a tab looks: the open one is underlined. */
export const tab = (active: boolean) =>
  `rounded-t border-b-2 px-2 py-2.5 leading-tight whitespace-nowrap ${active ? 'border-accent text-ink font-semibold' : 'border-transparent text-soft hover:text-accent'}`;
