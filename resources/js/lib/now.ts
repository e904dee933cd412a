import { useSyncExternalStore } from 'react';
import { nowWithOffset } from './time';

const TICK_MS = 20_000;

const today = () => nowWithOffset(new Date(now)).slice(0, 10);

let now = Date.now();
let day = today();
let timer: ReturnType<typeof setInterval> | undefined;
const watchers = new Set<() => void>();

/** Nobody is in the middle of something that drawing anew would take from them. */
const isQuiet = (): boolean =>
  document.querySelector('[role=dialog], [role=alertdialog]') === null &&
  !(document.activeElement instanceof HTMLInputElement && document.activeElement.value !== '') &&
  !(document.activeElement instanceof HTMLTextAreaElement);

const tick = () => {
  now = Date.now();
  if (day !== today() && isQuiet()) day = today();
  for (const watcher of watchers) watcher();
};

const subscribe = (watcher: () => void): (() => void) => {
  if (watchers.size === 0) timer = setInterval(tick, TICK_MS);
  watchers.add(watcher);
  return () => {
    watchers.delete(watcher);
    if (watchers.size === 0) clearInterval(timer);
  };
};

/** The moment in milliseconds, kept current while a screen stays open. */
export const useNow = (): number => useSyncExternalStore(subscribe, () => now);

/** The day that is today, for what stands written as *today* and *yesterday*. */
export const useToday = (): string => useSyncExternalStore(subscribe, () => day);
