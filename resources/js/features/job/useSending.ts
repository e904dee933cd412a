import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Draft, Shown } from '../../api/jobs';
import { isInches, typedIn } from '../../lib/figures';
import { type KeptEntry, outbox } from '../../lib/outbox';
import { begunLines, keepLine } from '../../lib/preferences';
import { stepsShown, typedTogether } from './asks';
import type { Picked, Selection, Sent } from './useSelection';

export type Sending = {
  /** @param as the id and time it has already, where a gauge sent it */
  send: (draft: Draft, as?: { id: string; at: string }) => KeptEntry | null;
  sendLine: (line: string) => void;
  /** Logs what a gauge sent, at what is asked now. */
  sendGauge: (sent: SentByGauge) => void;
  /** Why the line in the field was refused. */
  refusal: string | null;
  /** Told that something else is being typed now. */
  forgive: () => void;
};

/** What a gauge sent: its figure with its unit, and when its button was pressed. */
export type SentByGauge = { id: string; entered: string; instrument: string; at: string };

const NOTHING = 'Nothing was typed. Type a reading, such as 25.3, and press Enter.';

const NO_ROOM =
  'This device has no room to keep what is typed, and the server does not answer. Nothing was logged: free some room, or wait for the network.';

/** What is written at the bench, on its way into the outbox; a line that was refused comes back into the field. */
export function useSending(
  place: string,
  kept: readonly KeptEntry[],
  key: string,
  selection: Selection,
  sent: Sent,
): Sending {
  const [refusal, setRefusal] = useState<string | null>(null);
  const { state, item, adjuster, option, pose, point, instrument, picking } = selection;

  // What was picked when the last line was typed, for a line that comes back.
  const typed = useRef<{ id: string; picking: Picked | null } | null>(null);

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
    const at = typed.current?.id === refused.id ? typed.current.picking : null;
    sent.back(refused.draft.shown.item ?? null, at);
  }, [refused, key, sent]);

  const itemKey = item?.key;
  const steps = stepsShown(item, state, adjuster, option) ?? undefined;
  const shown = useMemo<Shown>(
    () => ({
      adjuster: adjuster?.id,
      steps,
      pose,
      point: point?.key,
      instrument: instrument?.id,
      item: itemKey,
      unit: isInches() ? ('in' as const) : undefined,
      measure: picking?.key,
      of: picking?.of,
    }),
    [adjuster?.id, steps, pose, point?.key, instrument?.id, itemKey, picking],
  );
  const isHeld = useCallback((): boolean => {
    if (outbox.isFull()) setRefusal(NO_ROOM);
    return outbox.isFull();
  }, []);
  const send = useCallback(
    (draft: Draft, as?: { id: string; at: string }): KeptEntry | null => {
      if (isHeld()) return null;
      setRefusal(null);
      sent.anything();
      return outbox.put(place, state.head, draft, as);
    },
    [place, state.head, sent, isHeld],
  );
  // Lengths say with `shown` what they are typed in.
  const asked = state.beside.measures.find(
    (one) => one.key === (picking?.key ?? item?.measure) && one.unit !== 'mm',
  )?.unit;
  const sendLine = useCallback(
    (text: string) => {
      if (isHeld()) return;
      // An Enter by mistake goes nowhere: kept without a network it would hold up what follows.
      if (text.trim() === '') {
        setRefusal(NOTHING);
        return;
      }
      keepLine(key, '');
      const together = typedTogether(state, itemKey, text);
      if (together.length > 0) {
        for (const draft of together) send(draft);
        return;
      }
      sent.line(item);
      const entry = send({ line: asked === undefined ? text : typedIn(text, asked), shown });
      typed.current = entry === null ? null : { id: entry.id, picking };
    },
    [key, send, sent, shown, item, itemKey, isHeld, state, asked, picking],
  );
  const sendGauge = useCallback(
    ({ id, entered, instrument: by, at }: SentByGauge) => {
      if (isHeld()) return;
      setRefusal(null);
      sent.line(item);
      outbox.put(place, state.head, { line: entered, shown: { ...shown, instrument: by, gauge: true } }, { id, at });
      typed.current = { id, picking };
    },
    [place, state.head, sent, item, shown, isHeld, picking],
  );
  const forgive = useCallback(() => setRefusal(null), []);
  return useMemo(
    () => ({ send, sendLine, sendGauge, refusal, forgive }),
    [send, sendLine, sendGauge, refusal, forgive],
  );
}
