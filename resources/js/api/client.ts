import * as z from 'zod/mini';
import { asOf } from '../lib/asOf';
import { deviceClock } from '../lib/deviceClock';
import { unknownKey } from '../lib/unknownKeys';
import { keepAnswer } from '../offline/register';
import { zProblem } from './contract/zod.gen';
import { asking, early, PATIENCE_MS } from './early';

/** What is answered where there is nothing to say. */
export const nothing = z.null();

/** Somebody else changed it since it was looked at: what it says now, and the version that is. */
export type Changed = { etag: string; now: Record<string, unknown> };

/** The server answered, and the answer is no: a sentence for the person. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly sentence: string,
    readonly missing: readonly string[] = [],
    readonly type: string = '',
    readonly changed: Changed | null = null,
  ) {
    super(sentence);
  }
}

/** Nothing answered: no network, or the server is stopped. */
export class Unreachable extends Error {
  constructor() {
    super('The workshop server does not answer.');
  }
}

/** A picture goes up slowly from the far end of a yard. */
const PICTURE_PATIENCE_MS = 60_000;

function token(): string {
  const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
  return cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length));
}

async function send(method: string, path: string, body: unknown, seen?: string): Promise<Response> {
  const picture = body instanceof Blob ? body : null;
  try {
    if (method !== 'GET') early.forget();
    const begun = early.take(path);
    if (begun !== null) return await begun;
    return await asking(path, {
      method,
      signal: AbortSignal.timeout(picture === null ? PATIENCE_MS : PICTURE_PATIENCE_MS),
      headers: {
        ...(seen === undefined ? {} : { 'If-Match': `"${seen}"` }),
        ...(method === 'GET'
          ? {}
          : {
              'X-XSRF-TOKEN': token(),
              'Content-Type': picture === null ? 'application/json' : 'application/octet-stream',
            }),
      },
      ...(body === undefined ? {} : { body: picture ?? JSON.stringify(body) }),
    });
  } catch {
    throw new Unreachable();
  }
}

/** Whether the server answers again. It is asked for nothing that the worker keeps, which would answer for it. */
export async function isBack(): Promise<boolean> {
  try {
    return (await fetch('/up', { method: 'HEAD', cache: 'no-store', signal: AbortSignal.timeout(4_000) })).ok;
  } catch {
    return false;
  }
}

async function problem(response: Response): Promise<Error> {
  if (response.status >= 502 && response.status <= 504) return new Unreachable();
  const parsed = zProblem.safeParse(await response.json().catch(() => null));
  if (!parsed.success) {
    return new Problem(response.status, 'The workshop server failed. What you typed is kept; try again in a moment.');
  }
  const { detail, missing, type, etag, now } = parsed.data;
  const changed = etag === undefined || now === undefined ? null : { etag, now };
  return new Problem(response.status, detail, missing, type, changed);
}

/** Told with every answer whether it came from the server just now, or was kept from before. */
type Hearing = (live: boolean) => void;
let heard: Hearing = () => undefined;
export const onAnswer = (hearing: Hearing): void => {
  heard = hearing;
};

/** A page older than its session fetches a fresh token and asks once more. */
async function answered(...asked: Parameters<typeof send>): Promise<Response> {
  try {
    const response = await send(...asked);
    if (response.status !== 419) return response;
    await send('GET', 'session', undefined);
    return await send(...asked);
  } catch (error) {
    heard(false);
    throw error;
  }
}

/** How often what others may change is asked for anew while it stands on a screen, in ms. */
export const AGAIN_MS = 30_000;

/** One call to the server. What was looked at before it is changed is named by its version. */
export async function call<T>(
  method: string,
  path: string,
  shape: z.ZodMiniType<T>,
  body?: unknown,
  seen?: string,
): Promise<T> {
  const response = await answered(method, path, body, seen);
  const kept = response.headers.get('X-Kept');
  if (kept === null) {
    asOf.live(path);
    deviceClock.heard(response.headers.get('Date'));
  } else asOf.kept(path, Date.parse(kept) || null);
  heard(kept === null);
  if (!response.ok) throw await problem(response);
  const answer: unknown = response.status === 204 ? null : await response.json();
  if (method === 'GET' && kept === null) void keepAnswer(`/api/${path}`, answer);
  const known = shape.parse(answer);
  if (import.meta.env.DEV) {
    const unknown = unknownKey(answer, known);
    if (unknown !== null)
      throw new Error(`${method} ${path} says ${unknown}, which the contract does not know. Run bin/contract.`);
  }
  return known;
}

/** The same with something that is no text. */
export const upload = <T>(path: string, shape: z.ZodMiniType<T>, body: Blob): Promise<T> =>
  call('PUT', path, shape, body);

export const say = (error: unknown): string =>
  error instanceof Problem
    ? error.sentence
    : error instanceof Unreachable
      ? `${error.message} Check the network, then try again.`
      : 'This page and the server do not understand each other. Load the page again.';
