import { type AdjusterDraft, emptyAdjuster, freeKey, type SpecDraft } from '../draft';
import { kindName } from '../words';

/** Where on the drawing of a run somebody tapped. */
export type Tapped =
  | { part: 'hand' }
  | { part: 'end' }
  | { part: 'adjuster'; id: string }
  | { part: 'gap'; cable: number; at: number };

export const MOST_ADJUSTERS = 6;

const all = (draft: SpecDraft): AdjusterDraft[] => draft.cables.flatMap((cable) => cable.adjusters);

/** A name that tells it from the others: what its kind is called, and a number where there is one already. */
function nameOfKind(kind: string, others: AdjusterDraft[]): string {
  const name = kindName(kind).toLowerCase();
  const taken = others.map((one) => one.name.toLowerCase());
  if (!taken.includes(name)) return name;
  let n = 2;
  while (taken.includes(`${name} ${n}`)) n += 1;
  return `${name} ${n}`;
}

/** Whether it is called after its kind, so that the name follows when the kind changes. */
const isCalledByKind = (one: AdjusterDraft): boolean => {
  const kind = kindName(one.kind).toLowerCase();
  return (
    one.name === '' || one.name.toLowerCase() === kind || new RegExp(`^${kind} \\d+$`).test(one.name.toLowerCase())
  );
};

const onCable = (
  draft: SpecDraft,
  at: number,
  change: (adjusters: AdjusterDraft[]) => AdjusterDraft[],
): Pick<SpecDraft, 'cables'> => ({
  cables: draft.cables.map((cable, n) => (n === at ? { ...cable, adjusters: change(cable.adjusters) } : cable)),
});

/** Fitted at a place of a cable, counted from the hand; with the id it got. */
export function fitted(
  draft: SpecDraft,
  cable: number,
  at: number,
  kind: string,
): { id: string; change: Partial<SpecDraft> } {
  const there = all(draft);
  const taken = there.map((one) => one.id);
  const id = taken.includes(kind) ? freeKey(kind, taken) : kind;
  const one = { ...emptyAdjuster(1), id, kind, name: nameOfKind(kind, there) };
  return { id, change: onCable(draft, cable, (now) => [...now.slice(0, at), one, ...now.slice(at)]) };
}

/** Changed; its name follows its kind so long as it is called after it. */
export const changed = (draft: SpecDraft, id: string, change: Partial<AdjusterDraft>): Partial<SpecDraft> => ({
  cables: draft.cables.map((cable) => ({
    ...cable,
    adjusters: cable.adjusters.map((one) => {
      if (one.id !== id) return one;
      const others = all(draft).filter((other) => other.id !== id);
      const name =
        change.kind !== undefined && change.name === undefined && isCalledByKind(one)
          ? { name: nameOfKind(change.kind, others) }
          : {};
      return { ...one, ...change, ...name };
    }),
  })),
});

export const takenOut = (draft: SpecDraft, id: string): Partial<SpecDraft> => ({
  cables: draft.cables.map((cable) => ({ ...cable, adjusters: cable.adjusters.filter((one) => one.id !== id) })),
});

/** Where an adjuster sits: which cable, and its place from the hand on. */
export function placeOf(draft: SpecDraft, id: string): { cable: number; at: number; last: number } | null {
  for (const [cable, { adjusters }] of draft.cables.entries()) {
    const at = adjusters.findIndex((one) => one.id === id);
    if (at >= 0) return { cable, at, last: adjusters.length - 1 };
  }
  return null;
}

/** One place nearer to the hand, or to the working end, on its own cable. */
export function moved(draft: SpecDraft, id: string, towards: 'hand' | 'end'): Partial<SpecDraft> {
  const place = placeOf(draft, id);
  if (place === null) return {};
  const to = place.at + (towards === 'hand' ? -1 : 1);
  if (to < 0 || to > place.last) return {};
  return onCable(draft, place.cable, (now) => {
    const next = [...now];
    const [one] = next.splice(place.at, 1);
    if (one !== undefined) next.splice(to, 0, one);
    return next;
  });
}
