import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { Notice } from '../ui/Notice';
import { VerdictMark, verdictEdge } from '../ui/VerdictMark';
import { FaultMenu } from './FaultMenu';
import { JobReport } from './JobReport';
import type { Verdict } from '../api/client';
import { inShort, markOf, open, said, share } from './words';

type Job = Schemas['BenchJob'];

const ATTEMPTS: Record<number, string> = { 2: 'second attempt', 3: 'third attempt' };

/** A run: each radio with how far it has come, and what to press when one did not come through. */
export function RunView({ run }: { run: Schemas['BenchRun'] }) {
  const caughtUp = useCaughtUp();
  const [shown, setShown] = useState<number>();
  const refresh = caughtUp;
  const again = useMutation({
    mutationFn: async (jobs: Job[]) => {
      for (const job of jobs)
        await data(api.POST('/api/jobs/{job}/again', { params: { path: { job: job.id } } }));
    },
    onSettled: refresh,
  });
  const stop = useMutation({
    mutationFn: () => data(api.POST('/api/runs/{run}/stop', { params: { path: { run: run.id } } })),
    onSettled: refresh,
  });
  const waiting = run.jobs.some((job) => job.state === 'waiting');
  const bad = run.jobs.filter((job) => ['failed', 'differs', 'stopped'].includes(job.state));
  const whole = run.jobs.reduce((sum, job) => sum + (open(job) ? share(job) : 1), 0) / run.jobs.length;
  return (
    <div className="flex flex-col gap-3 p-5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <div className="min-w-0 grow">
          <h2 className="text-title font-semibold">
            <Link to={`/lists/${run.list}`} className="hover:text-accent">
              {run.name}, {run.number ? `release ${run.number}` : `version ${run.version}`}
            </Link>
          </h2>
          <p className="text-second text-soft">
            {run.jobs.length === 1 ? 'One radio' : `${run.jobs.length} radios`}, begun {moment(run.startedAt)}{' '}
            by {run.by}
            {`, identified as ${run.callSign}`}
          </p>
        </div>
        {waiting && (
          <Button onClick={() => stop.mutate()} disabled={stop.isPending}>
            Stop what waits
          </Button>
        )}
        {bad.length > 1 && !waiting && (
          <Button onClick={() => again.mutate(bad)} disabled={again.isPending}>
            Again for all {bad.length}
          </Button>
        )}
      </div>
      <div>
        <p aria-live="polite" className="pb-1">
          {inShort(run.jobs)}
        </p>
        <Bar share={whole} label="The whole run" />
      </div>
      {(again.error ?? stop.error) && <Notice message={(again.error ?? stop.error)!.message} />}
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {run.jobs.map((job) => (
          <li key={job.id} className={`border-l-[3px] ${edge(markOf[job.state])}`}>
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1.5">
              <button
                type="button"
                aria-expanded={shown === job.id}
                onClick={() => setShown(shown === job.id ? undefined : job.id)}
                className="hover:text-accent flex min-w-0 grow basis-72 items-start gap-2 text-left"
              >
                <span className="mt-[3px] w-4 shrink-0">
                  {markOf[job.state] ? (
                    <VerdictMark verdict={markOf[job.state]!} size={15} />
                  ) : (
                    <span className="text-soft" aria-hidden="true">
                      {job.state === 'running' ? '▸' : '·'}
                    </span>
                  )}
                </span>
                <span className="w-28 shrink-0 font-semibold">{job.label}</span>
                <span className="min-w-0">
                  <span>{said(job)}</span>
                  {job.cure && <span className="text-second block">{job.cure}</span>}
                  <span className="text-second text-soft block">
                    {job.model}
                    {job.leftOut > 0 &&
                      `; ${job.leftOut} ${job.leftOut === 1 ? 'entry stays' : 'entries stay'} out`}
                    {job.brokenOff > 0
                      ? `; broken off when the server went away, and taken up again`
                      : job.attempts > 1 && `; ${ATTEMPTS[job.attempts] ?? `attempt ${job.attempts}`}`}
                    {(job.state === 'failed' || job.state === 'differs') &&
                      (job.kept ? '; the new list is in it' : '; what was in it before is still in it')}
                  </span>
                </span>
              </button>
              {open(job) && (
                <span className="w-36">
                  <Bar share={share(job)} label={job.label} />
                </span>
              )}
              {['failed', 'differs', 'stopped'].includes(job.state) && (
                <Button onClick={() => again.mutate([job])} disabled={again.isPending}>
                  Try {job.label} again
                </Button>
              )}
              <FaultMenu unit={job.unit} label={job.label} fault={job.fault ?? undefined} />
            </div>
            {shown === job.id && <JobReport key={job.state} job={job.id} />}
          </li>
        ))}
      </ul>
    </div>
  );
}

function Bar({ share: part, label }: { share: number; label: string }) {
  const percent = Math.round(part * 100);
  return (
    <span
      role="progressbar"
      aria-label={label}
      aria-valuenow={percent}
      aria-valuemin={0}
      aria-valuemax={100}
      className="flex items-center gap-2"
    >
      <span className="bg-sunk border-line block h-2 grow overflow-hidden rounded border">
        <span className="bg-accent block h-full" style={{ width: `${percent}%` }} />
      </span>
      <span className="text-second w-12 shrink-0 text-right font-mono whitespace-nowrap">{percent} %</span>
    </span>
  );
}

const edge = (verdict: Verdict | undefined) => (verdict ? verdictEdge[verdict] : 'border-l-line');
