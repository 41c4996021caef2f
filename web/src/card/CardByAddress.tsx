import { useEffect, useState } from 'react';
import { token as forgery } from '../api/client';
import { moment } from '../ui/dates';
import { Card } from './Card';
import { forget, keep, kept, type HolderCard } from './offline';

/** The card that the address on a printed card opens: what was seen last at once, then what is so now. */
export function CardByAddress() {
  const [token] = useState(
    () => window.location.hash.slice(1) || (localStorage.getItem('wache-card-last') ?? ''),
  );
  const [seen, setSeen] = useState(() => (token ? kept(token) : undefined));
  const [problem, setProblem] = useState<string>();
  const [offline, setOffline] = useState(false);
  useEffect(() => {
    if (!token) return;
    let over = false;
    void ask(token).then((answer) => {
      if (over) return;
      if (answer === 'offline') setOffline(true);
      else if (typeof answer === 'string') {
        setProblem(answer);
        setSeen(undefined);
        forget(token);
      } else {
        localStorage.setItem('wache-card-last', token);
        keep(token, answer);
        setSeen({ card: answer, at: new Date().toISOString() });
      }
    });
    return () => {
      over = true;
    };
  }, [token]);
  return (
    <main className="mx-auto max-w-xl px-4 pt-3 pb-10">
      {!token && (
        <p className="pt-8">
          This page shows a channel card. Open it with the code that is printed on the card, or{' '}
          <a href="/" className="text-accent underline underline-offset-2">
            sign in
          </a>
          .
        </p>
      )}
      {problem && (
        <p
          role="alert"
          className="border-l-hold border-line bg-sheet my-3 rounded border border-l-[3px] px-3 py-2"
        >
          {problem}
        </p>
      )}
      {seen && (
        <Card card={seen.card} note={offline ? `No network: as it was on ${moment(seen.at)}.` : undefined} />
      )}
      {token && !seen && !problem && (
        <p className="text-soft pt-8">
          {offline ? 'There is no network, and this card was never opened here.' : 'Opening the card …'}
        </p>
      )}
    </main>
  );
}

/** The card of now; what speaks against it in words; or that there is no network. */
async function ask(token: string): Promise<HolderCard | string> {
  try {
    if (!forgery()) await fetch('/api/session');
    const answer = await fetch('/api/card', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': forgery() },
      body: JSON.stringify({ token }),
    });
    const body: unknown = await answer.json();
    if (answer.ok) return body as HolderCard;
    if (answer.status >= 500) return 'offline';
    return (body as { detail?: string }).detail ?? 'This address opens no card.';
  } catch {
    return 'offline';
  }
}
