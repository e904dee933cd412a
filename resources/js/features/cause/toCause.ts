import type { Intake } from '../../api/machines';

/** Where the cause of a report is looked for, in its own words; its machine where nobody knows which control it is of. */
export const toCause = ({ tag, control, words }: Intake): string => {
  const machine = `/machines/${encodeURIComponent(tag)}`;
  return control === null ? machine : `${machine}/${control}/cause?words=${encodeURIComponent(words)}`;
};
