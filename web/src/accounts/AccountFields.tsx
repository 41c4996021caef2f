import { TextField } from './TextField';

/** What a new account is made of, apart from how one came to make it. */
export interface NewAccount {
  name: string;
  login: string;
  password: string;
}

/** Name, name to sign in with, and password of a new account. */
export function AccountFields({
  account,
  onChange,
  autoFocus,
}: {
  account: NewAccount;
  onChange: (account: NewAccount) => void;
  autoFocus?: boolean;
}) {
  const set = (key: keyof NewAccount) => (text: string) => onChange({ ...account, [key]: text });
  return (
    <>
      <TextField
        label="Your name"
        value={account.name}
        onChange={set('name')}
        autoComplete="name"
        autoFocus={autoFocus}
      />
      <TextField
        label="Name to sign in with"
        value={account.login}
        onChange={set('login')}
        autoComplete="username"
      />
      <TextField
        label="Password, at least 10 characters"
        value={account.password}
        onChange={set('password')}
        type="password"
        minLength={10}
        autoComplete="new-password"
      />
    </>
  );
}
