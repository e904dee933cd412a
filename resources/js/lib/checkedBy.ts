import type { FieldError, FieldErrors, FieldValues, Path, Resolver } from 'react-hook-form';
import type * as z from 'zod/mini';

type Issue = z.core.$ZodIssue;

/** What is wrong with a field, as a person would say it. */
function sentence(issue: Issue): string {
  switch (issue.code) {
    case 'too_small':
      return issue.origin === 'string' ? least(Number(issue.minimum)) : `At least ${issue.minimum}.`;
    case 'too_big':
      return issue.origin === 'string' ? `At most ${issue.maximum} characters.` : `At most ${issue.maximum}.`;
    case 'invalid_type':
      return issue.expected === 'number' || issue.expected === 'int' ? 'A whole figure, such as 12.' : 'Fill this in.';
    case 'invalid_value':
      return 'Choose one.';
    case 'invalid_format':
      return issue.format === 'date'
        ? 'A day, such as 14 Aug 2026.'
        : 'Letters, digits, dots and dashes; a letter first.';
    default:
      return 'This cannot be saved as it is.';
  }
}

const least = (characters: number) => (characters <= 1 ? 'Fill this in.' : `At least ${characters} characters.`);

/**
 * A form is held against the schema of what it sends, as the contract has it, before it is sent: what is missing is said at its
 * field. The server checks all of it again, and says the rest.
 */
export function checkedBy<Draft extends FieldValues>(
  written: (draft: Draft) => unknown,
  shape: z.ZodMiniType,
  {
    places = {},
    first = () => ({}),
  }: {
    /** The field of the form, where what is sent calls it otherwise. */
    places?: Readonly<Record<string, Path<Draft>>>;
    /** What the trade says of a field, before the schema is asked. */
    first?: (draft: Draft) => { [Field in keyof Draft]?: string | null };
  } = {},
): Resolver<Draft> {
  return (draft) => {
    const errors: Record<string, FieldError> = {};
    for (const [field, says] of Object.entries(first(draft))) {
      if (typeof says === 'string') errors[field] = { type: 'said', message: says };
    }
    const told = shape.safeParse(written(draft));
    for (const issue of told.success ? [] : told.error.issues) {
      const sent = String(issue.path[0] ?? '');
      errors[places[sent] ?? sent] ??= { type: issue.code, message: sentence(issue) };
    }
    return Object.keys(errors).length === 0
      ? { values: draft, errors: {} }
      : { values: {}, errors: errors as FieldErrors<Draft> };
  };
}
