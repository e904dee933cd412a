import type { BenchRow } from '../../api/bench';

/** Whether a look at its play is offered: nothing is begun on it, play is read there, and no tag hangs. */
export const offersCheck = ({ job, point_label, tag }: Pick<BenchRow['control'], 'job' | 'point_label' | 'tag'>) =>
  job === null && point_label !== null && tag === null;
