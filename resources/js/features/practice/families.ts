import type { PracticeLessons } from '../../api/practice';

/** The families that have lessons, each with its name, in the order of the lessons. */
export const familiesOf = (lessons: PracticeLessons['lessons']) => [
  ...new Map(lessons.map((one) => [one.family, one.family_title])),
];
