/** A label within a sentence. */
export const within = (label: string): string => label.charAt(0).toLowerCase() + label.slice(1);

/** A label at the head of a line. */
export const capital = (label: string): string => label.charAt(0).toUpperCase() + label.slice(1);
