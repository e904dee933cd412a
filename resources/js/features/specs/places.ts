import type { FieldPath } from 'react-hook-form';
import { capital } from '../../lib/capital';
import { isBlankRow, type SpecDraft } from './draft';
import { OF_A_PLACE, secondCables } from './words';

type Place = FieldPath<SpecDraft>;

const plain: Readonly<Record<string, Place>> = {
  model: 'model',
  control: 'name',
  name: 'name',
  minutes: 'minutes',
  'spec.source.document': 'document',
  'spec.source.edition': 'edition',
  'spec.source.page': 'page',
  'spec.source.date': 'date',
  'spec.aim': 'low',
  'spec.aim.low_mm': 'low',
  'spec.aim.high_mm': 'high',
  'spec.book.printed': 'printed',
  'spec.book.back_off': 'backOff',
  'spec.book.interval.usage': 'use',
  'spec.book.interval.months': 'months',
  'run.hand.name': 'handName',
  'run.hand.pivot_to_wire_mm': 'pivotToWire',
  'run.hand.pivot_to_point_mm': 'pivotToPoint',
  'run.hand.drum_radius_mm': 'drum',
  'run.hand.flange_radius_mm': 'flange',
  'run.working_end': 'workingEnd',
};

const ofSecond: Readonly<Record<string, Place>> = {
  '': 'second.low',
  low_mm: 'second.low',
  high_mm: 'second.high',
};

const ofAdjuster = {
  name: 'name',
  thread: 'thread',
  pitch_mm: 'thread',
  travel_mm: 'travel',
  clicks_per_turn: 'perTurn',
  bevels_per_turn: 'perTurn',
  mm_per_step: 'step',
  travel_steps: 'from',
  'travel_steps.from': 'from',
  'travel_steps.to': 'to',
  'access.minutes': 'minutes',
  'access.cover': 'cover',
  'access.tools': 'tools',
  lock_torque_nm: 'torque',
  'ways.out': 'out',
  'ways.in': 'in',
} as const;

const ofTable = {
  arm: 'arm',
  unit: 'unit',
  plus: 'plus',
  minus: 'minus',
  trial: 'trial',
  most_at_once: 'most',
} as const;

/** Rows that are blank are not sent: where the nth of those that are stands in the form. */
const rowOf = (rows: readonly boolean[], nth: number): number =>
  rows.flatMap((blank, at) => (blank ? [] : [at]))[nth] ?? -1;

/** Rows of the form, by the name of what is sent: whether each is blank, and where its own parts stand. */
const rows = {
  torques: {
    blank: (draft: SpecDraft) => draft.torques.map(isBlankRow.torques),
    at: (n: number, part: string): Place => `torques.${n}.${part === 'nm' ? 'nm' : 'what'}`,
  },
  tools: {
    blank: (draft: SpecDraft) => draft.tools.map(isBlankRow.tools),
    at: (n: number, part: string): Place => `tools.${n}.${part === 'step' ? 'step' : 'what'}`,
  },
  proofs: {
    blank: (draft: SpecDraft) => draft.proofs.map(isBlankRow.proofs),
    at: (n: number): Place => `proofs.${n}`,
  },
} as const;

function ofTheBook(kind: keyof typeof rows, nth: number, part: string, draft: SpecDraft): Place | null {
  const n = rowOf(rows[kind].blank(draft), nth);
  return n < 0 ? null : rows[kind].at(n, part);
}

/** Tables stand before limits in what is sent. */
function ofAnother(nth: number, part: string, draft: SpecDraft): Place | null {
  const tables = draft.tables.length;
  if (nth >= tables) {
    const one = draft.limits[nth - tables];
    return one === undefined ? null : `limits.${nth - tables}.figures.${part}`;
  }
  const own = ofTable[part as keyof typeof ofTable];
  if (own !== undefined) return `tables.${nth}.${own}`;
  const [, m, what, k, seen] = /^(?:settings\[(\d+)\]\.?([a-z_]*)(?:\[(\d+)\]\.?([a-z_]*))?)$/.exec(part) ?? [];
  if (m !== undefined) {
    if (what === 'sees' && k !== undefined)
      return `tables.${nth}.settings.${Number(m)}.sees.${Number(k)}.${seen === 'low' || seen === 'high' ? seen : 'label'}`;
    return `tables.${nth}.settings.${Number(m)}.${what === 'at' || what === 'wants' ? what : 'label'}`;
  }
  const [, mover] = /^movers\[(\d+)\]/.exec(part) ?? [];
  return mover === undefined ? null : `tables.${nth}.movers.${Number(mover)}.perStep`;
}

/**
 * Which field of the form a refusal is about, and what it says there; null where no one field is.
 *
 * @param sentence as the server writes it, with its place in what was sent: `$.spec.source.document: this is empty.`
 */
export function placeOfRefusal(sentence: string, draft: SpecDraft): { field: Place; says: string } | null {
  const [, path = '', says = ''] = OF_A_PLACE.exec(sentence) ?? [];
  const field = path === '' ? null : placeAt(path, draft);
  return field === null ? null : { field, says: capital(says) };
}

function placeAt(path: string, draft: SpecDraft): Place | null {
  const own = plain[path];
  if (own !== undefined) return own;
  if (path.startsWith('run.hand.pivot_to_point_mm.')) return 'pivotToPoint';
  const [, cable, nth, part = ''] = /^run\.cables\[(\d+)\]\.adjusters\[(\d+)\]\.?(.*)$/.exec(path) ?? [];
  if (cable !== undefined && nth !== undefined) {
    return `cables.${Number(cable)}.adjusters.${Number(nth)}.${ofAdjuster[part as keyof typeof ofAdjuster] ?? 'name'}`;
  }
  const [, row, at, rest = ''] = /^spec\.book\.(torques|tools|proofs)\[(\d+)\]\.?(.*)$/.exec(path) ?? [];
  if (row !== undefined) return ofTheBook(row as keyof typeof rows, Number(at), rest, draft);
  const [, other, what = ''] = /^spec\.others\[(\d+)\]\.?(.*)$/.exec(path) ?? [];
  if (other !== undefined) return ofAnother(Number(other), what, draft);
  for (const { key } of Object.values(secondCables)) {
    const [, of] = new RegExp(`^spec\\.${key}\\.?(.*)$`).exec(path) ?? [];
    if (of !== undefined && draft.second !== null) return ofSecond[of] ?? null;
  }
  return null;
}
