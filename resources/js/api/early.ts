/*
 * The page's first two answers are asked for while its scripts still come: who is here, and what the screen at this address shows. A
 * phone at the far end of a yard waits for the scripts and for both answers at the same time, and not for one after the other.
 */

/** An answer that had to wait longer for the scripts is asked for anew. */
const FRESH_MS = 10_000;

/** Screens of every day by their address, with what each asks for first. */
const FIRST: [RegExp, string][] = [
  [/^\/$/, 'bench'],
  [/^\/machines$/, 'yard'],
  [/^\/((?:machines|jobs)\/[^/]+)$/, '$1'],
  [/^\/due$/, 'due'],
];

/** Somebody was signed in on this device when it was used last. Nobody else is asked for what only they may see. */
const WAS_HERE = 'vivid-pull.was-here';

export const firstPath = (address: string): string | null => {
  const [shape, path] = FIRST.find(([one]) => one.test(address)) ?? [];
  return shape === undefined || path === undefined ? null : address.replace(shape, path);
};

/** What was asked for early. Each answer is taken once, while it is fresh, and none after anything was changed. */
export class Early {
  private readonly asked = new Map<string, { at: number; answer: Promise<Response> }>();

  constructor(
    private readonly fetching: (path: string) => Promise<Response>,
    private readonly now: () => number = () => performance.now(),
  ) {}

  ask(path: string): void {
    const answer = this.fetching(path);
    // Whoever takes it is told. Where nobody does, nobody needs to know.
    answer.catch(() => undefined);
    this.asked.set(path, { at: this.now(), answer });
  }

  take(path: string): Promise<Response> | null {
    const one = this.asked.get(path);
    this.asked.delete(path);
    return one !== undefined && this.now() - one.at < FRESH_MS ? one.answer : null;
  }

  forget(): void {
    this.asked.clear();
  }
}

/** As every other question to the server is put. */
export const asking = (path: string, more: RequestInit = {}): Promise<Response> =>
  fetch(`/api/${path}`, {
    credentials: 'same-origin',
    ...more,
    headers: { Accept: 'application/json', ...more.headers },
  });

export const PATIENCE_MS = 12_000;

export const early = new Early((path) => asking(path, { signal: AbortSignal.timeout(PATIENCE_MS) }));

export const noteHere = (is: boolean): void => {
  if (is) localStorage.setItem(WAS_HERE, 'yes');
  else localStorage.removeItem(WAS_HERE);
};
export const wasHere = (): boolean => localStorage.getItem(WAS_HERE) !== null;
