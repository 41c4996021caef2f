import { useState } from 'react';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { ProfilesView } from '../settings/ProfilesView';
import { useRadios } from './useRadios';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { ModelList } from './ModelList';
import { ModelPanel } from './ModelPanel';
import { RadiosDue } from './RadiosDue';
import { UnitForm } from './UnitForm';
import { UnitList } from './UnitList';
import { UnitPanel } from './UnitPanel';

const WIDE = '(min-width: 64rem)';

/** The radios of the group and their models: what each can do, what is in it, who has it. */
export function RadiosPage() {
  const { group } = useGroup();
  const [params, setParams] = useAddress();
  const [find, setFind] = useState('');
  const may = useMay('bench');
  const show = params.get('show');
  const models = show === 'models';
  const settings = show === 'settings';
  const chosen = params.get(models ? 'model' : 'unit');
  const radios = useRadios(group?.id);
  const choose = (key: string | undefined) =>
    setParams(models ? { show: 'models', ...(key ? { model: key } : {}) } : key ? { unit: key } : {}, {
      replace: true,
    });
  const all = radios.data;
  const unit = all?.units.find((each) => String(each.id) === chosen);
  // Of the models the one that most radios are of is shown where there is room beside the list.
  const usual = window.matchMedia(WIDE).matches
    ? [...(all?.models ?? [])].sort((a, b) => b.units - a.units)[0]
    : undefined;
  const model = all?.models.find((each) => String(each.id) === chosen) ?? (chosen ? undefined : usual);
  return (
    <div className="flex h-full flex-col">
      <title>Radios · Wache</title>
      <PageHeader />
      <section
        aria-label="What is shown on this page"
        className="border-line flex flex-wrap items-center gap-x-3 gap-y-1 border-b px-5 py-2"
      >
        <h1 className="text-title font-semibold">Radios</h1>
        <div role="group" aria-label="What is shown" className="flex">
          {(
            [
              ['Units', null, all?.units.length],
              ['Models', 'models', all?.models.length],
              ['Settings', 'settings', undefined],
            ] as const
          ).map(([label, shown, count]) => (
            <button
              key={label}
              type="button"
              aria-pressed={show === shown}
              onClick={() => setParams(shown ? { show: shown } : {}, { replace: true })}
              className={`border-edge border px-2.5 py-0.5 first:rounded-l last:rounded-r not-first:-ml-px ${show === shown ? 'bg-accent text-on-accent border-accent' : 'hover:text-accent'}`}
            >
              {label} <span className="font-mono">{count ?? ''}</span>
            </button>
          ))}
        </div>
        {!settings && (
          <input
            type="search"
            className={`${INPUT} text-second w-48`}
            aria-label="Find a radio"
            placeholder="Name, serial, who has it"
            value={find}
            onChange={(event) => setFind(event.target.value)}
          />
        )}
        <span className="grow" />
        <GroupSelect />
        {may && !settings && (
          <Button onClick={() => choose('new')}>{models ? 'New model' : 'New radio'}</Button>
        )}
      </section>
      {radios.error && (
        <div className="p-4">
          <Notice message={radios.error.message} />
        </div>
      )}
      {settings && group && <ProfilesView key={group.id} group={group.id} />}
      {all && group && !settings && (
        <main className="flex min-h-0 grow">
          <section
            aria-label={models ? 'The models' : 'The radios'}
            className={`min-w-0 grow overflow-y-auto ${chosen ? 'max-lg:hidden' : ''}`}
          >
            {models ? (
              <ModelList models={all.models} find={find} chosen={chosen} onChoose={choose} />
            ) : (
              <UnitList units={all.units} find={find} chosen={chosen} onChoose={choose} />
            )}
          </section>
          <section
            aria-label={models ? 'The model' : 'The radio'}
            className={`border-line w-full shrink-0 overflow-y-auto lg:w-[460px] lg:border-l ${chosen ? '' : 'max-lg:hidden'}`}
          >
            {chosen && (
              <Button kind="quiet" className="m-2 lg:hidden" onClick={() => choose(undefined)}>
                ← All of them
              </Button>
            )}
            {models ? (
              model || chosen === 'new' ? (
                <ModelPanel key={chosen ?? model?.id} group={group.id} model={model} onDone={choose} />
              ) : (
                <p className="text-soft p-5">
                  Choose a model to see what it can do. A new one can be made from a file, or copied from
                  another.
                </p>
              )
            ) : chosen === 'new' ? (
              <UnitForm key="new" group={group.id} models={all.models} onDone={choose} />
            ) : unit ? (
              <UnitPanel key={unit.id} group={group.id} unit={unit} radios={all} onDone={choose} />
            ) : (
              <RadiosDue units={all.units} onChoose={choose} />
            )}
          </section>
        </main>
      )}
    </div>
  );
}
