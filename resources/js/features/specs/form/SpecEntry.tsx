import { type ComponentProps, createContext, type ReactNode, useContext, useEffect, useState } from 'react';
import { type FieldError, type FieldErrors, get } from 'react-hook-form';
import { Entry, Pick, type PickProps } from '../../../components/Entry';
import type { SpecDraft } from '../draft';

type Errors = FieldErrors<SpecDraft>;

/** What is wrong with the fields of the form, and of which part of it a field is. */
const Wrong = createContext<{ errors: Errors; part: string }>({ errors: {}, part: '' });

export const WrongFields = ({ errors, children }: { errors: Errors; children: ReactNode }) => (
  <Wrong value={{ errors, part: '' }}>{children}</Wrong>
);

/** Fields within are of this part of the form: `cables.0.adjusters.1`. */
export const PartOfForm = ({ part, children }: { part: string; children: ReactNode }) => {
  const { errors, part: whole } = useContext(Wrong);
  return <Wrong value={{ errors, part: `${whole}${part}.` }}>{children}</Wrong>;
};

/** Whether something is wrong with one of these fields, or within them. */
export function useWrongIn(fields: readonly string[]): boolean {
  const { errors, part } = useContext(Wrong);
  return fields.some((field) => get(errors, `${part}${field}`) !== undefined);
}

/** Whether a part that is mostly shut stands open: asked for, or since something in it was wrong. It stays open while that is put right. */
export function useOpening(fields: readonly string[], begins = false): [boolean, (open: boolean) => void] {
  const isWrong = useWrongIn(fields);
  const [asked, setAsked] = useState(begins);
  useEffect(() => {
    if (isWrong) setAsked(true);
  }, [isWrong]);
  return [isWrong || asked, setAsked];
}

export const useErrors = (): Errors => useContext(Wrong).errors;

function useWrong(field: string): string | undefined {
  const { errors, part } = useContext(Wrong);
  return (get(errors, `${part}${field}`) as FieldError | undefined)?.message;
}

/** One of several, of a spec; what is wrong with it is said under it. */
export const SpecPick = <Key extends string>({ field, ...pick }: PickProps<Key> & { field: string }) => (
  <Pick {...pick} wrong={useWrong(field)} />
);

/** One thing to fill in of a spec; what is wrong with it is said under it. */
export const SpecEntry = ({ field, ...entry }: ComponentProps<typeof Entry> & { field: string }) => (
  <Entry {...entry} wrong={useWrong(field)} />
);
