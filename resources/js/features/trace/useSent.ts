import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import {
  dropReading,
  dropRecording,
  type Gauge,
  type GaugeReading,
  gaugesQuery,
  type JobGauges,
  listenTo,
} from '../../api/gauges';
import type { RecordedPull } from '../../lib/gaugeWire';
import { useSignedIn } from '../../lib/signedIn';
import { ownReading, serialGauge } from '../job/gauges/useSerialGauge';
import { useStream } from '../job/gauges/useStream';

export type Sent = ReturnType<typeof useSent>;

/** Half a point: the travel or the force that came first, until the other one is pressed. */
type Half = { length?: GaugeReading; force?: GaugeReading };

/** What is done with a point, with a recording of the bridge, and with one over a wire of this device. */
type Takes = { point: (line: string) => void; recorded: (trace: string) => void; pull: (pull: RecordedPull) => void };

/**
 * A pull taken from gauges that speak: point by point, where one shows the travel and one the force and each pair is a point, or as a force gauge
 * recorded it by itself.
 */
export function useSent(job: string, takes: Takes) {
  const { recorded } = takes;
  const client = useQueryClient();
  const query = gaugesQuery(job);
  const { data } = useQuery({ ...query, enabled: useSignedIn().gauges });
  const [half, setHalf] = useState<Half>({});
  const keep = (after: JobGauges) => client.setQueryData(query.queryKey, after);
  const claim = useMutation({ mutationFn: (instrument: string) => listenTo(job, instrument), onSuccess: keep });
  // It is a point of a curve now, and waits for nothing in the job.
  const used = useMutation({ mutationFn: (id: string) => dropReading(job, id), onSuccess: keep });
  const dropping = useMutation({ mutationFn: (trace: string) => dropRecording(job, trace), onSuccess: keep });
  // What waited before this screen was opened is listed; what comes while it is open is what was just pulled.
  const listed = useRef<readonly string[] | null>(null);
  useEffect(() => {
    if (data === undefined) return;
    const now = data.recordings.map((one) => one.trace);
    const fresh = now.find((one) => listed.current !== null && !listed.current.includes(one));
    listed.current = now;
    if (fresh !== undefined) recorded(fresh);
  }, [data, recorded]);
  const own = useRef(new Set<string>());
  const came = useRef<(reading: GaugeReading) => void>(() => undefined);
  useEffect(() => {
    came.current = (reading) => {
      if (reading.late || (reading.dimension !== 'length' && reading.dimension !== 'force')) return;
      // One over a wire of this device was never with the server.
      if (!own.current.has(reading.id)) used.mutate(reading.id);
      const next: Half = reading.dimension === 'length' ? { ...half, length: reading } : { ...half, force: reading };
      const { length, force } = next;
      if (length === undefined || force === undefined) {
        setHalf(next);
        return;
      }
      takes.point(`${length.entered} ${force.entered}`);
      setHalf({});
    };
  });
  const taking = useRef(takes);
  taking.current = takes;
  useEffect(
    () =>
      serialGauge.hear({
        reading: (read, wire) => {
          const reading = ownReading(read, wire);
          own.current.add(reading.id);
          came.current(reading);
        },
        pull: (pull) => taking.current.pull(pull),
      }),
    [],
  );
  const gauges: readonly Gauge[] = data?.gauges ?? [];
  const here = gauges.filter((one) => one.here);
  useStream(job, here.length > 0, came, () => void client.invalidateQueries({ queryKey: query.queryKey }));
  return { gauges, here, half, claim, recordings: data?.recordings ?? [], dropping };
}
