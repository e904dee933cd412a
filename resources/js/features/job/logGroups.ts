import type { LogRow } from '../../api/jobs';

/** A row of the bench log as it is shown: one entry, or a group of readings that were judged together. */
export type ShownRow = { kind: 'entry'; row: LogRow } | { kind: 'readings'; rows: readonly LogRow[]; last: LogRow };

const counts = (row: LogRow) => row.kind === 'reading' && row.voided === null;

/** Newest first; readings that the core put into one group stand in one row. */
export function shownRows(log: readonly LogRow[]): readonly ShownRow[] {
  const shown: ShownRow[] = [];
  let gathering: LogRow[] = [];
  for (const row of log) {
    if (!counts(row)) {
      shown.push({ kind: 'entry', row });
      continue;
    }
    gathering.push(row);
    if (row.mean_mm !== null) {
      shown.push({ kind: 'readings', rows: gathering, last: row });
      gathering = [];
    }
  }
  for (const row of gathering) shown.push({ kind: 'entry', row });
  return shown.reverse();
}
