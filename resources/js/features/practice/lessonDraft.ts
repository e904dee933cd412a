import type { LessonForm, LessonFormBody } from '../../api/practice';
import { quantity } from '../../lib/figures';

type Signed = { size: string; minus: boolean };

/** A lesson as somebody fills it in: every figure as it is typed. */
export type Draft = {
  title: string;
  teaches: string;
  story: string;
  told: boolean;
  play: Signed;
  second: Signed;
  offset: string;
  at: Readonly<Record<string, string>>;
  poses: Readonly<Record<string, Signed>>;
  faults: readonly string[];
  /** Null where it does not matter. */
  hot: boolean | null;
  /** In km/h; null where it has no governor. */
  speed: string | null;
  ratio: string;
  creep: string;
};

const signed = (play: { size_mm: number; taut: boolean } | null): Signed => ({
  size: String(play?.size_mm ?? 0),
  minus: play?.taut ?? false,
});

/** Everything as the lesson has it, but for its name. */
export const draftOf = (form: LessonForm): Draft => ({
  title: '',
  teaches: form.teaches,
  story: form.story,
  told: form.told,
  play: signed(form.play),
  second: signed(form.second_play),
  offset: String(form.offset?.amount ?? 0),
  at: Object.fromEntries(form.adjusters.map((one) => [one.id, String(one.at)])),
  poses: Object.fromEntries(form.poses.map((one) => [one.pose, { size: String(one.slack_mm), minus: one.less }])),
  faults: form.faults.filter((one) => one.is).map((one) => one.fault),
  hot: form.hot,
  speed: form.speed_kmh === null ? null : String(form.speed_kmh),
  ratio: String(form.ratio_factor),
  creep: String(form.lock_creep),
});

/** A bare number as such; anything else as it was typed, and the server says what is wrong with it. */
const plain = (typed: string): number => (quantity(typed) ?? typed) as number;

export const bodyOf = (form: LessonForm, draft: Draft): LessonFormBody['form'] => ({
  title: draft.title,
  teaches: draft.teaches,
  story: draft.story,
  told: draft.told,
  ...(form.play !== null && { play: { size_mm: plain(draft.play.size), taut: draft.play.minus } }),
  ...(form.second_play !== null && { second_play: { size_mm: plain(draft.second.size), taut: draft.second.minus } }),
  ...(form.offset !== null && { offset: plain(draft.offset) }),
  at: Object.fromEntries(Object.entries(draft.at).map(([id, amount]) => [id, plain(amount)])),
  poses: Object.fromEntries(
    Object.entries(draft.poses).map(([pose, { size, minus }]) => [pose, { slack_mm: plain(size), less: minus }]),
  ),
  faults: [...draft.faults],
  ...(draft.hot !== null && { hot: draft.hot }),
  ...(draft.speed !== null && { speed_kmh: plain(draft.speed) }),
  ratio_factor: plain(draft.ratio),
  lock_creep: plain(draft.creep),
});
