import type { Schemas } from '../api/client';

export type Form = Schemas['OperationForm'];
export type Watch = Schemas['WatchForm'];
export type Who = Schemas['Who'];
export type Entry = Schemas['EntryOf'];
export type Sheet = Schemas['OperationSheet'];
export type Trouble = Schemas['OperationTrouble'];

/** Milliseconds of an hour such as 2027-03-13T07:00, by the clock of the place. */
export const instant = (hour: string) => Date.parse(`${hour.slice(0, 16)}:00Z`);

const DAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  timeZone: 'UTC',
});

/** A day such as Sat, 13 Mar. */
export const dayOf = (hour: string) => DAY.format(instant(hour));
export const clock = (hour: string) => hour.slice(11, 16);

/** From when to when, the day said once where it is one. */
export function hours(from: string, until: string): string {
  return from.slice(0, 10) === until.slice(0, 10)
    ? `${dayOf(from)}, ${clock(from)} to ${clock(until)}`
    : `${dayOf(from)}, ${clock(from)} to ${dayOf(until)}, ${clock(until)}`;
}

/** Where a watch stands on a line of the operation's length, in shares of 1; nothing where it is no time at all. */
export function lane(form: Form, watch: Watch): { start: number; length: number } | undefined {
  const [first, last] = [instant(form.from), instant(form.until)];
  const from = watch.from ? instant(watch.from) : first;
  const until = watch.until ? instant(watch.until) : last;
  if (!(first < last) || !(from < until)) return undefined;
  const start = Math.min(1, Math.max(0, (from - first) / (last - first)));
  const end = Math.min(1, Math.max(0, (until - first) / (last - first)));
  return { start, length: Math.max(0, end - start) };
}

const HOUR = 3_600_000;
/** Steps of a scale of hours: the first that leaves few enough marks is taken. */
const STEPS = [1, 2, 3, 6, 12, 24, 48, 96, 192, 384];
const MOST_MARKS = 14;

/** The room that the words of a mark need, in shares of 1: an hour, a day. */
const ROOM = { hour: 0.06, day: 0.12 };

/** The marks of the scale: where, in shares of 1, and what stands there; a day where one begins. What has no room says nothing. */
export function marks(form: Form): { at: number; words: string; day: boolean }[] {
  const [first, last] = [instant(form.from), instant(form.until)];
  if (!(first < last)) return [];
  const step = (STEPS.find((each) => (last - first) / HOUR / each <= MOST_MARKS) ?? STEPS.at(-1)!) * HOUR;
  const all: { at: number; words: string; day: boolean }[] = [];
  for (let at = Math.ceil(first / step) * step; at <= last; at += step) {
    const hour = new Date(at).toISOString();
    const day = clock(hour) === '00:00';
    all.push({ at: (at - first) / (last - first), words: day ? dayOf(hour) : clock(hour), day });
  }
  const days = all.filter((mark) => mark.day);
  const free = (mark: { at: number; day: boolean }) =>
    mark.at + (mark.day ? ROOM.day : ROOM.hour) <= 1 &&
    (mark.day || days.every((day) => mark.at < day.at - ROOM.hour || mark.at >= day.at + ROOM.day));
  return all.map((mark) => (free(mark) ? mark : { ...mark, words: '' }));
}

export const sameWho = (one: Who, other: Who) => one.team === other.team && one.party === other.party;

/** A choice of who as one text, and back. */
export const whoKey = (who: Who) => (who.party === null ? `team ${who.team ?? ''}` : `party ${who.party}`);
export const whoOf = (key: string): Who =>
  key.startsWith('party ')
    ? { team: null, party: Number(key.slice(6)) }
    : { team: key.slice(5), party: null };

export const entryKey = (entry: Entry | null) => (entry ? `${entry.list} ${entry.entry}` : '');
export function entryOf(key: string): Entry | null {
  const [list, entry] = key.split(' ').map(Number);
  return list && entry ? { list, entry } : null;
}

/** An entry by its list, as one finds it in a sheet. */
export const found = (sheet: Sheet, entry: Entry | null) =>
  entry
    ? sheet.lists.find((list) => list.id === entry.list)?.entries.find((each) => each.id === entry.entry)
    : undefined;

/** A watch for whom is chosen next. */
export const newWatch = (who: Who): Watch => ({
  who,
  task: '',
  from: null,
  until: null,
  talk: null,
  fallback: null,
  instead: '',
  also: [],
});

/** The form with another watch in a place, or without it; who is on no watch any more must talk to nobody. */
export function withWatch(form: Form, at: number, watch: Watch | null): Form {
  const before = form.watches[at]?.who;
  const watches =
    watch === null
      ? form.watches.filter((_, i) => i !== at)
      : form.watches.map((each, i) => (i === at ? watch : each));
  const still = (who: Who) => watches.some((each) => sameWho(each.who, who));
  const moved = (who: Who) => (watch && before && sameWho(who, before) && !still(who) ? watch.who : who);
  return {
    ...form,
    watches,
    mustTalk: form.mustTalk
      .map(({ one, other }) => ({ one: moved(one), other: moved(other) }))
      .filter(({ one, other }) => still(one) && still(other) && !sameWho(one, other)),
  };
}

/** The form without a list: what was on its entries is on none. */
export function withoutList(form: Form, list: number): Form {
  const kept = (entry: Entry | null) => (entry?.list === list ? null : entry);
  return {
    ...form,
    lists: form.lists.filter((each) => each !== list),
    watches: form.watches.map((each) => ({
      ...each,
      talk: kept(each.talk),
      fallback: kept(each.fallback),
      also: each.also.filter((entry) => entry.list !== list),
    })),
  };
}

/** Everybody who is on a watch, each once, in the order of the watches. */
export const whos = (form: Form): Who[] =>
  form.watches
    .map((each) => each.who)
    .filter((who, i, all) => all.findIndex((other) => sameWho(who, other)) === i);

export const mustTalk = (form: Form, one: Who, other: Who) =>
  form.mustTalk.some(
    (pair) =>
      (sameWho(pair.one, one) && sameWho(pair.other, other)) ||
      (sameWho(pair.one, other) && sameWho(pair.other, one)),
  );

/** The form in which two must talk, or need not. */
export function withPair(form: Form, one: Who, other: Who, must: boolean): Form {
  const rest = form.mustTalk.filter(
    (pair) =>
      !(
        (sameWho(pair.one, one) && sameWho(pair.other, other)) ||
        (sameWho(pair.one, other) && sameWho(pair.other, one))
      ),
  );
  return { ...form, mustTalk: must ? [...rest, { one, other }] : rest };
}

/** What keeps a form from being worked out, before the server is asked; else nothing. */
export function problemOf(form: Form): string | undefined {
  if (!form.name.trim()) return 'Give the operation a name.';
  if (!form.from || !form.until) return 'Say when it begins and when it ends.';
  if (instant(form.from) >= instant(form.until)) return 'It ends before it begins.';
  const bad = form.watches.findIndex((watch) => !lane(form, watch));
  return bad >= 0 ? `Row ${bad + 1} ends before it begins.` : undefined;
}

/** The next Saturday after a day, seven in the morning, for a whole day: what a new operation starts from. */
export function usualHours(today: string): { from: string; until: string } {
  const at = new Date(`${today}T00:00:00Z`);
  at.setUTCDate(at.getUTCDate() + ((6 - at.getUTCDay() + 7) % 7 || 7));
  const day = at.toISOString().slice(0, 10);
  return { from: `${day}T07:00`, until: `${day}T19:00` };
}

/** The same hour on another day of the week after: what a copy starts from. */
export function weekLater(hour: string): string {
  return new Date(instant(hour) + 7 * 24 * HOUR).toISOString().slice(0, 16);
}
