import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, data } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Wordmark } from '../ui/Wordmark';
import { AccountFields } from './AccountFields';
import { TextField } from './TextField';

/** The very first account, made through the link that the server printed. */
export function FirstAccount() {
  const [form, setForm] = useState({ login: '', name: '', password: '', group: '' });
  const go = useNavigate();
  const make = useMutation({
    mutationFn: () =>
      data(api.POST('/api/first-account', { body: { ...form, token: window.location.hash.slice(1) } })),
    onSuccess: () => go('/', { replace: true }),
  });
  return (
    <main className="mx-auto flex max-w-sm flex-col gap-4 px-5 pt-[10vh]">
      <h1 className="text-title flex flex-col gap-3">
        <Wordmark />
        The first account
      </h1>
      <p className="text-soft">It coordinates one group. The link works once.</p>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        <TextField
          label="Group"
          value={form.group}
          onChange={(group) => setForm({ ...form, group })}
          autoFocus
        />
        <AccountFields account={form} onChange={(account) => setForm({ ...form, ...account })} />
        {make.error && <Notice message={make.error.message} />}
        <Button kind="strong" type="submit" disabled={make.isPending} className="justify-center py-2">
          Create the account
        </Button>
      </form>
    </main>
  );
}
