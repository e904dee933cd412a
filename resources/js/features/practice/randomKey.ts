const MOST_SEEDS = 1_000_000;

/** The name of a machine at random of a family: the same name is the same machine. */
export const randomKey = (family: string) => `free_${family}_${Math.floor(Math.random() * MOST_SEEDS)}`;
