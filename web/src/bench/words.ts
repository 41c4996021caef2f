import type { Verdict } from '../api/client';
import type { Schemas } from '../api/client';

type Job = Schemas['BenchJob'];

/** The verdict whose mark a state gets. */
export const markOf: Record<string, Verdict | undefined> = {
  good: 'clear',
  differs: 'hold',
  failed: 'hold',
  stopped: 'query',
  running: undefined,
  waiting: undefined,
};

/** How the work on a radio stands, in words. */
export function said(job: Job): string {
  switch (job.state) {
    case 'waiting':
      return 'waits';
    case 'running':
      return job.stage || 'begins';
    case 'good':
      return `${job.entries} entries, read back and tried`;
    case 'stopped':
      return 'stopped before it began';
    default:
      return job.message;
  }
}

/** The stages with the share of the whole that lies before each; reading and writing take the longest. */
const BEFORE: Record<string, [number, number]> = {
  'looking who is there': [0, 0.02],
  'reading what is in it': [0.02, 0.32],
  'setting its lock': [0.32, 0.33],
  writing: [0.33, 0.63],
  closing: [0.63, 0.65],
  'reading back': [0.65, 0.92],
  comparing: [0.92, 0.93],
  'key check': [0.93, 1],
};

/** How far the work on a radio has come, 0 to 1. */
export function share(job: Job): number {
  if (job.state === 'good' || job.state === 'differs') return 1;
  const [from, to] = BEFORE[job.stage] ?? [0, 0];
  return from + (to - from) * (job.total > 0 ? job.done / job.total : 0);
}

export const open = (job: Job) => job.state === 'waiting' || job.state === 'running';

/** A run in short: how many of its radios are how. */
export function inShort(jobs: Job[]): string {
  const count = (...states: string[]) => jobs.filter((job) => states.includes(job.state)).length;
  const parts = [
    [count('good'), 'done'],
    [count('running'), 'at work'],
    [count('waiting'), 'waiting'],
    [count('failed', 'differs'), 'not well'],
    [count('stopped'), 'stopped'],
  ] as const;
  return parts
    .filter(([many]) => many > 0)
    .map(([many, words]) => `${many} ${words}`)
    .join(', ');
}
