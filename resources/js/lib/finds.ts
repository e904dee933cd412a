const bare = (code: string) => code.toLowerCase().replace(/[\s\-–—./]+/g, '');

/**
 * Whether what is typed finds something: each word stands in what is said of it, or in one of its tags and numbers,
 * which people type without their dashes.
 */
export function finds(typed: string, said: string, codes: readonly (string | null | undefined)[]): boolean {
  const text = said.toLowerCase();
  const bares = codes.map((code) => bare(code ?? ''));
  return typed
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => text.includes(word) || (bare(word) !== '' && bares.some((code) => code.includes(bare(word)))));
}
