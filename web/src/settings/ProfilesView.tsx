import { useAddress } from '../ui/useAddress';
import { useMay } from '../accounts/rights';
import { Server } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { ProfileEditor } from './ProfileEditor';

/** How the radios of the group and of its teams shall be set besides their channels. */
export function ProfilesView({ group }: { group: number }) {
  const may = useMay('bench');
  const [params, setParams] = useAddress();
  const page = Server.useQuery('get', '/api/groups/{group}/profiles', { params: { path: { group } } });
  if (page.error)
    return (
      <main className="p-4">
        <Notice message={page.error.message} />
      </main>
    );
  if (!page.data) return <main />;
  const { profiles } = page.data;
  const wanted = params.get('profile');
  const chosen =
    profiles.find((each) => String(each.id) === wanted) ?? (wanted === 'new' ? undefined : profiles[0]);
  const choose = (profile: string) => setParams({ show: 'settings', profile }, { replace: true });
  return (
    <main className="min-h-0 grow overflow-y-auto">
      <div className="mx-auto flex w-full max-w-[1500px] flex-col gap-4 px-5 py-4">
        <div role="group" aria-label="Profiles" className="flex flex-wrap gap-2">
          {profiles.map((each) => {
            const worst = each.findings.some((finding) => finding.hold)
              ? 'hold'
              : each.findings.length > 0
                ? 'query'
                : 'clear';
            return (
              <button
                key={each.id}
                type="button"
                aria-pressed={chosen?.id === each.id}
                onClick={() => choose(String(each.id))}
                className={`flex min-w-52 items-start gap-2 rounded border px-3 py-1.5 text-left ${chosen?.id === each.id ? 'border-accent bg-accent-wash' : 'border-line bg-sheet hover:border-accent'}`}
              >
                <span className="mt-[3px]">
                  <VerdictMark verdict={worst} size={15} />
                </span>
                <span>
                  <span className="block font-semibold">{each.body.name}</span>
                  <span className="text-second text-soft">
                    {each.team === '' ? 'everybody without a profile of their team' : each.team}
                  </span>
                </span>
              </button>
            );
          })}
          {may && profiles.length > 0 && (
            <Button kind="quiet" onClick={() => choose('new')}>
              New profile
            </Button>
          )}
        </div>
        {chosen || may ? (
          <ProfileEditor
            key={chosen ? `${chosen.id} ${chosen.version}` : 'new'}
            group={group}
            page={page.data}
            stored={chosen}
            onDone={choose}
          />
        ) : (
          <p className="text-soft">
            Nobody has said yet how the radios should be set besides their channels: time-out, tones at the
            end, squelch, keys.
          </p>
        )}
      </div>
    </main>
  );
}
