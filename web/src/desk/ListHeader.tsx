import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import { Wordmark } from '../ui/Wordmark';
import { ListTabs } from './ListTabs';

/** Which list it is, its pages, and the way back to all lists; a page may add a row of its own. */
export function ListHeader({ list, name, children }: { list: number; name?: string; children?: ReactNode }) {
  return (
    <header className="border-line bg-sheet shrink-0 border-b px-3">
      <div className="flex min-h-11 flex-wrap items-center gap-x-3 max-sm:gap-x-1">
        <Link to="/lists" className="hover:text-accent rounded px-1" aria-label="Wache, to the lists">
          <Wordmark />
        </Link>
        <h1 className="text-title min-w-0 grow truncate font-semibold max-sm:basis-0 max-sm:text-base">
          {name}
        </h1>
        <ListTabs list={list} />
        <AccountMenu />
      </div>
      {children}
    </header>
  );
}
