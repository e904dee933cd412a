import type { NewSpec, Written } from '../../api/specs';
import { type LimitKind, limitKinds, limits, measuredBy } from './words';

/** A spec as it stands in the form: every figure as it was typed. */
export type AdjusterDraft = {
  /** What the library wrote, so that what is not edited here stays. */
  kept: Written;
  id: string;
  name: string;
  kind: string;
  thread: string;
  travel: string;
  step: string;
  from: string;
  to: string;
  minutes: string;
  cover: string;
  tools: string;
  torque: string;
};

export type LimitDraft = { kind: LimitKind; figures: Record<string, string> };

export type SpecDraft = {
  model: string;
  control: string;
  name: string;
  minutes: string;
  family: string;
  practice: boolean;
  document: string;
  edition: string;
  page: string;
  date: string;
  printed: string;
  point: string;
  low: string;
  high: string;
  engine: string;
  wheels: string;
  poses: string[];
  policy: string;
  rule: string;
  use: string;
  unit: string;
  months: string;
  torques: { what: string; nm: string }[];
  proofs: string[];
  limits: LimitDraft[];
  /** Aims that this form cannot draw, kept as they are. */
  others: unknown[];
  hand: Written;
  handName: string;
  pivotToWire: string;
  pivotToPoint: string;
  drum: string;
  flange: string;
  knowledge: string;
  workingEnd: string;
  cables: { kept: Written; adjusters: AdjusterDraft[] }[];
  kept: Written;
  despite: boolean;
};

const record = (value: unknown): Written =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Written) : {};
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

export const emptyAdjuster = (n: number): AdjusterDraft => ({
  kept: {},
  id: `adjuster_${n}`,
  name: '',
  kind: 'barrel',
  thread: 'M8 x 1.25',
  travel: '12',
  step: '1',
  from: '1',
  to: '12',
  minutes: '1',
  cover: '',
  tools: '',
  torque: '',
});

function adjuster(value: unknown): AdjusterDraft {
  const kept = record(value);
  const access = record(kept.access);
  const steps = record(kept.travel_steps);
  return {
    kept,
    id: text(kept.id),
    name: text(kept.name),
    kind: text(kept.kind),
    thread: text(kept.thread ?? kept.pitch_mm),
    travel: text(kept.travel_mm),
    step: text(kept.mm_per_step),
    from: text(steps.from),
    to: text(steps.to),
    minutes: text(access.minutes ?? 0),
    cover: text(access.cover),
    tools: text(access.tools),
    torque: text(kept.lock_torque_nm),
  };
}

function limit(value: unknown): LimitDraft | null {
  const kept = record(value);
  const kind = limitKinds.find((one) => one === kept.kind);
  return kind === undefined
    ? null
    : { kind, figures: Object.fromEntries(limits[kind].fields.map((field) => [field.key, text(kept[field.key])])) };
}

type Head = { model: string; control: string; name: string; minutes: number };

/** The form filled from what the library wrote. */
export function draftOf(head: Head, spec: Written, run: Written): SpecDraft {
  const aim = record(spec.aim);
  const source = record(spec.source);
  const conditions = record(spec.conditions);
  const book = record(spec.book);
  const interval = record(book.interval);
  const hand = record(run.hand);
  const points = record(hand.pivot_to_point_mm);
  const point = text(aim.point) || 'lever_tip';
  return {
    ...head,
    minutes: String(head.minutes),
    family: text(spec.family),
    practice: source.kind === 'common_practice',
    document: text(source.document),
    edition: text(source.edition),
    page: text(source.page),
    date: text(source.date),
    printed: text(book.printed),
    point,
    low: text(aim.low_mm),
    high: text(aim.high_mm),
    engine: text(conditions.engine),
    wheels: text(conditions.wheels),
    poses: list(conditions.poses).map(text),
    policy: text(spec.policy) || 'middle',
    rule: text(spec.rule) || 'guarded',
    use: text(interval.usage),
    unit: text(interval.unit) || 'km',
    months: text(interval.months),
    torques: list(book.torques).map((one) => ({ what: text(record(one).what), nm: text(record(one).nm) })),
    proofs: list(book.proofs).map((one) => text(record(one).question)),
    limits: list(spec.others)
      .map(limit)
      .filter((one) => one !== null),
    others: list(spec.others).filter((one) => limit(one) === null),
    hand,
    handName: text(hand.name),
    pivotToWire: text(hand.pivot_to_wire_mm),
    pivotToPoint: text(points[point]),
    drum: text(hand.drum_radius_mm),
    flange: text(hand.flange_radius_mm),
    knowledge: text(hand.knowledge) || 'drawn',
    workingEnd: text(run.working_end),
    cables: list(run.cables).map((cable) => ({
      kept: record(cable),
      adjusters: list(record(cable).adjusters).map(adjuster),
    })),
    kept: spec,
    despite: false,
  };
}

/** A figure as people type it; what is no figure goes as text, so that the server can say so. */
const figure = (typed: string): unknown => {
  const plain = typed.trim().replace(',', '.');
  return plain === '' ? undefined : Number.isFinite(Number(plain)) ? Number(plain) : typed;
};
const word = (typed: string): string | undefined => (typed.trim() === '' ? undefined : typed.trim());

/** Without what was left empty. */
const filled = (row: Written): Written =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined));

/** A short name of its own from what it is called. */
export const shortName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '_')
    .replace(/^[^a-z]+|_+$/g, '')
    .slice(0, 40);

const ofThread = ['thread', 'pitch_mm', 'travel_mm', 'healthy_mm', 'smallest_step_turns', 'clicks_per_turn'];
const ofSteps = ['mm_per_step', 'knowledge', 'travel_steps', 'healthy_steps', 'smallest_step'];

function writtenAdjuster(one: AdjusterDraft): Written {
  const by = measuredBy[one.kind as keyof typeof measuredBy] ?? 'nothing';
  const drop = [
    ...(by === 'thread' ? [] : [...ofThread, 'bevels_per_turn', 'stays_mm']),
    ...(by === 'steps' ? [] : ofSteps),
  ];
  const kept = Object.fromEntries(Object.entries(one.kept).filter(([key]) => !drop.includes(key)));
  const isPitch = /^\d*[.,]?\d+$/.test(one.thread.trim());
  return filled({
    ...kept,
    id: one.id,
    name: one.name.trim(),
    kind: one.kind,
    ...(by === 'thread'
      ? {
          thread: isPitch ? undefined : one.thread.trim(),
          pitch_mm: isPitch ? figure(one.thread) : undefined,
          travel_mm: figure(one.travel),
        }
      : {}),
    ...(by === 'steps'
      ? { mm_per_step: figure(one.step), travel_steps: { from: figure(one.from), to: figure(one.to) } }
      : {}),
    lock_torque_nm: figure(one.torque),
    access: filled({ minutes: figure(one.minutes) ?? 0, cover: word(one.cover), tools: word(one.tools) }),
  });
}

function writtenHand(draft: SpecDraft): Written {
  const { pivot_to_wire_mm: _wire, drum_radius_mm: _drum, flange_radius_mm: _flange, ...hand } = draft.hand;
  const isGrip = hand.kind === 'grip';
  const points = filled({ ...record(draft.hand.pivot_to_point_mm), [draft.point]: figure(draft.pivotToPoint) });
  return filled({
    ...hand,
    name: draft.handName.trim(),
    knowledge: draft.knowledge,
    ...(isGrip
      ? { drum_radius_mm: figure(draft.drum), flange_radius_mm: figure(draft.flange) }
      : {
          pivot_to_wire_mm: figure(draft.pivotToWire),
          pivot_to_point_mm: draft.pivotToWire.trim() === '' || Object.keys(points).length === 0 ? undefined : points,
        }),
  });
}

function writtenBook(draft: SpecDraft): Written | undefined {
  const interval = filled({
    usage: figure(draft.use),
    unit: draft.use.trim() === '' ? undefined : draft.unit,
    months: figure(draft.months),
  });
  const book = filled({
    printed: word(draft.printed),
    interval: Object.keys(interval).length === 0 ? undefined : interval,
    torques: draft.torques
      .filter((one) => one.what.trim() !== '')
      .map((one) => ({ what: one.what, nm: figure(one.nm) })),
    proofs: draft.proofs
      .filter((one) => one.trim() !== '')
      .map((question, n) => ({ key: `book_${n + 1}_${shortName(question).slice(0, 24)}`, question: question.trim() })),
  });
  return Object.keys(book).length === 0 ? undefined : book;
}

export const hasFigure = (draft: SpecDraft) => draft.low.trim() !== '' || draft.high.trim() !== '';

/** The form as the library takes it. The server reads every word of it and says what is wrong. */
export function writtenOf(draft: SpecDraft): NewSpec {
  const aim = hasFigure(draft)
    ? filled({ kind: 'free_play_band', point: draft.point, low_mm: figure(draft.low), high_mm: figure(draft.high) })
    : undefined;
  const others = [
    ...draft.others,
    ...draft.limits.map((one) =>
      filled({
        kind: one.kind,
        ...Object.fromEntries(
          limits[one.kind].fields.map((field) => [field.key, figure(one.figures[field.key] ?? '')]),
        ),
      }),
    ),
  ];
  const second = draft.kept.backward !== undefined ? 'backward' : 'secondary';
  return {
    model: draft.model.trim(),
    control: draft.control.trim() || shortName(draft.name),
    name: draft.name.trim(),
    minutes: Number(draft.minutes),
    spec: filled({
      family: draft.family,
      aim,
      others: others.length === 0 ? undefined : others,
      conditions: {
        engine: draft.engine === '' ? null : draft.engine,
        wheels: draft.wheels === '' ? null : draft.wheels,
        poses: draft.poses,
      },
      [second]: draft.kept[second] ?? undefined,
      policy: draft.policy,
      rule: draft.rule,
      book: writtenBook(draft),
      source: filled({
        kind: draft.practice ? 'common_practice' : 'document',
        document: draft.document.trim(),
        edition: word(draft.edition),
        page: word(draft.page),
        date: word(draft.date),
      }),
    }),
    run: {
      hand: writtenHand(draft),
      cables: draft.cables.map((cable) => ({ ...cable.kept, adjusters: cable.adjusters.map(writtenAdjuster) })),
      working_end: draft.workingEnd.trim(),
    },
    ...(draft.despite ? { despite: true } : {}),
  };
}
