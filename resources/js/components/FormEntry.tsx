import type { ComponentProps } from 'react';
import { type Control, type FieldPath, type FieldValues, useController } from 'react-hook-form';
import { Entry, Pick } from './Entry';

type Of<Draft extends FieldValues> = { control: Control<Draft>; field: FieldPath<Draft> };

type FormEntryProps<Draft extends FieldValues> = Of<Draft> &
  Omit<ComponentProps<typeof Entry>, 'value' | 'onChange' | 'wrong' | 'at'> & {
    /** What else follows from typing: a refusal of what stood there is not true any more. */
    onTyped?: () => void;
  };

/** One thing to fill in of a form; what is wrong with it is said under it, and the first that is wrong is gone to. */
export const FormEntry = <Draft extends FieldValues>({ control, field, onTyped, ...entry }: FormEntryProps<Draft>) => {
  const { field: held, fieldState } = useController({ control, name: field });
  return (
    <Entry
      {...entry}
      value={held.value}
      onChange={(value) => {
        held.onChange(value);
        onTyped?.();
      }}
      wrong={fieldState.error?.message}
      at={held.ref}
    />
  );
};

type FormPickProps<Draft extends FieldValues, Key extends string> = Of<Draft> & {
  label: string;
  options: readonly { key: Key; label: string }[];
  name?: string;
};

/** One of several, of a form. */
export const FormPick = <Draft extends FieldValues, Key extends string>({
  control,
  field,
  ...pick
}: FormPickProps<Draft, Key>) => {
  const { field: held } = useController({ control, name: field });
  return <Pick {...pick} value={held.value as Key} onChange={held.onChange} />;
};
