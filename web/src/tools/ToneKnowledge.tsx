import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { TalkGroups } from './TalkGroups';
import { Notice } from '../ui/Notice';

interface Props {
  group: number;
  known: Schemas['KnownTones'];
  onClose: () => void;
}

type Neighbour = Schemas['NeighbourTone'];
type Model = Schemas['ModelTones'];

/** The tones that neighbours use, and the tables of the group's radio models. */
export function ToneKnowledge({ group, known, onClose }: Props) {
  const [neighbours, setNeighbours] = useState<Neighbour[]>(known.knowledge.neighbours);
  const [tables, setTables] = useState(
    known.knowledge.tables.map((table) => ({ model: table.model, text: table.tones.join(' ') })),
  );
  const [groups, setGroups] = useState(
    known.knowledge.talkGroups.map((each) => ({
      number: String(each.number),
      name: each.name,
      slot: each.slot === null ? '' : String(each.slot),
      forWhom: each.forWhom,
    })),
  );
  const save = useMutation({
    mutationFn: () => {
      const filled = tables.filter((table) => table.model.trim());
      const models: Model[] = filled.map((table) => ({
        model: table.model,
        tones: table.text.split(/[\s,;]+/).filter(Boolean),
      }));
      return data(
        api.PUT('/api/groups/{group}/tones', {
          params: { path: { group } },
          body: {
            before: known.version,
            knowledge: {
              neighbours: neighbours.filter((each) => each.who.trim() || each.tone.trim()),
              tables: models,
              talkGroups: groups
                .filter((each) => each.number.trim() || each.name.trim())
                .map((each) => ({
                  number: Number(each.number),
                  name: each.name.trim(),
                  slot: each.slot === '' ? null : Number(each.slot),
                  forWhom: each.forWhom.trim(),
                })),
            },
          },
        }),
      );
    },
    onSuccess: onClose,
  });
  const set = (at: number, change: Partial<Neighbour>) =>
    setNeighbours((old) => old.map((each, index) => (index === at ? { ...each, ...change } : each)));
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-3">
        <DialogPanel className="border-edge bg-sheet flex max-h-[92vh] w-full max-w-3xl flex-col rounded border">
          <TakesFocus />
          <div className="border-line border-b px-4 py-3">
            <DialogTitle className="text-title font-semibold">
              Neighbours, models’ tables and talk groups
            </DialogTitle>
            <p className="text-second text-soft">
              Of the whole group. Every plan of tones keeps clear of the neighbours; entries are held against
              the talk groups.
            </p>
          </div>
          <div className="flex flex-col gap-4 overflow-y-auto px-4 py-3">
            <section className="flex flex-col gap-1.5">
              <h3 className="font-semibold">Tones that others near use</h3>
              {neighbours.map((each, index) => (
                <div key={index} className="flex flex-wrap gap-2">
                  <input
                    aria-label="Who"
                    placeholder="who"
                    className={`${INPUT} grow basis-48`}
                    value={each.who}
                    onChange={(event) => set(index, { who: event.target.value })}
                  />
                  <input
                    aria-label="On, MHz; empty: everywhere"
                    placeholder="MHz, empty: everywhere"
                    className={`${INPUT} w-52 font-mono`}
                    value={each.mhz}
                    onChange={(event) => set(index, { mhz: event.target.value })}
                  />
                  <input
                    aria-label="Tone"
                    placeholder="100.0, D023, code 12"
                    className={`${INPUT} w-44 font-mono`}
                    value={each.tone}
                    onChange={(event) => set(index, { tone: event.target.value })}
                  />
                  <Button
                    kind="quiet"
                    aria-label={`Remove ${each.who || 'this one'}`}
                    onClick={() => setNeighbours((old) => old.filter((_, at) => at !== index))}
                  >
                    ×
                  </Button>
                </div>
              ))}
              <Button
                className="text-second self-start"
                onClick={() => setNeighbours((old) => [...old, { who: '', mhz: '', tone: '' }])}
              >
                Add one
              </Button>
            </section>
            <section className="flex flex-col gap-1.5">
              <h3 className="font-semibold">Tables of radio models</h3>
              <p className="text-second text-soft">
                The tones in the order of the model’s own numbers: the first is what it calls 1.
              </p>
              {tables.map((table, index) => (
                <div key={index} className="flex gap-2">
                  <input
                    aria-label="Model"
                    placeholder="model"
                    className={`${INPUT} w-44 self-start`}
                    value={table.model}
                    onChange={(event) =>
                      setTables((old) =>
                        old.map((each, at) => (at === index ? { ...each, model: event.target.value } : each)),
                      )
                    }
                  />
                  <textarea
                    aria-label={`Tones of ${table.model || 'the model'}`}
                    rows={2}
                    placeholder="67.0 71.9 74.4 …"
                    className={`${INPUT} text-second grow font-mono`}
                    value={table.text}
                    onChange={(event) =>
                      setTables((old) =>
                        old.map((each, at) => (at === index ? { ...each, text: event.target.value } : each)),
                      )
                    }
                  />
                  <Button
                    kind="quiet"
                    aria-label={`Remove ${table.model || 'this table'}`}
                    onClick={() => setTables((old) => old.filter((_, at) => at !== index))}
                  >
                    ×
                  </Button>
                </div>
              ))}
              <Button
                className="text-second self-start"
                onClick={() => setTables((old) => [...old, { model: '', text: '' }])}
              >
                Add one
              </Button>
            </section>
            <TalkGroups groups={groups} onChange={setGroups} />
            {save.error && <Notice message={save.error.message} />}
          </div>
          <div className="border-line flex justify-end gap-3 border-t px-4 py-3">
            <Button onClick={onClose}>Cancel</Button>
            <Button kind="strong" disabled={save.isPending} onClick={() => save.mutate()}>
              Keep them
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
