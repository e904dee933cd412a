import { useEffect, useRef, useState } from 'react';
import { type GaugeReading, gaugeStream, toldReading } from '../../../api/gauges';

const AGAIN_MS = 2_000;

/** Listens while somebody looks; whether the server tells at once. */
export function useStream(
  job: string,
  on: boolean,
  arrived: React.RefObject<(reading: GaugeReading) => void>,
  look: () => void,
): boolean {
  const [connected, setConnected] = useState(true);
  const looking = useRef(look);
  looking.current = look;
  useEffect(() => {
    if (!on) return;
    let source: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    const open = () => {
      clearTimeout(again);
      if (document.visibilityState === 'hidden' || source !== null) return;
      source = new EventSource(gaugeStream(job));
      source.addEventListener('open', () => {
        setConnected(true);
        looking.current();
      });
      source.addEventListener('reading', (event) => {
        const reading = toldReading((event as MessageEvent<string>).data);
        if (reading !== null) arrived.current(reading);
      });
      source.addEventListener('look', () => looking.current());
      source.addEventListener('error', () => {
        // It asks anew by itself, unless the answer was a no.
        if (source?.readyState !== EventSource.CLOSED) return;
        close();
        setConnected(false);
        again = setTimeout(open, AGAIN_MS);
      });
    };
    const close = () => {
      source?.close();
      source = null;
    };
    const seen = () => (document.visibilityState === 'hidden' ? close() : open());
    open();
    document.addEventListener('visibilitychange', seen);
    return () => {
      document.removeEventListener('visibilitychange', seen);
      clearTimeout(again);
      close();
    };
  }, [job, on, arrived]);
  return connected;
}
