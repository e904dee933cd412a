import type { BenchRow } from '../../api/bench';

/** Where a row leads: its open job, or its machine with the control ready to start. */
export const placeOf = (row: BenchRow): string =>
  row.control.job !== null ? `/jobs/${row.control.job}` : `/machines/${encodeURIComponent(row.tag)}#${row.control.key}`;
