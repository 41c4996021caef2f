const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});
const MOMENT = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  timeZoneName: 'short',
});

/** A day such as 2026-11-25 as 25 Nov 2026. */
export const day = (iso: string) => DAY.format(new Date(`${iso}T00:00:00Z`));

/** A moment in the reader's own zone. */
export const moment = (iso: string) => MOMENT.format(new Date(iso));

const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const OWN_DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A moment in short, in the reader's own zone: today its time, else its day. */
export function lately(iso: string, now = new Date()): string {
  const at = new Date(iso);
  return OWN_DAY.format(at) === OWN_DAY.format(now) ? `today, ${TIME.format(at)}` : OWN_DAY.format(at);
}
