/** Where an answer says something that its parser does not know, as a path; null where it knows all of it. */
export function unknownKey(answer: unknown, known: unknown, path = '$'): string | null {
  if (Array.isArray(answer)) {
    return firstOf(
      answer.map((one, place) => unknownKey(one, Array.isArray(known) ? known[place] : undefined, `${path}[${place}]`)),
    );
  }
  if (answer === null || typeof answer !== 'object') return null;
  if (known === null || typeof known !== 'object') return path;
  const names = known as Record<string, unknown>;
  return firstOf(
    Object.entries(answer).map(([key, value]) =>
      key in names ? unknownKey(value, names[key], `${path}.${key}`) : `${path}.${key}`,
    ),
  );
}

const firstOf = (found: (string | null)[]): string | null => found.find((one) => one !== null) ?? null;
