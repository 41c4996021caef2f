import { useSearchParams } from 'react-router';
import { useGroup } from '../accounts/group';
import { PageHeader, tab } from '../ui/PageHeader';
import { AtView } from './AtView';
import { ChartView } from './ChartView';
import { EdgesView } from './EdgesView';
import { EditionsView } from './EditionsView';
import { NamesView } from './NamesView';
import { TonesView } from './TonesView';

const VIEWS: [string, string][] = [
  ['at', 'What is at …'],
  ['bands', 'Bands by class'],
  ['edges', 'Band edges'],
  ['tones', 'Tones and codes'],
  ['names', 'Channel names'],
  ['editions', 'Editions'],
];

/** The rulebook, to be read. */
export function RulebookPage() {
  const [params, setParams] = useSearchParams();
  const { group } = useGroup();
  const view = params.get('view') ?? 'at';
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
            onClick={() => setParams({ view: key })}
          >
            {label}
          </button>
        ))}
      </nav>
      <main className="mx-auto w-full max-w-6xl grow px-5 pt-4 pb-8">
        <h1 className="sr-only">Rulebook</h1>
        {view === 'at' && <AtView group={group?.id} />}
        {view === 'bands' && <ChartView group={group?.id} />}
        {view === 'edges' && <EdgesView />}
        {view === 'tones' && <TonesView />}
        {view === 'names' && <NamesView />}
        {view === 'editions' && <EditionsView />}
        <p className="text-second text-soft max-w-prose pt-6">
          United States, written from memory of the regulations. Check against the current rules; this does
          not replace them, nor your licence terms.
        </p>
      </main>
    </div>
  );
}
