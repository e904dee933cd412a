import { useCallback, useEffect, useMemo, useState } from 'react';
import type {
  Adjuster,
  BenchState,
  Instrument,
  Item,
  Job,
  Option,
  Point,
  PointKey,
  PoseKey,
  StageKey,
} from '../../api/jobs';
import type { KeptEntry } from '../../lib/outbox';
import { prefer, preferencesOf } from '../../lib/preferences';
import { useKept } from '../../lib/store';
import { asked, isPartRead, isPose, isRead, isSameTarget, items, stageOf, targetOf } from './asks';

/** One of many that was picked to be measured, such as a plate. */
export type Picked = { key: string; of?: string; label: string };

export type Selection = {
  /** Of the cable that is asked about: of a push-pull pair, the closing one can stand in the opening one's place. */
  state: BenchState;
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
  chooseInstrument: (id: string) => void;
  /** Where the next reading is taken; the spec's own place unless the person chose another. Null where no play is read. */
  point: Point | null;
  choosePoint: (key: PointKey) => void;
  /** One of many that was picked to be measured: what is typed is its until it is put back. */
  picking: Picked | null;
  pick: (one: Picked | null) => void;
};

/** Told of what was sent, so that the selection goes on as a person would. */
export type Sent = {
  /** A line was sent at this item. */
  line: (item: Item | null) => void;
  /** Anything was. */
  anything: () => void;
  /** A line came back: it stands again at what it was typed at, so that a second Enter answers nothing else. */
  back: (item: string | null, picking: Picked | null) => void;
};

/** Does something with each value that is another than before. */
function useWithEach(value: string | null, then: () => void): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: the value is what tells one time from the next
  useEffect(then, [value]);
}

type Turned = { turned: string | null; chosen: string | null; keptTo: string | null; favourite: string | null };

/** The item in hand, and the cable, adjuster, pose and instrument that it speaks of. */
function useSpokenOf(
  { state: whole, waits }: Pick<Job, 'state' | 'waits'>,
  kept: readonly KeptEntry[],
  { turned, chosen, keptTo, favourite }: Turned,
) {
  const first = asked(whole, kept, waits);
  // A check goes on as soon as a reading decides.
  const keeping =
    whole.check?.on === true
      ? null
      : (items(whole).find((one) => one.key === keptTo && isPartRead(whole, one) && !isSameTarget(one, first)) ?? null);
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
  return { item, state, closing, adjuster, option, pose, after, instrument };
}

/** What is looked at and spoken of: what the person turned to, else what is asked, and what follows from that. */
export function useSelection(
  job: Pick<Job, 'state' | 'waits'>,
  kept: readonly KeptEntry[],
  person: string,
): { selection: Selection; sent: Sent } {
  const whole = job.state;
  const preferences = preferencesOf(person);
  const { instrument: favourite } = useKept(preferences);
  const [viewed, setViewed] = useState<StageKey | null>(null);
  const [turned, setTurned] = useState<string | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [keptTo, setKeptTo] = useState<string | null>(null);
  const [readAt, setReadAt] = useState<PointKey | null>(null);
  const [picking, setPicking] = useState<Picked | null>(null);

  const { item, state, closing, adjuster, option, pose, after, instrument } = useSpokenOf(job, kept, {
    turned,
    chosen,
    keptTo,
    favourite,
  });
  const point = useMemo<Point | null>(
    () => state.spec.points.find((one) => one.key === readAt) ?? state.spec.points[0] ?? null,
    [state.spec.points, readAt],
  );

  // A new state asks its own question; what the person had turned to is answered or has moved on.
  useWithEach(state.head, () => {
    setTurned(null);
    setViewed(null);
  });
  // A plan that begins elsewhere than before is shown from its beginning.
  useWithEach(state.next.recommended, () => setChosen(null));

  const target = targetOf(whole, point, pose, closing);
  const chooseInstrument = useCallback((id: string) => prefer(person, { instrument: id }), [person]);
  const looked = viewed ?? stageOf(state, item) ?? state.stage;
  const selection = useMemo<Selection>(
    () => ({
      state,
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
      chooseInstrument,
      point,
      choosePoint: setReadAt,
      picking,
      pick: setPicking,
    }),
    [state, looked, item, adjuster, option, chosen, pose, after, target, instrument, chooseInstrument, point, picking],
  );
  const sent = useMemo<Sent>(
    () => ({
      // Readings go on to the same pose and cable until its group is full: nobody is moved on between two pulls.
      line: (at) => {
        setKeptTo(at !== null && isRead(at) ? at.key : null);
        // One of many stays picked for its next figure; what is measured once is done.
        setPicking((one) => (one !== null && one.of === undefined ? null : one));
      },
      anything: () => setTurned(null),
      back: (at, one) => {
        setKeptTo(null);
        setTurned(at);
        setPicking(one);
      },
    }),
    [],
  );
  return { selection, sent };
}
