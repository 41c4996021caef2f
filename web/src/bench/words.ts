import type { Schemas, Verdict } from '../api/client';
type Job = Schemas['BenchJob'];

/** The verdict whose mark a state gets. */
export const markOf: Record<Schemas['JobState'], Verdict | undefined> = {
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
      return job.stage === null ? 'begins' : STAGES[job.stage].words;
    case 'good':
      return `${job.entries} entries, read back and tried`;
    case 'stopped':
      return 'stopped before it began';
    case 'failed':
    case 'differs':
      return job.message;
  }
}

/** What is being done, and the share of the whole that lies before it and after it; reading and writing take the longest. */
const STAGES: Record<Schemas['Stage'], { words: string; from: number; to: number }> = {
  identify: { words: 'looking who is there', from: 0, to: 0.02 },
  read: { words: 'reading what is in it', from: 0.02, to: 0.32 },
  lock: { words: 'setting its lock', from: 0.32, to: 0.33 },
  write: { words: 'writing', from: 0.33, to: 0.63 },
  settings: { words: 'setting what is no channel', from: 0.63, to: 0.64 },
  close: { words: 'closing', from: 0.64, to: 0.65 },
  'read-back': { words: 'reading back', from: 0.65, to: 0.92 },
  compare: { words: 'comparing', from: 0.92, to: 0.93 },
  'key-check': { words: 'key check', from: 0.93, to: 1 },
};

/** How far the work on a radio has come, 0 to 1. */
export function share(job: Job): number {
  if (job.state === 'good' || job.state === 'differs') return 1;
  if (job.stage === null) return 0;
  const { from, to } = STAGES[job.stage];
  return from + (to - from) * (job.total > 0 ? job.done / job.total : 0);
}

export const open = (job: Job) => job.state === 'waiting' || job.state === 'running';

/** A run in short: how many of its radios are how. */
export function inShort(jobs: Job[]): string {
  const count = (...states: Schemas['JobState'][]) => jobs.filter((job) => states.includes(job.state)).length;
  const parts = [
    [count('good'), 'done'],
    [count('running'), 'at work'],
    [count('waiting'), 'waiting'],
    [count('failed', 'differs'), 'failed'],
    [count('stopped'), 'stopped'],
  ] as const;
  return parts
    .filter(([many]) => many > 0)
    .map(([many, words]) => `${many} ${words}`)
    .join(', ');
}
