import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { TextField } from '../accounts/TextField';
import { api, data } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Wordmark } from '../ui/Wordmark';

/** Where an administrator's link leads: a new password. */
export function PasswordPage() {
  const [password, setPassword] = useState('');
  const set = useMutation({
    mutationFn: () =>
      data(api.POST('/api/password', { body: { token: window.location.hash.slice(1), password } })),
  });
  return (
    <main className="mx-auto flex max-w-sm flex-col gap-4 px-5 pt-[10vh]">
      <title>New password · Wache</title>
      <h1 className="text-title">
        <Wordmark />
      </h1>
      {set.isSuccess ? (
        <>
          <p role="status">The password is set, and you are signed out everywhere else.</p>
          <Button kind="strong" className="justify-center py-2" onClick={() => window.location.assign('/')}>
            Sign in
          </Button>
        </>
      ) : (
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            set.mutate();
          }}
        >
          <TextField
            label="New password, at least 10 characters"
            value={password}
            onChange={setPassword}
            type="password"
            minLength={10}
            autoComplete="new-password"
            autoFocus
          />
          {set.error && <Notice message={set.error.message} />}
          <Button kind="strong" type="submit" disabled={set.isPending} className="justify-center py-2">
            Set the password
          </Button>
        </form>
      )}
    </main>
  );
}
