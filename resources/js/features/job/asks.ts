import type { OutcomeTable } from '../../api/beside';
import { zPose } from '../../api/contract/zod.gen';
import type {
  Adjuster,
  Answer,
  BenchState,
  Draft,
  Item,
  Option,
  Point,
  PoseKey,
  Stage,
  StageKey,
} from '../../api/jobs';
import type { Dimension } from '../../lib/gaugeLine';
import type { KeptEntry } from '../../lib/outbox';

export const items = (state: BenchState): readonly Item[] => state.stages.flatMap((stage) => stage.items);

/** Lines that say something else than what is asked: notes, tags, moves, how it is set. */
const BESIDE =
  /^(?:n|v|tag|aim|park)\s|^(?:done|stop|service|touch-up|nothing found)$|^[+\-−]|^[a-z ]+ \d.*(?:turn|flat|click|bevel|rung|hole|mm)|\d ?(?:turn|flat|click|bevel|rung|hole|mm)s? .*[a-z]$/;

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
  return item.kind === 'answer' ? item.topic === 'condition' && /^(?:cold|hot)\b/.test(line) : !BESIDE.test(line);
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

/** A kept entry in the words that were typed, or as the answer that was tapped: what was asked, and what was said. */
export function inWords(draft: Draft, state: BenchState): string {
  if ('line' in draft) return draft.line;
  for (const item of items(state)) {
    const answer = item.answers.find((one) => one.kind === draft.kind && saysAsMuch(draft.body, one.body));
    if (answer !== undefined) return `${item.label}: ${answer.label}`;
  }
  const cure = state.beside.cures.find((one) => draft.kind === 'put_right' && one.key === draft.body.cure);
  if (cure !== undefined) return cure.label;
  return draft.kind === 'hand' ? `${state.hand.name} measured` : draft.kind.replaceAll('_', ' ');
}

/** Whether all that an answer says stands in what was sent; a remark may have come with it. */
const saysAsMuch = (sent: Record<string, unknown>, answer: Record<string, unknown>): boolean =>
  Object.entries(answer).every(([key, value]) => JSON.stringify(sent[key]) === JSON.stringify(value));

/**
 * What to do next: the first thing missing that is neither waiting to be sent nor answered badly already; what waits for
 * something else comes last. Where all of a stage waits to be sent, work goes on with the stage after it.
 */
export function asked(state: BenchState, kept: readonly KeptEntry[], waits: readonly string[]): Item | null {
  const at = state.stages.findIndex((stage) => stage.key === state.stage);
  for (const stage of state.stages.slice(at)) {
    const missing = stage.items.filter((item) => !item.done);
    const open = missing.filter((item) => !kept.some((entry) => settles(entry, item)));
    const ready = open.filter((item) => !waits.includes(item.key));
    const next = ready.find((item) => !item.failed) ?? ready[0] ?? open[0];
    if (next !== undefined) return next;
    // Nothing is missing here and nothing waits: the state itself has no more to ask.
    if (missing.length === 0) return null;
  }
  return null;
}

/** The states that a check is made safe and read in with one answer, where its state is still asked. */
export const statesSaidWith = (state: BenchState): readonly Answer[] =>
  items(state)
    .find((one) => one.topic === 'condition' && !one.done)
    ?.answers.filter((one) => one.tone === 'right') ?? [];

/** What is typed for a state together with all that makes it safe. */
export const withAllOk = (answer: Answer): string => `ok ${answer.hint}`;

/** What is logged for a line that speaks of all lines shown: it names each of them, as the button does. None where it does not. */
export function typedTogether(state: BenchState, itemKey: string | undefined, line: string): readonly Draft[] {
  const typed = line.trim().toLowerCase();
  const together = stageAsking(state, itemKey)?.together;
  if (together == null) return [];
  const all: Draft = { kind: 'all_confirmed', body: { keys: together.keys } };
  if (typed === together.word) return [all];
  const said = state.check?.on === true ? statesSaidWith(state).find((one) => withAllOk(one) === typed) : undefined;
  return said === undefined ? [] : [all, { kind: said.kind, body: said.body }];
}

export const isPose = (about: string | null | undefined): about is PoseKey => zPose.safeParse(about).success;

export const isRead = (item: Item | null) => item?.topic === 'pose' || item?.topic === 'reading';

const NO_MOVE_HELPS: readonly BenchState['next']['kind'][] = ['suspect', 'routing_fault', 'out_of_thread'];

/** What is turned, or looked for, is told at the pose that was read outside, too: no other place has to be found for it. */
export const isSetHere = (item: Item | null, { next }: BenchState): boolean =>
  item?.topic === 'pose' && item.failed && (next.kind === 'move' || NO_MOVE_HELPS.includes(next.kind));

/** Whether what is asked is to bring it right: by the item of that, or at the pose that was read outside. */
export const isSetting = (item: Item, state: BenchState): boolean => item.kind === 'in_band' || isSetHere(item, state);

/** Whether a turn stands on the card: where the bench advises one, and nowhere else. What is set by its steps is not turned. */
export const isMove = ({ next }: BenchState, adjuster: Adjuster | null, option: Option | null): boolean =>
  next.kind === 'move' &&
  adjuster !== null &&
  (adjuster.guide.length === 0 || adjuster.guide_done > 0) &&
  option?.steps != null;

/** A turn that may be made where nothing is certain, instead of reading again. */
export const isTurnOffered = ({ next }: BenchState, adjuster: Adjuster | null, option: Option | null): boolean =>
  next.kind === 'decide' && adjuster !== null && next.recommended === adjuster.id && option?.phrase != null;

/** How far the card says to turn; null where it shows no turn, so that nobody calls one done that they never saw. */
export const stepsShown = (
  item: Item | null,
  state: BenchState,
  adjuster: Adjuster | null,
  option: Option | null,
): number | null =>
  item !== null && isSetting(item, state) && (isMove(state, adjuster, option) || isTurnOffered(state, adjuster, option))
    ? (option?.steps ?? null)
    : null;

/** A pose of which the plan may say why it is read once more; or that its instrument can say no more, and what is left to do. */
export const isToldByThePlan = (item: Item | null, { next }: BenchState): boolean =>
  item?.topic === 'pose' && !item.done && (next.kind === 'read' || next.kind === 'decide');

/** No turn helps: something is looked for, and what was put right is told at the card itself. */
export const isLookedFor = (item: Item | null, state: BenchState): boolean =>
  (item?.topic === 'in_band' || isSetHere(item, state)) &&
  state.check?.on !== true &&
  state.next.settled_by !== 'finer' &&
  NO_MOVE_HELPS.includes(state.next.kind);

/** No cable brings a table right: what may be at fault has its mends at the card itself. */
export const isStuck = ({ advice }: Pick<OutcomeTable, 'advice'>): boolean =>
  advice.kind === 'contradiction' || advice.kind === 'out_of_reach';

/** Whether a bare value is a reading of play here. */
export const takesReading = (item: Item | null, state: BenchState): boolean =>
  state.spec.point !== null && (item?.kind === 'reading' || (item !== null && READ_BETWEEN.includes(item.topic)));

/** Asked for something else, where a reading is what is typed all the same. */
const READ_BETWEEN: readonly Item['topic'][] = ['in_band', 'home', 'doubt'];

/** What a gauge would have to show to answer what is asked; null where that is answered in words. The server refuses the rest too. */
export function figureAsked(
  state: BenchState,
  item: Item | null,
  adjuster: Adjuster | null,
  picking: { key: string } | null,
): Dimension | null {
  const key = picking?.key ?? (item?.kind === 'measure' ? item.measure : null);
  if (key != null) {
    const unit = state.beside.measures.find((one) => one.key === key)?.unit ?? 'mm';
    return unit === 'mm' ? 'length' : unit === 'N' ? 'force' : null;
  }
  if (item?.kind === 'thread') return adjuster?.thread == null ? null : 'length';
  return takesReading(item, state) ? 'length' : null;
}

/** Readings that are usual before a group is taken for whole. */
export const WHOLE_GROUP = 3;

/** Whether the pose or cable of this item has been read, and not yet as often as is usual. */
export function isPartRead(whole: BenchState, item: Item): boolean {
  const state = item.is_second && whole.pair !== null ? whole.pair : whole;
  const pose = isPose(item.about) ? item.about : 'straight';
  const count = state.poses.find((one) => one.pose === pose)?.count ?? 0;
  return item.done && count > 0 && count < WHOLE_GROUP;
}

/** Whether a value typed at the one goes where it would have gone at the other. */
export function isSameTarget(one: Item, other: Item | null): boolean {
  const pose = (item: Item) => (isPose(item.about) ? item.about : 'straight');
  const reads = other !== null && (other.kind === 'reading' || other.kind === 'in_band');
  return reads && other.is_second === one.is_second && pose(other) === pose(one);
}

export function targetOf(whole: BenchState, point: Point | null, pose: PoseKey, closing: boolean): string {
  if (point === null) return '';
  const named = whole.spec.poses.length > 1 ? whole.spec.poses.find((one) => one.key === pose)?.label : undefined;
  const cable = whole.pair === null ? undefined : closing ? whole.second_label : whole.first_label;
  return [`At the ${point.label}`, named, cable ?? undefined].filter(Boolean).join(', ');
}

/** The stage that asks this. */
export const stageAsking = (state: BenchState, itemKey: string | undefined): Stage | undefined =>
  state.stages.find((stage) => stage.items.some((one) => one.key === itemKey));

export const stageOf = (state: BenchState, item: Item | null): StageKey | undefined =>
  stageAsking(state, item?.key)?.key;
