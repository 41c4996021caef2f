import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { VerdictMark } from '../ui/VerdictMark';
import { type ProfileFinding, toldOnce } from './profileDraft';

type View = Schemas['ProfileView'];

/** What is dangerous, forbidden or a bad habit in how the radios would be set. */
export function ProfileFindings({
  view,
  onCure,
}: {
  view: View;
  onCure: ((finding: ProfileFinding) => void) | undefined;
}) {
  const told = toldOnce(view.findings);
  return (
    <section aria-label="What is wrong with it" className="flex flex-col gap-2">
      <h2 className="font-semibold">
        {told.length === 0 ? 'Nothing is wrong with it' : 'What is wrong with it'}
      </h2>
      <ul className="flex flex-col gap-1.5">
        {told.map(({ finding, models }) => (
          <li
            key={`${finding.rule}${finding.model}${finding.setting}${finding.message}`}
            className={`bg-sheet border-line flex items-start gap-2 rounded border border-l-[3px] px-3 py-1.5 ${finding.hold ? 'border-l-hold' : 'border-l-query'}`}
          >
            <span className="mt-[3px]">
              <VerdictMark verdict={finding.hold ? 'hold' : 'query'} size={15} />
            </span>
            <span className="min-w-0 grow">
              <span className="font-semibold">{finding.setting}</span>{' '}
              <span className="font-mono">{finding.value}</span>
              <span className="text-soft">
                {' '}
                in {models.join(', ')}
                {!finding.fromProfile && ', as it comes: the profile does not speak of it'}
              </span>
              <span className="block">{finding.message}</span>
              <span className="text-second text-soft">{finding.source}</span>
            </span>
            {finding.cure !== null && onCure && (
              <Button onClick={() => onCure(finding)}>
                Set it to <span className="font-mono">{finding.cure}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The radios that it is for, those that differ first. */
export function InRadios({ view }: { view: View }) {
  if (view.radios.length === 0) return null;
  const differ = view.radios.filter((each) => each.looked && each.differs.length > 0);
  const unknown = view.radios.filter((each) => !each.looked);
  const alike = view.radios.length - differ.length - unknown.length;
  return (
    <section aria-label="Radios that it is for" className="flex flex-col gap-1">
      <h2 className="font-semibold">
        {view.radios.length} {view.radios.length === 1 ? 'radio' : 'radios'}
        <span className="text-soft font-normal">
          : {alike} set so, {differ.length} otherwise, {unknown.length} that nobody has read
        </span>
      </h2>
      <ul className="flex flex-col gap-1">
        {differ.map((each) => (
          <li key={each.unit} className="flex items-start gap-2">
            <span className="mt-[3px]">
              <VerdictMark verdict="query" size={13} />
            </span>
            <span>
              <Radio radio={each} />:{' '}
              {each.differs.map((one, index) => (
                <span key={one.label}>
                  {index > 0 && ', '}
                  {one.label} <span className="font-mono">{one.found || '?'}</span> instead of{' '}
                  <span className="font-mono">{one.wanted}</span>
                </span>
              ))}
            </span>
          </li>
        ))}
        {unknown.length > 0 && (
          <li className="text-soft flex items-start gap-2">
            <span className="mt-[3px]">
              <VerdictMark verdict="listen" size={13} />
            </span>
            <span>
              Not read:{' '}
              {unknown.map((each, index) => (
                <span key={each.unit}>
                  {index > 0 && ', '}
                  <Radio radio={each} />
                </span>
              ))}
            </span>
          </li>
        )}
      </ul>
    </section>
  );
}

const Radio = ({ radio }: { radio: Schemas['RadioSet'] }) => (
  <Link to={`/radios?unit=${radio.unit}`} className="text-accent underline underline-offset-2">
    {radio.label}
  </Link>
);

/** What each wish becomes in each model. */
export function InModels({ view }: { view: View }) {
  const labels = [...new Set(view.models.flatMap((each) => each.lines.map((line) => line.label)))];
  if (labels.length === 0) return null;
  return (
    <section aria-label="In each model" className="flex min-w-0 flex-col gap-1">
      <h2 className="font-semibold">In each model</h2>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="In each model, the table">
        <table className="text-second w-full">
          <thead>
            <tr className="text-soft border-line border-b text-left">
              <th className="py-1 pr-3 font-normal">Setting</th>
              {view.models.map((each) => (
                <th key={each.model} className="px-2 py-1 font-normal whitespace-nowrap">
                  {each.model}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {labels.map((label) => (
              <tr key={label} className="border-line border-b">
                <th scope="row" className="py-0.5 pr-3 text-left font-normal whitespace-nowrap">
                  {label}
                </th>
                {view.models.map((each) => {
                  const line = each.lines.find((one) => one.label === label);
                  return (
                    <td
                      key={each.model}
                      className="px-2 py-0.5 align-top"
                      title={line?.problem || line?.title}
                    >
                      {line?.set ? (
                        <span className="font-mono">{line.set}</span>
                      ) : line && line.title ? (
                        <span className="text-query">not {line.wished}</span>
                      ) : (
                        <span className="text-soft">–</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
