import { NavLink } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import { useMay } from '../accounts/rights';
import { PAGES } from '../pages';
import { Wordmark } from './Wordmark';

/** The way to the pages of a group, and out. */
export function PageHeader() {
  const sees = useMay('see');
  return (
    <header className="border-line bg-sheet flex min-h-12 shrink-0 flex-wrap items-center gap-x-5 border-b px-5 print:hidden">
      <NavLink to="/lists" className="hover:text-accent rounded" aria-label="Wache, to the lists">
        <Wordmark />
      </NavLink>
      <nav aria-label="Pages" className="flex grow flex-wrap gap-x-1">
        {PAGES.map(({ path, header, memberHeader }) => {
          const label = sees ? header : memberHeader;
          return (
            label && (
              <NavLink key={path} to={path} className={({ isActive }) => tab(isActive)}>
                {label}
              </NavLink>
            )
          );
        })}
      </nav>
      <AccountMenu />
    </header>
  );
}

/** How a tab looks: the open one is underlined. */
export const tab = (active: boolean) =>
  `rounded-t border-b-2 px-2 py-2.5 leading-tight whitespace-nowrap ${active ? 'border-accent text-ink font-semibold' : 'border-transparent text-soft hover:text-accent'}`;
