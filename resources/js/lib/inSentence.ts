/** A name within a sentence: `Force gauge` is `force gauge`. */
export const inSentence = (name: string): string => `${name.charAt(0).toLowerCase()}${name.slice(1)}`;
