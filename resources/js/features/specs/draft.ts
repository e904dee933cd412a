import * as z from 'zod/mini';
import type { NewSpec, Written } from '../../api/specs';
import { heldMm, quantity } from '../../lib/figures';
import { limitKinds, limits, measuredBy, secondCables } from './words';

const written = z.record(z.string(), z.unknown());

const adjusterDraft = z.object({
  /** What the library wrote, so that what is not edited here stays. */
  kept: written,
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  thread: z.string(),
  travel: z.string(),
  /** What a turn of a thread is counted in. */
  counts: z.string(),
  /** Clicks or bevels a turn; empty where turns are counted. */
  perTurn: z.string(),
  step: z.string(),
  from: z.string(),
  to: z.string(),
  minutes: z.string(),
  cover: z.string(),
  tools: z.string(),
  torque: z.string(),
  /** What its people call its two ways; empty for the words of its kind. */
  out: z.string(),
  in: z.string(),
});
export type AdjusterDraft = z.infer<typeof adjusterDraft>;

const limitDraft = z.object({ kind: z.enum(limitKinds), figures: z.record(z.string(), z.string()) });
export type LimitDraft = z.infer<typeof limitDraft>;

/** Where it stands when something is seen: by a word, between two figures of a book, or not told by it at all. */
const stands = z.enum(['right', 'short', 'past', 'between', 'nothing']);
export type Standing = z.infer<typeof stands>;
/** What can be seen at a setting, and between which places of the arm that is so. */
const sightDraft = z.object({
  key: z.string(),
  label: z.string(),
  low: z.string(),
  high: z.string(),
  stands,
});
export type SightDraft = z.infer<typeof sightDraft>;
const settingDraft = z.object({
  kept: written,
  key: z.string(),
  label: z.string(),
  at: z.string(),
  wants: z.string(),
  telling: z.boolean(),
  sees: z.array(sightDraft),
});
export type SettingDraft = z.infer<typeof settingDraft>;
const moverDraft = z.object({ kept: written, adjuster: z.string(), perStep: z.string() });
export type MoverDraft = z.infer<typeof moverDraft>;
/** What a control must do at each of its settings. */
const tableDraft = z.object({
  kept: written,
  arm: z.string(),
  unit: z.string(),
  plus: z.string(),
  minus: z.string(),
  trial: z.string(),
  most: z.string(),
  settings: z.array(settingDraft),
  movers: z.array(moverDraft),
});
export type TableDraft = z.infer<typeof tableDraft>;
/** The play of a second cable, under the name it has in the library. */
const secondDraft = z.object({
  kept: written,
  key: z.enum(['backward', 'secondary']),
  low: z.string(),
  high: z.string(),
  setFirst: z.boolean(),
});
export type SecondDraft = z.infer<typeof secondDraft>;

/** A spec as it stands in the form: every figure as it was typed. */
export const specDraft = z.object({
  model: z.string(),
  control: z.string(),
  name: z.string(),
  minutes: z.string(),
  family: z.string(),
  practice: z.boolean(),
  document: z.string(),
  edition: z.string(),
  page: z.string(),
  date: z.string(),
  printed: z.string(),
  point: z.string(),
  low: z.string(),
  high: z.string(),
  engine: z.string(),
  wheels: z.string(),
  poses: z.array(z.string()),
  policy: z.string(),
  rule: z.string(),
  use: z.string(),
  unit: z.string(),
  months: z.string(),
  torques: z.array(z.object({ what: z.string(), nm: z.string() })),
  proofs: z.array(z.string()),
  backOff: z.string(),
  /** Tools for the steps of replacing the cable. */
  tools: z.array(z.object({ step: z.string(), what: z.string() })),
  limits: z.array(limitDraft),
  tables: z.array(tableDraft),
  second: z.nullable(secondDraft),
  hand: written,
  handName: z.string(),
  pivotToWire: z.string(),
  pivotToPoint: z.string(),
  drum: z.string(),
  flange: z.string(),
  knowledge: z.string(),
  workingEnd: z.string(),
  cables: z.array(z.object({ kept: written, adjusters: z.array(adjusterDraft) })),
  despite: z.boolean(),
});
export type SpecDraft = z.infer<typeof specDraft>;

const record = (value: unknown): Written =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Written) : {};
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

export const emptyAdjuster = (n: number): AdjusterDraft => ({
  kept: {},
  id: `adjuster_${n}`,
  name: '',
  kind: 'barrel',
  thread: '',
  travel: '',
  counts: 'turn',
  perTurn: '',
  step: '',
  from: '',
  to: '',
  minutes: '',
  cover: '',
  tools: '',
  torque: '',
  out: '',
  in: '',
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
    counts: kept.clicks_per_turn !== undefined ? 'click' : kept.bevels_per_turn !== undefined ? 'bevel' : 'turn',
    perTurn: text(kept.clicks_per_turn ?? kept.bevels_per_turn),
    step: text(kept.mm_per_step),
    from: text(steps.from),
    to: text(steps.to),
    minutes: text(access.minutes),
    cover: text(access.cover),
    tools: text(access.tools),
    torque: text(kept.lock_torque_nm),
    out: text(record(kept.ways).out),
    in: text(record(kept.ways).in),
  };
}

function limit(value: unknown): LimitDraft | null {
  const kept = record(value);
  const kind = limitKinds.find((one) => one === kept.kind);
  return kind === undefined
    ? null
    : { kind, figures: Object.fromEntries(limits[kind].fields.map((field) => [field.key, text(kept[field.key])])) };
}

const TABLE = 'outcome_table';

function table(value: unknown): TableDraft {
  const kept = record(value);
  return {
    kept,
    arm: text(kept.arm),
    unit: text(kept.unit),
    plus: text(kept.plus),
    minus: text(kept.minus),
    trial: text(kept.trial),
    most: text(kept.most_at_once),
    settings: list(kept.settings).map((one) => {
      const setting = record(one);
      return {
        kept: setting,
        key: text(setting.key),
        label: text(setting.label),
        at: text(setting.at),
        wants: text(setting.wants),
        telling: setting.telling !== false,
        sees: list(setting.sees).map((seen) => {
          const sight = record(seen);
          return {
            key: text(sight.key),
            label: text(sight.label),
            low: text(sight.low),
            high: text(sight.high),
            stands: standing(sight),
          };
        }),
      };
    }),
    movers: list(kept.movers).map((one) => ({
      kept: record(one),
      adjuster: text(record(one).adjuster),
      perStep: text(record(one).per_step),
    })),
  };
}

const standing = (sight: Written): Standing => {
  if (sight.proves_nothing === true) return 'nothing';
  return sight.stands === 'right' || sight.stands === 'short' || sight.stands === 'past' ? sight.stands : 'between';
};

function second(spec: Written): SecondDraft | null {
  const key = spec.backward !== undefined ? 'backward' : 'secondary';
  const kept = record(spec[key]);
  return spec[key] === undefined
    ? null
    : { kept, key, low: text(kept.low_mm), high: text(kept.high_mm), setFirst: kept.set_first === true };
}

/** The second cable that this family may have; null where it has one already, or never does. */
export function secondToAdd(draft: SpecDraft) {
  return draft.second === null ? (secondCables[draft.family as keyof typeof secondCables] ?? null) : null;
}

/** With the second cable in its run, and a play to fill in. */
export function withSecond(draft: SpecDraft): Partial<SpecDraft> {
  const cable = secondToAdd(draft);
  if (cable === null) return {};
  const taken = draft.cables.flatMap((one) => one.adjusters.map((adjuster) => adjuster.id));
  const id = freeKey(cable.id, taken);
  const nuts = {
    ...emptyAdjuster(1),
    id,
    kind: 'bracket_nuts',
    name: `${cable.name.toLowerCase()} nuts`,
    thread: 'M6',
  };
  return {
    second: { kept: {}, key: cable.key, low: '', high: '', setFirst: false },
    cables: [
      ...draft.cables,
      {
        kept: {
          id: freeKey(
            cable.id,
            draft.cables.map((one) => text(one.kept.id)),
          ),
          name: cable.name,
          pulls: cable.pulls,
        },
        adjusters: [nuts],
      },
    ],
  };
}

/** Without it. */
export const withoutSecond = (draft: SpecDraft): Partial<SpecDraft> => ({
  second: null,
  cables: draft.cables.filter((cable) => cable.kept.pulls !== 'closing' && cable.kept.pulls !== 'following'),
});

/** A cable of two pieces, joined at an open eye: only some families have one. */
export const mayBeOfTwoPieces = (draft: SpecDraft): boolean => draft.family === 'trigger_throttle';
const PIECE = 'second_piece';
export const isOfTwoPieces = (draft: SpecDraft): boolean => draft.cables.some((cable) => cable.kept.id === PIECE);

/** Each piece is a cable of its own, with its own adjusters, so that one can be replaced without the other. */
export const inTwoPieces = (draft: SpecDraft): Partial<SpecDraft> => ({
  cables: [
    ...draft.cables.map((cable) => ({ ...cable, kept: { ...cable.kept, name: 'Piece at the hand' } })),
    { kept: { id: PIECE, name: 'Piece at the working end', pulls: 'opening' }, adjusters: [] },
  ],
});

/** In one piece again; its adjusters stay. */
export const inOnePiece = (draft: SpecDraft): Partial<SpecDraft> => {
  const [first, ...rest] = draft.cables;
  if (first === undefined) return {};
  return {
    cables: [
      {
        kept: { ...first.kept, name: 'Cable' },
        adjusters: [...first.adjusters, ...rest.flatMap((cable) => cable.adjusters)],
      },
    ],
  };
};

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
    backOff: text(book.back_off),
    tools: list(book.tools).map((one) => ({ step: text(record(one).step), what: text(record(one).what) })),
    limits: list(spec.others)
      .map(limit)
      .filter((one) => one !== null),
    tables: list(spec.others)
      .filter((one) => record(one).kind === TABLE)
      .map(table),
    second: second(spec),
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
    despite: false,
  };
}

/** A figure as people type it; what is no plain number goes as text, which the server reads, or says why not. */
const figure = (typed: string): unknown => quantity(typed);
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

/** What of it is filled in; undefined where nothing is. */
const some = (fields: Record<string, unknown>): Written | undefined => {
  const there = filled(fields);
  return Object.keys(there).length === 0 ? undefined : there;
};

export function writtenAdjuster(one: AdjusterDraft): Written {
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
          thread: isPitch ? undefined : word(one.thread),
          pitch_mm: isPitch ? figure(one.thread) : undefined,
          travel_mm: figure(one.travel),
          clicks_per_turn: one.counts === 'click' ? (figure(one.perTurn) ?? 0) : undefined,
          bevels_per_turn: one.counts === 'bevel' ? (figure(one.perTurn) ?? 0) : undefined,
        }
      : {}),
    ...(by === 'steps'
      ? {
          mm_per_step: figure(one.step),
          travel_steps: some({ from: figure(one.from), to: figure(one.to) }),
        }
      : {}),
    lock_torque_nm: figure(one.torque),
    ways: some({ out: word(one.out), in: word(one.in) }),
    access: some({ minutes: figure(one.minutes), cover: word(one.cover), tools: word(one.tools) }),
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

const isEmpty = (...typed: readonly string[]): boolean => typed.every((one) => one.trim() === '');

/** Rows of the book that are not sent: nothing stands in them. */
export const isBlankRow = {
  torques: (one: SpecDraft['torques'][number]): boolean => isEmpty(one.what, one.nm),
  tools: (one: SpecDraft['tools'][number]): boolean => isEmpty(one.what) && one.step === '',
  proofs: (one: string): boolean => isEmpty(one),
} as const;

function writtenBook(draft: SpecDraft): Written | undefined {
  const interval = filled({
    usage: figure(draft.use),
    unit: draft.use.trim() === '' ? undefined : draft.unit,
    months: figure(draft.months),
  });
  const book = filled({
    printed: word(draft.printed),
    back_off: word(draft.backOff),
    interval: Object.keys(interval).length === 0 ? undefined : interval,
    torques: draft.torques
      .filter((one) => !isBlankRow.torques(one))
      .map((one) => ({ what: one.what.trim(), nm: figure(one.nm) })),
    tools: draft.tools
      .filter((one) => !isBlankRow.tools(one))
      .map((one) => ({ step: one.step, what: one.what.trim() })),
    proofs: draft.proofs
      .filter((one) => !isBlankRow.proofs(one))
      .map((question, n) => ({ key: `book_${n + 1}_${shortName(question).slice(0, 24)}`, question: question.trim() })),
  });
  return Object.keys(book).length === 0 ? undefined : book;
}

const writtenSight = (sight: SightDraft): Written => ({
  key: sight.key,
  label: sight.label.trim(),
  ...(sight.stands === 'nothing'
    ? { proves_nothing: true }
    : sight.stands === 'between'
      ? { low: figure(sight.low) ?? null, high: figure(sight.high) ?? null }
      : { stands: sight.stands }),
});

const writtenTable = (one: TableDraft): Written => ({
  ...one.kept,
  kind: TABLE,
  arm: one.arm.trim(),
  unit: one.unit.trim(),
  plus: one.plus.trim(),
  minus: one.minus.trim(),
  trial: figure(one.trial),
  most_at_once: figure(one.most),
  settings: one.settings.map((setting) => ({
    ...setting.kept,
    key: setting.key,
    label: setting.label.trim(),
    at: figure(setting.at) ?? 0,
    wants: setting.wants,
    telling: setting.telling,
    sees: setting.sees.map(writtenSight),
  })),
  movers: one.movers.map((mover) => ({
    ...mover.kept,
    adjuster: mover.adjuster,
    per_step: figure(mover.perStep) ?? null,
  })),
});

/** A key that none of these has. */
export const freeKey = (stem: string, taken: string[]): string => {
  let n = 1;
  while (taken.includes(`${stem}_${n}`)) n += 1;
  return `${stem}_${n}`;
};

export const hasFigure = (draft: SpecDraft) => draft.low.trim() !== '' || draft.high.trim() !== '';

/** The form as the library takes it. The server reads every word of it and says what is wrong. */
export function writtenOf(draft: SpecDraft): NewSpec {
  const aim = hasFigure(draft)
    ? filled({ kind: 'free_play_band', point: draft.point, low_mm: figure(draft.low), high_mm: figure(draft.high) })
    : undefined;
  const others = [
    ...draft.tables.map(writtenTable),
    ...draft.limits.map((one) =>
      filled({
        kind: one.kind,
        ...Object.fromEntries(
          limits[one.kind].fields.map((field) => [field.key, figure(one.figures[field.key] ?? '')]),
        ),
      }),
    ),
  ];
  const { second } = draft;
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
      ...(second === null
        ? {}
        : {
            [second.key]: {
              ...second.kept,
              set_first: second.setFirst,
              low_mm: figure(second.low) ?? null,
              high_mm: figure(second.high) ?? null,
            },
          }),
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

/** As a book begins it: without the figures of common practice, which nobody printed for this model. */
export const fromBook = (draft: SpecDraft): SpecDraft => ({
  ...draft,
  practice: false,
  document: '',
  low: '',
  high: '',
});

/** Another family chosen: what was typed of the model, its book and its printed line stays. */
export const inAnotherFamily = (typed: SpecDraft, next: SpecDraft): SpecDraft => {
  const { model, document, edition, page, date, printed, low, high, practice } = typed;
  // Figures of common practice are of the family that was left: it has its own.
  if (practice) return { ...next, model };
  return { ...fromBook(next), model, document, edition, page, date, printed, low, high };
};

/** Another model's spec to begin from; its document is not this model's, and stays behind. */
export const copied = (typed: SpecDraft, from: SpecDraft): SpecDraft => ({
  ...from,
  model: typed.model,
  despite: false,
  ...(from.practice
    ? {}
    : { document: typed.practice ? '' : typed.document, edition: typed.edition, page: typed.page, date: typed.date }),
});

/** The two edges of a band as they were typed, in mm. */
export const bandOf = ({ low, high }: { low: string; high: string }) => ({
  low_mm: heldMm(low),
  high_mm: heldMm(high),
});
