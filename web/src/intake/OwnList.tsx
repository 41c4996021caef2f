import type { BroughtIn } from './bring';
import { useDestination } from './destination';
import { TakeBar } from './TakeBar';

/** A list in Wache's own format: its columns need no choice, only where it goes and who will carry it. */
export function OwnList({ brought }: { brought: BroughtIn }) {
  const destination = useDestination(brought);
  return (
    <main className="min-h-0 grow overflow-y-auto">
      <header className="px-5 pt-4 pb-3">
        <h1 className="text-title font-semibold">Who carries it?</h1>
        <p className="text-soft max-w-prose">
          {brought.name} is a list in Wache’s own format: its {brought.entries}{' '}
          {brought.entries === 1 ? 'entry comes' : 'entries come'} in as they are. Say who will carry it, and
          the first verdicts are about their licences.
        </p>
      </header>
      <TakeBar
        brought={brought}
        destination={destination}
        sheet=""
        mapping={null}
        entries={brought.entries}
        note="Every entry comes in as it is."
      />
    </main>
  );
}
