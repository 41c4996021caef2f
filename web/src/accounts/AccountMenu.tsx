import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data } from '../api/client';
import { currentTheme, switchTheme } from '../ui/theme';
import { Link } from 'react-router';
import { useAdministrator } from './rights';
import { useSession } from './session';

const ITEM = 'data-focus:bg-accent-wash block w-full rounded px-2.5 py-1.5 text-left';

/** Who is signed in, light or dark, and the way out. */
export function AccountMenu() {
  const session = useSession();
  const administrator = useAdministrator();
  const queries = useQueryClient();
  const [theme, setTheme] = useState(currentTheme);
  const signOut = async () => {
    await data(api.DELETE('/api/session'));
    queries.clear();
    sessionStorage.clear(); // what was typed or chosen in this tab is nobody else's
    window.location.assign('/');
  };
  return (
    <Menu>
      <MenuButton className="hover:text-accent rounded px-2 py-1">
        <span className="inline-block max-w-24 truncate align-bottom sm:max-w-none">
          {session.data?.account?.name ?? 'Account'}
        </span>
        <span aria-hidden="true" className="text-soft">
          {' '}
          ▾
        </span>
      </MenuButton>
      <MenuItems
        anchor="bottom end"
        className="border-edge bg-sheet z-30 w-56 rounded border p-1 shadow-lg focus:outline-none"
      >
        <MenuItem>
          <button type="button" className={ITEM} onClick={() => setTheme(switchTheme())}>
            {theme === 'dark' ? 'Light theme' : 'Dark theme'}
          </button>
        </MenuItem>
        <MenuItem>
          <Link to="/account" className={ITEM}>
            Your account
          </Link>
        </MenuItem>
        {administrator && (
          <MenuItem>
            <Link to="/installation" className={ITEM}>
              Installation
            </Link>
          </MenuItem>
        )}
        <MenuItem>
          <button type="button" className={ITEM} onClick={signOut}>
            Sign out
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  );
}
