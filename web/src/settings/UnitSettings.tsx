import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { Section } from '../radios/Section';

type One = Schemas['UnitSetting'];

/** How one radio shall be set besides its channels, in what it differs, and what it is to be set to otherwise. */
export function UnitSettings({ unit }: { unit: number }) {
  const may = useMay('bench');
  const caughtUp = useCaughtUp();
  const found = Server.useQuery('get', '/api/units/{unit}/settings', { params: { path: { unit } } });
  const save = useMutation({
    mutationFn: (settings: Record<string, string>) =>
      data(
        api.PUT('/api/units/{unit}/settings', {
          params: { path: { unit } },
          body: { version: found.data!.version, settings },
        }),
      ),
    onSuccess: caughtUp,
  });
  if (found.error) return <Notice message={found.error.message} />;
  if (!found.data || found.data.settings.length === 0) return null;
  const { settings, findings, looked, profile, team } = found.data;
  const differs = settings.filter((each) => looked && each.wanted !== null && each.found !== each.wanted);
  const own = Object.fromEntries(
    settings.filter((each) => each.otherwise !== null).map((each) => [each.id, each.otherwise!]),
  );
  const put = (each: One, value: string) => {
    const others = Object.entries(own).filter(([id]) => id !== each.id);
    save.mutate(Object.fromEntries(value === '' ? others : [...others, [each.id, value]]));
  };
  return (
    <Section title="Its settings">
      <p className="text-second">
        {profile === null ? (
          'No profile says how it should be set.'
        ) : (
          <>
            By{' '}
            <Link to="/radios?show=settings" className="text-accent underline underline-offset-2">
              {profile}
            </Link>
            {team && `, for ${team}`}.
          </>
        )}{' '}
        {!looked
          ? 'Nobody has read how it is set.'
          : differs.length === 0
            ? 'It was found set like that.'
            : `${differs.length === 1 ? 'One setting was' : `${differs.length} settings were`} found otherwise.`}
      </p>
      {findings
        .filter((each) => each.hold || each.fromProfile || each.rule === 'transmit-open')
        .map((each) => (
          <p key={each.rule + each.setting} className="text-second flex items-start gap-2">
            <span className="mt-[2px]">
              <VerdictMark verdict={each.hold ? 'hold' : 'query'} size={13} />
            </span>
            <span>
              {each.setting} {each.value}: {each.message}
            </span>
          </p>
        ))}
      {save.error && <Notice message={save.error.message} />}
      <details className="text-second" open={differs.length > 0}>
        <summary className="marker:text-edge hover:text-accent cursor-pointer py-0.5">
          All {settings.length} settings
        </summary>
        <table className="w-full">
          <thead>
            <tr className="text-soft text-left">
              <th className="font-normal">Setting</th>
              <th className="font-normal">Should be</th>
              <th className="font-normal">Found</th>
              <th className="font-normal">On this radio</th>
            </tr>
          </thead>
          <tbody>
            {settings.map((each) => (
              <tr key={each.id} className="border-line border-t align-baseline">
                <th scope="row" className="py-0.5 pr-2 text-left font-normal" title={each.title}>
                  {each.label}
                </th>
                <td className="py-0.5 pr-2 font-mono" title={each.why}>
                  {each.wanted ?? <span className="text-soft">{each.problem ? 'cannot' : '–'}</span>}
                </td>
                <td
                  className={`py-0.5 pr-2 font-mono ${each.wanted !== null && each.found !== null && each.found !== each.wanted ? 'text-query font-semibold' : ''}`}
                >
                  {each.found ?? <span className="text-soft">–</span>}
                </td>
                <td className="py-0.5">
                  {may && each.values.length > 0 ? (
                    <select
                      aria-label={`${each.label} on this radio`}
                      className={`${INPUT} w-full py-0 ${each.otherwise === null ? 'text-soft' : ''}`}
                      value={each.otherwise ?? ''}
                      disabled={save.isPending}
                      onChange={(event) => put(each, event.target.value)}
                    >
                      <option value="">by the profile</option>
                      {each.values.map((value) => (
                        <option key={value}>{value}</option>
                      ))}
                    </select>
                  ) : (
                    (each.otherwise ?? '')
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </Section>
  );
}
