/** A label at the head of a line. */
export const capital = (label: string): string => label.charAt(0).toUpperCase() + label.slice(1);
