import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react';
import { zPose } from '../../api/contract/zod.gen';
import type {
  Adjuster,
  BenchState,
  Draft,
  Instrument,
  Item,
  Job,
  Option,
  Point,
  PointKey,
  PoseKey,
  Shown,
  StageKey,
} from '../../api/jobs';
import { type Connection, type KeptEntry, outbox } from '../../lib/outbox';
import { begunLines, keepLine, lineKey, preferencesOf } from '../../lib/preferences';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';

/** Everything the parts of a job's screen share: what the server said, what is asked, what is typed, and how to send. */
export type Picked = { key: string; of?: string; label: string };

export type Bench = {
  job: Job;
  state: BenchState;
  joined: boolean;
  mayWrite: boolean;
  viewed: StageKey;
  view: (stage: StageKey) => void;
  item: Item | null;
  turnTo: (key: string | null) => void;
  adjuster: Adjuster | null;
  option: Option | null;
  /** Whether the person picked the adjuster themselves. */
  picked: boolean;
  chooseAdjuster: (id: string) => void;
  pose: PoseKey;
  /** What is asked after the poses or cable that is still being read; null where nothing is being kept to. */
  after: Item | null;
  /** Goes on to what is asked after it, though its group is not full. */
  goOn: () => void;
  /** Where the next reading goes, in words: place, pose, and cable where there are two. */
  target: string;
  instrument: Instrument | null;
  /** Where the next reading is taken; the spec's own place unless the person chose another. */
  /** Null where no play is read. */
  point: Point | null;
  choosePoint: (key: PointKey) => void;
  /** One of many that was picked to be measured, such as a plate: what is typed is its until it is put back. */
  picking: Picked | null;
  pick: (one: Picked | null) => void;
  chooseInstrument: (id: string) => void;
  /** Key of the line begun here; the line itself is the pad's, so that a key press draws the pad and nothing else. */
  lineKey: string;
  send: (draft: Draft) => void;
  sendLine: (line: string) => void;
  field: React.RefObject<HTMLInputElement | null>;
};

/** What comes and goes with every entry on its way. Apart from the bench, so that it draws little again. */
export type OutboxStatus = {
  /** Entries of this job that the server has not acknowledged, oldest first. */
  kept: readonly KeptEntry[];
  connection: Connection;
  /** Why the line in the field was refused. */
  refusal: string | null;
  /** Told that something else is being typed now. */
  forgive: () => void;
};

export const BenchContext = createContext<Bench | null>(null);
export const OutboxStatusContext = createContext<OutboxStatus | null>(null);

export function useOutboxStatus(): OutboxStatus {
  const post = useContext(OutboxStatusContext);
  if (post === null) throw new Error('useOutboxStatus needs an open job: render it inside <OutboxStatusContext>.');
  return post;
}

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (bench === null) throw new Error('useBench needs an open job: render it inside <BenchContext>.');
  return bench;
}

const items = (state: BenchState): readonly Item[] => state.stages.flatMap((stage) => stage.items);

/** Lines that say something else than what is asked: notes, tags, moves, how it is set. */
const BESIDE =
  /^(?:n|v|tag|aim|park)\s|^(?:done|stop|service|touch-up)$|^[+\-−]|^[a-z ]+ \d.*(?:turn|flat|click|bevel|rung|hole|mm)|\d ?(?:turn|flat|click|bevel|rung|hole|mm)s? .*[a-z]$/;

/** Beginnings of a label that the server takes for it. */
const LEAST_LETTERS = 3;

/** Whether a line answers what it was typed at, as far as that can be told before the server has read it. */
function answers(line: string, item: Item): boolean {
  const isAnswer = item.answers.some(
    ({ word, hint, label, asks_remark }) =>
      line === word ||
      line === hint ||
      (asks_remark && (line.startsWith(`${word} `) || line.startsWith(`${hint} `))) ||
      (line.length >= LEAST_LETTERS && label.toLowerCase().startsWith(line)),
  );
  if (isAnswer || item.kind === 'reading' || item.kind === 'in_band') return isAnswer;
  return item.kind === 'answer' ? item.key === 'condition' && /^(?:cold|hot)\b/.test(line) : !BESIDE.test(line);
}

const isAmong = (keys: unknown, key: string): boolean => Array.isArray(keys) && keys.includes(key);

/** Whether a kept entry answers this item, so that the screen can go on to the next while it waits. */
export function settles(entry: KeptEntry, item: Item): boolean {
  if (entry.state !== 'waiting') return false;
  const { draft } = entry;
  if ('line' in draft) return draft.shown.item === item.key && answers(draft.line.trim().toLowerCase(), item);
  if (draft.kind === 'all_confirmed') return isAmong(draft.body.keys, item.key);
  const sent = JSON.stringify(draft.body);
  return (
    item.answers.some((answer) => answer.kind === draft.kind && JSON.stringify(answer.body) === sent) ||
    (draft.kind === 'closed' && item.kind === 'sign_off')
  );
}

/**
 * What to do next: the first thing missing that is neither waiting to be sent nor answered badly already. Where all of a
 * stage waits to be sent, work goes on with the stage after it.
 */
function asked(state: BenchState, kept: readonly KeptEntry[]): Item | null {
  const at = state.stages.findIndex((stage) => stage.key === state.stage);
  for (const stage of state.stages.slice(at)) {
    const missing = stage.items.filter((item) => !item.done);
    const open = missing.filter((item) => !kept.some((entry) => settles(entry, item)));
    const next = open.find((item) => !item.failed) ?? open[0];
    if (next !== undefined) return next;
    // Nothing is missing here and nothing waits: the state itself has no more to ask.
    if (missing.length === 0) return null;
  }
  return null;
}

const isPose = (about: string | null | undefined): about is PoseKey => zPose.safeParse(about).success;

export function useMakeBench(job: Job): { bench: Bench; post: OutboxStatus } {
  const whole = job.state;
  const person = useSignedIn();
  const preferences = preferencesOf(person.id);
  const { instrument: favourite, keysAnywhere } = useKept(preferences);
  const key = lineKey(person.id, job.id);
  const [viewed, setViewed] = useState<StageKey | null>(null);
  const [turned, setTurned] = useState<string | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [keptTo, setKeptTo] = useState<string | null>(null);
  const [readAt, setReadAt] = useState<PointKey | null>(null);
  const [picking, setPicking] = useState<Picked | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const all = useKept(outbox.entries);
  const kept = useMemo(
    () => all.filter((entry) => entry.job === job.id && entry.by === person.id),
    [all, job.id, person.id],
  );
  const connection = useSyncExternalStore(outbox.subscribe, outbox.status);

  const first = asked(whole, kept);
  const keeping =
    items(whole).find((one) => one.key === keptTo && isPartRead(whole, one) && !isSameTarget(one, first)) ?? null;
  const item = items(whole).find((one) => one.key === turned) ?? keeping ?? first;
  // Asked of the closing cable, everything on the screen speaks of it.
  const closing = item?.is_second === true && whole.pair !== null;
  const state = useMemo<BenchState>(() => (closing ? { ...whole, ...whole.pair } : whole), [whole, closing]);
  const about = item?.about ?? null;
  const adjusters = state.adjusters;
  const adjuster =
    adjusters.find((one) => one.id === about) ??
    adjusters.find((one) => one.id === chosen) ??
    adjusters.find((one) => one.id === state.next.recommended) ??
    adjusters[0] ??
    null;
  const option = state.next.options.find((one) => one.adjuster === adjuster?.id) ?? null;
  const pose: PoseKey = isPose(about) ? about : 'straight';
  const after = item !== null && item === keeping ? first : null;
  const instrument = state.shelf.find((one) => one.id === favourite) ?? state.shelf[0] ?? null;

  const point = useMemo<Point | null>(
    () => state.spec.points.find((one) => one.key === readAt) ?? state.spec.points[0] ?? null,
    [state.spec.points, readAt],
  );

  // A new state asks its own question; what the person had turned to is answered or has moved on.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the head is what tells one state from the next
  useEffect(() => {
    setTurned(null);
    setViewed(null);
  }, [state.head]);

  // A plan that begins elsewhere than before is shown from its beginning.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the recommended adjuster is what tells one plan from the next
  useEffect(() => setChosen(null), [state.next.recommended]);

  // A refused line comes back into the field, if nothing else has been typed there since.
  // One that others follow stays in its place until its person has looked: they wait for it.
  const refused = kept.find(
    (entry, place) => entry.state === 'refused' && 'line' in entry.draft && place === kept.length - 1,
  );
  useEffect(() => {
    if (refused === undefined || (begunLines.get()[key] ?? '') !== '' || !('line' in refused.draft)) return;
    keepLine(key, refused.draft.line);
    setRefusal(refused.sentence);
    outbox.drop(refused.id);
  }, [refused, key]);

  const target = targetOf(whole, point, pose, closing);

  const jobId = job.id;
  const itemKey = item?.key;
  const shown = useMemo<Shown>(
    () => ({
      adjuster: adjuster?.id,
      steps: option?.steps ?? undefined,
      pose,
      point: point?.key,
      instrument: instrument?.id,
      item: itemKey,
      measure: picking?.key,
      of: picking?.of,
    }),
    [adjuster?.id, option?.steps, pose, point?.key, instrument?.id, itemKey, picking],
  );
  const send = useCallback(
    (draft: Draft) => {
      if (outbox.isFull()) {
        setRefusal(NO_ROOM);
        return;
      }
      setRefusal(null);
      setTurned(null);
      outbox.put(jobId, state.head, draft);
    },
    [jobId, state.head],
  );
  const sendLine = useCallback(
    (text: string) => {
      if (outbox.isFull()) {
        setRefusal(NO_ROOM);
        return;
      }
      // An Enter by mistake goes nowhere: kept without a network it would hold up what follows.
      if (text.trim() === '') {
        setRefusal(NOTHING);
        return;
      }
      keepLine(key, '');
      // Typed for all lines: it names the lines that were shown, as the button does.
      const together = state.stages.find((stage) => stage.items.some((one) => one.key === itemKey))?.together;
      if (together != null && text.trim().toLowerCase() === together.word) {
        send({ kind: 'all_confirmed', body: { keys: together.keys } });
        return;
      }
      // Readings go on to the same pose and cable until its group is full: nobody is moved on between two pulls.
      setKeptTo(itemKey !== undefined && isRead(itemKey) ? itemKey : null);
      // One of many stays picked for its next figure; what is measured once is done.
      if (picking !== null && picking.of === undefined) setPicking(null);
      send({ line: text, shown });
    },
    [key, send, shown, itemKey, picking, state.stages],
  );
  const chooseInstrument = useCallback(
    (id: string) => preferences.set({ keysAnywhere, instrument: id }),
    [preferences, keysAnywhere],
  );
  const forgive = useCallback(() => setRefusal(null), []);
  useKeysAnywhere(keysAnywhere, field, (text) => {
    forgive();
    keepLine(key, text);
  });

  const joined = state.people.some((one) => one.id === person.id);
  const mayWrite = person.may_log && joined && state.closed === null;
  const looked = viewed ?? stageOf(state, item) ?? state.stage;
  const bench = useMemo<Bench>(
    () => ({
      job,
      state,
      joined,
      mayWrite,
      viewed: looked,
      view: setViewed,
      item,
      turnTo: (to) => {
        setPicking(null);
        setKeptTo(null);
        setTurned(to);
      },
      adjuster,
      option,
      picked: chosen !== null && adjuster?.id === chosen,
      chooseAdjuster: setChosen,
      pose,
      after,
      goOn: () => setKeptTo(null),
      target,
      instrument,
      point,
      choosePoint: setReadAt,
      picking,
      pick: setPicking,
      chooseInstrument,
      lineKey: key,
      send,
      sendLine,
      field,
    }),
    [
      job,
      state,
      joined,
      mayWrite,
      looked,
      item,
      adjuster,
      option,
      chosen,
      pose,
      after,
      target,
      instrument,
      point,
      picking,
      chooseInstrument,
      key,
      send,
      sendLine,
    ],
  );
  const post = useMemo<OutboxStatus>(
    () => ({ kept, connection, refusal, forgive }),
    [kept, connection, refusal, forgive],
  );
  return { bench, post };
}

const NOTHING = 'Nothing was typed. Type a reading, such as 25.3, and press Enter.';

const NO_ROOM =
  'This device has no room to keep what is typed, and the server does not answer. Nothing was logged: free some room, or wait for the network.';

const isRead = (key: string) => key.startsWith('pose:') || key.startsWith('reading:');

/** Readings that are usual before a group is taken for whole. */
export const WHOLE_GROUP = 3;

/** Whether the pose or cable of this item has been read, and not yet as often as is usual. */
function isPartRead(whole: BenchState, item: Item): boolean {
  const state = item.is_second && whole.pair !== null ? whole.pair : whole;
  const pose = isPose(item.about) ? item.about : 'straight';
  const count = state.poses.find((one) => one.pose === pose)?.count ?? 0;
  return item.done && count > 0 && count < WHOLE_GROUP;
}

/** Whether a value typed at the one goes where it would have gone at the other. */
function isSameTarget(one: Item, other: Item | null): boolean {
  const pose = (item: Item) => (isPose(item.about) ? item.about : 'straight');
  const reads = other !== null && (other.kind === 'reading' || other.kind === 'in_band');
  return reads && other.is_second === one.is_second && pose(other) === pose(one);
}

function targetOf(whole: BenchState, point: Point | null, pose: PoseKey, closing: boolean): string {
  if (point === null) return '';
  const named = whole.spec.poses.length > 1 ? whole.spec.poses.find((one) => one.key === pose)?.label : undefined;
  const cable = whole.pair === null ? undefined : closing ? whole.second_label : whole.first_label;
  return [`At the ${point.label}`, named, cable ?? undefined].filter(Boolean).join(', ');
}

const stageOf = (state: BenchState, item: Item | null): StageKey | undefined =>
  state.stages.find((stage) => stage.items.some((one) => one.key === item?.key))?.key;

const STARTS_A_LINE = /^[\p{L}\p{N}.,+-]$/u;

/** The one key that no line begins with: it presses the vivid action, as Ctrl and Enter do with a line begun. */
const PRESS = '=';

function pressVivid(): void {
  const scope = document.querySelector('[role="dialog"]') ?? document;
  scope.querySelector<HTMLElement>('[data-primary]:not(:disabled)')?.click();
}

/** A figure or letter typed with the cursor nowhere goes to the bench line. */
function useKeysAnywhere(
  on: boolean,
  field: React.RefObject<HTMLInputElement | null>,
  setLine: (text: string) => void,
): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const inside =
        event.target instanceof HTMLElement ? event.target.closest('input, textarea, select, [role="dialog"]') : null;
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
      const idle = inside === null ? on : inside === field.current && field.current?.value === '';
      const chord = event.key === 'Enter' && (event.ctrlKey || event.metaKey);
      if (chord || (plain && idle && event.key === PRESS)) {
        event.preventDefault();
        pressVivid();
      } else if (on && inside === null && plain && STARTS_A_LINE.test(event.key) && field.current !== null) {
        event.preventDefault();
        setLine(field.current.value + event.key);
        field.current.focus();
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  });
}
