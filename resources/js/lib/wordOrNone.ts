/** What is typed, without blanks around it; null where nothing is. */
export const wordOrNone = (text: string): string | null => (text.trim() === '' ? null : text.trim());
