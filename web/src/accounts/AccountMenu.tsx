import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data } from '../api/client';
import { currentTheme, switchTheme } from '../ui/theme';
import { PopMenu } from '../ui/PopMenu';
import { useAdministrator } from './rights';
import { useSession } from './session';

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
    <PopMenu
      button={
        <>
          <span className="inline-block max-w-24 truncate align-bottom sm:max-w-none">
            {session.data?.account?.name ?? 'Account'}
          </span>
          <span aria-hidden="true" className="text-soft">
            {' '}
            ▾
          </span>
        </>
      }
      className="hover:text-accent rounded px-2 py-1"
      look="w-56"
      choices={[
        {
          words: theme === 'dark' ? 'Light theme' : 'Dark theme',
          onChoose: () => setTheme(switchTheme()),
        },
        { words: 'Your account', to: '/account' },
        ...(administrator ? [{ words: 'Installation', to: '/installation' }] : []),
        { words: 'Sign out', onChoose: () => void signOut() },
      ]}
    />
  );
}
