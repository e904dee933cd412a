const pad = (n: number) => String(Math.trunc(Math.abs(n))).padStart(2, '0');

/** This device's clock with its offset, as entries carry it. */
export function nowWithOffset(date = new Date()): string {
  const offset = -date.getTimezoneOffset();
  const day = `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`;
  const clock = `${pad(date.getHours())}:${pad(date.getMinutes())}:${pad(date.getSeconds())}.${String(date.getMilliseconds()).padStart(3, '0')}`;
  return `${day}T${clock}${offset < 0 ? '-' : '+'}${pad(offset / 60)}:${pad(offset % 60)}`;
}

/** Clock time as the author's own clock showed it. */
export const clock = (at: string) => at.slice(11, 16);

const monthDay = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const monthDayYear = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

const dayOf = (at: string) => new Date(`${at.slice(0, 10)}T00:00:00Z`);

/** `14 Aug`, or with the year where it is not this one. */
export function day(at: string, today = nowWithOffset()): string {
  return (at.slice(0, 4) === today.slice(0, 4) ? monthDay : monthDayYear).format(dayOf(at));
}

export function daysFromToday(date: string, today = nowWithOffset()): number {
  return Math.round((dayOf(date).getTime() - dayOf(today).getTime()) / 86_400_000);
}

/** `today 08:52`, `yesterday`, `14 Aug`. */
export function moment(at: string): string {
  const days = daysFromToday(at);
  if (days === 0) return `today ${clock(at)}`;
  if (days === -1) return `yesterday ${clock(at)}`;
  return day(at);
}

/** When something falls due: `in 9 days`, or by how much that is over: `49 days`. */
export type Due = { readonly says: string; readonly is_over: boolean };

export function due(date: string): Due {
  const days = daysFromToday(date);
  if (days < 0) return { says: `${-days} ${days === -1 ? 'day' : 'days'}`, is_over: true };
  const says = days === 0 ? 'today' : days === 1 ? 'tomorrow' : days < 14 ? `in ${days} days` : day(date);
  return { says, is_over: false };
}

/** After what falls due: `clutch lever 14 Aug`, `clutch lever 49 days over`. */
export const dueWhen = (when: Due): string => (when.is_over ? `${when.says} over` : when.says);

/** In a line of its own: `due 14 Aug`, and `49 days overdue` where that is past. */
export const dueLine = (when: Due): string => (when.is_over ? `${when.says} overdue` : `due ${when.says}`);

/** A figure and its unit stay on one line. */
const TOGETHER = '\u00a0';

export function duration(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  if (hours >= 48) return `${Math.floor(hours / 24)}${TOGETHER}days`;
  return hours === 0 ? `${minutes}${TOGETHER}min` : `${hours}${TOGETHER}h${TOGETHER}${pad(minutes % 60)}`;
}
