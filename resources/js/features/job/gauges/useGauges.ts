import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import {
  dropReading,
  dropRecording,
  type Gauge,
  type GaugeReading,
  gaugesQuery,
  type JobGauges,
  letGo,
  listenTo,
} from '../../../api/gauges';
import { useSignedIn } from '../../../lib/signedIn';
import { nowWithOffset } from '../../../lib/time';
import { figureAsked } from '../asks';
import { useBench, useOutboxStatus } from '../useBench';
import { ownReading, serialGauge } from './useSerialGauge';
import { useStream } from './useStream';
import { offeredToForm } from './wanted';

/** Why what came was not logged by itself. */
export type Why = 'late' | 'below' | 'asks_otherwise' | 'refused_before' | 'not_here' | null;

/** A dialog asks something of its own: nothing is logged behind it. */
const somethingElseIsOpen = () => document.querySelector('[role="dialog"]') !== null;

/** Whether what came answers what is asked, and if not, why. */
function useWhy(): (reading: GaugeReading) => Why {
  const { state, item, adjuster, picking } = useBench();
  const { kept } = useOutboxStatus();
  const asks = figureAsked(state, item, adjuster, picking);
  const { shelf } = state;
  return useCallback(
    (reading) => {
      if (reading.entered.startsWith('-')) return 'below';
      if (reading.dimension === 'length' && !shelf.some((one) => one.id === reading.instrument)) return 'not_here';
      if (reading.dimension !== asks) return 'asks_otherwise';
      if (kept.some((one) => one.state === 'refused')) return 'refused_before';
      return reading.late ? 'late' : null;
    },
    [asks, kept, shelf],
  );
}

/** Lets a gauge speak here or no more, and drops what came. */
function useHandling(job: string) {
  const client = useQueryClient();
  const { state, chooseInstrument } = useBench();
  const keep = (after: JobGauges) => client.setQueryData(gaugesQuery(job).queryKey, after);
  const claim = useMutation({
    mutationFn: (instrument: string) => listenTo(job, instrument),
    onSuccess: (after, instrument) => {
      keep(after);
      // What speaks is what is read with.
      if (state.shelf.some((one) => one.id === instrument)) chooseInstrument(instrument);
    },
  });
  const release = useMutation({ mutationFn: (instrument: string) => letGo(job, instrument), onSuccess: keep });
  const dropping = useMutation({ mutationFn: (id: string) => dropReading(job, id), onSuccess: keep });
  const unwanted = useMutation({ mutationFn: (trace: string) => dropRecording(job, trace), onSuccess: keep });
  const failed = claim.error ?? release.error ?? dropping.error ?? unwanted.error;
  return { claim, release, dropping, unwanted, failed };
}

/** A gauge on a wire of this very device needs nobody in between; its lines come as readings. */
function useOwnWire(arrived: React.RefObject<(reading: GaugeReading) => void>): void {
  useEffect(() => serialGauge.hear({ reading: (read, wire) => arrived.current(ownReading(read, wire)) }), [arrived]);
}

export type Gauges = ReturnType<typeof useGauges>;

/** The gauges of this job: which speak here, what came and waits, and how it is logged. */
export function useGauges() {
  const { job, mayWrite, sendGauge } = useBench();
  const { kept } = useOutboxStatus();
  const client = useQueryClient();
  const query = gaugesQuery(job.id);
  const { data } = useQuery({ ...query, enabled: useSignedIn().gauges && mayWrite });
  const [own, setOwn] = useState<readonly GaugeReading[]>([]);
  const why = useWhy();
  const { claim, release, dropping, unwanted, failed } = useHandling(job.id);
  const ask = () => void client.invalidateQueries({ queryKey: query.queryKey });

  const take = (reading: GaugeReading) => {
    setOwn((all) => all.filter((one) => one.id !== reading.id));
    client.setQueryData(query.queryKey, (before?: JobGauges) => withoutReading(before, reading.id));
    sendGauge({ ...reading, at: nowWithOffset(new Date(reading.at)) });
  };
  const drop = (reading: GaugeReading) => {
    if (own.includes(reading)) setOwn((all) => all.filter((one) => one.id !== reading.id));
    else dropping.mutate(reading.id);
  };

  // What comes is held against the screen as it is then.
  const told = useRef<(reading: GaugeReading) => void>(() => undefined);
  const onWire = useRef<(reading: GaugeReading) => void>(() => undefined);
  useEffect(() => {
    const isAsked = (reading: GaugeReading) => why(reading) === null && !somethingElseIsOpen();
    const handled = (reading: GaugeReading) => {
      if (offeredToForm(reading)) return true;
      if (!isAsked(reading)) return false;
      take(reading);
      return true;
    };
    told.current = (reading) => {
      if (!handled(reading)) ask();
    };
    onWire.current = (reading) => {
      if (!handled(reading)) setOwn((all) => [...all, reading]);
    };
  });
  const isHere = data?.gauges.some((one) => one.here) === true;
  const connected = useStream(job.id, isHere && mayWrite, told, ask);
  useOwnWire(onWire);

  // What is on its way from here, or stands in the log since this was asked, waits for nothing any more.
  const settled = new Set([...kept.map((entry) => entry.id), ...job.state.log.map((row) => row.id)]);
  const waiting = [...(data?.waiting ?? []), ...own].filter((one) => !settled.has(one.id));
  const gauges: readonly Gauge[] = data?.gauges ?? [];
  const recordings = data?.recordings ?? [];
  return { gauges, waiting, recordings, why, take, drop, claim, release, unwanted, failed, connected };
}

const withoutReading = (before: JobGauges | undefined, id: string): JobGauges | undefined =>
  before === undefined ? before : { ...before, waiting: before.waiting.filter((one) => one.id !== id) };
