const collator = new Intl.Collator('en', { numeric: true });

/** As people look words up: berth 2 before berth 10. */
export const alphabetical = (one: string, other: string): number => collator.compare(one, other);
