/** Any value of a record as it is read aloud. */
export const plain = (value: unknown): string => {
  if (value === null || value === undefined || value === '') return 'empty';
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
};
