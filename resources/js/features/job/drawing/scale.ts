/** Drawing units for one millimetre of thread; one scale for every adjuster, so that threads can be compared by eye. */
export const THREAD_SCALE = 3;

export type Slot = { x: number; y: number };
