import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, Problem } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Wordmark } from '../ui/Wordmark';
import { SESSION } from './session';
import { TextField } from './TextField';

/** Signing in. */
export function SignIn() {
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const [asked, setAsked] = useState(false);
  const queries = useQueryClient();
  const signIn = useMutation({
    mutationFn: () =>
      data(api.POST('/api/session', { body: { login, password, code: asked ? code : null } })),
    onSuccess: (session) => queries.setQueryData(SESSION.queryKey, session),
    onError: (problem) => {
      if (
        problem instanceof Problem &&
        (problem.body as { secondFactor?: boolean } | undefined)?.secondFactor
      )
        setAsked(true);
    },
  });
  return (
    <main className="mx-auto flex max-w-sm flex-col gap-5 px-5 pt-[14vh]">
      <h1 className="text-title">
        <Wordmark />
      </h1>
      <p className="text-soft">Finds what may not go out before it reaches thirty radios.</p>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate();
        }}
      >
        <TextField label="Name" value={login} onChange={setLogin} autoComplete="username" autoFocus />
        <TextField
          label="Password"
          value={password}
          onChange={setPassword}
          type="password"
          autoComplete="current-password"
        />
        {asked && (
          <TextField
            label="Code from your phone, or one of your paper codes"
            value={code}
            onChange={setCode}
            inputMode="numeric"
            autoComplete="one-time-code"
            autoFocus
          />
        )}
        {signIn.error && <Notice message={signIn.error.message} />}
        <Button kind="strong" type="submit" disabled={signIn.isPending} className="justify-center py-2">
          Sign in
        </Button>
      </form>
    </main>
  );
}
