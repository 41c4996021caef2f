import { useMutation } from '@tanstack/react-query';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { api, data } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { PageHeader, tab } from '../ui/PageHeader';
import { AtView } from './AtView';
import { BandsView } from './BandsView';
import { EdgesView } from './EdgesView';
import { EditionsView } from './EditionsView';
import { NamesView } from './NamesView';
import { useGroupRulebook, useRulebooks } from './rulebooks';
import { TonesView } from './TonesView';

const VIEWS: [string, string][] = [
  ['at', 'What is at …'],
  ['bands', 'Bands'],
  ['edges', 'Band edges'],
  ['tones', 'Tones and codes'],
  ['names', 'Channel names'],
  ['editions', 'Editions'],
];

/** The rulebook, to be read. */
export function RulebookPage() {
  const [params, setParams] = useAddress();
  const { group } = useGroup();
  const view = params.get('view') ?? 'at';
  const caughtUp = useCaughtUp();
  const sees = useMay('see');
  const may = useMay('coordinate');
  const rulebooks = useRulebooks();
  const own = useGroupRulebook(group?.id, sees);
  const settle = useMutation({
    mutationFn: (id: string) =>
      data(api.PUT('/api/groups/{group}/rulebook', { params: { path: { group: group!.id } }, body: { id } })),
    onSuccess: caughtUp,
  });
  // Until it is known which rulebook is meant nothing is asked for: what is typed meanwhile would be lost.
  const rulebook = params.get('of') ?? (own.isLoading ? '' : (own.data?.id ?? rulebooks.data?.[0]?.id ?? ''));
  const known = rulebook !== '';
  const book = rulebooks.data?.find((each) => each.id === rulebook);
  return (
    <div className="flex min-h-full flex-col">
      <title>Rulebook · Wache</title>
      <PageHeader />
      <nav
        aria-label="Rulebook"
        className="border-line flex shrink-0 flex-wrap gap-x-1 border-b px-5 print:hidden"
      >
        {VIEWS.map(([key, label]) => (
          <button
            key={key}
            type="button"
            aria-current={view === key ? 'page' : undefined}
            className={tab(view === key)}
            onClick={() => setParams(params.get('of') ? { view: key, of: rulebook } : { view: key })}
          >
            {label}
          </button>
        ))}
        <span className="grow" />
        <span className="flex items-center gap-2 py-1">
          <select
            aria-label="Country"
            className={INPUT}
            value={rulebook}
            onChange={(event) => setParams({ view, of: event.target.value })}
          >
            {rulebooks.data?.map((each) => (
              <option key={each.id} value={each.id}>
                {each.title}
                {each.id === own.data?.id ? ', the group’s' : ''}
              </option>
            ))}
          </select>
          {may && own.data && own.data.id !== rulebook && (
            <Button
              className="text-second"
              disabled={settle.isPending}
              onClick={() => settle.mutate(rulebook)}
            >
              Make it the group’s
            </Button>
          )}
        </span>
      </nav>
      <main className="mx-auto w-full max-w-6xl grow px-5 pt-4 pb-8">
        <h1 className="sr-only">Rulebook</h1>
        {settle.error && <Notice message={settle.error.message} />}
        {known && view === 'at' && <AtView key={rulebook} group={group?.id} rulebook={rulebook} />}
        {known && view === 'bands' && <BandsView key={rulebook} group={group?.id} rulebook={rulebook} />}
        {known && view === 'edges' && <EdgesView key={rulebook} group={group?.id} rulebook={rulebook} />}
        {view === 'tones' && <TonesView />}
        {view === 'names' && <NamesView rulebook={rulebook} />}
        {view === 'editions' && <EditionsView rulebook={rulebook} />}
        <p className="text-second text-soft max-w-prose pt-6">
          {book && `${book.title}: ${book.law}. `}Written from memory. Check against the current rules; this
          does not replace them, nor your licence terms.
        </p>
      </main>
    </div>
  );
}
