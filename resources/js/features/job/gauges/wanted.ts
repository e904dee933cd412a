import { useEffect, useRef } from 'react';
import type { GaugeReading } from '../../../api/gauges';
import type { Dimension } from '../../../lib/gaugeLine';

type Wanted = { dimension: Dimension; take: (reading: GaugeReading) => void };

/** A form that is open and has a field for what a gauge shows: it is filled there, and logged with the form. */
let wanted: Wanted | null = null;

/** Whether an open form took it. What comes late is looked at first, in the form as anywhere. */
export function offeredToForm(reading: GaugeReading): boolean {
  if (wanted?.dimension !== reading.dimension || reading.late || reading.entered.startsWith('-')) return false;
  wanted.take(reading);
  return true;
}

/** While it is drawn, this form takes what gauges show. */
export function useWanted(dimension: Dimension, take: (reading: GaugeReading) => void): void {
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    const own: Wanted = { dimension, take: (reading) => latest.current(reading) };
    wanted = own;
    return () => {
      if (wanted === own) wanted = null;
    };
  }, [dimension]);
}
